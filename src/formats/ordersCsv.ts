import { type Cloth, checkOrder, type Order, sizeNamed } from '@/core/order'
import { type CsvRecord, tidy, writeCsv } from './csv'
import { type CellProblem, Cells, type Mended } from './orderCells'
import { type Mapping, ORDER_COLUMN_NAMES, ORDER_COLUMNS, type OrderColumn } from './orderColumns'
import { type DayOrder, dayOrderIn, readDay } from './writtenDays'

export interface OrdersRead {
  readonly orders: readonly Order[]
  readonly problems: readonly CellProblem[]
}

/** What reading orders needs to know of the shop. */
export interface CsvContext {
  readonly cloths: readonly Cloth[]
  /** Numbers that are taken. */
  readonly taken: ReadonlySet<string>
  /** Number that the first order without one gets: 1011 for `O-1011`. */
  readonly next: number
  /** How days in numbers are written, if someone said so; else as the days of the file tell. */
  readonly days?: DayOrder | undefined
  readonly mended?: Mended | undefined
}

const ORDER_ID = /^O-\d{1,9}$/
const SHARED = ['customer', 'job', 'due', 'notes'] as const

/** Records of one order together: by its number, or without one by customer, job and day. */
function byOrder(records: readonly CsvRecord[], cells: Cells): ReadonlyMap<string, readonly CsvRecord[]> {
  const groups = new Map<string, CsvRecord[]>()
  for (const r of records) {
    const key =
      cells.text(r, 'order') ||
      SHARED.slice(0, 3)
        .map((n) => cells.text(r, n))
        .join('\u0000')
    const group = groups.get(key)
    if (group) group.push(r)
    else groups.set(key, [r])
  }
  return groups
}

/** The cloth of a record: one of the shelf by its name, with what the file says of it. */
function clothOf(r: CsvRecord, cells: Cells, shelf: readonly Cloth[]): Cloth | undefined {
  const name = cells.text(r, 'cloth')
  const known = shelf.find((c) => c.name.toLowerCase() === name.toLowerCase())
  const [cotton, polyester, weight] = (['cotton_percent', 'polyester_percent', 'weight_gsm'] as const).map(
    (n) => cells.number(r, n),
  )
  const hex = cells.text(r, 'hex') || known?.hex
  if (!hex) {
    cells.wrong(r, 'cloth', `“${name}” is not on the shelf: add it at Shop, or give its colour as #1f2a44.`)
    return undefined
  }
  return {
    name: known?.name ?? name,
    hex: hex.toLowerCase(),
    weave: (cells.text(r, 'weave') as Cloth['weave']) || (known?.weave ?? 'jersey'),
    cotton: cotton === undefined ? (known?.cotton ?? 1) : cotton / 100,
    polyester: polyester === undefined ? (known?.polyester ?? 0) : polyester / 100,
    weight: weight === undefined ? (known?.weight ?? 0.18) : weight / 1000,
  }
}

/** A garment line with the records its sizes come from. */
interface Garment {
  readonly line: Order['lines'][number]
  readonly sizes: { size: string; quantity: number }[]
  readonly at: CsvRecord[]
}

/** The garments of an order: records of one style and cloth are one line. */
function garmentsOf(rows: readonly CsvRecord[], cells: Cells, shelf: readonly Cloth[]): readonly Garment[] {
  const lines = new Map<string, Garment>()
  for (const r of rows) {
    const cloth = clothOf(r, cells, shelf)
    const quantity = cells.number(r, 'quantity')
    if (quantity === undefined && cells.text(r, 'quantity') === '')
      cells.wrong(r, 'quantity', 'How many pieces?')
    if (!cloth) continue
    const style = cells.text(r, 'style') || 'Classic tee'
    const key = JSON.stringify([style, cloth])
    const found = lines.get(key) ?? {
      line: { id: `G${lines.size + 1}`, style, cloth, sizes: [], group: '' },
      sizes: [],
      at: [],
    }
    lines.set(key, found)
    found.sizes.push({ size: sizeNamed(cells.text(r, 'size')), quantity: quantity ?? 0 })
    found.at.push(r)
  }
  return [...lines.values()]
}

/** One order of its records; undefined when something of it is wrong, which is told. */
function orderOf(
  id: string,
  rows: readonly [CsvRecord, ...CsvRecord[]],
  cells: Cells,
  shelf: readonly Cloth[],
): Order | undefined {
  const [first] = rows
  const before = cells.problems.length
  const given = cells.text(first, 'order')
  for (const r of rows)
    for (const name of SHARED)
      if (cells.text(r, name) !== cells.text(first, name))
        cells.wrong(
          r,
          name,
          `Differs from line ${first.line} of the same order: “${cells.text(first, name)}”.`,
        )
  const garments = garmentsOf(rows, cells, shelf)
  const theirs = given !== '' && given !== id ? `Their number: ${given}.` : ''
  const checked = checkOrder({
    id,
    customer: cells.text(first, 'customer'),
    title: cells.text(first, 'job'),
    due: cells.text(first, 'due'),
    notes: [theirs, cells.text(first, 'notes')].filter(Boolean).join(' '),
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
      cells.wrong(r, columnFor(path), message)
    }
  return checked.ok && cells.problems.length === before ? checked.value : undefined
}

/**
 * Makes orders from records, one record a size. Records with the same order number, or without one the same customer,
 * job and day, are one order. Either every record is good, or the problems say what to mend and nothing is imported.
 */
export function ordersFromCsv(
  head: readonly string[],
  records: readonly CsvRecord[],
  mapping: Mapping,
  { cloths, taken, next, days, mended }: CsvContext,
): OrdersRead {
  const missing = ORDER_COLUMN_NAMES.filter((n) => ORDER_COLUMNS[n].needed && mapping[n] === undefined)
  if (missing.length > 0)
    return {
      orders: [],
      problems: missing.map((name) => ({
        line: 1,
        column: '',
        message: `Say which column holds: ${ORDER_COLUMNS[name].label}.`,
      })),
    }
  const written = records.map((r) => (r.cells[mapping.due ?? -1] ?? '').trim())
  const order = days ?? dayOrderIn(written)
  const either = written.findIndex((text) => readDay(text, order) === 'either')
  if (either >= 0)
    return {
      orders: [],
      problems: [
        {
          line: records[either]?.line ?? 1,
          column: head[mapping.due ?? -1] ?? ORDER_COLUMNS.due.label,
          message: `“${written[either]}” may be two days: say which comes first, the day or the month.`,
        },
      ],
    }
  const cells = new Cells(head, mapping, order, mended)
  const groups = byOrder(records, cells)
  let free = next
  const freeId = () => {
    while (taken.has(`O-${free}`) || groups.has(`O-${free}`)) free++
    return `O-${free++}`
  }
  const used = new Set<string>()
  const orders = [...groups.values()].flatMap(([first, ...others]): Order[] => {
    if (!first) return []
    const given = cells.text(first, 'order')
    const own = ORDER_ID.test(given)
    const id = own ? given : freeId()
    const free = !(own && taken.has(given)) && !used.has(id)
    if (own && taken.has(given)) cells.wrong(first, 'order', `${given} is there already.`)
    else if (used.has(id)) cells.wrong(first, 'order', `${id} stands twice.`)
    used.add(id)
    const order = orderOf(id, [first, ...others], cells, cloths)
    return free && order ? [order] : []
  })
  return cells.problems.length > 0
    ? { orders: [], problems: cells.problems.sort((a, b) => a.line - b.line) }
    : { orders, problems: [] }
}

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
