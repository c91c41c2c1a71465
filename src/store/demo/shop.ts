import { DEFAULT_METHOD } from '@/core/advice'
import type { Blade, Frame, FrameState, ShelfInk, Shop } from '@/core/equipment'
import type { Cloth } from '@/core/order'
import { gsm, mm, perCm } from '@/core/quantity'

/** All invented. */
const frames = (
  mesh: number,
  ...stock: readonly (readonly [tension: number, state?: FrameState])[]
): Frame[] =>
  stock.map(([tension, state = 'clean'], i) => ({
    id: `F${mesh}-${i + 1}`,
    width: mm(580),
    height: mm(790),
    mesh: perCm(mesh),
    tension: tension * 100,
    state,
  }))

const blades = (
  ...rows: readonly (readonly [hardness: string, lengthMm: number, edge?: Blade['edge']])[]
): Blade[] =>
  rows.map(([hardness, length, edge = 'square'], i) => ({
    id: `B${i + 1}`,
    hardness,
    length: mm(length),
    edge,
  }))

export const DEMO_SHOP: Shop = {
  name: 'Gannet Wharf Printroom',
  method: DEFAULT_METHOD,
  presses: [
    {
      id: 'four',
      name: 'Carousel Four',
      kind: 'manual',
      heads: 6,
      pallets: 4,
      palletWidth: mm(406),
      palletHeight: mm(560),
      board: 'aluminium',
    },
    {
      id: 'six',
      name: 'Carousel Six',
      kind: 'manual',
      heads: 6,
      pallets: 6,
      palletWidth: mm(406),
      palletHeight: mm(560),
      board: 'aluminium',
    },
    {
      id: 'twelve',
      name: 'The Twelve',
      kind: 'automatic',
      palletWidth: mm(406),
      palletHeight: mm(560),
      board: 'aluminium',
      stations: Array.from({ length: 10 }, (_, i) => ({
        number: i + 1,
        usable: i + 1 !== 7,
        flashAllowed: i + 1 !== 7,
      })),
    },
    { id: 'bench', name: 'Bench', kind: 'bench', palletWidth: mm(455), palletHeight: mm(600), board: 'wood' },
  ],
  flashes: [
    { id: 'panel', name: 'Black panel', kind: 'panel', pressId: 'four' },
    { id: 'quartz', name: 'Quartz', kind: 'quartz', pressId: 'six' },
    { id: 'quartz-a', name: 'Quartz A', kind: 'quartz', pressId: 'twelve' },
    { id: 'quartz-b', name: 'Quartz B', kind: 'quartz', pressId: 'twelve' },
  ],
  dryers: [
    { id: 'one', name: 'Tunnel One', heatedLength: mm(2400), beltWidth: mm(900) },
    { id: 'two', name: 'Tunnel Two', heatedLength: mm(1200), beltWidth: mm(600) },
  ],
  frames: [
    ...frames(43, [26], [25.5], [25], [24]),
    ...frames(61, [26.5], [26], [25], [25], [17, 'tension']),
    ...frames(77, [26], [26], [25.5], [25], [24.5], [24]),
    ...frames(90, [27], [26.5], [26], [26], [25], [18, 'tension']),
    ...frames(120, [27], [26.5], [26], [16.5, 'tension'], [15, 'tension']),
  ],
  blades: blades(
    ['70', 140],
    ['70/90/70', 140],
    ['70', 300],
    ['70/90/70', 300],
    ['70', 240],
    ['70', 350],
    ['70', 380],
    ['70/90/70', 240],
    ['70/90/70', 350],
    ['70/90/70', 380],
    ['80', 350],
    ['80', 380],
    ['60', 350],
    ['90', 380],
  ),
}

const ink = (
  id: string,
  name: string,
  hex: string,
  opacity: ShelfInk['opacity'] = 'ordinary',
  character: ShelfInk['character'] = 'spot',
  system: ShelfInk['system'] = 'plastisol',
): ShelfInk => ({ id, name, hex, character, opacity, system })

export const DEMO_INKS: readonly ShelfInk[] = [
  ink('white', 'Harbour white', '#f4f4f0', 'blocking', 'white'),
  ink('black', 'Coal black', '#191a1b', 'blocking', 'black'),
  ink('red', 'Buoy red', '#b8232c', 'opaque'),
  ink('orange', 'Lifeboat orange', '#e2701d', 'opaque'),
  ink('yellow', 'Moon yellow', '#f1d768'),
  ink('light-green', 'Samphire green', '#93bf4f'),
  ink('green', 'Bottle green', '#1d4d33', 'opaque'),
  ink('sky', 'Comet blue', '#5b9bc9'),
  ink('blue', 'Harbour blue', '#1f3a7d', 'opaque'),
  ink('plum', 'Plum', '#4a2145', 'opaque'),
  ink('brown', 'Rope brown', '#6b4423', 'opaque'),
  ink('copper', 'Copper shimmer', '#b06a3d', 'opaque', 'metallic'),
  ink('raised', 'Raised chalk', '#dcdcd6', 'opaque', 'expanding'),
  ink('sand', 'Soft sand', '#c08a4e', 'transparent', 'spot', 'waterBased'),
  ink('sea', 'Soft sea green', '#3f6f6a', 'transparent', 'spot', 'waterBased'),
  ink('py', 'Process yellow', '#f7dc1e', 'transparent', 'yellow'),
  ink('pm', 'Process magenta', '#c4347c', 'transparent', 'magenta'),
  ink('pc', 'Process cyan', '#2196c9', 'transparent', 'cyan'),
  ink('pk', 'Process black', '#2a2a2c', 'ordinary', 'key'),
]

const cloth = (
  name: string,
  hex: string,
  weight: number,
  weave: Cloth['weave'] = 'jersey',
  polyester = 0,
): Cloth => ({ name, hex, weave, cotton: 1 - polyester, polyester, weight: gsm(weight) })

export const DEMO_CLOTHS: readonly Cloth[] = [
  cloth('Navy', '#1f2a44', 180),
  cloth('Heather grey', '#b3b5b8', 180),
  cloth('Charcoal', '#3b3d40', 180),
  cloth('White', '#f6f6f6', 160),
  cloth('Black', '#1e1f21', 180),
  cloth('Black hood', '#1e1f21', 330, 'fleece'),
  cloth('Maroon polyester', '#5b1a2b', 140, 'jersey', 1),
  cloth('Natural organic', '#ece3d0', 170),
  cloth('Rust canvas', '#9c4a2a', 300, 'canvas'),
  cloth('Marigold sweat', '#f0ae1f', 280, 'fleece', 0.2),
]
