import { q, type Reason } from '../advice'
import { SEQUENCE } from './definition'
import { type Event, type Hit, type Job, meeting, type PressSpace } from './hit'
import type { PairCode } from './rules'
import { COST, type Tables } from './tables'
import { wetTerms } from './wetRisk'

/** An event of the plan with the reasons that put it there. */
export interface ExplainedEvent {
  readonly event: Event
  readonly reasons: readonly Reason[]
}

const WET_CODES: readonly PairCode[] = [
  'BASE_FLASH',
  'HL_OVERLAP',
  'BLACK_FLASH',
  'METAL_FLASH',
  'DIRECT_OPAQUE',
  'INK_MIX',
  'FLASH_EVERY',
  'FLASH_TOUCH',
  'HAND_FLASH',
  'BENCH_DRY',
]
const ORDER_CODES: readonly PairCode[] = [
  'BASE_FIRST',
  'SMOOTH_ORDER',
  'BLACK_LAST',
  'CLEAR_LAST',
  'PUFF_LAST',
  'METAL_WHITE',
  'HL_LAST',
  'HL_FIRST',
  'OVER',
  'EXPLICIT',
]

const nameOf = (t: Tables, i: number) => t.hits[i]?.name ?? ''
const pairReason = (t: Tables, code: PairCode, i: number, j: number) =>
  SEQUENCE.because(code, { i: nameOf(t, i), j: nameOf(t, j) })

/** Rules that speak against i before j. */
const codesOf = (t: Tables, i: number, j: number): readonly PairCode[] => t.pair[i]?.[j]?.codes ?? []
const roleOf = (t: Tables, i: number | undefined) => t.hits[i ?? -1]?.role
/** Those of them that keep an order, in words. */
const ordersOf = (t: Tables, i: number, j: number): readonly Reason[] =>
  codesOf(t, i, j)
    .filter((c) => ORDER_CODES.includes(c))
    .map((c) => pairReason(t, c, i, j))

/** Hits between two places of the event list. */
const printsIn = (events: readonly Event[]) => events.flatMap((e) => (e.kind === 'print' ? [e.hit] : []))

/** Splits the events at their flashes: hits of one group are wet together. */
export function wetGroups(events: readonly Event[]): readonly (readonly number[])[] {
  const groups: number[][] = [[]]
  for (const e of events) {
    if (e.kind === 'flash') groups.push([])
    else groups.at(-1)?.push(e.hit)
  }
  return groups
}

/** Why each event stands where it stands. */
export function explain(
  job: Job,
  t: Tables,
  events: readonly Event[],
  press: PressSpace,
): readonly ExplainedEvent[] {
  return events.map((event, at) => ({
    event,
    reasons: event.kind === 'flash' ? whyFlash(t, events, at) : whyHere(job, t, events, at, event.hit, press),
  }))
}

/** Why these do not stay wet together. */
export const wetMost = (t: Tables, hits: readonly Hit[]): Reason =>
  SEQUENCE.because('WET_MOST', {
    most: q('count', t.mostWet),
    names: hits.map((h) => h.name).join(', '),
  })

/** The pairs this flash keeps apart: wet before it, and not allowed to be wet after it. */
function whyFlash(t: Tables, events: readonly Event[], at: number): readonly Reason[] {
  const before = events.slice(0, at)
  const lastFlash = before.map((e) => e.kind).lastIndexOf('flash')
  const after = events.slice(at + 1)
  const nextFlash = after.findIndex((e) => e.kind === 'flash')
  const wet = printsIn(before.slice(lastFlash + 1))
  const next = printsIn(nextFlash < 0 ? after : after.slice(0, nextFlash))
  const reasons = wet.flatMap((i) =>
    next.flatMap((j) =>
      codesOf(t, i, j)
        .filter((c) => WET_CODES.includes(c))
        .map((c) => pairReason(t, c, i, j)),
    ),
  )
  const together = [...wet, ...next].filter((i) => t.drying & (1 << i))
  if (together.length > t.mostWet)
    reasons.push(
      wetMost(
        t,
        together.map((i) => t.hits[i] as Hit),
      ),
    )
  const hot = roleOf(t, next[0]) === 'smoothing'
  return hot ? [SEQUENCE.because('SMOOTH_HOT'), ...reasons] : reasons
}

function whyHere(
  job: Job,
  t: Tables,
  events: readonly Event[],
  at: number,
  hit: number,
  press: PressSpace,
): readonly Reason[] {
  const earlier = printsIn(events.slice(0, at))
  const later = printsIn(events.slice(at + 1))
  const forced = [
    ...later.flatMap((j) => ordersOf(t, j, hit)),
    ...earlier.flatMap((i) => ordersOf(t, hit, i)),
  ]
  const group = wetGroups(events).find((g) => g.includes(hit)) ?? []
  const blends = group
    .filter((i) => earlier.includes(i))
    .flatMap((i) => (codesOf(t, i, hit).includes('BLEND_WET') ? [pairReason(t, 'BLEND_WET', i, hit)] : []))
  const smoothed = roleOf(t, earlier.at(-1)) === 'smoothing'
  const white = smoothed ? [SEQUENCE.because(t.whites === 0 ? 'SMOOTH_BASE' : 'SMOOTH_WHITE')] : []
  const puff = roleOf(t, hit) === 'expanding' ? [SEQUENCE.because('PUFF_NOFLASH')] : []
  return [
    ...white,
    ...forced.slice(0, 4),
    ...blends,
    ...puff,
    ...neighbours(job, t, group, hit),
    ...hotPrint(t, events, at, hit, press),
  ]
}

/** Why a hit stands before or after its wet neighbours: what the other way would cost. */
function neighbours(job: Job, t: Tables, group: readonly number[], hit: number): readonly Reason[] {
  const at = group.indexOf(hit)
  const pairs = [
    [group[at - 1], hit],
    [hit, group[at + 1]],
  ] as const
  const reasons = pairs.flatMap(([i, j]) => {
    const [a, b] = [t.hits[i ?? -1], t.hits[j ?? -1]]
    if (!a || !b || a.role === 'smoothing' || b.role === 'smoothing') return []
    if (ordersOf(t, j as number, i as number).length > 0) return []
    const meet = meeting(job, a, b)
    const other = wetTerms(b, a, meet, 'wet', job.method)
    const sum = (terms: typeof other) => terms.reduce((total, x) => total + x.points, 0)
    const more = sum(other) - sum(wetTerms(a, b, meet, 'wet', job.method))
    // Cheaper the other way by itself: another pair of the group decides.
    if (more < -0.05) return []
    if (more < 0.05) return [SEQUENCE.because('ORDER_FREE', { i: a.name, j: b.name })]
    const inputs = {
      i: a.name,
      j: b.name,
      points: more.toFixed(1),
      why: other.map((x) => x.why).join(' and '),
    }
    return [SEQUENCE.because('ORDER_WET_RISK', inputs)]
  })
  return group.length > 1 ? reasons : [SEQUENCE.because('ORDER_ONLY')]
}

/** A print that comes too soon after a flash. */
function hotPrint(
  t: Tables,
  events: readonly Event[],
  at: number,
  hit: number,
  press: PressSpace,
): readonly Reason[] {
  const missing = missingCool(t, events, at, press)
  if (missing === 0) return []
  return [SEQUENCE.because('NO_COOL', { name: nameOf(t, hit), missing: q('count', missing) })]
}

/** Cool-down stations lacking before the event at `at`; 0 on presses where the garment waits. */
export function missingCool(t: Tables, events: readonly Event[], at: number, press: PressSpace): number {
  const event = events[at]
  if (press.kind !== 'stations' || event?.kind !== 'print' || event.station === undefined) return 0
  if (roleOf(t, event.hit) === 'smoothing') return 0
  let flashAt = at - 1
  const previous = events[flashAt]
  if (previous?.kind === 'print' && roleOf(t, previous.hit) === 'smoothing') flashAt--
  const flash = events[flashAt]
  // Between two laps the film gets as cool as it can.
  if (flash?.kind !== 'flash' || flash.station === undefined || flash.lap !== event.lap) return 0
  const places = press.stations.map((s) => s.number)
  const passed = places.indexOf(event.station) - places.indexOf(flash.station) - (press.flashWidth ?? 1)
  return Math.max(0, press.cool - passed)
}

interface WetPair {
  readonly i: number
  readonly j: number
  readonly wet: boolean
  readonly terms: ReturnType<typeof wetTerms>
  readonly points: number
  /** The practice lets them be wet together although another rule would not. */
  readonly tolerated: boolean
}

/** Every pair in this order with the wet contact risk it makes. */
function wetPairsOf(job: Job, t: Tables, events: readonly Event[]): readonly WetPair[] {
  const order = printsIn(events)
  const groups = wetGroups(events)
  return order.flatMap((j, at) =>
    order.slice(0, at).map((i) => {
      const [a, b] = [t.hits[i], t.hits[j]]
      if (!a || !b) throw new Error('event of an unknown hit')
      const wet = groups.some((g) => g.includes(i) && g.includes(j))
      const terms = wetTerms(a, b, meeting(job, a, b), wet ? 'wet' : 'dry', job.method)
      const tolerated = wet && codesOf(t, i, j).some((c) => WET_CODES.includes(c))
      return { i, j, wet, terms, points: terms.reduce((sum, x) => sum + x.points, 0), tolerated }
    }),
  )
}

/** A pair that another rule would keep apart counts this many points when the practice leaves it wet. */
const AGAINST_PRACTICE = COST.wetAgainstPractice / COST.wetRisk

/** Wet contact risk of an order: a fitted score, to compare orders of the same job with. */
export const wetRiskOf = (job: Job, t: Tables, events: readonly Event[]): number =>
  wetPairsOf(job, t, events).reduce((sum, p) => sum + p.points + (p.tolerated ? AGAINST_PRACTICE : 0), 0)

/** The pairs that leave wet contact risk in this order, worst first, at most `most`. */
export function wetPairs(job: Job, t: Tables, events: readonly Event[], most = 3): readonly Reason[] {
  const rows = wetPairsOf(job, t, events)
  const practice = rows
    .filter((r) => r.tolerated)
    .map((r) => SEQUENCE.because('FLASH_AFTER_BASE', { i: nameOf(t, r.i), j: nameOf(t, r.j) }))
  const wetRisk = rows
    .filter((r) => r.points >= 2)
    .sort((a, b) => b.points - a.points)
    .slice(0, most)
    .map((r) =>
      SEQUENCE.because('MUD', {
        i: nameOf(t, r.i),
        j: nameOf(t, r.j),
        state: r.wet ? 'wet' : 'flashed between',
        points: q('count', Math.round(r.points)),
        why: r.terms.map((x) => x.why).join(' and '),
      }),
    )
  return [...practice, ...wetRisk]
}
