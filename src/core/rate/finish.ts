import type { Hours } from '../equipment'
import type { Duration } from '../quantity'

/** A moment of the shop's week: working days from the start, and the time of day in seconds after midnight. */
export interface Finish {
  readonly days: number
  readonly clock: Duration
}

const DAY = 7

/** The parts of a day in which someone works, breaks left out. */
export function workSpans({ from, to, breaks }: Hours): readonly (readonly [number, number])[] {
  const sorted = [...breaks].filter((b) => b.to > from && b.from < to).sort((a, b) => a.from - b.from)
  const spans: [number, number][] = []
  let at = from
  for (const pause of sorted) {
    if (pause.from > at) spans.push([at, pause.from])
    at = Math.max(at, pause.to)
  }
  if (to > at) spans.push([at, to])
  return spans
}

/**
 * When work that takes `work` seconds ends if it begins at `start`. Breaks, nights and free days do not count.
 *
 * @param weekday of the start, Monday is 1
 * @param start seconds after midnight; before opening it waits for the opening
 * @returns days from the start (0 is the same day); undefined when the shop has no working time at all
 */
export function finishAt(hours: Hours, weekday: number, start: Duration, work: Duration): Finish | undefined {
  const spans = workSpans(hours)
  if (spans.length === 0 || hours.days.length === 0) return undefined
  let left = work
  for (let days = 0; ; days++) {
    if (!hours.days.includes(((weekday - 1 + days) % DAY) + 1)) continue
    for (const [from, to] of spans) {
      const at = Math.max(from, days === 0 ? start : 0)
      if (at >= to) continue
      if (left <= to - at) return { days, clock: at + left }
      left -= to - at
    }
  }
}
