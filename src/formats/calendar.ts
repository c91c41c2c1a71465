import { createEvents, type EventAttributes } from 'ics'

/** Something that stands in a calendar, by the clock on the wall. */
export interface CalendarEntry {
  /** Stays the same when it moves. */
  readonly id: string
  /** `2026-12-01T08:30`. */
  readonly from: string
  readonly to: string
  readonly title: string
  readonly words: string
  readonly place: string
}

type Wall = [number, number, number, number, number]
const wall = (iso: string): Wall => {
  const [year = 1970, month = 1, day = 1, hour = 0, minute = 0] = iso.split(/[-T:]/).map(Number)
  return [year, month, day, hour, minute]
}

/**
 * A calendar (iCalendar, RFC 5545) with the times of the clock on the wall, of no zone: a shop is where it is.
 *
 * @throws Error for what is no time
 */
export function calendarOf(name: string, entries: readonly CalendarEntry[]): string {
  const events = entries.map(
    (e): EventAttributes => ({
      ...{ uid: `${e.id}@orvint`, productId: 'orvint', calName: name },
      ...{ start: wall(e.from), startInputType: 'local', startOutputType: 'local' },
      ...{ end: wall(e.to), endInputType: 'local', endOutputType: 'local' },
      ...{ title: e.title, description: e.words, location: e.place },
    }),
  )
  const { error, value } = createEvents(events, { productId: 'orvint', calName: name })
  if (error || !value) throw error ?? new Error('no calendar')
  return value
}
