import { randomLcg, randomLogNormal } from 'd3-random'
import { q, type Reason } from '../advice'
import { isoOf, type Moment } from '../schedule'
import { type Difference, differenceOf } from './compare'
import { DaysSearch, daysNow } from './decide'
import { DAYS } from './definition'
import type { ShopDays } from './facts'
import type { DaysKept } from './kept'
import { keptOf, type Lanes, lanesOf, shownDays } from './lanes'
import { Places } from './place'
import type { DayRun } from './problem'

/** How far times stray: standard deviation as a share (model of the schedule, section 5: assumed). */
const [RUN_STRAYS, SET_UP_STRAYS] = [0.25, 0.35]
/** What is planned with leaves room: so much of it is the usual time (by the same model, half way to the late end). */
const USUAL = 1 / 1.1
const DRAWS = 200
const HOLDS = 0.8
/** Plans tried to have it done by the day that was asked for. */
const TRIES = 1500

/** What can be promised of an order that is not in the days yet. */
export interface Promised {
  /** When its last piece is done, as planned. */
  readonly planned: Moment
  /** By when it is done in eight of ten trials of the days. */
  readonly likely: Moment
  /** ISO day on which it can be due. */
  readonly day: string
  readonly why: readonly Reason[]
  /** What it does to the others. */
  readonly difference: Difference
  /** Where the day that was asked for is earlier: what having it by then would cost, if it can be had. */
  readonly sooner: { readonly isPossible: boolean; readonly difference: Difference } | undefined
}

const dayAfter = (moment: Moment, days: number) => isoOf(moment + days * 86_400).slice(0, 10)

/** Runs as they may really take, drawn. */
function strayed(runs: readonly DayRun[], random: () => number): readonly DayRun['on'][] {
  const draw = (sd: number) => {
    const sigma = Math.sqrt(Math.log(1 + sd * sd))
    // Of mean 1.
    return randomLogNormal.source(random)(-(sigma * sigma) / 2, sigma)
  }
  const [runDraw, setUpDraw] = [draw(RUN_STRAYS), draw(SET_UP_STRAYS)]
  return runs.map((r) => {
    const [run, setUp] = [runDraw() * USUAL, setUpDraw()]
    return r.on.map(
      (t) => t && { ...t, run: Math.max(1, Math.round(t.run * run)), setUp: Math.round(t.setUp * setUp) },
    )
  })
}

/**
 * By when an order can be promised, before it is accepted (model of the schedule, section 5): its runs are put among those that are
 * planned, and the days are tried many times with times that stray. The same facts give the same day.
 *
 * @param asked with the runs of the order among its runs
 * @returns undefined where a run of it has no place
 */
export function promiseOf(asked: ShopDays, kept: DaysKept, orderId: string): Promised | undefined {
  const isOwn = (id: string) => asked.runs.find((r) => r.runId === id)?.orderId === orderId
  const without = daysNow({ ...asked, runs: asked.runs.filter((r) => r.orderId !== orderId) }, kept)
  const { days, answer } = shownDays(asked, kept.choice)
  const lanes = lanesOf(days, answer)
  const own = lanes.runs.filter((r) => isOwn(r.facts.runId))
  if (own.length === 0 || lanes.out.some((o) => o.facts.orderId === orderId)) return undefined
  const random = randomLcg(0.5)
  const index = asked.runs.flatMap((r, i) => (r.orderId === orderId ? [i] : []))
  const ends = Array.from({ length: DRAWS }, () => {
    const places = new Places(days.problem, strayed(days.problem.runs, random))
    places.work(answer.choice.overtime)
    places.all(answer.choice.order, answer.choice.press)
    return Math.max(
      ...index.map((i) => (places.told.isPlaced(i) ? places.told.doneOf(i) : Number.POSITIVE_INFINITY)),
    )
  }).sort((a, b) => a - b)
  const planned = Math.max(...own.map((r) => r.done))
  const minute = ends[Math.ceil(HOLDS * DRAWS) - 1] as number
  const likely = Number.isFinite(minute) ? days.momentAt(minute) : planned
  const lead = own[0]?.facts.leadDays ?? asked.shop.leadDays ?? 0
  const day = dayAfter(Math.max(planned, likely) - 1, lead)
  const due = own[0]?.facts.due ?? ''
  return {
    ...{ planned, likely, day },
    why: [
      DAYS.because('PROMISE', { likely: isoOf(likely), draws: q('count', DRAWS), planned: isoOf(planned) }),
      ...(lead > 0 ? [DAYS.because('PROMISE_LEAD', { lead: q('count', lead) })] : []),
      ...own.flatMap((r) => r.why.slice(0, 1)),
    ],
    difference: differenceOf(without.lanes, lanes),
    sooner:
      due !== '' && due < day
        ? soonerOf(asked, kept, orderId, without.lanes, keptOf(days, answer.choice))
        : undefined,
  }
}

/** What it costs the others to have an order by the day that was asked for. */
function soonerOf(
  asked: ShopDays,
  kept: DaysKept,
  orderId: string,
  before: Lanes,
  choice: NonNullable<DaysKept['choice']>,
): Promised['sooner'] {
  // It counts for more than all others together: what that does to them is what is asked.
  const urgent = { ...asked, urgent: orderId }
  const now = daysNow(urgent, { ...kept, choice })
  const search = new DaysSearch(now, now.kept, { price: 'free', evaluations: TRIES })
  search.go(TRIES)
  const { lanes } = search.proposal(now.kept)
  const isPossible = lanes.runs.every((r) => r.facts.orderId !== orderId || r.late === 0)
  return { isPossible, difference: differenceOf(before, lanes) }
}
