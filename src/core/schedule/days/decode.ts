import { type Booked, Places, type Refused } from './place'
import type { DayRun, DaysChoice, DaysProblem, Minute } from './problem'

/** What a late minute, a late run, overtime, change-over and a screen made twice cost (assumed, in minutes of a press). */
const COST = {
  lateMinute: 10,
  late: 300,
  overtime: 4,
  changeOver: 1,
  remade: 20,
  sooner: 0.002,
  offPin: 20,
} as const
/** So much later than the lead put it costs nothing, min. */
const NEAR_PIN = 15

/** Runs in their places, and what the plan costs. */
export interface DaysPlan {
  /** In the order in which they were booked. */
  readonly booked: readonly Booked[]
  readonly cost: number
  /** Weighted minutes that runs are done after they are due. */
  readonly late: Minute
  readonly remade: number
}

/** A run that could not be placed, and why. */
export interface NoPlan {
  readonly run: number
  readonly refused: Refused
}

/** Whether a plan was found. */
export const isPlan = (found: DaysPlan | NoPlan): found is DaysPlan => 'booked' in found

/**
 * Places all runs in the order of a choice (model of the schedule, sections 1 and 2). Equal choices give equal plans.
 *
 * @throws RangeError where the order is none: a run twice, or before the print that it follows
 */
export function decode(problem: DaysProblem, { order, press, overtime }: DaysChoice): DaysPlan | NoPlan {
  const places = new Places(problem, overtime)
  for (const run of order) {
    const found = places.place(run, press[run] ?? -1)
    if (typeof found === 'string') return { run, refused: found }
  }
  return planOf(problem, places, overtimeMinutes(problem, overtime))
}

/** What has been placed, with its cost. */
function planOf({ runs }: DaysProblem, { booked, remade }: Places, overtime: Minute): DaysPlan {
  let [cost, late] = [COST.overtime * overtime + COST.remade * remade, 0]
  for (const b of booked) {
    const run = runs[b.run] as DayRun
    const by = Math.max(0, b.done - run.due)
    late += run.weight * by
    cost += run.weight * (COST.lateMinute * by + (by > 0 ? COST.late : 0) + COST.sooner * b.done)
    cost += COST.changeOver * b.changeOver
    if (run.pin && !run.pin.started) cost += COST.offPin * Math.max(0, b.start - run.pin.start - NEAR_PIN)
  }
  return { booked, cost, late, remade }
}

const overtimeMinutes = ({ presses }: DaysProblem, overtime: DaysChoice['overtime']): Minute =>
  presses.reduce(
    (sum, p, i) =>
      sum + p.overtime.reduce((own, span, day) => own + (overtime[i]?.[day] ? span.to - span.from : 0), 0),
    0,
  )
