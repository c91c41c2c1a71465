import { format, isValid, parseISO } from 'date-fns'
import { dayOrderOf, type System } from './reader'

/**
 * Days and moments as they are written everywhere: `2026-11-24`, `2026-11-24T08:30`. The calendar is the proleptic
 * Gregorian one (ISO 8601); a day that it does not have is none.
 */
const DAY = /^(\d{4})-(\d{2})-(\d{2})$/
const TIME = /^([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]\d{2}:\d{2})?$/
/** No order, batch or step of this trade lies outside. */
const FIRST = 1990
const LAST = 2199

/**
 * Whether a text is a day that there is, from 1990 to 2199.
 *
 * @example isDay('2028-02-29') // true
 * @example isDay('2026-02-30') // false
 */
export function isDay(text: unknown): text is string {
  const match = typeof text === 'string' ? DAY.exec(text) : null
  if (!match) return false
  const [year, month, day] = match.slice(1).map(Number) as [number, number, number]
  if (year < FIRST || year > LAST) return false
  const date = new Date(Date.UTC(year, month - 1, day))
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day
}

/**
 * Whether a text is a moment: a day, `T`, a time of day; seconds, fractions and the distance to UTC may be left out.
 *
 * @example isMoment('2026-11-24T08:30') // true
 * @example isMoment('when') // false
 */
export function isMoment(text: unknown): text is string {
  if (typeof text !== 'string') return false
  return text[10] === 'T' && isDay(text.slice(0, 10)) && TIME.test(text.slice(11))
}

/** Longest first. */
const IN_ORDER = {
  dayFirst: [],
  monthFirst: [
    ['d MMMM yyyy', 'MMMM d, yyyy'],
    ['d MMM yyyy', 'MMM d, yyyy'],
    ['d MMMM', 'MMMM d'],
    ['d MMM', 'MMM d'],
  ],
  yearFirst: [
    ['d MMMM yyyy', 'yyyy-MM-dd'],
    ['d MMM yyyy', 'yyyy-MM-dd'],
    ['d MMMM', 'MM-dd'],
    ['d MMM', 'MM-dd'],
  ],
} as const

/**
 * A day or moment as people say it, in the order that the reader writes days in. One that is stored wrong is given back as
 * it stands: a list never falls over it.
 *
 * @param pattern as for the day first: `EEE d MMM`, `d MMM yyyy, HH:mm`
 * @example sayDay('2026-12-01', 'EEE d MMM', 'metric') // 'Tue 1 Dec'
 */
export function sayDay(iso: string, pattern: string, system: System): string {
  const at = parseISO(iso)
  if (!isValid(at)) return iso
  const found = IN_ORDER[dayOrderOf(system)].find(([from]) => pattern.includes(from))
  return format(at, found ? pattern.replace(found[0], found[1]) : pattern)
}
