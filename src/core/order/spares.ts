import { q, type Reason } from '../advice'
import type { Share } from '../quantity'
import { ORDER } from './definition'
import type { Order, SizeQuantity } from './order'

/** Share to hold ready, by how many colours the print with the most has (common practice: 2 to 3 %, more for many colours). */
const SPARE: readonly { readonly upTo: number; readonly share: Share }[] = [
  { upTo: 3, share: 0.02 },
  { upTo: 6, share: 0.03 },
  { upTo: Number.POSITIVE_INFINITY, share: 0.05 },
]

export interface Spares {
  readonly total: number
  /** Pieces of each size of the garment line, in its order. */
  readonly bySize: readonly SizeQuantity[]
  readonly reason: Reason
}

/**
 * How many garments more to order than are wanted: some are spoiled. Shared out over the sizes by their pieces; the largest
 * remainders take what is left, so that the sizes make up the total.
 */
export function sparesOf(sizes: readonly SizeQuantity[], colours: number): Spares {
  const pieces = sizes.reduce((sum, s) => sum + s.quantity, 0)
  const share = SPARE.find((s) => colours <= s.upTo)?.share ?? 0
  const total = Math.max(0, Math.ceil(pieces * share - 1e-9))
  const wanted = sizes.map((s) => (pieces > 0 ? (s.quantity / pieces) * total : 0))
  const whole = wanted.map(Math.floor)
  const left = total - whole.reduce((a, b) => a + b, 0)
  const more = new Set(
    wanted
      .map((x, i) => ({ i, rest: x - Math.floor(x) }))
      .sort((a, b) => b.rest - a.rest || (sizes[b.i]?.quantity ?? 0) - (sizes[a.i]?.quantity ?? 0))
      .slice(0, left)
      .map(({ i }) => i),
  )
  return {
    total,
    bySize: sizes.map(({ size }, i) => ({ size, quantity: (whole[i] ?? 0) + (more.has(i) ? 1 : 0) })),
    reason: ORDER.because('SPARES', {
      pieces: q('count', pieces),
      colours: q('count', colours),
      share: q('share', share),
      spares: q('count', total),
    }),
  }
}

/** Colours of the print of an order that has the most. */
export const mostColours = (order: Pick<Order, 'placements'>): number =>
  Math.max(0, ...order.placements.map((p) => p.inks.length))

/** What came in of a size against what is ordered: below nothing is short, above it spare. Undefined while it was not counted. */
export const cameOver = ({ quantity, received }: SizeQuantity): number | undefined =>
  received === undefined ? undefined : received - quantity
