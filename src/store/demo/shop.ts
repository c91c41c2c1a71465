import { DEFAULT_METHOD } from '@/core/advice'
import { bladeStock, frameStock, type ShelfInk, type Shop, shelfCloth, shelfInk, USUAL_HOURS } from '@/core/equipment'
import type { Cloth } from '@/core/order'
import { mm } from '@/core/quantity'

/** All invented. */
export const DEMO_SHOP: Shop = {
  name: 'Gannet Wharf Printroom',
  method: DEFAULT_METHOD,
  presses: [
    {
      id: 'four',
      name: 'Carousel Four',
      kind: 'manual',
      heads: 6, down: [],
      pallets: 4,
      palletWidth: mm(406),
      palletHeight: mm(560),
      board: 'aluminium',
    },
    {
      id: 'six',
      name: 'Carousel Six',
      kind: 'manual',
      heads: 6, down: [],
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
    ...frameStock(43, [26], [25.5], [25], [24]),
    ...frameStock(61, [26.5], [26], [25], [25], [17, 'tension']),
    ...frameStock(77, [26], [26], [25.5], [25], [24.5], [24]),
    ...frameStock(90, [27], [26.5], [26], [26], [25], [18, 'tension']),
    ...frameStock(120, [27], [26.5], [26], [16.5, 'tension'], [15, 'tension']),
  ],
  blades: bladeStock(
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
  hours: { ...USUAL_HOURS, to: 16.5 * 3600 },
}

export const DEMO_INKS: readonly ShelfInk[] = [
  shelfInk('white', 'Harbour white', '#f4f4f0', 'blocking', 'white'),
  shelfInk('black', 'Coal black', '#191a1b', 'blocking', 'black'),
  shelfInk('red', 'Buoy red', '#b8232c', 'opaque'),
  shelfInk('orange', 'Lifeboat orange', '#e2701d', 'opaque'),
  shelfInk('yellow', 'Moon yellow', '#f1d768'),
  shelfInk('light-green', 'Samphire green', '#93bf4f'),
  shelfInk('green', 'Bottle green', '#1d4d33', 'opaque'),
  shelfInk('sky', 'Comet blue', '#5b9bc9'),
  shelfInk('blue', 'Harbour blue', '#1f3a7d', 'opaque'),
  shelfInk('plum', 'Plum', '#4a2145', 'opaque'),
  shelfInk('brown', 'Rope brown', '#6b4423', 'opaque'),
  shelfInk('copper', 'Copper shimmer', '#b06a3d', 'opaque', 'metallic'),
  shelfInk('raised', 'Raised chalk', '#dcdcd6', 'opaque', 'expanding'),
  shelfInk('sand', 'Soft sand', '#c08a4e', 'transparent', 'spot', 'waterBased'),
  shelfInk('sea', 'Soft sea green', '#3f6f6a', 'transparent', 'spot', 'waterBased'),
  shelfInk('py', 'Process yellow', '#f7dc1e', 'transparent', 'yellow'),
  shelfInk('pm', 'Process magenta', '#c4347c', 'transparent', 'magenta'),
  shelfInk('pc', 'Process cyan', '#2196c9', 'transparent', 'cyan'),
  shelfInk('pk', 'Process black', '#2a2a2c', 'ordinary', 'key'),
]

export const DEMO_CLOTHS: readonly Cloth[] = [
  shelfCloth('Navy', '#1f2a44', 180),
  shelfCloth('Heather grey', '#b3b5b8', 180),
  shelfCloth('Charcoal', '#3b3d40', 180),
  shelfCloth('White', '#f6f6f6', 160),
  shelfCloth('Black', '#1e1f21', 180),
  shelfCloth('Black hood', '#1e1f21', 330, 'fleece'),
  shelfCloth('Maroon polyester', '#5b1a2b', 140, 'jersey', 1),
  shelfCloth('Natural organic', '#ece3d0', 170),
  shelfCloth('Rust canvas', '#9c4a2a', 300, 'canvas'),
  shelfCloth('Marigold sweat', '#f0ae1f', 280, 'fleece', 0.2),
]
