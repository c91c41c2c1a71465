import { COST } from './cost'
import { type DaysPlan, decode, overtimeMinutes, overtimeUsed } from './decode'
import { isOther, Places } from './place'
import type { DayRun, DaysChoice, DaysProblem, Takes } from './problem'

/** How far slack and set-up count (model of the schedule, section 3): the first with all overtime and with none. */
const FIRST = [3, 1] as const
/** The others, with what came out better of the two. */
const OTHERS = [
  [1.5, 1],
  [6, 1],
  [3, 0.4],
  [1, 0.6],
] as const
const FASTER = 0.7
const WAIT = 0.5
const SET_UP = 3
/** What weighs nothing comes last. */
const LEAST = 1e-6

/** A choice with what it comes to. */
export interface DaysAnswer {
  readonly choice: DaysChoice
  readonly plan: DaysPlan
}

/**
 * A first answer by rule: always the run and press that are most urgent for what they take, each booked as it really would be; the
 * best of six passes.
 */
export function firstPlan(problem: DaysProblem): DaysAnswer {
  const urgency = new Urgency(problem)
  const pass = (isOvertime: boolean, [slack, setUp]: readonly [number, number]) => {
    const all = problem.presses.map((p) => p.overtime.map(() => isOvertime))
    const { order, press, places } = urgency.order(all, slack, setUp)
    const overtime = overtimeUsed(problem, all, order.map(places.told.timesOf))
    const cost = places.cost + COST.overtime * overtimeMinutes(problem, overtime)
    return { isOvertime, choice: { order, press, overtime }, cost }
  }
  const isOvertimeThere = problem.presses.some((p) => p.overtime.some((s) => s.to > s.from))
  let best = pass(false, FIRST)
  const better = (found: typeof best) => {
    if (found.cost < best.cost) best = found
  }
  if (isOvertimeThere) better(pass(true, FIRST))
  const { isOvertime } = best
  for (const counts of OTHERS) better(pass(isOvertime, counts))
  const { choice } = best
  return asPlanned(problem, { choice, plan: decode(problem, choice) })
}

/** Runs that are put back to the press of their sheet, one after the other, at the most. */
const PUT_BACK = 40

/** What the rule has moved to another press than its sheet is planned for goes back where that costs no more. */
function asPlanned(problem: DaysProblem, found: DaysAnswer): DaysAnswer {
  let best = found
  const moved = found.choice.order.filter((run) =>
    isOther(problem.runs[run] as DayRun, found.choice.press[run] as number),
  )
  for (const run of moved.slice(0, PUT_BACK)) {
    const planned = problem.runs[run]?.planned
    if (planned === undefined || !problem.runs[run]?.on[planned] || problem.runs[run]?.pin) continue
    const press = best.choice.press.map((p, r) => (r === run ? planned : p))
    const choice = { ...best.choice, press }
    const plan = decode(problem, choice)
    if (plan.cost <= best.plan.cost) best = { choice, plan }
  }
  return best
}

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length)

/** What makes each run urgent whatever was placed before it. */
class Urgency {
  private readonly problem: DaysProblem
  /** The runs that follow each: second prints. */
  private readonly followers: readonly number[][]
  /** When the last piece must be printed for it and all that follows to be in time. */
  private readonly printed: readonly number[]
  private readonly quickest: readonly number[]
  private readonly usualRun: number
  private readonly usualSetUp: number
  private readonly places: Places
  /** By run and press: what it takes there, what is urgent of it always, and what another press than its sheet's costs. */
  private readonly takes: readonly (Takes | undefined)[]
  private readonly always: readonly number[]
  private readonly away: readonly number[]

  constructor(problem: DaysProblem) {
    this.problem = problem
    const { runs } = problem
    const followers: number[][] = runs.map(() => [])
    for (const [i, r] of runs.entries()) if (r.after) followers[r.after.run]?.push(i)
    this.followers = followers
    this.quickest = runs.map((r) => Math.min(...r.on.flatMap((t) => (t ? [t.run] : []))))
    const weight = runs.map((r) => r.weight)
    const printed = runs.map((r) => r.due - r.hold)
    // A first print is as urgent as the second, and must leave time for it; longer chains take more rounds.
    for (let round = 0, changed = true; changed && round <= runs.length; round++) {
      changed = false
      for (const [i, r] of runs.entries()) {
        if (!r.after) continue
        const by = (printed[i] as number) - (this.quickest[i] as number) - r.after.wait
        if (by < (printed[r.after.run] ?? Number.NEGATIVE_INFINITY)) {
          printed[r.after.run] = by
          changed = true
        }
        if ((weight[i] as number) > (weight[r.after.run] ?? Number.POSITIVE_INFINITY)) {
          weight[r.after.run] = weight[i] as number
          changed = true
        }
      }
    }
    this.printed = printed
    const all = runs.flatMap((r) => r.on.flatMap((t) => (t ? [t] : [])))
    this.usualRun = Math.max(1, mean(all.map((t) => t.run)))
    this.usualSetUp = Math.max(1, mean(all.map((t) => t.setUp)))
    this.places = new Places(problem)
    const pairs = runs.flatMap((r, i) => problem.presses.map((_, k) => ({ r, i, k })))
    this.takes = pairs.map(({ r, k }) => ((r.pin?.press ?? k) === k ? r.on[k] : undefined))
    this.always = pairs.map(
      ({ i }, pair) =>
        Math.log(Math.max(LEAST, weight[i] as number)) +
        FASTER * Math.log(Math.max(1, this.quickest[i] as number) / Math.max(1, this.takes[pair]?.run ?? 1)),
    )
    this.away = pairs.map(({ r, k }) => (isOther(r, k) ? COST.otherPress : 0))
  }

  /** Places all runs, the most urgent first. The places are taken anew by the next. */
  order(overtime: DaysChoice['overtime'], slackCounts: number, setUpCounts: number) {
    const { places } = this
    const { runs, presses } = this.problem
    const [n, p] = [runs.length, presses.length]
    places.work(overtime)
    places.begin()
    const press = runs.map(
      (r) =>
        r.pin?.press ??
        Math.max(
          0,
          r.on.findIndex((t) => t !== undefined),
        ),
    )
    const order: number[] = []
    /** Worked minutes before the start that a pair would have, and its urgency but for waiting. */
    const at = new Float64Array(n * p).fill(Number.POSITIVE_INFINITY)
    const urgent = new Float64Array(n * p)
    const isLeft = new Uint8Array(n).fill(1)
    /** Those of them whose first print is placed, the soonest that each can begin, and the best of its presses. */
    const isReady = new Uint8Array(n)
    const soonest = new Float64Array(n)
    const on = new Int32Array(n)
    const value = new Float64Array(n)
    const waits = 1 / (WAIT * this.usualRun)
    const worth = (i: number, k: number) => {
      const pair = i * p + k
      return (
        (urgent[pair] as number) -
        ((at[pair] as number) - (soonest[i] as number) + (this.away[pair] as number)) * waits
      )
    }
    const weigh = (i: number, k: number) => {
      const pair = i * p + k
      const takes = this.takes[pair]
      const time = places.times[k]
      if (!takes || !time) return
      const start = places.about(i, k)
      at[pair] = Number.isFinite(start) ? time.worked(start) : Number.POSITIVE_INFINITY
      const setUp = takes.setUp + places.changeOverTo(i, k)
      const slack = time.worked(this.printed[i] as number) - time.worked(start) - takes.run
      urgent[pair] =
        (this.always[pair] as number) -
        Math.log(Math.max(1, takes.run + setUp)) -
        Math.max(0, slack) / (slackCounts * this.usualRun) -
        setUp / (SET_UP * setUpCounts * this.usualSetUp)
    }
    const rank = (i: number) => {
      let first = Number.POSITIVE_INFINITY
      for (let k = 0; k < p; k++) first = Math.min(first, at[i * p + k] as number)
      soonest[i] = first
      value[i] = Number.NEGATIVE_INFINITY
      if (!Number.isFinite(first)) return
      for (let k = 0; k < p; k++) {
        const own = worth(i, k)
        if (own <= (value[i] as number)) continue
        value[i] = own
        on[i] = k
      }
    }
    const weighAll = (i: number) => {
      isReady[i] = 1
      for (let k = 0; k < p; k++) weigh(i, k)
      rank(i)
    }
    /** One press has changed: the others are as they were, but where it was the soonest or the best. */
    const weighOne = (i: number, k: number) => {
      const before = at[i * p + k] as number
      weigh(i, k)
      if (
        before <= (soonest[i] as number) ||
        on[i] === k ||
        (at[i * p + k] as number) < (soonest[i] as number)
      )
        return rank(i)
      const own = worth(i, k)
      // Of equals the first press is taken.
      if (own < (value[i] as number) || (own === value[i] && k > (on[i] as number))) return
      value[i] = own
      on[i] = k
    }
    const take = (i: number, k: number) => {
      press[i] = k
      order.push(i)
      isLeft[i] = 0
      isReady[i] = 0
      places.next(i, k, order.length - 1)
      if (places.told.isPlaced(i)) for (const f of this.followers[i] ?? []) if (isLeft[f]) weighAll(f)
      for (let o = 0; o < n; o++) if (isReady[o]) weighOne(o, k)
    }
    for (const [i, r] of runs.entries()) if (r.pin?.started) take(i, r.pin.press)
    for (const [i, r] of runs.entries())
      if (isLeft[i] && (!r.after || places.told.isPlaced(r.after.run))) weighAll(i)
    for (;;) {
      let run = -1
      for (let i = 0; i < n; i++)
        if (
          isReady[i] &&
          (value[i] as number) > (run < 0 ? Number.NEGATIVE_INFINITY : (value[run] as number))
        )
          run = i
      if (run < 0) break
      take(run, on[run] as number)
    }
    // What cannot be placed anywhere is told with its reason.
    for (let round = 0; order.length < n; round++)
      for (let i = 0; i < n; i++)
        if (isLeft[i] && (round >= n || !isLeft[runs[i]?.after?.run ?? -1])) {
          isLeft[i] = 0
          order.push(i)
          places.next(i, press[i] as number, order.length - 1)
        }
    return { order, press, places }
  }
}
