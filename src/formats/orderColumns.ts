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
  order: [
    'orderno',
    'ordernumber',
    'ordernr',
    'orderref',
    'number',
    'no',
    'id',
    'po',
    'ponumber',
    'ref',
    'reference',
  ],
  customer: ['client', 'company', 'account', 'buyer', 'customername', 'clientname', 'name'],
  job: ['title', 'jobname', 'jobtitle', 'design', 'description', 'project', 'artwork'],
  due: [
    'duedate',
    'dueby',
    'deadline',
    'deliverydate',
    'deliverby',
    'shipdate',
    'shipby',
    'needby',
    'neededby',
    'wantedby',
    'inhands',
    'inhandsdate',
  ],
  notes: ['note', 'comment', 'comments', 'remarks', 'instructions'],
  style: ['garment', 'product', 'item', 'model', 'styleno', 'stylename', 'garmenttype'],
  cloth: [
    'colour',
    'color',
    'shade',
    'clothcolour',
    'clothcolor',
    'garmentcolour',
    'garmentcolor',
    'bodycolour',
    'bodycolor',
  ],
  hex: ['hexcode', 'hexcolour', 'hexcolor', 'colourcode', 'colorcode', 'rgb'],
  weave: ['fabric', 'knit'],
  size: ['sz', 'sizes', 'garmentsize'],
  quantity: ['pieces', 'pcs', 'qty', 'qnty', 'quantities', 'units', 'count', 'amount', 'ordered'],
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
