import { type NumberAdvice, numberOf, type Overrides, type Reason, type ShopMethod } from '../advice'
import { type Placement, type Run, sizesOf, type Where } from '../order'
import { type Length, mm } from '../quantity'
import { groupsOf, type Origin, type PlacedGroup, type Spot } from './sizeGroups'

/** The shoulder seam at the neck lies so much above the collar seam in front, adult (assumed). */
export const NECK_DROP = mm(75)

const COLLAR = 'Below the collar'
const SPOTS: Readonly<Record<Exclude<Where, 'front'>, Spot>> = {
  back: { rule: 'PLACE_BACK', down: [102, 114, 127], label: COLLAR, origin: 'collar' },
  leftChest: {
    rule: 'PLACE_CHEST',
    down: [89, 95, 102],
    label: 'Below the shoulder seam',
    side: { rule: 'PLACE_CHEST_SIDE', of: [102, 115, 152] },
    origin: 'shoulder',
  },
  pocket: {
    rule: 'PLACE_POCKET',
    down: [145, 152, 160],
    label: COLLAR,
    side: { rule: 'PLACE_SIDE', of: [90, 100, 110] },
    origin: 'collar',
  },
  neckLabel: { rule: 'PLACE_NECK', down: [20, 30, 40], label: COLLAR, origin: 'collar' },
  backNeck: { rule: 'PLACE_NAPE', down: [25, 40, 60], label: COLLAR, origin: 'collar' },
  hemCorner: {
    rule: 'PLACE_CORNER',
    down: [40, 60, 90],
    label: 'Above the hem',
    side: { rule: 'PLACE_SIDE', of: [100, 140, 180] },
    origin: 'hem',
  },
  pouch: { rule: 'PLACE_POUCH', down: [110, 130, 160], label: 'Above the hem', origin: 'hem' },
  allOver: { rule: 'PLACE_ALL', down: [0, 10, 40], label: COLLAR, origin: 'collar' },
  hood: { rule: 'PLACE_HOOD', down: [40, 50, 75], label: 'From the hood’s edge', origin: 'edge' },
  leg: { rule: 'PLACE_LEG', down: [60, 100, 150], label: 'Above the leg hem', origin: 'hem' },
  sleeve: { rule: 'PLACE_SLEEVE', down: [15, 25, 40], label: 'Above the hem', origin: 'hem' },
  offPallet: { rule: 'PLACE_OFF', down: [30, 50, 80], label: 'Below the edge', origin: 'edge' },
}
const frontSpot = (method: ShopMethod): Spot =>
  method.placement === 'palm'
    ? { rule: 'PLACE_PALM', down: [90, 100, 110], label: COLLAR, origin: 'collar' }
    : { rule: 'PLACE_HIGH', down: [64, 70, 76], label: COLLAR, origin: 'collar' }

/** Distances aside, each once. */
export const sidesOf = ({ groups }: Pick<PlacementAdvice, 'groups'>): readonly NumberAdvice[] => [
  ...new Map(groups.flatMap(({ side }) => (side ? [[side.key, side] as const] : []))).values(),
]

/** To the right as the loader sees it: the wearer's left lies there with the collar away, and to the left with the hem away. */
export const seenAside = (origin: Origin, side: Length): Length => (origin === 'hem' ? -side : side)

/** The top left corner of a print on its pallet: metres to the right of the centre line, and down from the collar seam, hem or edge that lies at the end. */
export const artAt = (
  { width }: Pick<Placement, 'width'>,
  origin: Origin,
  { down, side }: Pick<PlacedGroup, 'down' | 'side'>,
): { readonly x: Length; readonly y: Length } => ({
  x: (side ? seenAside(origin, numberOf(side)) : 0) - width / 2,
  y: numberOf(down) - (origin === 'shoulder' ? NECK_DROP : 0),
})

export interface PlacementAdvice {
  /** The films are taped for the first; garments of the others are moved. */
  readonly groups: readonly PlacedGroup[]
  /** What `down` is measured from. */
  readonly origin: Origin
  readonly reasons: readonly Reason[]
}

/** Where the print sits on any pallet, by group of sizes. */
export function placedOn(
  run: Run,
  method: ShopMethod,
  overrides: Overrides,
): Omit<PlacementAdvice, 'reasons'> {
  const { where } = run.placement
  const spot = where === 'front' ? frontSpot(method) : SPOTS[where]
  return { groups: groupsOf(spot, sizesOf(run), method, overrides), origin: spot.origin }
}
