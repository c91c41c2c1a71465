import { COST } from './cost'
import { Places } from './place'
import type { DaysChoice, DaysProblem, Minute } from './problem'
import type { Booked, Refused, Times } from './told'

/** Runs in their places, and what the plan costs. */
export interface DaysPlan {
  /** In the order in which they were booked. */
  readonly booked: readonly Booked[]
  /** What could not be placed, and why. */
  readonly refused: readonly { readonly run: number; readonly why: Refused }[]
  readonly cost: number
  /** Weighted minutes that runs are done after they are due. */
  readonly late: Minute
  /** Screens that are made twice, for want of frames. */
  readonly remade: number
}

/**
 * Places all runs in the order of a choice (model of the schedule, sections 1 and 2). Equal choices give equal plans; a run that
 * cannot be placed is left out and says why, and so do those that follow it.
 *
 * @throws RangeError where the order names a run twice, or one that there is not
 */
export function decode(problem: DaysProblem, { order, press, overtime }: DaysChoice): DaysPlan {
  const places = new Places(problem)
  places.work(overtime)
  places.all(order, press)
  return planOf(problem, places, order, overtime)
}

/** What has been placed, with its cost. */
export function planOf(
  problem: DaysProblem,
  places: Places,
  order: Iterable<number>,
  overtime: DaysChoice['overtime'],
): DaysPlan {
  const all = [...order]
  return {
    booked: all.flatMap((run) => (places.told.isPlaced(run) ? [places.told.bookedOf(run)] : [])),
    refused: all.flatMap((run) => {
      const why = places.told.refusedOf(run)
      return why ? [{ run, why }] : []
    }),
    cost: places.cost + COST.overtime * overtimeMinutes(problem, overtime),
    late: places.late,
    remade: places.remade,
  }
}

/**
 * Days of overtime on which nothing is printed in it are none: without them everything stays where it is.
 *
 * @param times of all runs that are placed
 */
export function overtimeUsed(
  { presses }: DaysProblem,
  overtime: DaysChoice['overtime'],
  times: readonly Times[],
): DaysChoice['overtime'] {
  const on = presses.map((_, i) => times.filter((b) => b.press === i))
  return presses.map((p, i) =>
    p.overtime.map(
      ({ from, to }, day) =>
        overtime[i]?.[day] === true && on[i]?.some((b) => b.setUp < to && b.end > from) === true,
    ),
  )
}

export const overtimeMinutes = ({ presses }: DaysProblem, overtime: DaysChoice['overtime']): Minute =>
  presses.reduce(
    (sum, p, i) =>
      sum + p.overtime.reduce((own, span, day) => own + (overtime[i]?.[day] ? span.to - span.from : 0), 0),
    0,
  )
