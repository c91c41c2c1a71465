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

/** More where it was never printed before: the first garments go until it stands (assumed). */
const FIRST: Share = 0.01

export interface Spares {
  readonly total: number
  /** Pieces of each size of the garment line, in its order. */
  readonly bySize: readonly SizeQuantity[]
  readonly reasons: readonly Reason[]
}

/**
 * How many garments more to order than are wanted: some are spoiled. Shared out over the sizes by their pieces; the largest
 * remainders take what is left, so that the sizes make up the total.
 *
 * @param isFirst the job was never printed before
 */
export function sparesOf(sizes: readonly SizeQuantity[], colours: number, isFirst = false): Spares {
  const pieces = sizes.reduce((sum, s) => sum + s.quantity, 0)
  const share = (SPARE.find((s) => colours <= s.upTo)?.share ?? 0) + (isFirst ? FIRST : 0)
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
    reasons: [
      ORDER.because('SPARES', {
        pieces: q('count', pieces),
        colours: q('count', colours),
        share: q('share', share),
        spares: q('count', total),
      }),
      ...(isFirst ? [ORDER.because('SPARES_FIRST', { more: q('share', FIRST) })] : []),
    ],
  }
}

/** Colours of the print of an order that has the most. */
export const mostColours = (order: Pick<Order, 'placements'>): number =>
  Math.max(0, ...order.placements.map((p) => p.inks.length))

/** Pieces of some sizes that were counted in short; what was not counted is taken as whole. */
export const cameShort = (sizes: readonly SizeQuantity[]): number =>
  sizes.reduce((sum, s) => sum + Math.max(0, -(cameOver(s) ?? 0)), 0)

/** What came in of a size against what is ordered: below nothing is short, above it spare. Undefined while it was not counted. */
export const cameOver = ({ quantity, received }: SizeQuantity): number | undefined =>
  received === undefined ? undefined : received - quantity
