import { DEFAULT_METHOD, type Reason, type ShopMethod } from '../advice'
import {
  type Frame,
  type Press,
  type Shop,
  type Squeegee,
  STARTER_RACK,
  USUAL_HOURS,
  USUAL_INK_ROOM,
  USUAL_PRICES,
  USUAL_SCREENS,
} from '../equipment'
import type { Cloth, InkColour, Order, Placement } from '../order'
import { mm, perCm } from '../quantity'
import { type Decisions, noDecisions, plan, type RunPlan } from './index'

/** A small invented shop and order for the tests of the plan. */
const pallet = { palletWidth: mm(406), palletHeight: mm(560), palletMaterial: 'aluminium' } as const

export const PRESSES = {
  manual: { ...pallet, id: 'manual', name: 'Manual', kind: 'manual', heads: 6, down: [], pallets: 6 },
  automatic: {
    ...pallet,
    id: 'automatic',
    name: 'Automatic',
    kind: 'automatic',
    stations: Array.from({ length: 12 }, (_, i) => ({
      number: i + 1,
      usable: i !== 6,
      flashAllowed: i !== 6,
    })),
  },
  single: { ...pallet, id: 'single', name: 'Single', kind: 'single', heads: 4, down: [] },
  bench: { ...pallet, id: 'bench', name: 'Bench', kind: 'bench' },
} as const satisfies Record<string, Press>

const frames = [43, 61, 77, 90, 120].flatMap((mesh) =>
  Array.from(
    { length: 6 },
    (_, i): Frame => ({
      id: `F${mesh}-${i}`,
      width: mm(580),
      height: mm(790),
      mesh: perCm(mesh),
      tension: 2500,
      state: 'clean',
      readings: [],
    }),
  ),
)
const squeegees = ['60', '70', '80', '90', '70/90/70'].map(
  (hardness): Squeegee => ({ id: hardness, hardness, length: mm(350), edge: 'square' }),
)

export const SHOP: Shop = {
  name: 'Test shop',
  method: DEFAULT_METHOD,
  presses: Object.values(PRESSES),
  flashes: [
    { id: 'a', name: 'A', kind: 'panel', pressId: 'manual', takes: 1 },
    { id: 'b', name: 'B', kind: 'quartz', pressId: 'automatic', takes: 1 },
    { id: 'c', name: 'C', kind: 'quartz', pressId: 'automatic', takes: 1 },
    { id: 'd', name: 'D', kind: 'panel', pressId: 'single', takes: 1 },
  ],
  dryers: [{ id: 'tunnel', name: 'Tunnel', heatedLength: 2.4, beltWidth: 0.9 }],
  frames,
  squeegees,
  hours: USUAL_HOURS,
  screens: USUAL_SCREENS,
  inkRoom: { ...USUAL_INK_ROOM, rack: STARTER_RACK },
  prices: USUAL_PRICES,
  approved: [],
}

export const CLOTHS = {
  navy: { name: 'Navy', hex: '#1f2a44', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 },
  white: { name: 'White', hex: '#f6f6f6', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.16 },
  golden: { name: 'Golden yellow', hex: '#f4b223', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 },
  maroon: { name: 'Maroon', hex: '#5b1a2b', weave: 'jersey', cotton: 0, polyester: 1, weight: 0.14 },
  blend: { name: 'Ash blend', hex: '#2b2d30', weave: 'jersey', cotton: 0.5, polyester: 0.5, weight: 0.17 },
  hood: { name: 'Black hood', hex: '#1e1f21', weave: 'fleece', cotton: 1, polyester: 0, weight: 0.33 },
  canvas: { name: 'Rust canvas', hex: '#9c4a2a', weave: 'canvas', cotton: 1, polyester: 0, weight: 0.3 },
} as const satisfies Record<string, Cloth>

export const ink = (id: string, hex: string, more: Partial<InkColour> = {}): InkColour => ({
  id,
  name: id,
  hex,
  inkType: 'spot',
  opacity: 'ordinary',
  coverage: 0.2,
  system: 'house',
  lowCure: false,
  ...more,
})

export const INKS = {
  white: ink('white', '#f4f4f0', { inkType: 'white', opacity: 'blocking', coverage: 0.08 }),
  yellow: ink('yellow', '#f1d768'),
  red: ink('red', '#e0392f', { opacity: 'opaque' }),
  black: ink('black', '#191a1b', { inkType: 'black', opacity: 'blocking', coverage: 0.1 }),
  raised: ink('raised', '#dcdcd6', { inkType: 'expanding', opacity: 'opaque' }),
  copper: ink('copper', '#b06a3d', { inkType: 'metallic', opacity: 'opaque' }),
} as const

interface Asked {
  readonly cloth?: Cloth
  readonly inks?: readonly InkColour[]
  readonly relations?: Placement['relations']
  readonly where?: Placement['where']
  readonly width?: number
  readonly height?: number
  readonly sizes?: Readonly<Record<string, number>>
  readonly press?: keyof typeof PRESSES
  readonly method?: Partial<ShopMethod>
  readonly overrides?: Decisions['overrides']
  readonly order?: readonly string[]
  readonly shop?: Partial<Shop>
  /** What else the order, or its print, says. */
  readonly said?: Partial<Order>
  readonly print?: Partial<Placement>
}

/** A one-print order; what is not asked for is an everyday navy tee on the manual carousel. */
export function jobFor(asked: Asked = {}) {
  const {
    inks = [INKS.yellow, INKS.red, INKS.white],
    relations = [],
    where = 'front',
    width = 0.28,
    height = 0.33,
  } = asked
  const order: Order = {
    id: 'O-1',
    customer: 'Test',
    title: '',
    due: '2026-12-01',
    notes: '',
    lines: [
      {
        id: 'G1',
        style: 'Tee',
        cloth: asked.cloth ?? CLOTHS.navy,
        sizes: Object.entries(asked.sizes ?? { M: 60, L: 40 }).map(([size, quantity]) => ({
          size,
          quantity,
        })),
        group: 'one',
      },
    ],
    placements: [{ id: 'P1', where, width, height, sizes: 'all', inks, relations, ...asked.print }],
    ...asked.said,
  }
  const decisions: Decisions = {
    ...noDecisions('R-1-P1-one'),
    method: asked.method ?? {},
    overrides: {
      ...(asked.press === undefined ? { press: 'manual' } : { press: asked.press }),
      ...asked.overrides,
    },
    order: asked.order ?? [],
  }
  return { order, shop: { ...SHOP, ...asked.shop }, decisions }
}

export function planFor(asked: Asked = {}): RunPlan {
  const { order, shop, decisions } = jobFor(asked)
  return plan(order, shop, decisions)
}

/** The order of printing in one line: `base FLASH yellow`. */
export const sequenceOf = (p: RunPlan): string =>
  p.sequence.cells
    .map((c) => (c.kind === 'print' ? c.hitId : c.kind === 'flash' ? 'FLASH' : ''))
    .filter(Boolean)
    .join(' ')

export const rulesOf = (reasons: readonly Reason[]): readonly string[] => reasons.map((r) => r.rule)
