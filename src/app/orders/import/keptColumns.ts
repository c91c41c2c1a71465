import { type Mended, NOT_MENDED } from '@/formats/orderCells'
import { type Mapping, ORDER_COLUMN_NAMES } from '@/formats/orderColumns'
import { DAY_ORDERS, type DayOrder } from '@/formats/writtenDays'

/** How a file is read: which column holds what, how days are written, and cells that mean something else. */
export interface HowRead {
  readonly mapping: Mapping
  readonly days: DayOrder | undefined
  readonly mended: Mended
}

/** As someone said it on this device: for the mended file, and for the next one like it. Words are kept for any file. */
const COLUMNS = 'orvint.columns'
const WORDS = 'orvint.words'

export function keepHowRead(head: readonly string[], { mapping, days, mended }: HowRead): void {
  localStorage.setItem(COLUMNS, JSON.stringify({ head, mapping, days }))
  localStorage.setItem(WORDS, JSON.stringify(mended.words))
}

const kept = (key: string): Readonly<Record<string, unknown>> => {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(key) ?? '{}')
    return typeof found === 'object' && found !== null ? (found as Readonly<Record<string, unknown>>) : {}
  } catch {
    return {}
  }
}

const isWords = (of: unknown): of is Readonly<Record<string, string>> =>
  typeof of === 'object' && of !== null && Object.values(of).every((word) => typeof word === 'string')

/** Words that were said to mean others, by column. */
function keptWords(): Mended['words'] {
  const words = kept(WORDS)
  return Object.fromEntries(
    ORDER_COLUMN_NAMES.flatMap((name) => (isWords(words[name]) ? [[name, words[name]] as const] : [])),
  )
}

/** What was said of the last file, if this one has the same head; else what is guessed. */
export function howToRead(head: readonly string[], guessed: Mapping): HowRead {
  const mended = { ...NOT_MENDED, words: keptWords() }
  const { head: before, mapping: said, days } = kept(COLUMNS)
  if (typeof said !== 'object' || said === null || JSON.stringify(before) !== JSON.stringify(head))
    return { mapping: guessed, days: undefined, mended }
  const at = said as Readonly<Record<string, unknown>>
  const mapping = Object.fromEntries(
    ORDER_COLUMN_NAMES.flatMap((name) => {
      const place = at[name]
      return typeof place === 'number' && place in head ? [[name, place]] : []
    }),
  )
  const known = typeof days === 'string' && Object.hasOwn(DAY_ORDERS, days)
  return { mapping, days: known ? (days as DayOrder) : undefined, mended }
}
