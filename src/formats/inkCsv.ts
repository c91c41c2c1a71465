import { isHex, labOfHex } from '@/core/color'
import type { Formula } from '@/core/equipment'
import { type Can, inOrder } from '@/core/ink'
import { INK_SYSTEMS } from '@/core/order'
import { readNumber } from '@/core/quantity'
import { type CsvProblem, readCsv, writeCsv } from './csv'

const FORMULA_COLUMNS = ['formula', 'name', 'system', 'lab_l', 'lab_a', 'lab_b', 'ink', 'percent'] as const
const STOCK_COLUMNS = ['ink', 'lot', 'grams', 'opened'] as const

/** Formulas as CSV: a line a part. */
export const formulasCsv = (formulas: readonly Formula[]): string =>
  writeCsv(
    FORMULA_COLUMNS,
    formulas.flatMap((f) =>
      f.parts.map((p) => [
        f.id,
        f.name,
        f.system,
        f.target.l.toFixed(3),
        f.target.a.toFixed(3),
        f.target.b.toFixed(3),
        p.code,
        (p.share * 100).toFixed(4),
      ]),
    ),
  )

/** What stands in the cans as CSV. */
export const stockCsv = (cans: readonly Can[]): string =>
  writeCsv(
    ['can', ...STOCK_COLUMNS],
    cans.map((c) => [c.id, c.code, c.lot, (c.mass * 1000).toFixed(1), c.opened ?? '']),
  )

interface Reader {
  readonly cell: (column: string) => string
  readonly number: (column: string) => number
  readonly say: (column: string, message: string) => unknown
}

/** Goes through the records of a file by the names of its columns; a decimal comma is understood. */
function each(
  text: string,
  needed: readonly string[],
  take: (row: Reader, line: number) => void,
): readonly CsvProblem[] {
  const { head, records, problems } = readCsv(text)
  const wrong: CsvProblem[] = [...problems]
  const at = new Map(head.map((h, i) => [h.toLowerCase().trim(), i]))
  const missing = needed.filter((c) => !at.has(c))
  if (missing.length > 0)
    return [{ line: 1, column: '', message: `Columns are missing: ${missing.join(', ')}.` }]
  for (const { line, cells } of records) {
    const told = new Set<string>()
    const cell = (column: string) => (cells[at.get(column) ?? -1] ?? '').trim()
    take(
      {
        cell,
        number: (column) => {
          if (cell(column) === '') return Number.NaN
          const read = readNumber(cell(column), { most: column === 'grams' ? Number.POSITIVE_INFINITY : 200 })
          if (read.ok) return read.value
          told.add(column)
          wrong.push({ line, column, message: read.message })
          return Number.NaN
        },
        // What could not be read as a number is told already.
        say: (column, message) => told.has(column) || wrong.push({ line, column, message }),
      },
      line,
    )
  }
  return wrong
}

/** Reads formulas; all or none, with every mistake by its line. A target may also be a `hex`. */
export function readFormulasCsv(text: string): {
  readonly formulas: readonly Formula[]
  readonly problems: readonly CsvProblem[]
} {
  const found = new Map<string, Formula>()
  const begins = new Map<string, number>()
  const problems = [
    ...each(text, ['name', 'ink', 'percent'], ({ cell, number, say }, line) => {
      const name = cell('name')
      const code = cell('ink')
      const id = cell('formula') || name
      const share = number('percent') / 100
      const system = cell('system') || 'plastisol'
      if (name === '') return say('name', 'A name is missing.')
      if (code === '') return say('ink', 'Which ink?')
      if (!(share > 0 && share <= 1))
        return say('percent', `${cell('percent') || 'Nothing'} is no share of 0 to 100 %.`)
      if (!Object.hasOwn(INK_SYSTEMS, system))
        return say('system', `${system} is none of ${Object.keys(INK_SYSTEMS).join(', ')}.`)
      const [l, a, b] = ['lab_l', 'lab_a', 'lab_b'].map(number) as [number, number, number]
      const target = isHex(cell('hex')) ? labOfHex(cell('hex')) : { l, a, b }
      if (!Object.values(target).every(Number.isFinite))
        return say('lab_l', 'A target is missing: lab_l, lab_a and lab_b, or hex.')
      const before = found.get(id)
      if (before?.parts.some((p) => p.code === code)) return say('ink', `${code} stands in ${name} twice.`)
      begins.set(id, begins.get(id) ?? line)
      found.set(id, { id, name, system, target, parts: [...(before?.parts ?? []), { code, share }] })
    }),
  ]
  for (const f of found.values()) {
    const whole = f.parts.reduce((sum, p) => sum + p.share, 0)
    if (Math.abs(whole - 1) > 0.005)
      problems.push({
        line: begins.get(f.id) ?? 1,
        column: 'percent',
        message: `The parts of ${f.name} make ${(whole * 100).toFixed(1)} %, not 100.`,
      })
  }
  return { formulas: [...found.values()].map((f) => ({ ...f, parts: inOrder(f.parts) })), problems }
}

/** A can to be booked in. */
export interface CanIn {
  readonly code: string
  readonly lot: string
  /** kg. */
  readonly mass: number
}

/** Reads cans to book in; all or none. @param codes of the rack */
export function readStockCsv(
  text: string,
  codes: ReadonlySet<string>,
): { readonly cans: readonly CanIn[]; readonly problems: readonly CsvProblem[] } {
  const cans: CanIn[] = []
  const problems = each(text, ['ink', 'lot', 'grams'], ({ cell, number, say }) => {
    const mass = number('grams') / 1000
    if (!codes.has(cell('ink'))) return say('ink', `${cell('ink') || 'Nothing'} is not on the rack.`)
    if (cell('lot') === '') return say('lot', 'A lot is missing.')
    if (!(mass > 0)) return say('grams', `${cell('grams') || 'Nothing'} is no weight.`)
    cans.push({ code: cell('ink'), lot: cell('lot'), mass })
  })
  return { cans, problems }
}
