import { type DaysPlan, decode, isPlan, type NoPlan } from './decode'
import { Places } from './place'
import type { DayRun, DaysChoice, DaysProblem } from './problem'

/** How far slack and set-up count: tried in this order, with all overtime and with none (model of the schedule, section 3). */
const TRIED = [
  [3, 1],
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
 * best of ten passes.
 *
 * @returns what stood in the way where no pass places all runs
 */
export function firstPlan(problem: DaysProblem): DaysAnswer | NoPlan {
  let best: DaysAnswer | undefined
  let refused: NoPlan | undefined
  for (const isOvertime of [false, true]) {
    const overtime = problem.presses.map((p) => p.overtime.map(() => isOvertime))
    for (const [slack, setUp] of TRIED) {
      const choice = { ...orderByRule(problem, overtime, slack, setUp), overtime }
      const plan = decode(problem, choice)
      if (!isPlan(plan)) refused ??= plan
      else if (!best || plan.cost < best.plan.cost) best = { choice, plan }
    }
    if (problem.presses.every((p) => p.overtime.length === 0)) break
  }
  return best ?? (refused as NoPlan)
}

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length)

/** What must happen behind a run before the garments are due: waiting, and the prints that follow. */
function tails({ runs }: DaysProblem): readonly number[] {
  const tail = runs.map((r) => r.hold)
  const quickest = (r: DayRun) => Math.min(...r.on.flatMap((t) => (t ? [t.run] : [])))
  for (let round = 0; round < runs.length; round++) {
    let changed = false
    for (const [i, r] of runs.entries()) {
      if (!r.after) continue
      const long = r.after.wait + quickest(r) + (tail[i] as number)
      if (long > (tail[r.after.run] as number)) {
        tail[r.after.run] = long
        changed = true
      }
    }
    if (!changed) break
  }
  return tail
}

function orderByRule(
  problem: DaysProblem,
  overtime: DaysChoice['overtime'],
  slackCounts: number,
  setUpCounts: number,
): Pick<DaysChoice, 'order' | 'press'> {
  const { runs, presses } = problem
  const places = new Places(problem, overtime)
  const all = runs.flatMap((r) => r.on.flatMap((t) => (t ? [t] : [])))
  const usualRun = Math.max(1, mean(all.map((t) => t.run)))
  const usualSetUp = Math.max(1, mean(all.map((t) => t.setUp)))
  const tail = tails(problem)
  // The first of two prints is as urgent as the second.
  const weight = runs.map((r, i) =>
    Math.max(r.weight, ...runs.flatMap((o) => (o.after?.run === i ? [o.weight] : []))),
  )
  const due = runs.map((r, i) => Math.min(r.due, ...runs.flatMap((o) => (o.after?.run === i ? [o.due] : []))))
  const press: number[] = runs.map((r) => r.pin?.press ?? r.on.findIndex((t) => t !== undefined))
  const order: number[] = []
  const left = new Set(runs.keys())
  const take = (run: number, on: number) => {
    press[run] = on
    order.push(run)
    left.delete(run)
    places.place(run, on)
  }
  for (const [i, r] of runs.entries()) if (r.pin?.started) take(i, r.pin.press)
  while (left.size > 0) {
    let [run, on, most] = [-1, -1, Number.NEGATIVE_INFINITY]
    for (const i of left) {
      const r = runs[i] as DayRun
      if (r.after && !places.isPlaced(r.after.run)) continue
      const possible = presses.flatMap((_, p) => (r.on[p] && (r.pin?.press ?? p) === p ? [p] : []))
      const starts = possible.map((p) => places.about(i, p))
      const soonest = Math.min(...starts)
      const quickest = Math.min(...r.on.flatMap((t) => (t ? [t.run] : [])))
      for (const [k, p] of possible.entries()) {
        const takes = r.on[p]
        const clock = places.clocks[p]
        if (!takes || !clock) continue
        const at = starts[k] as number
        const setUp = takes.setUp + problem.changeOver(p, places.lastOf(p), i)
        const slack = clock.worked((due[i] as number) - (tail[i] as number)) - clock.worked(at) - takes.run
        const waits = Number.isFinite(at)
          ? clock.worked(at) - clock.worked(soonest)
          : Number.POSITIVE_INFINITY
        const urgent =
          Math.log(Math.max(LEAST, weight[i] as number) / (takes.run + setUp)) +
          FASTER * Math.log(quickest / takes.run) -
          Math.max(0, slack) / (slackCounts * usualRun) -
          setUp / (SET_UP * setUpCounts * usualSetUp) -
          Math.max(0, waits) / (WAIT * usualRun)
        if (urgent > most) [run, on, most] = [i, p, urgent]
      }
    }
    if (run < 0) {
      // What is left follows a run that cannot be placed: decoding says which, and why.
      for (const i of left) order.push(i)
      break
    }
    take(run, on)
  }
  return { order, press }
}
