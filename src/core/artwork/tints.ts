import type { Halftone } from './halftone'
import { type Plane, popcount, TILE } from './plane'

/** Tints are looked at in squares of so many millimetres: some dots in each. */
const BLOCK_MM = 1.7
/** Tints of a film in squares, row by row. */
export interface Tints {
  readonly columns: number
  readonly rows: number
  readonly side: number
  readonly tints: Float64Array
  readonly screened: Uint8Array
}

/**
 * Tints of a film.
 *
 * @param print every dot, where it lies in its set
 * @param shift whole pixels by which it was moved there
 */
export function tintsOf(
  print: Plane,
  { dpi, halftone }: { readonly dpi: number; readonly halftone: Halftone },
  shift: readonly [number, number],
): Tints {
  const side = Math.max(1, Math.round((BLOCK_MM * dpi) / 25.4 / 32)) * 32
  const columns = Math.floor(print.width / side)
  const rows = Math.floor(print.height / side)
  const sums = new Float64Array(columns * rows)
  for (let y = 0; y < rows * side; y++)
    for (let w = 0; w < (columns * side) / 32; w++) {
      const word = print.bits[y * print.stride + w] ?? 0
      if (word === 0) continue
      const at = Math.floor(y / side) * columns + Math.floor((w * 32) / side)
      sums[at] = (sums[at] ?? 0) + popcount(word)
    }
  const screened = new Uint8Array(sums.length)
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const x = Math.floor(((c + 0.5) * side - shift[0]) / TILE)
      const y = Math.floor(((r + 0.5) * side - shift[1]) / TILE)
      if (x >= 0 && x < print.tilesX && halftone.map[y * print.tilesX + x]) screened[r * columns + c] = 1
    }
  return { columns, rows, side, tints: sums.map((n) => n / side ** 2), screened }
}

const halves = new WeakMap<Tints, Tints>()

/** The same in squares of twice the side: slow fades are told from the grain of their dots there. */
export function coarser(t: Tints): Tints {
  const before = halves.get(t)
  if (before) return before
  const [columns, rows] = [t.columns >> 1, t.rows >> 1]
  const tints = new Float64Array(columns * rows)
  const screened = new Uint8Array(columns * rows)
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const four = QUARTERS.map(([x, y]) => (2 * r + y) * t.columns + 2 * c + x)
      tints[r * columns + c] = four.reduce((sum, at) => sum + (t.tints[at] ?? 0), 0) / 4
      screened[r * columns + c] = four.every((at) => t.screened[at]) ? 1 : 0
    }
  const half: Tints = { columns, rows, side: 2 * t.side, tints, screened }
  halves.set(t, half)
  return half
}
const QUARTERS = [
  [0, 0],
  [1, 0],
  [0, 1],
  [1, 1],
] as const
