import { type NumberAdvice, type Overrides, q, type Reason, type ShopMethod } from '../advice'
import type { Press } from '../equipment'
import { type Placement, type Run, sizeOf, sizesOf, type Where } from '../order'
import { type Length, mm } from '../quantity'
import { REGISTRATION } from './definition'
import { groupsOf, type Origin, type PlacedGroup, type Spot } from './sizeGroups'

/** The shoulder seam at the neck lies so much above the collar seam in front, adult (assumed). */
export const NECK_DROP = mm(75)

/** A pocket lies about so far to the wearer's left (from memory). */
export const POCKET_SIDE = mm(100)

const COLLAR = 'Below the collar'
const SPOTS: Readonly<Record<Exclude<Where, 'front'>, Spot>> = {
  back: { rule: 'PLACE_BACK', down: [102, 114, 127], label: COLLAR, origin: 'collar' },
  leftChest: {
    rule: 'PLACE_CHEST',
    down: [89, 95, 102],
    label: 'Below the shoulder seam',
    side: [102, 115, 152],
    origin: 'shoulder',
  },
  pocket: { rule: 'PLACE_POCKET', down: [145, 152, 160], label: COLLAR, origin: 'collar' },
  neckLabel: { rule: 'PLACE_NECK', down: [20, 30, 40], label: COLLAR, origin: 'collar' },
  backNeck: { rule: 'PLACE_NAPE', down: [25, 40, 60], label: COLLAR, origin: 'collar' },
  hemCorner: { rule: 'PLACE_CORNER', down: [40, 60, 90], label: 'Above the hem', origin: 'hem' },
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

export interface PlacementAdvice {
  /** The films are taped for the first; garments of the others are moved. */
  readonly groups: readonly PlacedGroup[]
  /** What `down` is measured from. */
  readonly origin: Origin
  readonly reasons: readonly Reason[]
}

const chestOf = (size: string): Length => sizeOf(size).halfChest

/** Where the print sits on the pallet, by group of sizes, and what does not fit. */
export const placeOn = (
  run: Run,
  press: Press,
  method: ShopMethod,
  overrides: Overrides,
): PlacementAdvice => ({
  ...placedOn(run, method, overrides),
  reasons: whatDoesNotFit(run, sizesOf(run), press),
})

/** The same on any pallet. */
export function placedOn(
  run: Run,
  method: ShopMethod,
  overrides: Overrides,
): Omit<PlacementAdvice, 'reasons'> {
  const { where } = run.placement
  const spot = where === 'front' ? frontSpot(method) : SPOTS[where]
  return { groups: groupsOf(spot, sizesOf(run), method, overrides), origin: spot.origin }
}

/** Whether a print lies on the pallets of a press; an item that goes off the pallet needs none. */
export const liesOnPallet = ({ where, width, height }: Placement, press: Press): boolean =>
  where === 'offPallet' || (width <= press.palletWidth + 1e-9 && height <= press.palletHeight + 1e-9)

const WIDEST = mm(305)
const SMALL_SIZES = new Set(['5-6', '7-8', '9-11', '12-13', 'XS', 'S'])
const TO_SEAM = mm(50)

function whatDoesNotFit(run: Run, sizes: readonly string[], press: Press): Reason[] {
  const { width, height, where } = run.placement
  const reasons: Reason[] = []
  const onBody = where === 'front' || where === 'back'
  const by = (on: readonly string[]) => [...on].sort((a, b) => chestOf(a) - chestOf(b))
  const beyond = by(sizes.filter((s) => width > chestOf(s) + 1e-9))
  const tight = by(sizes.filter((s) => !beyond.includes(s) && width > chestOf(s) - 2 * TO_SEAM + 1e-9))
  // Each size is told once, with the worst that holds for it.
  const small = sizes.filter((s) => SMALL_SIZES.has(s) && !beyond.includes(s) && !tight.includes(s))
  const chests = (on: readonly string[]) => ({ kind: 'length' as const, values: on.map(chestOf) })
  if (onBody && width > WIDEST + 1e-9 && small.length > 0)
    reasons.push(
      REGISTRATION.because('WIDTH_SMALL', {
        width: q('length', width),
        limit: q('length', WIDEST),
        sizes: small.join(', '),
      }),
    )
  if (onBody && beyond.length > 0)
    reasons.push(
      REGISTRATION.because('WIDTH_BEYOND', {
        sizes: beyond.join(', '),
        chests: chests(beyond),
        width: q('length', width),
      }),
    )
  if (onBody && tight.length > 0)
    reasons.push(
      REGISTRATION.because('WIDTH_SEAM', {
        sizes: tight.join(', '),
        chests: chests(tight),
        width: q('length', width),
        beside: q('length', TO_SEAM),
      }),
    )
  if (!liesOnPallet(run.placement, press))
    reasons.push(
      REGISTRATION.because('PALLET_NARROW', {
        width: q('length', width),
        height: q('length', height),
        press: press.name,
        palletWidth: q('length', press.palletWidth),
        palletHeight: q('length', press.palletHeight),
      }),
    )
  return reasons
}

/** More than one screen on an item that cannot go over a pallet. */
export const offPalletStop = (run: Run, screens: number): readonly Reason[] =>
  run.placement.where === 'offPallet' && screens > 1
    ? [REGISTRATION.because('OFF_PALLET', { screens: q('count', screens) })]
    : []
