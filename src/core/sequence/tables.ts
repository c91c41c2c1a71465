import { driesInScreen } from '../order'
import { type Mark, marked } from './cheapest'
import { FLASH, type Hit, type Job, meeting } from './hit'
import { type PairCode, pairCodes } from './rules'
import { wetTerms } from './wetRisk'

/** One cost scale for everything, integers: flashes > wet contact risk > missing cool-down > moves > spare gaps. */
export const COST = {
  flash: 10_000_000,
  wetRisk: 100,
  missingCool: 4000,
  move: 20,
  /** A set-up move where the least moving is asked for: more than a thousand wet contact risk, less than a flash. */
  moveFirst: 100_000,
  spareGap: 1,
  wetAgainstPractice: 6000,
} as const

export const FORBIDDEN = 1_000_000_000

/** At this many hits the tables take about 20 MB. */
export const MOST_HITS = 14

export interface Pair {
  readonly wet: number
  readonly dry: number
  readonly codes: readonly PairCode[]
}

/** The job as the search sees it: costs of ordered pairs and bit masks over hits. */
export interface Tables {
  readonly n: number
  readonly full: number
  readonly hits: readonly Hit[]
  /** `pair[i][j]`: i before j. */
  readonly pair: readonly (readonly Pair[])[]
  /** The same costs flat, by `i * n + j`: searches read nothing else. */
  readonly wetCost: Int32Array
  readonly dryCost: Int32Array
  /** Hits that must be printed before j. */
  readonly before: readonly number[]
  /** Hits that must not be wet, or not be dry, when j is printed. */
  readonly notWet: readonly number[]
  readonly notDry: readonly number[]
  /** Hits that care whether i is wet or dry. */
  readonly cares: readonly number[]
  readonly smoothing: number
  /** The whites that may follow the smoothing screen. */
  readonly whites: number
  readonly expanding: number
  /** Inks that dry in the screen, of which only so many may be wet at once. */
  readonly drying: number
  readonly mostWet: number
  /** Printed sets in which a flash is allowed at all are subsets of this. */
  readonly flashWithin: number
}

const maskOf = (hits: readonly Hit[], test: (h: Hit) => boolean): number =>
  hits.reduce((mask, h, i) => (test(h) ? mask | (1 << i) : mask), 0)

/** Of inks that dry in the screen at most so many wet at once, where the shop holds to it (common practice). */
const MOST_WET = 3

const driesIn = (h: Hit): boolean => driesInScreen(h.system) && h.role !== 'smoothing'

export const bits = (x: number): number => {
  let count = 0
  for (let rest = x; rest; rest &= rest - 1) count++
  return count
}

function pairOf(job: Job, i: Hit, j: Hit, wetOnWet: boolean): Pair {
  const meet = meeting(job, i, j)
  const codes = pairCodes(i, j, { job, meet, wetOnWet })
  const has = (verdict: string, except?: PairCode) =>
    codes.some(([code, v]) => v === verdict && code !== except)
  const wetRisk = (state: 'wet' | 'dry') =>
    Math.round(COST.wetRisk * wetTerms(i, j, meet, state, job.method).reduce((sum, t) => sum + t.points, 0))
  // The practice that flashes after the base only tolerates what other rules would forbid wet, at a price.
  const tolerated =
    job.method.flash === 'afterBase' &&
    wetOnWet &&
    !codes.some(([code]) => code === 'BASE_FLASH' || code === 'HAND_FLASH')
  const wetForbidden = has('any') || (has('wet') && !tolerated)
  return {
    wet: wetForbidden ? FORBIDDEN : wetRisk('wet') + (tolerated && has('wet') ? COST.wetAgainstPractice : 0),
    dry: has('any') || has('dry') ? FORBIDDEN : wetRisk('dry'),
    codes: codes.map(([code]) => code),
  }
}

/** Two hits that no rule tells apart: whichever prints first, all else is the same. */
function isAlike(i: Hit, j: Hit, a: number, b: number, pair: readonly (readonly Pair[])[]): boolean {
  const plain = ({ id: _, name: __, ...hit }: Hit) => JSON.stringify(hit)
  const cost = (x: number, y: number) => {
    const p = pair[x]?.[y]
    return `${p?.wet} ${p?.dry}`
  }
  return (
    plain(i) === plain(j) &&
    cost(a, b) === cost(b, a) &&
    pair.every((_, k) => k === a || k === b || (cost(a, k) === cost(b, k) && cost(k, a) === cost(k, b)))
  )
}

/**
 * Builds the tables of a job once; every search reads them.
 *
 * @param inTurn hits that no rule tells apart print in the order in which they are listed: a search need not try the others
 */
export function buildTables(job: Job, wetOnWet: boolean, inTurn = false): Tables {
  const { hits } = job
  const n = hits.length
  const pair = hits.map((i) => hits.map((j) => pairOf(job, i, j, wetOnWet)))
  const at = (i: number, j: number) => pair[i]?.[j] as Pair
  const collect = (test: (other: number, self: number) => boolean) =>
    hits.map((_, self) => maskOf(hits, (h) => hits.indexOf(h) !== self && test(hits.indexOf(h), self)))
  const base2 = maskOf(hits, (h) => h.role === 'base2')
  return {
    n,
    full: (1 << n) - 1,
    hits,
    pair,
    wetCost: Int32Array.from(pair.flatMap((row) => row.map((p) => p.wet))),
    dryCost: Int32Array.from(pair.flatMap((row) => row.map((p) => p.dry))),
    before: collect(
      (i, j) =>
        (at(j, i).wet === FORBIDDEN && at(j, i).dry === FORBIDDEN) ||
        (inTurn && i < j && isAlike(hits[i] as Hit, hits[j] as Hit, i, j, pair)),
    ),
    notWet: collect((i, j) => at(i, j).wet === FORBIDDEN),
    notDry: collect((i, j) => at(i, j).dry === FORBIDDEN),
    cares: collect((j, i) => at(i, j).wet !== at(i, j).dry),
    smoothing: maskOf(hits, (h) => h.role === 'smoothing'),
    whites: base2 || (job.smoothsBase ? 0 : maskOf(hits, (h) => h.role === 'highlight')),
    expanding: maskOf(hits, (h) => h.role === 'expanding'),
    drying: job.method.wetMost === 'three' ? maskOf(hits, driesIn) : 0,
    mostWet: MOST_WET,
    flashWithin:
      job.method.flash === 'afterBase' && wetOnWet && !job.explicit?.includes(FLASH)
        ? maskOf(hits, (h) => ['base', 'base2', 'smoothing'].includes(h.role))
        : (1 << n) - 1,
  }
}

/** Prints `j` on what is printed: the cost, or FORBIDDEN. */
export function printCost(t: Tables, j: number, mask: number, wet: number): number {
  if (mask & (1 << j) || (t.before[j] ?? 0) & ~mask) return FORBIDDEN
  if ((wet & (t.notWet[j] ?? 0)) | (mask & ~wet & (t.notDry[j] ?? 0))) return FORBIDDEN
  if (whiteOwed(t, mask) && !(t.whites & (1 << j))) return FORBIDDEN
  if (t.drying & (1 << j) && bits(wet & t.drying) >= t.mostWet) return FORBIDDEN
  let cost = 0
  for (let rest = mask; rest; rest &= rest - 1) {
    const i = 31 - Math.clz32(rest & -rest)
    cost += (wet & (1 << i) ? t.wetCost : t.dryCost)[i * t.n + j] ?? 0
  }
  return cost
}

/** The smoothing screen has printed and its white has not; one that flattens a base for colours has none. */
export const whiteOwed = (t: Tables, mask: number): boolean =>
  (mask & t.smoothing) !== 0 && t.whites !== 0 && (mask & t.whites) === 0

/** The smoothing screen could print now. */
export const smoothingDue = (t: Tables, mask: number): boolean =>
  t.smoothing !== 0 &&
  (mask & t.smoothing) === 0 &&
  ((t.before[31 - Math.clz32(t.smoothing)] ?? 0) & ~mask) === 0 &&
  mask !== 0

export const flashAllowed = (t: Tables, mask: number): boolean =>
  (mask & ~t.flashWithin) === 0 && (mask & t.expanding) === 0 && !whiteOwed(t, mask)

/** Wet hits that some unprinted hit still cares about: dropping the others loses nothing. */
export function compactWet(t: Tables, mask: number, wet: number): number {
  let kept = wet
  const counted = t.drying & ~mask ? t.drying : 0
  for (let rest = wet; rest; rest &= rest - 1) {
    const i = 31 - Math.clz32(rest & -rest)
    if (((t.cares[i] ?? 0) & ~mask) === 0 && !(counted & (1 << i))) kept &= ~(1 << i)
  }
  return kept
}

/** Adds to a mark which hits are dried before `j`, of those that care: orders that agree in it do not truly differ. */
export function driedBefore(t: Tables, mask: number, wet: number, j: number, mark: Mark): Mark {
  let on = mark
  for (let i = 0; i < t.n; i++) {
    const pair = t.pair[i]?.[j]
    if (mask & ~wet & (1 << i) && pair && pair.wet !== pair.dry) on = marked(on, i * t.n + j)
  }
  return on
}
