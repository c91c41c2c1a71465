import type { Press } from '../equipment'
import type { Duration, Share } from '../quantity'

/** Seconds of single operations, trained person. Sums are fitted to common practice; single ones are not identified. */
export const TIMES = {
  load: 4.8,
  unload: 1.6,
  /** Placing on the belt: alone (turn, walk) and by a loader who stands there. */
  beltAlone: 3.0,
  beltLoader: 1.2,
  inspect: 0.6,
  tackPer5: 2.5,
  rotate: 1.8,
  head: 1.8,
  flood: 1.0,
  stroke: 1.3,
  reInk: 12,
  autoIndex: 1.2,
  autoLoad: 4.6,
  autoUnload: 2.5,
  benchPlace: 3.5,
  benchRegister: 3,
  benchRack: 3,
  benchSwap: 60,
} as const satisfies Record<string, Duration>

/** Garments between two re-inkings of a screen. */
export const RE_INKED = 36
/** The head of a single station is this much slower to swing. */
export const SINGLE_HEAD = 1.75

/** Human times by skill; machines do not care. Fitted to common practice. */
export const SKILLS = {
  beginner: { label: 'Learning', factor: 1.41 },
  trained: { label: 'Trained', factor: 1 },
  good: { label: 'Very good', factor: 0.89 },
  top: { label: 'The best', factor: 0.82 },
} as const
export type Skill = keyof typeof SKILLS

export const CREWS = {
  alone: { label: 'One person', people: 1 },
  loader: { label: 'Two people', people: 2 },
} as const

/** Who stands at the press. */
export interface Crew {
  readonly size: keyof typeof CREWS
  readonly skill: Skill
}

/** What makes up a cycle; each can be quicker or slower by a factor. */
export const RESOURCES = {
  print: 'printing',
  hand: 'loading and unloading',
  turn: 'turning the carousel',
  flash: 'the flash',
  cool: 'cooling down',
} as const
export type Resource = keyof typeof RESOURCES
export type Scale = Readonly<Record<Resource, number>>
export const AS_IT_IS: Scale = { print: 1, hand: 1, turn: 1, flash: 1, cool: 1 }

/** A screen as it is struck: how often, seconds of a stroke and of a flood. */
export interface Struck {
  readonly strokes: number
  readonly stroke: Duration
  readonly flood: Duration
}

/** Screens between two flashes. */
export type StrokeGroups = readonly (readonly Struck[])[]

/** What one screen takes at its place: one flood, and its strokes. */
export const printingOf = ({ strokes, stroke, flood }: Struck): Duration => flood + strokes * stroke

/** How far a board is from a usual one (0) to one for all-over prints (1): by its longer side, metres. */
const USUAL_BOARD = 0.6
const LARGE_BOARD = 1
const largeness = ({ palletWidth, palletHeight }: Press): Share =>
  Math.min(1, Math.max(0, (Math.max(palletWidth, palletHeight) - USUAL_BOARD) / (LARGE_BOARD - USUAL_BOARD)))

/** Large boards take so much longer to load and to turn; what lies between, in proportion (assumed). */
const LARGE = { hand: 2.4, turn: 2.5 } as const
const slowedBy = (press: Press, most: number): number => 1 + (most - 1) * largeness(press)

/** An item that does not go over a pallet is laid, measured and taken off in so much more (assumed). */
const OFF_PALLET_HAND = 1.6

export interface CycleNeed {
  readonly press: Press
  readonly crew: Crew
  readonly groups: StrokeGroups
  /** Revolutions of every garment. */
  readonly laps: 1 | 2
  /** Longest flash dwell, seconds; none on a bench whose prints dry on a rack. */
  readonly flash: Duration
  /** Cool-down after a flash where the garment waits, or drying on a rack, seconds. */
  readonly cool: Duration
  /** An item that does not go over a pallet. */
  readonly offPallet: boolean
  /** Empty stations behind the last flash of an automatic, in which the film cools. */
  readonly coolHeads: number
  /** Drying places on a bench. */
  readonly pieces: number
}

const sum = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0)

/** Single operations, seconds each. */
export type Motions = readonly Duration[]

/** What is done to one garment, each in seconds, for this crew. */
export interface Work {
  /** Printing of each group. */
  readonly groups: readonly Duration[]
  /** What each group is made of: lower, flood, stroke ... each varies by itself. */
  readonly motions: readonly Motions[]
  readonly hand: Duration
  readonly handMotions: Motions
  readonly turn: Duration
  readonly flash: Duration
  readonly cool: Duration
}

/** Motions of hands for one garment, a trained person, seconds: off, onto the belt, a look, on, tack. */
function handsOf({ press, crew, offPallet }: CycleNeed): Motions {
  const belt = crew.size === 'loader' ? TIMES.beltLoader : TIMES.beltAlone
  const slower = slowedBy(press, LARGE.hand) * (offPallet ? OFF_PALLET_HAND : 1)
  return [
    TIMES.unload * slower,
    belt,
    TIMES.inspect,
    TIMES.load * slower,
    TIMES.tackPer5 / 5,
    ...(press.kind === 'bench' ? [TIMES.benchRegister] : []),
  ]
}

/** Seconds in which both ends of an automatic load and unload, and its index. */
export const automaticTimes = ({ press, crew }: CycleNeed, scale: Scale = AS_IT_IS) => {
  const slower = SKILLS[crew.skill].factor * scale.hand * slowedBy(press, LARGE.hand)
  return {
    ends: [TIMES.autoLoad * slower, TIMES.autoUnload * slower] as const,
    index: scale.turn * TIMES.autoIndex * slowedBy(press, LARGE.turn),
  }
}

/** Seconds of work at a press where all screens print at one place. */
export function workOf(need: CycleNeed, scale: Scale = AS_IT_IS): Work {
  const { press, crew, groups, flash, cool } = need
  const m = SKILLS[crew.skill].factor
  const head = TIMES.head * (press.kind === 'single' || press.kind === 'bench' ? SINGLE_HEAD : 1)
  const handMotions = handsOf(need).map((t) => scale.hand * m * t)
  const motions = groups.map((group) =>
    group.flatMap(({ strokes, stroke, flood }) =>
      [head, flood, ...Array<Duration>(strokes).fill(stroke)].map((t) => scale.print * m * t),
    ),
  )
  return {
    groups: motions.map(sum),
    motions,
    hand: sum(handMotions),
    handMotions,
    turn: scale.turn * m * TIMES.rotate * slowedBy(press, LARGE.turn),
    flash: scale.flash * flash,
    cool: scale.cool * cool,
  }
}

/** Less for a usual day: 8 % allowance, 1.5 % misprints (assumed). */
export const ALLOWANCE: Share = 0.08
export const MISPRINTS: Share = 0.015
