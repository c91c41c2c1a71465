import type { GreyImage } from './levels'
import { ALL, CELL, emptyPlane, type Plane, popcount, TILE } from './plane'

export interface Packed {
  readonly bits: Plane
  /** Ink in each cell of 8 x 8 pixels in 255ths of a pixel, greys by their share; below 0 where a scan is lighter than its film. */
  readonly cells: Int16Array
  /** Ink in each tile in pixels. */
  readonly inkSums: Float64Array
}

/** Cells across a tile. */
const ACROSS = TILE / CELL

/** Whether four bytes are each 0 or 255. */
const isPlain = (four: number) => Math.imul(four & 0x01010101, 255) === four
/** One bit for each of four such bytes, the lowest first: the product brings them together without a carry. */
const fourBits = (four: number) => Math.imul(four & 0x01010101, 0x10204080) >>> 28

/**
 * Packs a film to one bit a pixel at half ink, and sums the ink of each cell and tile.
 *
 * @param table ink share of each grey, 255 for all
 */
export function pack({ width, height, grey }: GreyImage, table: Int16Array | Uint8Array): Packed {
  const bits = emptyPlane(width, height)
  const columns = bits.tilesX * ACROSS
  const cells = new Int16Array(columns * bits.tilesY * ACROSS)
  const words = Math.ceil(width / 32)
  // Most cells of a film that a printer made are of full ink and clear film alone: four pixels are then told at once.
  const ends = [table[0], table[255]].join()
  const plain = ends === '255,0' || ends === '0,255'
  const flip = ends === '255,0' ? ALL : 0
  const view = new DataView(grey.buffer, grey.byteOffset, grey.byteLength)
  for (let y = 0; y < height; y++) {
    const row = y * width
    const own = Math.floor(y / CELL) * columns
    for (let w = 0; w < words; w++) {
      const n = Math.min(32, width - w * 32)
      let word = 0
      for (let i = 0; i < n; i += CELL) {
        const from = row + w * 32 + i
        const cell = own + w * (32 / CELL) + (i >> 3)
        if (plain && n - i >= CELL) {
          const left = view.getInt32(from, true) ^ flip
          const right = view.getInt32(from + 4, true) ^ flip
          if ((left | right) === 0) continue
          if (isPlain(left) && isPlain(right)) {
            const ink = fourBits(left) | (fourBits(right) << 4)
            word |= ink << i
            cells[cell] = (cells[cell] ?? 0) + 255 * popcount(ink)
            continue
          }
        }
        let sum = 0
        for (let k = i; k < Math.min(n, i + CELL); k++) {
          const ink = table[grey[row + w * 32 + k] ?? 0] ?? 0
          sum += ink
          if (ink >= 128) word |= 1 << k
        }
        cells[cell] = (cells[cell] ?? 0) + sum
      }
      if (word !== 0) bits.bits[y * bits.stride + w] = word
    }
  }
  const inkSums = new Float64Array(bits.tilesX * bits.tilesY)
  for (let c = 0; c < cells.length; c++) {
    const sum = cells[c] ?? 0
    if (sum === 0) continue
    const tile =
      Math.floor(Math.floor(c / columns) / ACROSS) * bits.tilesX + Math.floor((c % columns) / ACROSS)
    inkSums[tile] = (inkSums[tile] ?? 0) + sum / 255
  }
  return { bits, cells, inkSums }
}

/** A rectangle of pixels; `right` and `bottom` lie outside it. */
export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

export const within = (b: Box, x: number, y: number): boolean =>
  x >= b.left && x < b.right && y >= b.top && y < b.bottom
export const meets = (a: Box, b: Box): boolean =>
  a.left < b.right && a.right > b.left && a.top < b.bottom && a.bottom > b.top
export const around = (a: Box, b: Box): Box => ({
  left: Math.min(a.left, b.left),
  top: Math.min(a.top, b.top),
  right: Math.max(a.right, b.right),
  bottom: Math.max(a.bottom, b.bottom),
})

/** Pixels of a square from a corner on, as far as the film goes. */
const square = ({ width, height }: Plane, x: number, y: number, side: number): Box => ({
  left: x,
  top: y,
  right: Math.min(width, x + side),
  bottom: Math.min(height, y + side),
})

/** Ink inside a rectangle in pixels, less what lies in `without`: whole tiles and cells by their sums, cut ones by their pixels. */
export function inkIn({ bits, cells, inkSums }: Packed, box: Box, without: readonly Box[]): number {
  const whole = (own: Box, cut: readonly Box[]) =>
    cut.length === 0 &&
    own.left >= box.left &&
    own.right <= box.right &&
    own.top >= box.top &&
    own.bottom <= box.bottom
  let sum = 0
  for (let ty = Math.floor(box.top / TILE); ty * TILE < box.bottom; ty++)
    for (let tx = Math.floor(box.left / TILE); tx * TILE < box.right; tx++) {
      const tile = inkSums[ty * bits.tilesX + tx] ?? 0
      const own = square(bits, tx * TILE, ty * TILE, TILE)
      const cut = without.filter((b) => meets(b, own))
      if (whole(own, cut)) {
        sum += tile
        continue
      }
      for (let y = own.top; y < own.bottom; y += CELL)
        for (let x = own.left; x < own.right; x += CELL) {
          const cell = (cells[(y / CELL) * bits.tilesX * ACROSS + x / CELL] ?? 0) / 255
          if (cell === 0) continue
          const small = square(bits, x, y, CELL)
          const inCell = cut.filter((b) => meets(b, small))
          sum += whole(small, inCell) ? cell : cell * sharePrinted(bits, small, box, inCell)
        }
    }
  return sum
}

/** Share of the ink of a cell that lies inside a rectangle and outside of others; of its area where it has but grey. */
function sharePrinted({ bits, stride }: Plane, cell: Box, box: Box, without: readonly Box[]): number {
  let [ink, all, inkKept, kept] = [0, 0, 0, 0]
  for (let y = cell.top; y < cell.bottom; y++)
    for (let x = cell.left; x < cell.right; x++) {
      const bit = ((bits[y * stride + (x >> 5)] ?? 0) >>> (x & 31)) & 1
      const stays = within(box, x, y) && !without.some((b) => within(b, x, y)) ? 1 : 0
      all++
      ink += bit
      kept += stays
      inkKept += bit & stays
    }
  return ink > 0 ? inkKept / ink : kept / all
}
