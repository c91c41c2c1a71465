import { because, q, type Reason } from '../advice'
import { wetMost } from './explain'
import type { Job, PressSpace, Ring } from './hit'
import { twoLaps } from './laps'
import { type Ordered, orders, type Relaxed, relax } from './relaxed'
import { SEQUENCE_RULES } from './rules'
import { layOut } from './stations'
import { bits, buildTables, COST, FORBIDDEN, MOST_HITS, type Tables } from './tables'

/** Orders of printing with their costs, or the reasons why there is none. */
export type Solution =
  | {
      readonly fits: true
      readonly best: Ordered
      /** The next cheapest; they differ in what is dried before what. */
      readonly others: readonly Ordered[]
      /** Revolutions of every garment. */
      readonly laps: 1 | 2
      readonly tables: Tables
    }
  | {
      readonly fits: false
      readonly reasons: readonly Reason[]
      /** The inks agree, the press has no room: another press might. */
      readonly pressShort: boolean
    }

const count = (x: number) => q('count', x)
const flashesIn = (cost: number) => Math.floor(cost / COST.flash)

/** How an order is looked for. */
export interface Search {
  /** Orders that truly differ; 1 is the cheapest alone. */
  readonly wanted?: number
  /** Two revolutions where one does not do. */
  readonly laps?: 1 | 2
  /** Least handgrips before least mud. */
  readonly leastMoving?: boolean
}

/** Finds the cheapest orders of a job on one press. `pressName` is used in the reasons only. */
export type Solver = (press: PressSpace, pressName: string, search?: Search) => Solution

/** So much more than the cheapest an order may cost to be worth a look. */
const WORTH = COST.flash + 30 * COST.mud

/**
 * A solver for one job: the cheapest orders of printing, exactly. Fewest revolutions first, then fewest flashes, then least
 * mud, then cool-down, then compactness. On a ring of stations, or any order where all screens print at the same place. What
 * does not depend on the press is computed once and serves every press.
 *
 * @returns `fits: false` with Stop reasons when the inks clash on any press or the press has no room, and what would help
 */
export function solverFor(job: Job): Solver {
  const refuse = (...reasons: readonly Reason[]): Solution => ({ fits: false, reasons, pressShort: false })
  const noRoom = (reasons: readonly Reason[]): Solution => ({ fits: false, reasons, pressShort: true })
  const known = new Map<boolean, { readonly tables: Tables; readonly relaxed: Relaxed }>()
  const prepare = (wetOnWet: boolean) => {
    const tables = buildTables(job, wetOnWet)
    const made = { tables, relaxed: relax(tables) }
    known.set(wetOnWet, made)
    return made
  }
  return (press, pressName, { wanted = 1, laps = 1, leastMoving = false } = {}) => {
    if (job.hits.length > MOST_HITS)
      return refuse(
        because(SEQUENCE_RULES, 'TOO_MANY', { screens: count(job.hits.length), most: count(MOST_HITS) }),
      )
    const wetOnWet = press.kind === 'stations' || press.wetOnWet
    const { tables, relaxed } = known.get(wetOnWet) ?? prepare(wetOnWet)
    if (tables.smoothing && !tables.whites) return refuse(because(SEQUENCE_RULES, 'SMOOTH_ALONE'))
    const free = relaxed(0, 0)
    if (free >= FORBIDDEN) return refuse(...clash(job, wetOnWet))
    const short = whatIsShort(job, press, pressName, tables, flashesIn(free))
    if (press.kind === 'heads') {
      if (short.length > 0) return noRoom(short)
      return some(orders(tables, relaxed, wanted), 1, tables) ?? noRoom(short)
    }
    const move = leastMoving ? COST.moveFirst : COST.move
    const one = short.length > 0 ? undefined : some(layOut(tables, press, relaxed, wanted, move), 1, tables)
    if (one) return one
    const twice = laps === 2 ? twoLaps(tables, press, relaxed) : undefined
    if (twice && twice !== 'unknown') return { fits: true, best: twice, others: [], laps: 2, tables }
    const inputs = { screens: count(job.hits.length), flashes: count(flashesIn(free)), press: pressName }
    return noRoom(short.length > 0 ? short : [because(SEQUENCE_RULES, 'NO_LAYOUT', inputs)])
  }
}

/** What was found, as far as it is worth a look beside the cheapest. */
function some(found: readonly Ordered[], laps: 1 | 2, tables: Tables): Solution | undefined {
  const [best, ...others] = found
  if (!best) return undefined
  return {
    fits: true,
    best,
    others: others.filter((o) => o.cost <= best.cost + WORTH),
    laps,
    tables,
  }
}

/** `solverFor` for a single press. */
export const solve = (job: Job, press: PressSpace, pressName: string, search?: Search): Solution =>
  solverFor(job)(press, pressName, search)

/** The least changes that each make an impossible job possible on this press: by trying them. */
export function whatHelps(job: Job, press: PressSpace, pressName: string): readonly Reason[] {
  const solver = solverFor(job)
  const fits = (on: PressSpace, of: Solver = solver) => of(on, pressName, { laps: 2 }).fits
  const helps =
    press.kind === 'heads' ? helpByHand(press, pressName, fits) : helpOnRing(job, press, pressName, fits)
  if (helps.length > 0) return helps
  const spare = job.hits.find(
    (h) =>
      !['base', 'smoothing'].includes(h.role) &&
      fits(press, solverFor({ ...job, hits: job.hits.filter((o) => o !== h) })),
  )
  return spare ? [because(SEQUENCE_RULES, 'HELP_LESS', { name: spare.name })] : []
}

type Fits = (on: PressSpace, of?: Solver) => boolean

function helpByHand(press: Exclude<PressSpace, Ring>, pressName: string, fits: Fits): readonly Reason[] {
  const helps: Reason[] = []
  if (fits({ ...press, hasFlash: true }))
    helps.push(because(SEQUENCE_RULES, 'HELP_UNIT', { press: pressName }))
  const { heads, down = 0 } = press
  if (heads !== 'unlimited' && down > 0 && fits({ ...press, heads: heads + down }))
    helps.push(because(SEQUENCE_RULES, 'HELP_HEADS'))
  return helps
}

function helpOnRing(job: Job, ring: Ring, pressName: string, fits: Fits): readonly Reason[] {
  const helps: Reason[] = []
  if (fits({ ...ring, flashUnits: ring.flashUnits + 1 }))
    helps.push(because(SEQUENCE_RULES, 'HELP_UNIT', { press: pressName }))
  const anywhere = ring.stations.map((s) => ({ ...s, flashAllowed: true }))
  if (fits({ ...ring, stations: anywhere })) helps.push(because(SEQUENCE_RULES, 'HELP_PLACES'))
  const down = ring.stations.filter((s) => !s.usable)
  const mended = down.find((d) =>
    fits({ ...ring, stations: ring.stations.map((s) => (s === d ? { ...s, usable: true } : s)) }),
  )
  if (mended) helps.push(because(SEQUENCE_RULES, 'HELP_HEAD', { station: count(mended.number) }))
  else if (down.length > 1 && fits({ ...ring, stations: ring.stations.map((s) => ({ ...s, usable: true })) }))
    helps.push(because(SEQUENCE_RULES, 'HELP_HEADS'))
  const without = (role: string) => job.hits.filter((h) => h.role !== role)
  if (job.hits.some((h) => h.role === 'base2') && fits(ring, solverFor({ ...job, hits: without('base2') })))
    helps.push(because(SEQUENCE_RULES, 'HELP_BASE'))
  return helps
}

/** Plain shortages that can be counted: heads, stations, flash units. */
function whatIsShort(job: Job, press: PressSpace, pressName: string, t: Tables, flashes: number): Reason[] {
  const screens = job.hits.length
  if (press.kind === 'heads') {
    // By hand the second base hit is the same screen again.
    const hung = screens - (t.hits.some((h) => h.role === 'base2') ? 1 : 0)
    const reasons: Reason[] = []
    if (press.heads !== 'unlimited' && hung > press.heads)
      reasons.push(
        because(SEQUENCE_RULES, 'HEADS_SHORT', {
          screens: count(hung),
          press: pressName,
          have: count(press.heads),
        }),
      )
    if (flashes > 0 && !press.hasFlash)
      reasons.push(because(SEQUENCE_RULES, 'NO_FLASH', { press: pressName }))
    return reasons
  }
  const reasons: Reason[] = []
  if (flashes > press.flashUnits)
    reasons.push(
      because(SEQUENCE_RULES, 'FLASH_SHORT', {
        need: count(flashes),
        press: pressName,
        have: count(press.flashUnits),
      }),
    )
  const have = press.stations.filter((s) => s.usable || s.flashAllowed).length
  const usable = press.stations.filter((s) => s.usable).length
  if (screens + flashes > have || screens > usable)
    reasons.push(
      because(SEQUENCE_RULES, 'STATIONS_SHORT', {
        screens: count(screens),
        flashes: count(flashes),
        need: count(screens + flashes),
        press: pressName,
        have: count(Math.min(have, usable + flashes)),
      }),
    )
  return reasons
}

/** The order by hand has j before i: what speaks against i before j is not asked. */
const againstHand = ({ explicit = [] }: Job, i: string, j: string): boolean =>
  explicit.includes(i) && explicit.includes(j) && explicit.indexOf(i) > explicit.indexOf(j)

/** The smallest set of hits that cannot be printed together, and the rules among them that pull apart. */
function clash(job: Job, wetOnWet: boolean): readonly Reason[] {
  const impossible = (hits: Job['hits'], explicit = job.explicit ?? []) => {
    const t = buildTables({ ...job, hits, explicit }, wetOnWet)
    return !(t.smoothing && !t.whites) && relax(t)(0, 0) >= FORBIDDEN
  }
  let left = job.hits
  for (const hit of job.hits) {
    const without = left.filter((h) => h !== hit)
    if (impossible(without)) left = without
  }
  const byHand = !impossible(left, [])
  const names = because(SEQUENCE_RULES, byHand ? 'BY_HAND' : 'CLASH', {
    names: left.map((h) => h.name).join(', '),
  })
  const t = buildTables({ ...job, hits: left }, wetOnWet)
  const why = left.flatMap((i, a) =>
    left.flatMap((j, b) =>
      a === b || (byHand && againstHand(job, i.id, j.id))
        ? []
        : (t.pair[a]?.[b]?.codes ?? [])
            // That the lead wants it so is said already.
            .filter((code) => code !== 'EXPLICIT')
            .map((code) => because(SEQUENCE_RULES, code, { i: i.name, j: j.name })),
    ),
  )
  const crowd = bits(t.drying) > t.mostWet ? [wetMost(t, left)] : []
  return [names, ...crowd, ...why.slice(0, 6)]
}
