/** What a hit does; the pair rules read nothing else about its place in the art. */
export type Role =
  | 'base'
  | 'base2'
  | 'smoothing'
  | 'highlight'
  | 'spot'
  | 'yellow'
  | 'magenta'
  | 'cyan'
  | 'key'
  | 'black'
  | 'metallic'
  | 'expanding'
  | 'clear'

/** One print event of one screen. */
export interface Hit {
  readonly id: string
  readonly name: string
  readonly role: Role
  /** CIELAB L* of the ink, 0..100. */
  readonly L: number
  /** Covering power, 0..1. */
  readonly opacity: number
  /** Share of the print area, 0..1. */
  readonly coverage: number
  /** Inks of different systems must not meet wet. */
  readonly system: string
  /** A white base lies under it. */
  readonly onBase: boolean
}

export type Meeting = 'touch' | 'overlap' | 'blend'

/** How two inks of the art meet; the order of `a` and `b` means nothing, `over` is the one of them that lies on the other. */
export interface Relation {
  readonly a: string
  readonly b: string
  readonly how: Meeting
  /** Width of an overlap in metres. */
  readonly width?: number
  readonly over?: string
}

/** What the press offers, as far as the order of printing is concerned. */
export type PressSpace =
  | {
      readonly kind: 'stations'
      readonly stations: readonly StationSpace[]
      readonly flashUnits: number
      /** Stations that a unit takes up, its own and those after it; 1 when not given. */
      readonly flashWidth?: number
      /** Empty stations wanted between a flash and the next print. */
      readonly cool: number
    }
  | {
      readonly kind: 'heads'
      /** Screens that can hang at once; the bench changes screens, so it has no limit. */
      readonly heads: number | 'unlimited'
      /** Heads besides, that are out of order. */
      readonly down?: number
      readonly hasFlash: boolean
      readonly wetOnWet: boolean
    }

/** An automatic: what a garment meets in turn. */
export type Ring = Extract<PressSpace, { kind: 'stations' }>

export interface StationSpace {
  readonly number: number
  /** A screen can print here. A head that is down still lets the print cool. */
  readonly usable: boolean
  readonly flashAllowed: boolean
  /** What mounted here now: the hit of this job whose screen it is, or `OTHER_JOB`. */
  readonly mounted?: string
  /** A flash unit stands here now. */
  readonly flashStands?: boolean
}

/** The practices that change the order. */
export interface SequenceMethod {
  readonly flash: 'where' | 'afterBase' | 'every' | 'touch'
  readonly colourOrder: 'overpower' | 'light'
  /** How many inks that dry in the screen may be wet together. */
  readonly wetMost: 'any' | 'three'
  /** Black over a colour on light cloth. */
  readonly blackTrap: 'wet' | 'flash'
  /** Where the highlight white prints; as the art lets it where nothing is said. */
  readonly highlight?: 'art' | 'last' | 'first'
}

export interface Job {
  readonly hits: readonly Hit[]
  readonly relations: readonly Relation[]
  readonly darkCloth: boolean
  readonly method: SequenceMethod
  /**
   * Hit ids in the order the lead wants, complete or not; pairs not named stay free. Where `FLASH` stands among them, what
   * goes before is flashed before what comes after.
   */
  readonly explicit?: readonly string[]
  /** The smoothing screen flattens a base that carries colours: no white has to follow it. */
  readonly smoothsBase?: boolean
}

/** Stands in an order by hand where the lead wants a flash. */
export const FLASH = 'flash'

/** What happens to a garment, in its order; `lap` 2 when it goes round a second time. */
export type Event =
  | { readonly kind: 'print'; readonly hit: number; readonly station?: number; readonly lap?: 1 | 2 }
  | { readonly kind: 'flash'; readonly station?: number; readonly lap?: 1 | 2 }

export const isBase = (h: Hit): boolean => h.role === 'base' || h.role === 'base2'

/** How two hits meet; a colour on base overlaps the base, and both base hits are the same image. */
export function meeting(job: Job, i: Hit, j: Hit): Relation | undefined {
  const named = job.relations.find((r) => (r.a === i.id && r.b === j.id) || (r.a === j.id && r.b === i.id))
  if (named) return named
  const [first, second] = isBase(i) ? [i, j] : [j, i]
  if (isBase(first) && (isBase(second) || second.onBase)) return { a: first.id, b: second.id, how: 'overlap' }
  return undefined
}
