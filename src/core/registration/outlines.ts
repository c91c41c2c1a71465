import { q, type Reason, type ShopMethod } from '../advice'
import { isPrinted, type Order, type Placement, sizeOf, splitOrder, WHERES, type Where } from '../order'
import { type Length, mm } from '../quantity'
import { REGISTRATION } from './definition'
import { artAt, placedOn } from './placement'

/** Sides of a body on which prints can meet; what goes elsewhere meets nothing. */
const SIDE: Readonly<Partial<Record<Where, 'front' | 'back'>>> = {
  front: 'front',
  leftChest: 'front',
  pocket: 'front',
  back: 'back',
  backNeck: 'back',
  hemCorner: 'front',
  pouch: 'front',
}

interface Outline {
  readonly left: Length
  readonly right: Length
  readonly top: Length
  readonly bottom: Length
}

/** What two outlines may share before they are said to lie on one another. */
const GRAZE = mm(5)
/** Prints nearer than this are worth a look: cloth lands a little differently each time (assumed). */
const NEAR = mm(10)

/** A print on a size, from the centre line and the collar seam, metres; none where it is not printed on that size. */
function outlineOn(
  order: Order,
  placement: Placement,
  size: string,
  method: ShopMethod,
): Outline | undefined {
  if (!isPrinted(size, placement.sizes)) return undefined
  const run = splitOrder(order).find((r) => r.placement.id === placement.id)
  const placed = run && placedOn(run, method, {})
  const group = placed?.groups.find((g) => g.sizes.includes(size))
  if (!placed || !group) return undefined
  const { width, height } = placement
  const { x, y } = artAt(placement, placed.origin, group)
  // What is laid by the hem is turned round to lie as the others do.
  const [left, top] = placed.origin === 'hem' ? [-x - width, sizeOf(size).length - y - height] : [x, y]
  return { left, right: left + width, top, bottom: top + height }
}

const shared = (a: Outline, b: Outline): Length =>
  Math.min(
    Math.min(a.right, b.right) - Math.max(a.left, b.left),
    Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top),
  )

/** Prints of one garment whose outlines lie on one another, and on which sizes. */
export function overlappingPrints(order: Order, of: Placement, method: ShopMethod): readonly Reason[] {
  const sizes = [
    ...new Set(order.lines.flatMap((l) => l.sizes.filter((s) => s.quantity > 0).map((s) => s.size))),
  ].sort((a, b) => sizeOf(a).halfChest - sizeOf(b).halfChest)
  return order.placements.flatMap((other) => {
    if (
      other.inks.length === 0 ||
      other.id === of.id ||
      SIDE[of.where] === undefined ||
      SIDE[other.where] !== SIDE[of.where]
    )
      return []
    const on = sizes.flatMap((size) => {
      const [a, b] = [of, other].map((p) => outlineOn(order, p, size, method))
      const common = a && b ? shared(a, b) : Number.NEGATIVE_INFINITY
      return common > -NEAR ? [{ size, common }] : []
    })
    const most = Math.max(...on.map((o) => o.common))
    if (on.length === 0) return []
    const told = {
      a: WHERES[of.where],
      b: WHERES[other.where].toLowerCase(),
      sizes: on.map((o) => o.size).join(', '),
      over: q('length', Math.abs(most)),
    }
    return [REGISTRATION.because(most > GRAZE ? 'PRINTS_OVERLAP' : 'PRINTS_NEAR', told)]
  })
}
