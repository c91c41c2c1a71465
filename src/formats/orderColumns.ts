import { keysOf } from '@/core/quantity'

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
export const ORDER_COLUMN_NAMES = keysOf(ORDER_COLUMNS)

/** Which column of the file holds what; a column that is not there is left out. */
export type Mapping = Readonly<Partial<Record<OrderColumn, number>>>

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
