import { type Mapping, ORDER_COLUMN_NAMES } from '@/formats/orderColumns'
import { DAY_ORDERS, type DayOrder } from '@/formats/writtenDays'

/** What the columns of a file hold, as someone said it on this device: for the mended file, and for the next one like it. */
interface Columns {
  readonly head: readonly string[]
  readonly mapping: Mapping
  readonly days: DayOrder | undefined
}

const KEY = 'orvint.columns'

export const keepColumns = (columns: Columns): void => localStorage.setItem(KEY, JSON.stringify(columns))

/** What was said of the last file, if this one has the same head. */
export function keptColumns(head: readonly string[]): Omit<Columns, 'head'> | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<Columns> | null
    if (!kept?.mapping || JSON.stringify(kept.head) !== JSON.stringify(head)) return undefined
    const mapping = Object.fromEntries(
      ORDER_COLUMN_NAMES.flatMap((name) => {
        const at = kept.mapping?.[name]
        return typeof at === 'number' && at in head ? [[name, at]] : []
      }),
    )
    return { mapping, days: kept.days && Object.hasOwn(DAY_ORDERS, kept.days) ? kept.days : undefined }
  } catch {
    return undefined
  }
}
