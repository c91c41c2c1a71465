import { q, type Reason } from '../advice'
import type { MeshCount, Ruling, Share } from '../quantity'
import { ARTWORK } from './definition'
import type { FilmFacts, Place } from './facts'

/**
 * The smallest tint whose dots a mesh holds: a dot as wide as a thread pitch (assumed; a shop's own wedge tells better).
 *
 * @param mesh threads a metre
 * @param ruling lines a metre
 */
export const smallestDot = (mesh: MeshCount, ruling: Ruling): Share => (Math.PI / 4) * (ruling / mesh) ** 2

/** Tints below this are not meant to print. */
const MEANT: Share = 0.01

export interface LostDots {
  readonly reason: Reason
  readonly place: Place | undefined
}

/**
 * Tints of a film that its mesh would not hold: its lightest by their dots, its darkest by their holes.
 *
 * @param fabrics mesh counts of the shop
 */
export function lostDots(
  film: string,
  { halftones }: Pick<FilmFacts, 'halftones'>,
  mesh: MeshCount,
  fabrics: readonly MeshCount[],
): readonly LostDots[] {
  return halftones
    .filter((h) => h.sure && h.shape !== 'lines')
    .flatMap((h) => {
      const least = smallestDot(mesh, h.ruling)
      const told = (rule: 'DOTS_LOST' | 'HOLES_LOST', tint: Share, place: Place | undefined): LostDots[] => {
        const size = rule === 'DOTS_LOST' ? tint : 1 - tint
        if (size < MEANT || size >= least) return []
        const holds = [...fabrics].sort((a, b) => a - b).find((m) => smallestDot(m, h.ruling) <= size)
        const inputs = {
          film,
          tint: q('share', tint),
          ruling: q('ruling', h.ruling),
          mesh: q('meshCount', mesh),
          limit: q('share', rule === 'DOTS_LOST' ? least : 1 - least),
        }
        const reason = holds
          ? ARTWORK.because(rule, { ...inputs, holds: q('meshCount', holds) })
          : ARTWORK.because(`${rule}_NONE`, inputs)
        return [{ reason, place }]
      }
      return [...told('DOTS_LOST', h.tints[0], h.lightest), ...told('HOLES_LOST', h.tints[1], h.darkest)]
    })
}
