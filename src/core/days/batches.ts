import type { DayRun, Minute } from './problem'
import type { WorkTime } from './workTime'

/** Between batches of what dries in the screens are wiped and filled anew, min (assumed). */
export const REFRESH = 10

/** The first moment from which so many minutes lie in one span of work. */
function inOneSpan(time: WorkTime, from: Minute, minutes: Minute): Minute {
  let t = time.next(from)
  while (Number.isFinite(t) && time.spanEnd(t) - t < minutes) t = time.next(time.spanEnd(t))
  return t
}

/** Where the first batch of what dries in can be printed in one span of work. */
export function firstBatch({ pot }: DayRun, time: WorkTime, start: Minute, takes: Minute): Minute {
  const batch = Math.ceil(takes / Math.ceil(takes / pot))
  return inOneSpan(time, start, batch)
}

/** Into how many batches so many minutes of printing fall. */
export const batchCount = (pot: Minute, takes: Minute): number => (pot > 0 ? Math.ceil(takes / pot) : 1)

/** When the last piece is printed. What dries in goes in equal batches, each within one span of work. */
export function fitted({ pot }: DayRun, time: WorkTime, start: Minute, takes: Minute): Minute {
  if (pot <= 0) return time.after(start, takes)
  const count = batchCount(pot, takes)
  const batch = Math.ceil(takes / count)
  let t = start
  for (let i = 1; i < count && Number.isFinite(t); i++) t = inOneSpan(time, t + batch + REFRESH, batch)
  return t + batch
}
