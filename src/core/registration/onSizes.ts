import { numberOf, q, type Reason } from '../advice'
import { isPrinted, type Placement, sizeOf } from '../order'
import { type Length, mm } from '../quantity'
import { REGISTRATION } from './definition'
import { NECK_DROP, type PlacementAdvice, POCKET_SIDE } from './placement'

/** Nearer to a seam a print meets its bulk: it is told (from memory). */
const TO_SEAM: Length = mm(50)

/** A print on a garment of one size: metres from the centre line to the right as it is seen, and from the collar seam down. */
export interface OnSize {
  readonly size: string
  readonly chest: Length
  readonly length: Length
  readonly group: PlacementAdvice['groups'][number]
  readonly art: { readonly x: Length; readonly y: Length; readonly width: Length; readonly height: Length }
  /** From the art to the nearer side seam, below nothing where it runs over it; from the art to the hem. */
  readonly toSeam: Length
  readonly toHem: Length
  readonly state: 'clear' | 'near' | 'over'
  readonly reasons: readonly Reason[]
}

/** Prints that lie on a body; all others have no garment outline that is known. */
const BODY: ReadonlySet<string> = new Set(['front', 'back', 'leftChest', 'pocket', 'backNeck', 'neckLabel'])

/** Where the art lies on each size of a run, smallest first; nothing for prints that lie on no body. */
export function onSizes(
  placement: Placement,
  { groups, origin }: Pick<PlacementAdvice, 'groups' | 'origin'>,
): readonly OnSize[] {
  if (!BODY.has(placement.where)) return []
  const { width, height, where } = placement
  const found = groups.flatMap((group) =>
    group.sizes
      .filter((size) => isPrinted(size, placement.sizes))
      .map((size): OnSize => {
        const { halfChest: chest, length } = sizeOf(size)
        const middle = group.side ? numberOf(group.side) : where === 'pocket' ? POCKET_SIDE : 0
        const y = numberOf(group.down) - (origin === 'shoulder' ? NECK_DROP : 0)
        const toSeam = chest / 2 - Math.abs(middle) - width / 2
        const toHem = length - y - height
        const least = Math.min(toSeam, toHem)
        const state = least < 0 ? 'over' : toSeam < TO_SEAM - 1e-9 ? 'near' : 'clear'
        const told = { size, chest: q('length', chest), left: q('length', Math.abs(least)) }
        // What is too wide here is an artwork of its own, as wide as leaves room at both seams.
        const fits = chest - 2 * TO_SEAM - 2 * Math.abs(middle)
        return {
          size,
          chest,
          length,
          group,
          art: { x: middle - width / 2, y, width, height },
          toSeam,
          toHem,
          state,
          reasons: [
            REGISTRATION.because(
              state === 'over' ? 'SIZE_OVER' : state === 'near' ? 'SIZE_NEAR' : 'SIZE_CLEAR',
              told,
            ),
            ...(state !== 'clear' && fits > 0 && toHem >= 0
              ? [REGISTRATION.because('SIZE_SECOND', { size, width: q('length', fits) })]
              : []),
          ],
        }
      }),
  )
  return found.sort((a, b) => a.chest - b.chest)
}
