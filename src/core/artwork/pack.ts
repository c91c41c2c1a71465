import type { GreyImage } from './levels'
import { bitAt, emptyPlane, type Plane, TILE } from './plane'

export interface Packed {
  readonly bits: Plane
  /** Ink in each tile in pixels, greys counted by their share. */
  readonly inkSums: Float64Array
}

/** Packs a film to one bit a pixel at half ink, and sums the ink of each tile. */
export function pack({ width, height, grey }: GreyImage, table: Uint8Array): Packed {
  const bits = emptyPlane(width, height)
  const inkSums = new Float64Array(bits.tilesX * bits.tilesY)
  const words = Math.ceil(width / 32)
  for (let y = 0; y < height; y++) {
    const row = y * width
    const tiles = Math.floor(y / TILE) * bits.tilesX
    for (let w = 0; w < words; w++) {
      const from = row + w * 32
      const n = Math.min(32, width - w * 32)
      // Most of a film is clear.
      let clear = 0
      while (clear < n && table[grey[from + clear] ?? 0] === 0) clear++
      if (clear === n) continue
      let word = 0
      let sum = 0
      for (let i = clear; i < n; i++) {
        const ink = table[grey[from + i] ?? 0] ?? 0
        sum += ink
        word |= (ink >>> 7) << i
      }
      bits.bits[y * bits.stride + w] = word
      const tile = tiles + (w >> 1)
      inkSums[tile] = (inkSums[tile] ?? 0) + sum / 255
    }
  }
  return { bits, inkSums }
}

/** A rectangle of pixels; `right` and `bottom` lie outside it. */
export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

export const boxWidth = (b: Box): number => b.right - b.left
export const boxHeight = (b: Box): number => b.bottom - b.top
export const within = (b: Box, x: number, y: number): boolean =>
  x >= b.left && x < b.right && y >= b.top && y < b.bottom

/** A tile's pixels that lie on the film. */
const tileBox = ({ width, height }: Plane, tx: number, ty: number): Box => ({
  left: tx * TILE,
  top: ty * TILE,
  right: Math.min(width, tx * TILE + TILE),
  bottom: Math.min(height, ty * TILE + TILE),
})

/** Ink inside a rectangle in pixels, less what lies in `without`: whole tiles by their sums, cut ones pixel by pixel. */
export function inkIn({ bits, inkSums }: Packed, box: Box, without: readonly Box[]): number {
  let sum = 0
  for (let ty = Math.floor(box.top / TILE); ty * TILE < box.bottom; ty++)
    for (let tx = Math.floor(box.left / TILE); tx * TILE < box.right; tx++) {
      const tile = inkSums[ty * bits.tilesX + tx] ?? 0
      if (tile === 0) continue
      const own = tileBox(bits, tx, ty)
      const left = Math.max(box.left, own.left)
      const right = Math.min(box.right, own.right)
      const top = Math.max(box.top, own.top)
      const bottom = Math.min(box.bottom, own.bottom)
      const cut = without.filter((b) => b.left < right && b.right > left && b.top < bottom && b.bottom > top)
      if (cut.length === 0 && right - left === boxWidth(own) && bottom - top === boxHeight(own)) {
        sum += tile
        continue
      }
      for (let y = top; y < bottom; y++)
        for (let x = left; x < right; x++) if (!cut.some((b) => within(b, x, y))) sum += bitAt(bits, x, y)
    }
  return sum
}
