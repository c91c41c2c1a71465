import type { Plane } from './plane'
import { popcount } from './plane'

/** Side of a piece of a preview. */
export const PIECE = 256
/** Most that a preview is made smaller: 2^5 = 32 pixels of film for one shown. */
export const SMALLEST = 5

/**
 * Ink shares of a part of a film made smaller by 2^level, 0..255, row by row.
 *
 * @param level 0..5
 * @param left in pixels of the smaller film, as the other measures
 */
export function sharesOf(
  plane: Plane,
  level: number,
  left: number,
  top: number,
  width: number,
  height: number,
) {
  const side = 2 ** level
  const out = new Uint8Array(width * height)
  const mask = side === 32 ? 0xffffffff : (1 << side) - 1
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const px = (left + x) * side
      const py = (top + y) * side
      if (px < 0 || px >= plane.width || py < 0 || py >= plane.height) continue
      let ink = 0
      for (let r = py; r < Math.min(py + side, plane.height); r++)
        ink += popcount(((plane.bits[r * plane.stride + (px >> 5)] ?? 0) >>> (px & 31)) & mask)
      out[y * width + x] = Math.round((255 * ink) / (side * side))
    }
  return out
}
