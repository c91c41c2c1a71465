import type { GreyImage } from './levels'
import type { Packed } from './pack'
import { CELL, TILE } from './plane'

/** A cell is grey when its mean lies between these, and all of its pixels within this of each other. */
const GREY = [0.1, 0.9] as const
const EVEN = 0.3 * 255

/** Film that is grey all over, in pixels: what was never screened prints solid or not at all. */
export function greyIn(image: GreyImage, { bits, cells }: Packed, table: Uint8Array): number {
  const columns = (bits.tilesX * TILE) / CELL
  let sum = 0
  for (let c = 0; c < cells.length; c++) {
    const share = (cells[c] ?? 0) / (255 * CELL * CELL)
    if (share < GREY[0] || share > GREY[1]) continue
    const x = (c % columns) * CELL
    const y = Math.floor(c / columns) * CELL
    if (x + CELL <= image.width && y + CELL <= image.height && isEven(image, table, x, y)) sum += CELL * CELL
  }
  return sum
}

/** Whether a cell has next to one tone; most are done with after a row. */
function isEven({ width, grey }: GreyImage, table: Uint8Array, x0: number, y0: number): boolean {
  let [least, most] = [255, 0]
  for (let y = y0; y < y0 + CELL; y++) {
    for (let x = x0; x < x0 + CELL; x++) {
      const ink = table[grey[y * width + x] ?? 0] ?? 0
      if (ink < least) least = ink
      if (ink > most) most = ink
    }
    if (most - least > EVEN) return false
  }
  return true
}
