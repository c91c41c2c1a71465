import { q, type Reason } from '../advice'
import type { Length } from '../quantity'
import { REGISTRATION } from './definition'
import type { FilmPosition } from './filmPosition'

/** Nobody lays or slides finer, metres. */
const SEEN: Length = 0.0005

/**
 * What to do where the art does not lie on the screen where it was planned: the board is slid under it, or garments are laid to
 * another line. Inverse of the film position.
 *
 * @param topMark measured on the screen, from the frame's outer edge at the collar end to the centre of the top mark, metres
 * @returns how far the board goes towards the hem of the garment, and why
 */
export function boardUnder(
  position: Pick<FilmPosition, 'topMark'>,
  topMark: Length,
): { readonly slide: Length; readonly reason: Reason } {
  const off = topMark - position.topMark
  const slide = Math.abs(off) < SEEN ? 0 : off
  const inputs = {
    found: q('length', topMark),
    planned: q('length', position.topMark),
    off: q('length', Math.abs(slide)),
  }
  if (slide === 0) return { slide, reason: REGISTRATION.because('BOARD_LIES', inputs) }
  return {
    slide,
    reason: REGISTRATION.because(slide > 0 ? 'BOARD_FARTHER' : 'BOARD_NEARER', inputs),
  }
}
