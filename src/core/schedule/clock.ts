import type { Hours } from '../equipment'
import type { Duration } from '../quantity'
import { workSpans } from '../rate'

/**
 * A moment in the shop's own calendar, in seconds: days since 1970-01-01 x 86400 + time of day. Local time written as if
 * it were universal, so that neither zones nor clock changes come into the arithmetic.
 */
export type Moment = number

const DAY = 86_400

/** Monday is 1. 1970-01-01 was a Thursday. */
export const weekdayOf = (day: number): number => ((((day + 3) % 7) + 7) % 7) + 1

/** `2026-11-24` or `2026-11-24T08:30` as a moment; NaN when it is none. */
export const momentOf = (iso: string): Moment =>
  Date.parse(`${iso.length === 10 ? `${iso}T00:00` : iso.slice(0, 16)}Z`) / 1000

/** A moment as `2026-11-24T08:30`. */
export const isoOf = (moment: Moment): string =>
  new Date(Math.round(moment) * 1000).toISOString().slice(0, 16)

/** Spans of the day in which the shop works on a day, counted from 1970-01-01; none on a free one. */
export function spansOn(hours: Hours, day: number): readonly (readonly [from: Duration, to: Duration])[] {
  const off = hours.off?.find((d) => momentOf(d.on) === day * DAY)
  if (off && off.to === undefined) return []
  const weekday = weekdayOf(day)
  if (!hours.days.includes(weekday)) return []
  const own = hours.own?.find((d) => d.day === weekday) ?? hours
  const to = Math.min(own.to, off?.to ?? own.to)
  return to > own.from ? workSpans({ ...hours, from: own.from, to }) : []
}

/** When a press works: as the shop does, or from and to times of its own on the same days. */
export function hoursAt(hours: Hours, pressId: string): Hours {
  const own = hours.presses?.find((p) => p.pressId === pressId)
  return own ? { ...hours, from: own.from, to: own.to, own: undefined } : hours
}

/**
 * When work that takes `work` seconds must begin to be done by `end`. Breaks, nights and free days do not count.
 *
 * @returns undefined when the shop has no working time at all, or `end` is no moment
 */
export function startBefore(hours: Hours, end: Moment, work: Duration): Moment | undefined {
  const last = Math.floor(end / DAY)
  // Days off are listed by their dates: before the first of them the week is as it always is.
  const works = Array.from({ length: 7 }, (_, i) => spansOn({ ...hours, off: [] }, i)).some(
    (s) => s.length > 0,
  )
  if (!works || !Number.isFinite(end) || !Number.isFinite(work)) return undefined
  let left = work
  for (let day = last; ; day--) {
    for (const [from, to] of [...spansOn(hours, day)].reverse()) {
      const until = Math.min(to, end - day * DAY)
      if (until <= from) continue
      if (left <= until - from) return day * DAY + until - left
      left -= until - from
    }
  }
}
