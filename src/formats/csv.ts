import Papa from 'papaparse'

/** One record with the line of the file it begins on (the first line is 1). */
export interface CsvRecord {
  readonly line: number
  readonly cells: readonly string[]
}

export interface CsvProblem {
  readonly line: number
  /** Name of the column as the file has it; empty when it is about the whole record. */
  readonly column: string
  readonly message: string
}

/** What a spreadsheet would take for a formula, or for the mark that says it is none. */
const FORMULA = /^'*[=+\-@\t\r＝＋－＠]/

/** A comma, as RFC 4180 has it; a semicolon or tab where the head has more of them, as spreadsheets write elsewhere. */
function delimiterOf(body: string): string {
  const head = /^(?:"[^"]*"|[^\r\n"])*/.exec(body)?.[0].replace(/"[^"]*"/g, '') ?? ''
  const count = (sign: string) => head.split(sign).length
  return [';', '\t'].find((sign) => count(sign) > count(',')) ?? ','
}

/** Reads CSV text (RFC 4180: quotes, doubled quotes, line breaks inside quotes). Empty lines are left out. */
export function readCsv(text: string): {
  readonly head: readonly string[]
  readonly records: readonly CsvRecord[]
  readonly problems: readonly CsvProblem[]
} {
  const all: CsvRecord[] = []
  const problems: CsvProblem[] = []
  const body = text.replace(/^\uFEFF/, '')
  let line = 1
  let begin = 0
  Papa.parse<string[]>(body, {
    delimiter: delimiterOf(body),
    step: ({ data, errors, meta }) => {
      if (data.some((cell) => cell.trim() !== '')) all.push({ line, cells: data.map(unmarked) })
      for (const e of errors)
        if (e.type === 'Quotes')
          problems.push({ line, column: '', message: 'A quotation mark is not closed.' })
      line += body.slice(begin, meta.cursor).split(/\r\n|\r|\n/).length - 1
      begin = meta.cursor
    },
  })
  const [head, ...records] = all
  return { head: (head?.cells ?? []).map((c) => c.trim()), records, problems }
}

/** A cell without the mark that keeps spreadsheets from calculating it. */
const unmarked = (cell: string) => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell)

/** A cell that no spreadsheet calculates: text that looks like a formula gets a mark, which `readCsv` takes off. */
const harmless = (cell: unknown): unknown =>
  typeof cell === 'string' && FORMULA.test(cell) && !/^-?\d+(\.\d+)?$/.test(cell) ? `'${cell}` : cell

/** CSV text of rows (RFC 4180). */
export const writeCsv = (head: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse([[...head], ...rows.map((row) => row.map(harmless))], { newline: '\r\n' })}\r\n`

/** A figure without binary dust. */
export const tidy = (x: number) => Number(x.toFixed(6))
