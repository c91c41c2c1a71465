import type { Length } from '../quantity'
import type { FilmSet } from './facts'
import { type Art, moved } from './film'
import { combined, drawnIn, grown } from './grow'
import type { Plane } from './plane'

/**
 * Chokes and traps mended on the films themselves, by the distance of each pixel to the edge (geometry): marks, labels and all
 * that lies away from the edge stay as they are, pixel by pixel.
 */

/** An edge lies half a pixel from the middle of its last one; what is asked for is held, not fallen short of. */
const HALF = 0.5
/** Base that stands out farther than this beside its colours is meant to show as white. */
const MEANT_MM = 1

const art = (set: FilmSet, i: number): Art => {
  const found = set.arts[i]
  if (!found) throw new RangeError(`There is no film ${i}`)
  return found
}

/** A film as it was brought, laid in the frame of its set: with marks and labels. */
const whole = ({ film, shift }: Art): Plane => moved(film.packed.bits, shift)

/**
 * A base drawn in under its colours by a choke. Where it is meant to show as white it is not drawn in.
 *
 * @param needing films that have the base under them
 * @param choke metres, 0 to 0.002
 */
export function chokedBase(set: FilmSet, base: number, needing: readonly number[], choke: Length): Plane {
  const white = art(set, base)
  const px = 0.0254 / white.film.dpi
  const [first, ...rest] = needing.map((i) => art(set, i).regions)
  if (!first) return whole(white)
  const colours = combined([first, ...rest], (...words) => words.reduce((a, b) => a | b, 0))
  const mm = white.film.dpi / 25.4
  const bare = combined([white.regions, colours], (w = 0, u = 0) => w & ~u)
  const far = combined([bare, grown(colours, MEANT_MM * mm)], (b = 0, near = 0) => b & ~near)
  const meant = combined([bare, grown(far, 2 * MEANT_MM * mm)], (b = 0, near = 0) => b & near)
  const held = combined([colours, meant], (u = 0, m = 0) => u | m)
  const inside = drawnIn(held, choke / px + HALF)
  return combined(
    [whole(white), white.print, inside],
    (all = 0, print = 0, stays = 0) => all & ~(print & ~stays),
  )
}

/**
 * A colour spread under another where they meet, so that a miss of `trap` opens nothing.
 *
 * @param under the film it is spread into; nothing is added outside of its ink
 * @param trap metres, 0 to 0.002
 */
export function spreadUnder(set: FilmSet, colour: number, under: number, trap: Length): Plane {
  const own = art(set, colour)
  const other = art(set, under)
  const px = 0.0254 / own.film.dpi
  const wide = grown(own.regions, trap / px + HALF)
  return combined([whole(own), wide, other.regions], (all = 0, w = 0, u = 0) => all | (w & u))
}

/** Greys of a plane: ink black. */
export function greyOf(plane: Plane): Uint8Array {
  const grey = new Uint8Array(plane.width * plane.height).fill(255)
  for (let y = 0; y < plane.height; y++)
    for (let w = 0; w < plane.stride; w++) {
      const word = plane.bits[y * plane.stride + w] ?? 0
      if (word === 0) continue
      for (let b = 0; b < 32; b++) if ((word >>> b) & 1) grey[y * plane.width + w * 32 + b] = 0
    }
  return grey
}
