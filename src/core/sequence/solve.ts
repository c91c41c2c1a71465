import { message, q, type Reason } from '../advice'
import { SEQUENCE } from './definition'
import { wetMost } from './explain'
import type { Job, PressSpace, Ring } from './hit'
import { leastPlaces, placesIn, twoLaps } from './laps'
import { type Ordered, orders, type Relaxed, relax } from './relaxed'
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
  /** Two revolutions though one would do: the lead wants room and time between. */
  readonly twice?: boolean
  /** Least set-up moves before least wet contact risk. */
  readonly leastMoving?: boolean
  /** How much is tried before the search is given up, of the usual 1. */
  readonly effort?: number
}

/** Finds the cheapest orders of a job on one press. `pressName` is used in the reasons only. */
export type Solver = (press: PressSpace, pressName: string, search?: Search) => Solution

/** So much more than the cheapest an order may cost to be worth a look. */
const WORTH = COST.flash + 30 * COST.wetRisk

/**
 * A solver for one job: the cheapest orders of printing, exactly. Fewest revolutions first, then fewest flashes, then least wet
 * contact risk, then cool-down, then compactness. On a ring of stations, or any order where all screens print at the same place. What
 * does not depend on the press is computed once and serves every press.
 *
 * @returns `fits: false` with Stop reasons when the inks clash on any press or the press has no room, and what would help
 */
export function solverFor(job: Job): Solver {
  const refuse = (...reasons: readonly Reason[]): Solution => ({ fits: false, reasons, pressShort: false })
  const noRoom = (reasons: readonly Reason[]): Solution => ({ fits: false, reasons, pressShort: true })
  const known = new Map<string, { readonly tables: Tables; readonly relaxed: Relaxed }>()
  const prepare = (wetOnWet: boolean, inTurn: boolean) => {
    const tables = buildTables(job, wetOnWet, inTurn)
    const made = { tables, relaxed: relax(tables) }
    known.set(`${wetOnWet} ${inTurn}`, made)
    return made
  }
  return (
    press,
    pressName,
    { wanted = 1, laps = 1, twice: wished = false, leastMoving = false, effort = 1 } = {},
  ) => {
    if (job.hits.length > MOST_HITS)
      return refuse(SEQUENCE.because('TOO_MANY', { screens: count(job.hits.length), most: count(MOST_HITS) }))
    const wetOnWet = press.kind === 'stations' || press.wetOnWet
    // Screens that are alike are told apart by what mounted already, and by whoever asks for ways that differ.
    const mounted = press.kind === 'stations' && press.stations.some((s) => s.mounted !== undefined)
    const inTurn = wanted === 1 && !mounted
    const { tables, relaxed } = known.get(`${wetOnWet} ${inTurn}`) ?? prepare(wetOnWet, inTurn)
    if (tables.smoothing && !tables.whites && !job.smoothsBase)
      return refuse(SEQUENCE.because('SMOOTH_ALONE'))
    const free = relaxed(0, 0)
    if (free >= FORBIDDEN) return refuse(...clash(job, wetOnWet))
    const short = whatIsShort(job, press, pressName, tables, flashesIn(free))
    if (press.kind === 'heads') {
      if (short.length > 0) return noRoom(short)
      return some(orders(tables, relaxed, wanted), 1, tables) ?? noRoom(short)
    }
    const move = leastMoving ? COST.moveFirst : COST.move
    const byWish = wished ? twoLaps(tables, press, relaxed, effort) : undefined
    if (byWish && byWish !== 'unknown') return { fits: true, best: byWish, others: [], laps: 2, tables }
    const one =
      short.length > 0 ? undefined : some(layOut(tables, press, relaxed, wanted, move, effort), 1, tables)
    if (one) return one
    const twice = laps === 2 ? twoLaps(tables, press, relaxed, effort) : undefined
    if (twice && twice !== 'unknown') return { fits: true, best: twice, others: [], laps: 2, tables }
    const inputs = { screens: count(job.hits.length), flashes: count(flashesIn(free)), press: pressName }
    const why = short.length > 0 ? short : [SEQUENCE.because('NO_LAYOUT', inputs)]
    if (laps === 1) return noRoom(why)
    const need = leastPlaces(tables, flashesIn(free))
    const have = placesIn(press)
    if (twice === 'unknown') return noRoom([...why, SEQUENCE.because('TWO_UNKNOWN', inputs)])
    const twoShort = { ...inputs, need: count(need), have: count(have) }
    return noRoom(need > have ? [...why, SEQUENCE.because('TWO_SHORT', twoShort)] : why)
  }
}

/** Says how far the order in force is from proven the cheapest, where the search was given up. */
export const notApproved = ({ gap }: Ordered): readonly Reason[] =>
  gap === undefined || gap === 0
    ? []
    : [
        SEQUENCE.because('BEST_TRIED', {
          flashes: count(flashesIn(gap)),
          wetRisk: count(Math.ceil((gap % COST.flash) / COST.wetRisk)),
        }),
      ]

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

/** Revolutions in which a job fits; undefined when it does not. */
type Fits = (on: PressSpace, of?: Solver) => 1 | 2 | undefined

/** Each of a dozen things is tried so much. */
const HELP_EFFORT = 0.05

/** How it would fit, as what is short counts one revolution. */
const LAPS = { 1: '', 2: ' in two revolutions' } as const

/** The least changes that each make an impossible job possible on this press: by trying them. */
export function whatHelps(job: Job, press: PressSpace, pressName: string): readonly Reason[] {
  const solver = solverFor(job)
  const fits: Fits = (on, of = solver) => {
    const found = of(on, pressName, { laps: 2, effort: HELP_EFFORT })
    return found.fits ? found.laps : undefined
  }
  const helps =
    press.kind === 'heads' ? helpByHand(press, pressName, fits) : helpOnRing(job, press, pressName, fits)
  if (helps.length > 0) return helps
  for (const spare of job.hits.filter((h) => !['base', 'smoothing'].includes(h.role))) {
    const laps = fits(press, solverFor({ ...job, hits: job.hits.filter((o) => o !== spare) }))
    if (laps) return [SEQUENCE.because('HELP_LESS', { name: spare.name, laps: LAPS[laps] })]
  }
  return []
}

function helpByHand(press: Exclude<PressSpace, Ring>, pressName: string, fits: Fits): readonly Reason[] {
  const helps: Reason[] = []
  const told = (laps: 1 | 2 | undefined, code: 'HELP_UNIT' | 'HELP_HEADS') => {
    if (laps) helps.push(SEQUENCE.because(code, { press: pressName, laps: LAPS[laps] }))
  }
  told(fits({ ...press, hasFlash: true }), 'HELP_UNIT')
  const { heads, down = 0 } = press
  if (heads !== 'unlimited' && down > 0) told(fits({ ...press, heads: heads + down }), 'HELP_HEADS')
  return helps
}

function helpOnRing(job: Job, ring: Ring, pressName: string, fits: Fits): readonly Reason[] {
  const helps: Reason[] = []
  const told = (
    laps: 1 | 2 | undefined,
    code: 'HELP_UNIT' | 'HELP_PLACES' | 'HELP_HEAD' | 'HELP_HEADS' | 'HELP_BASE',
    station = 0,
  ): boolean => {
    const inputs = { press: pressName, station: count(station), laps: laps ? LAPS[laps] : '' }
    if (laps) helps.push(SEQUENCE.because(code, inputs))
    return laps !== undefined
  }
  told(fits({ ...ring, flashUnits: ring.flashUnits + 1 }), 'HELP_UNIT')
  const anywhere = ring.stations.map((s) => ({ ...s, flashAllowed: true }))
  told(fits({ ...ring, stations: anywhere }), 'HELP_PLACES')
  const down = ring.stations.filter((s) => !s.usable)
  const working = (...mended: readonly (typeof down)[number][]) => ({
    ...ring,
    stations: ring.stations.map((s) => (mended.includes(s) ? { ...s, usable: true } : s)),
  })
  // All of them first: where that does not help, no single one does.
  const every = down.length > 0 ? fits(working(...down)) : undefined
  if (every && !down.some((d) => told(fits(working(d)), 'HELP_HEAD', d.number))) told(every, 'HELP_HEADS')
  const without = job.hits.filter((h) => h.role !== 'base2')
  if (without.length < job.hits.length) told(fits(ring, solverFor({ ...job, hits: without })), 'HELP_BASE')
  return helps
}

/** Plain shortages that can be counted: heads, stations, flash units. */
function whatIsShort(job: Job, press: PressSpace, pressName: string, t: Tables, flashes: number): Reason[] {
  const screens = job.hits.length
  if (press.kind === 'heads') {
    // By hand the second base hit is the same screen again.
    const mountedNow = screens - (t.hits.some((h) => h.role === 'base2') ? 1 : 0)
    const reasons: Reason[] = []
    if (press.heads !== 'unlimited' && mountedNow > press.heads)
      reasons.push(
        SEQUENCE.because('HEADS_SHORT', {
          screens: count(mountedNow),
          press: pressName,
          have: count(press.heads),
        }),
      )
    if (flashes > 0 && !press.hasFlash) reasons.push(SEQUENCE.because('NO_FLASH', { press: pressName }))
    return reasons
  }
  const reasons: Reason[] = []
  if (flashes > press.flashUnits)
    reasons.push(
      SEQUENCE.because('FLASH_SHORT', {
        need: count(flashes),
        press: pressName,
        have: count(press.flashUnits),
      }),
    )
  const have = press.stations.filter((s) => s.usable || s.flashAllowed).length
  const usable = press.stations.filter((s) => s.usable).length
  if (screens + flashes > have || screens > usable)
    reasons.push(
      SEQUENCE.because('STATIONS_SHORT', {
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
    const alone = t.smoothing !== 0 && t.whites === 0 && !job.smoothsBase
    return !alone && relax(t)(0, 0) >= FORBIDDEN
  }
  let left = job.hits
  for (const hit of job.hits) {
    const without = left.filter((h) => h !== hit)
    if (impossible(without)) left = without
  }
  const byHand = !impossible(left, [])
  const t = buildTables({ ...job, hits: left }, wetOnWet)
  const why = left.flatMap((i, a) =>
    left.flatMap((j, b) =>
      a === b || (byHand && againstHand(job, i.id, j.id))
        ? []
        : (t.pair[a]?.[b]?.codes ?? [])
            // That the lead wants it so is said already.
            .filter((code) => code !== 'EXPLICIT')
            .map((code) => SEQUENCE.because(code, { i: i.name, j: j.name })),
    ),
  )
  const crowd = bits(t.drying) > t.mostWet ? [wetMost(t, left)] : []
  const told = [...crowd, ...why.slice(0, 6)]
  const first = SEQUENCE.because(byHand ? 'BY_HAND' : 'CLASH', {
    names: left.map((h) => h.name).join(', '),
    broken: told.map((r) => message(r, 'metric')).join(' '),
  })
  return [first, ...told]
}
