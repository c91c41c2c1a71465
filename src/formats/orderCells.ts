import { readNumber } from '@/core/quantity'
import type { CsvProblem, CsvRecord } from './csv'
import { type Mapping, ORDER_COLUMNS, type OrderColumn } from './orderColumns'
import { type DayOrder, readDay } from './writtenDays'

/** What is wrong, and in which cell, where it is in one. */
export interface CellProblem extends CsvProblem {
  readonly cell?: {
    readonly name: OrderColumn
    /** As it stands in the file, and as it is read. */
    readonly written: string
    readonly read: string
  }
}

/** Cells that are read otherwise than they are written. */
export interface Mended {
  /** Words of a column, in whatever case, wherever they stand in it: `{ cloth: { 'frst grn': 'Forest' } }`. */
  readonly words: Readonly<Partial<Record<OrderColumn, Readonly<Record<string, string>>>>>
  /** Single cells, `line column`: `{ '12 quantity': '24' }`. */
  readonly cells: Readonly<Record<string, string>>
}

export const NOT_MENDED: Mended = { words: {}, cells: {} }

/** Columns of words: what one cell of them means, it means in all. */
const WORDS: ReadonlySet<OrderColumn> = new Set(['customer', 'job', 'style', 'cloth', 'weave', 'size'])

/** The same with a cell read as someone said; as it is written again where they said just that. */
export function mendedBy(
  mended: Mended,
  line: number,
  cell: NonNullable<CellProblem['cell']>,
  text: string,
): Mended {
  const { name, written } = cell
  const put = (all: Readonly<Record<string, string>>, key: string) => {
    const { [key]: _, ...others } = all
    return text === written ? others : { ...others, [key]: text }
  }
  return WORDS.has(name) && written !== ''
    ? { ...mended, words: { ...mended.words, [name]: put(mended.words[name] ?? {}, written.toLowerCase()) } }
    : { ...mended, cells: put(mended.cells, `${line} ${name}`) }
}

const own = (of: Readonly<Record<string, string>> | undefined, key: string): string | undefined =>
  of && Object.hasOwn(of, key) ? of[key] : undefined

/** What tells a decimal sign from one that parts thousands, by column. */
const NUMBERS: Readonly<Partial<Record<OrderColumn, { most?: number; whole?: boolean }>>> = {
  quantity: { whole: true },
  cotton_percent: { most: 100 },
  polyester_percent: { most: 100 },
}
/** The cells of a file by what they hold, and what is wrong with them. */
export class Cells {
  readonly problems: CellProblem[] = []
  constructor(
    private readonly head: readonly string[],
    private readonly mapping: Mapping,
    private readonly days: DayOrder | undefined,
    private readonly mended: Mended | undefined,
  ) {}
  private written({ cells }: CsvRecord, name: OrderColumn): string {
    return (cells[this.mapping[name] ?? -1] ?? '').trim()
  }
  text(r: CsvRecord, name: OrderColumn): string {
    const written = this.written(r, name)
    const text =
      own(this.mended?.cells, `${r.line} ${name}`) ??
      own(this.mended?.words[name], written.toLowerCase()) ??
      written
    return name === 'due' ? this.day(text) : text
  }
  /** A day as ISO day; what is none, or may be two, stays as it was written. */
  private day(text: string): string {
    const day = readDay(text, this.days)
    return day === undefined || day === 'either' ? text : day
  }
  wrong(r: CsvRecord, name: OrderColumn, message: string): void {
    const column = this.head[this.mapping[name] ?? -1] ?? ORDER_COLUMNS[name].label
    const cell = { name, written: this.written(r, name), read: this.text(r, name) }
    this.problems.push({ line: r.line, column, message, cell })
  }
  number(r: CsvRecord, name: OrderColumn): number | undefined {
    const text = this.text(r, name)
    if (text === '') return undefined
    const value = readNumber(text, NUMBERS[name])
    if (value.ok) return value.value
    this.wrong(r, name, value.message)
    return undefined
  }
}
