import Papa from 'papaparse'
import { choiceOf, numberOf, settled } from '@/core/advice'
import { type Cloth, checkOrder, type Order, SIZE_NAMES } from '@/core/order'
import type { RunPlan } from '@/core/plan'
import { readNumber } from '@/core/quantity'

/** The columns of an orders file, in the order they are written, with what they are called for a person. */
export const ORDER_COLUMNS = {
  order: { label: 'Order number', needed: false },
  customer: { label: 'Customer', needed: true },
  job: { label: 'Job', needed: false },
  due: { label: 'Due', needed: true },
  notes: { label: 'Notes', needed: false },
  style: { label: 'Style', needed: false },
  cloth: { label: 'Cloth colour', needed: true },
  hex: { label: 'Colour seen', needed: false },
  weave: { label: 'Weave', needed: false },
  cotton_percent: { label: 'Cotton, %', needed: false },
  polyester_percent: { label: 'Polyester, %', needed: false },
  weight_gsm: { label: 'Weight, g/m²', needed: false },
  size: { label: 'Size', needed: true },
  quantity: { label: 'Pieces', needed: true },
} as const

export type OrderColumn = keyof typeof ORDER_COLUMNS
export const ORDER_COLUMN_NAMES = Object.keys(ORDER_COLUMNS) as OrderColumn[]

/** Which column of the file holds what; a column that is not there is left out. */
export type Mapping = Readonly<Partial<Record<OrderColumn, number>>>

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

const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '')

/** Other words that a head may use for a column. */
const ALSO: Readonly<Partial<Record<OrderColumn, readonly string[]>>> = {
  order: ['orderno', 'ordernumber', 'number', 'no', 'id'],
  customer: ['client', 'company', 'account'],
  job: ['title', 'jobname', 'design', 'description'],
  due: ['duedate', 'deadline', 'deliverydate', 'shipdate'],
  notes: ['note', 'comment', 'comments'],
  style: ['garment', 'product', 'item'],
  cloth: ['colour', 'color', 'clothcolour', 'garmentcolour', 'garmentcolor'],
  quantity: ['pieces', 'qty', 'count', 'amount'],
  cotton_percent: ['cotton'],
  polyester_percent: ['polyester'],
  weight_gsm: ['weight', 'gsm'],
}

/** Guesses which column holds what from the head; a person corrects it. */
export function guessMapping(head: readonly string[]): Mapping {
  const found = ORDER_COLUMN_NAMES.flatMap((name) => {
    const names = [plain(name), plain(ORDER_COLUMNS[name].label), ...(ALSO[name] ?? [])]
    const at = head.findIndex((h) => names.includes(plain(h)))
    return at < 0 ? [] : [[name, at] as const]
  })
  return Object.fromEntries(found)
}

export interface OrdersRead {
  readonly orders: readonly Order[]
  readonly problems: readonly CsvProblem[]
}

/** What reading orders needs to know of the shop. */
export interface CsvContext {
  readonly cloths: readonly Cloth[]
  /** Numbers that are taken. */
  readonly taken: ReadonlySet<string>
  /** Number that the first order without one gets: 1011 for `O-1011`. */
  readonly next: number
}

/** What tells a decimal sign from one that parts thousands, by column. */
const NUMBERS: Readonly<Partial<Record<OrderColumn, { most?: number; whole?: boolean }>>> = {
  quantity: { whole: true },
  cotton_percent: { most: 100 },
  polyester_percent: { most: 100 },
}
const ORDER_ID = /^O-\d{1,9}$/
const SHARED = ['customer', 'job', 'due', 'notes'] as const

/**
 * Makes orders from records, one record a size. Records with the same order number, or without one the same customer,
 * job and day, are one order. Either every record is good, or the problems say what to mend and nothing is imported.
 */
export function ordersFromCsv(
  head: readonly string[],
  records: readonly CsvRecord[],
  mapping: Mapping,
  { cloths, taken, next }: CsvContext,
): OrdersRead {
  const problems: CsvProblem[] = []
  const columnOf = (name: OrderColumn) => head[mapping[name] ?? -1] ?? ORDER_COLUMNS[name].label
  const wrong = (line: number, name: OrderColumn, message: string) =>
    problems.push({ line, column: columnOf(name), message })
  const cell = (r: CsvRecord, name: OrderColumn) => (r.cells[mapping[name] ?? -1] ?? '').trim()
  for (const name of ORDER_COLUMN_NAMES)
    if (ORDER_COLUMNS[name].needed && mapping[name] === undefined)
      problems.push({ line: 1, column: '', message: `Say which column holds: ${ORDER_COLUMNS[name].label}.` })
  if (problems.length > 0) return { orders: [], problems }

  const groups = new Map<string, CsvRecord[]>()
  for (const r of records) {
    const key =
      cell(r, 'order') ||
      SHARED.slice(0, 3)
        .map((n) => cell(r, n))
        .join('\u0000')
    const group = groups.get(key)
    if (group) group.push(r)
    else groups.set(key, [r])
  }

  const number = (r: CsvRecord, name: OrderColumn): number | undefined => {
    const text = cell(r, name)
    if (text === '') return undefined
    const value = readNumber(text, NUMBERS[name])
    if (value.ok) return value.value
    wrong(r.line, name, value.message)
    return undefined
  }
  const clothOf = (r: CsvRecord): Cloth | undefined => {
    const name = cell(r, 'cloth')
    const known = cloths.find((c) => c.name.toLowerCase() === name.toLowerCase())
    const [cotton, polyester, weight] = (['cotton_percent', 'polyester_percent', 'weight_gsm'] as const).map(
      (n) => number(r, n),
    )
    const hex = cell(r, 'hex') || known?.hex
    if (!hex) {
      wrong(r.line, 'cloth', `“${name}” is not on the shelf: add it at Shop, or give its colour as #1f2a44.`)
      return undefined
    }
    return {
      name: known?.name ?? name,
      hex: hex.toLowerCase(),
      weave: (cell(r, 'weave') as Cloth['weave']) || (known?.weave ?? 'jersey'),
      cotton: cotton === undefined ? (known?.cotton ?? 1) : cotton / 100,
      polyester: polyester === undefined ? (known?.polyester ?? 0) : polyester / 100,
      weight: weight === undefined ? (known?.weight ?? 0.18) : weight / 1000,
    }
  }

  let free = next
  const used = new Set<string>()
  const freeId = () => {
    while (taken.has(`O-${free}`) || groups.has(`O-${free}`)) free++
    return `O-${free++}`
  }
  const orders = [...groups.values()].flatMap((rows): Order[] => {
    const [first] = rows
    if (!first) return []
    const before = problems.length
    const given = cell(first, 'order')
    const own = ORDER_ID.test(given)
    if (own && taken.has(given)) wrong(first.line, 'order', `${given} is there already.`)
    for (const r of rows)
      for (const name of SHARED)
        if (cell(r, name) !== cell(first, name))
          wrong(r.line, name, `Differs from line ${first.line} of the same order: “${cell(first, name)}”.`)
    const lines = new Map<
      string,
      {
        readonly line: Order['lines'][number]
        readonly sizes: { size: string; quantity: number }[]
        readonly at: CsvRecord[]
      }
    >()
    for (const r of rows) {
      const cloth = clothOf(r)
      const quantity = number(r, 'quantity')
      if (quantity === undefined && cell(r, 'quantity') === '') wrong(r.line, 'quantity', 'How many pieces?')
      if (!cloth) continue
      const style = cell(r, 'style') || 'Classic tee'
      const key = JSON.stringify([style, cloth])
      const found = lines.get(key)
      const size = { size: sizeOf(cell(r, 'size')), quantity: quantity ?? 0 }
      if (found) {
        found.sizes.push(size)
        found.at.push(r)
      } else {
        const line = { id: `G${lines.size + 1}`, style, cloth, sizes: [], group: '' }
        lines.set(key, { line, sizes: [size], at: [r] })
      }
    }
    const garments = [...lines.values()]
    const id = own ? given : freeId()
    const theirs = given !== '' && !own ? `Their number: ${given}.` : ''
    const checked = checkOrder({
      id,
      customer: cell(first, 'customer'),
      title: cell(first, 'job'),
      due: cell(first, 'due'),
      notes: [theirs, cell(first, 'notes')].filter(Boolean).join(' '),
      lines: garments.map((g) => ({ ...g.line, sizes: g.sizes })),
      placements: [
        { id: 'P1', where: 'front', width: 0.28, height: 0.33, sizes: 'all', inks: [], relations: [] },
      ],
    })
    if (!checked.ok)
      for (const [path, message] of Object.entries(checked.errors)) {
        const at = /^lines\[(\d+)\](?:\.sizes\[(\d+)\])?/.exec(path)
        const garment = garments[Number(at?.[1] ?? -1)]
        const r = garment?.at[Number(at?.[2] ?? 0)] ?? first
        wrong(r.line, columnFor(path), message)
      }
    if (used.has(id)) wrong(first.line, 'order', `${id} stands twice.`)
    used.add(id)
    return problems.length === before && checked.ok ? [checked.value] : []
  })
  return problems.length > 0
    ? { orders: [], problems: problems.sort((a, b) => a.line - b.line) }
    : { orders, problems }
}

/** A size by its name, however it is written. */
const sizeOf = (text: string): string =>
  SIZE_NAMES.find((s) => s.toLowerCase() === text.toLowerCase()) ?? text

/** The column that a field of the order comes from. */
function columnFor(path: string): OrderColumn {
  const last = /[A-Za-z]+$/.exec(path)?.[0] ?? ''
  const names: Readonly<Record<string, OrderColumn>> = {
    title: 'job',
    name: 'cloth',
    sizes: 'size',
    cotton: 'cotton_percent',
    polyester: 'polyester_percent',
    weight: 'weight_gsm',
  }
  return names[last] ?? (last in ORDER_COLUMNS ? (last as OrderColumn) : 'customer')
}

/** A cell that no spreadsheet calculates: text that looks like a formula gets a mark, which `readCsv` takes off. */
const harmless = (cell: unknown): unknown =>
  typeof cell === 'string' && FORMULA.test(cell) && !/^-?\d+(\.\d+)?$/.test(cell) ? `'${cell}` : cell

/** CSV text of rows (RFC 4180). */
export const writeCsv = (head: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse([[...head], ...rows.map((row) => row.map(harmless))], { newline: '\r\n' })}\r\n`

const tidy = (x: number) => Number(x.toFixed(6))

/** Orders as CSV: one record a size, the columns that can be read back. Prints are not in it: see the job file. */
export const ordersCsv = (orders: readonly Order[]): string =>
  writeCsv(
    ORDER_COLUMN_NAMES,
    orders.flatMap((o) =>
      o.lines.flatMap((l) =>
        l.sizes.map((s) => [
          o.id,
          o.customer,
          o.title,
          o.due,
          o.notes,
          l.style,
          l.cloth.name,
          l.cloth.hex,
          l.cloth.weave,
          tidy(l.cloth.cotton * 100),
          tidy(l.cloth.polyester * 100),
          tidy(l.cloth.weight * 1000),
          s.size,
          s.quantity,
        ]),
      ),
    ),
  )

/** A run as its CSV tells it. */
export interface CsvRun {
  readonly run: string
  readonly order: string
  readonly customer: string
  readonly due: string
  readonly print: string
  readonly pieces: number
  readonly press: string
  readonly screens: number
  /** Seconds, lowest and highest. */
  readonly time: readonly [number, number] | undefined
  readonly revision: number
  readonly open: number
}

/** Runs as CSV: one record a run; minutes as a range. */
export const runsCsv = (runs: readonly CsvRun[]): string =>
  writeCsv(
    [
      'run',
      'order',
      'customer',
      'due',
      'print',
      'pieces',
      'press',
      'screens',
      'minutes_from',
      'minutes_to',
      'revision',
      'open',
    ],
    runs.map((r) => [
      r.run,
      r.order,
      r.customer,
      r.due,
      r.print,
      r.pieces,
      r.press,
      r.screens,
      r.time ? Math.round(r.time[0] / 60) : '',
      r.time ? Math.round(r.time[1] / 60) : '',
      r.revision || '',
      r.open,
    ]),
  )

/** Plans as CSV: one record a screen. Units stand in the head. */
export const plansCsv = (plans: readonly RunPlan[]): string =>
  writeCsv(
    [
      'run',
      'press',
      'step',
      'screen',
      'frame',
      'mesh_per_cm',
      'strokes',
      'blade',
      'angle_deg',
      'pressure',
      'stroke_s',
      'flood',
      'ink_g',
    ],
    plans.flatMap((p) =>
      p.hits.map((h, i) => [
        p.run.id,
        p.press.name,
        i + 1,
        h.hit.name,
        h.sameScreenAs ? 'same' : (h.frame?.id ?? ''),
        tidy(numberOf(h.mesh) / 100),
        settled(h.stroke.strokes),
        choiceOf(h.stroke.blade),
        Math.round((numberOf(h.stroke.angle) * 180) / Math.PI),
        choiceOf(h.stroke.pressure),
        tidy(numberOf(h.stroke.time)),
        choiceOf(h.stroke.flood),
        h.ink ? Math.round(numberOf(h.ink) * 1000) : '',
      ]),
    ),
  )
