import { DEFAULT_METHOD } from '../advice'
import { mm } from '../quantity'
import { type Dryer, type FlashUnit, type Frame, type Press, USUAL_HOURS } from './equipment'
import type { ShopAndShelf } from './parts'
import { USUAL_PRICES } from './prices'
import { rackOfShelf, USUAL_INK_ROOM } from './rack'
import { USUAL_SCREENS } from './screenRoom'
import { frameStock, shelfCloth, shelfInk, squeegeeStock } from './stock'

const PALLET = { palletWidth: mm(406), palletHeight: mm(560), palletMaterial: 'aluminium' } as const
const bench: Press = { id: 'bench', name: 'Bench', kind: 'bench', ...PALLET, palletMaterial: 'wood' }
const carousel = (id: string, name: string, heads: number, pallets: number): Press => ({
  id,
  name,
  kind: 'manual',
  heads,
  pallets,
  down: [],
  ...PALLET,
})
const automatic = (id: string, name: string, stations: number): Press => ({
  id,
  name,
  kind: 'automatic',
  stations: Array.from({ length: stations }, (_, i) => ({ number: i + 1, usable: true, flashAllowed: true })),
  ...PALLET,
})
const flash = (id: string, name: string, kind: FlashUnit['kind'], pressId: string): FlashUnit => ({
  id,
  name,
  kind,
  pressId,
  takes: 1,
})
const tunnel = (length: number, belt: number): Dryer => ({
  id: 'tunnel',
  name: 'Tunnel',
  heatedLength: mm(length),
  beltWidth: mm(belt),
})

const INKS = [
  shelfInk('white', 'White', '#f4f4f0', 'blocking', 'white'),
  shelfInk('black', 'Black', '#191a1b', 'blocking', 'black'),
  shelfInk('red', 'Red', '#b8232c'),
  shelfInk('orange', 'Orange', '#e2701d', 'opaque'),
  shelfInk('yellow', 'Yellow', '#f1d02c'),
  shelfInk('green', 'Green', '#1d6d43', 'opaque'),
  shelfInk('sky', 'Sky blue', '#5b9bc9'),
  shelfInk('blue', 'Deep blue', '#1f3a7d', 'opaque'),
]
const CLOTHS = [
  shelfCloth('White', '#f6f6f6', 160),
  shelfCloth('Black', '#1e1f21', 180),
  shelfCloth('Navy', '#1f2a44', 180),
  shelfCloth('Heather grey', '#b3b5b8', 180),
  shelfCloth('Natural', '#ece3d0', 170),
]
const SQUEEGEES = squeegeeStock(['70', 240], ['70', 300], ['70', 350], ['70/90/70', 350], ['80', 350])

const shop = (
  presses: readonly Press[],
  flashes: readonly FlashUnit[],
  dryers: readonly Dryer[],
  frames: readonly Frame[],
): ShopAndShelf => ({
  shop: {
    name: '',
    method: { ...DEFAULT_METHOD, cure: dryers.length > 0 ? 'tunnel' : 'panel' },
    presses,
    flashes,
    dryers,
    frames,
    squeegees: SQUEEGEES,
    hours: USUAL_HOURS,
    screens: USUAL_SCREENS,
    inkRoom: { ...USUAL_INK_ROOM, rack: rackOfShelf(INKS, DEFAULT_METHOD.ink) },
    prices: USUAL_PRICES,
    approved: [],
  },
  inks: INKS,
  cloths: CLOTHS,
})

const good = (n: number) => Array.from({ length: n }, () => [25] as const)

/** What a new shop starts from; everything can be changed later. Sizes are common ones, from memory. */
export const TEMPLATES: readonly {
  readonly id: string
  readonly name: string
  readonly says: string
  readonly shelf: ShopAndShelf
}[] = [
  {
    id: 'bench',
    name: 'A bench',
    says: 'One hinge, a heat gun or flash panel that also cures, a handful of frames.',
    shelf: shop(
      [bench],
      [flash('panel', 'Flash panel', 'panel', 'bench')],
      [],
      [...frameStock(43, ...good(2)), ...frameStock(77, ...good(3))],
    ),
  },
  {
    id: 'manual',
    name: 'One manual carousel',
    says: 'Six heads, four pallets, one flash, a short tunnel.',
    shelf: shop(
      [carousel('one', 'Carousel', 6, 4)],
      [flash('panel', 'Flash panel', 'panel', 'one')],
      [tunnel(1200, 600)],
      [...frameStock(43, ...good(3)), ...frameStock(61, ...good(4)), ...frameStock(90, ...good(4))],
    ),
  },
  {
    id: 'twoManual',
    name: 'Two manual carousels',
    says: 'One with four pallets and one with six, a flash at each, one tunnel between them.',
    shelf: shop(
      [carousel('one', 'Carousel One', 6, 4), carousel('two', 'Carousel Two', 6, 6)],
      [flash('panel', 'Flash panel', 'panel', 'one'), flash('quartz', 'Quartz', 'quartz', 'two')],
      [tunnel(2400, 900)],
      [43, 61, 77, 90].flatMap((mesh) => frameStock(mesh, ...good(5))),
    ),
  },
  {
    id: 'automatic',
    name: 'An automatic',
    says: 'Ten usable stations, two flashes that move between them, a manual carousel for short runs.',
    shelf: shop(
      [automatic('auto', 'Automatic', 10), carousel('one', 'Carousel', 6, 4)],
      [
        flash('quartz-a', 'Quartz A', 'quartz', 'auto'),
        flash('quartz-b', 'Quartz B', 'quartz', 'auto'),
        flash('panel', 'Flash panel', 'panel', 'one'),
      ],
      [tunnel(3000, 1200)],
      [43, 61, 77, 90, 120].flatMap((mesh) => frameStock(mesh, ...good(6))),
    ),
  },
]
