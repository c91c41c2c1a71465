import { isDay } from '@/core/quantity'

/** Days written in three numbers: which comes first. */
export const DAY_ORDERS = {
  dayFirst: 'day first, 31/12/2026',
  monthFirst: 'month first, 12/31/2026',
} as const
export type DayOrder = keyof typeof DAY_ORDERS

const NUMBERS = /^(\d{1,2})([./ -])(\d{1,2})\2(\d{4}|\d{2})$/
const YEAR_FIRST = /^(\d{4})[./](\d{1,2})[./](\d{1,2})$/
const DAY_IN_WORDS = /^(\d{1,2})\.?[ -]([a-z]{3,9})\.?,?[ -](\d{4})$/i
const MONTH_IN_WORDS = /^([a-z]{3,9})\.? (\d{1,2}),? (\d{4})$/i
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

const two = (n: number) => String(n).padStart(2, '0')
const dayOf = (year: number, month: number, day: number): string | undefined => {
  const iso = `${year < 100 ? 2000 + year : year}-${two(month)}-${two(day)}`
  return isDay(iso) ? iso : undefined
}
const monthOf = (word: string) => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1

/**
 * Which comes first in the days of a file, as far as they tell: one of them has a number over 12, or all stand between full stops.
 *
 * @returns undefined where they could be either
 */
export function dayOrderIn(texts: readonly string[]): DayOrder | undefined {
  const parts = texts.flatMap((t) => {
    const [, first, sign, second] = NUMBERS.exec(t.trim()) ?? []
    return first && second ? [{ sign, first: Number(first), second: Number(second) }] : []
  })
  if (parts.some((p) => p.first > 12)) return 'dayFirst'
  if (parts.some((p) => p.second > 12)) return 'monthFirst'
  return parts.length > 0 && parts.every((p) => p.sign === '.') ? 'dayFirst' : undefined
}

/**
 * A day as it was written, as ISO day.
 *
 * @example readDay('4.12.2026', 'dayFirst') // '2026-12-04'
 * @returns `either` where it is two days and no one said which; undefined for what is no day
 */
export function readDay(written: string, order: DayOrder | undefined): string | 'either' | undefined {
  const text = written.trim()
  if (isDay(text)) return text
  const [, year, month, day] = YEAR_FIRST.exec(text) ?? []
  if (year) return dayOf(Number(year), Number(month), Number(day))
  const [, d, word, y] = DAY_IN_WORDS.exec(text) ?? []
  if (word) return dayOf(Number(y), monthOf(word), Number(d))
  const [, name, of, inYear] = MONTH_IN_WORDS.exec(text) ?? []
  if (name) return dayOf(Number(inYear), monthOf(name), Number(of))
  const [, first, , second, last] = NUMBERS.exec(text) ?? []
  if (!first) return undefined
  const [a, b, c] = [Number(first), Number(second), Number(last)]
  if (order === undefined && a !== b) return 'either'
  return order === 'monthFirst' ? dayOf(c, a, b) : dayOf(c, b, a)
}
