import type { Packed } from './pack'
import { FULL, type Plane, popcount, TILE } from './plane'

/**
 * Random dots (stochastic and index separations, dithers, textures): many small pieces without a ruling. As little is known
 * of their edges as of a halftone's.
 */

/** Pieces of ink less holes, or holes less pieces, for each square millimetre; letters have fewer. */
const PIECES = 1
/** And strokes no wider than this on the mean, in millimetres. */
const STROKE_MM = 0.45
/** Where ink and clear film are about alike, pieces and holes cancel out: stroke width alone tells, and it is finer yet. */
const EVEN = [0.3, 0.7] as const
const FINE_MM = 0.25
/** Less is a corner of something else, in square millimetres. */
const LEAST_MM2 = 600

/** Pieces less holes of a tile (Euler's number of its pixels, joined by side), by counting words. */
function pieces({ bits, stride }: Plane, tile: number, tilesX: number): number {
  const x = (tile % tilesX) * 2
  const y0 = Math.floor(tile / tilesX) * TILE
  let [corners, sides, faces] = [0, 0, 0]
  for (let y = y0; y < y0 + TILE; y++) {
    const at = y * stride + x
    const [a, b] = [bits[at] ?? 0, bits[at + 1] ?? 0]
    const across = [a & ((a >>> 1) | (b << 31)), b & (b >>> 1) & 0x7fffffff] as const
    corners += popcount(a) + popcount(b)
    sides += popcount(across[0]) + popcount(across[1])
    if (y + 1 === y0 + TILE) continue
    const [c, d] = [bits[at + stride] ?? 0, bits[at + stride + 1] ?? 0]
    sides += popcount(a & c) + popcount(b & d)
    faces += popcount(across[0] & c & ((c >>> 1) | (d << 31))) + popcount(across[1] & d & (d >>> 1))
  }
  return corners - sides + faces
}

/**
 * Tiles of random dots: busy ones, beside others, that no screen explains.
 *
 * @param candidates busy tiles
 * @param map number of the screen of each tile, 0 for none
 */
export function grainIn(
  { bits, inkSums }: Pick<Packed, 'bits' | 'inkSums'>,
  edges: Uint16Array,
  candidates: readonly number[],
  map: Uint8Array,
  dpi: number,
): readonly number[] {
  const px = dpi / 25.4
  const area = FULL / (px * px)
  const { tilesX } = bits
  const fine = new Set(
    candidates.filter((t) => {
      if (map[t] !== 0) return false
      const ink = inkSums[t] ?? 0
      const stroke = (4 * Math.min(ink, FULL - ink)) / (edges[t] ?? 1) / px
      if (stroke > STROKE_MM) return false
      const even = ink > EVEN[0] * FULL && ink < EVEN[1] * FULL && stroke <= FINE_MM
      return even || Math.abs(pieces(bits, t, tilesX)) >= PIECES * area
    }),
  )
  const beside = (t: number) => [t - 1, t + 1, t - tilesX, t + tilesX].filter((n) => fine.has(n)).length
  // Beside a halftone the ends of its fades look alike.
  const screened = (t: number) =>
    [-1, 0, 1].some((dy) => [-1, 0, 1].some((dx) => (map[t + dy * tilesX + dx] ?? 0) > 0))
  const found = [...fine].filter((t) => beside(t) >= 2 && !screened(t))
  return found.length * area >= LEAST_MM2 ? found : []
}
