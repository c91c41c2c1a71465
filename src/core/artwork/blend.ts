import type { Art } from './film'
import { popcount, TILE } from './plane'

/**
 * Whether a two-colour fade is built as one: each halftone runs on to where the other colour is solid. Where one stops
 * before, the print shows a line (common practice).
 */

/** A place where a fade stops, in pixels, and the tints it stops at. */
export interface Stop {
  readonly x: number
  readonly y: number
  readonly tint: number
  readonly other: number
}

/** Tints are looked at in squares of so many millimetres: some dots in each. */
const BLOCK_MM = 1.7
/** A fade stops when it would still print so much two squares on, and prints less than that. */
const STILL = 0.08
const GONE = 0.015
/** The other colour is solid from here on. */
const SOLID = 0.9
/** And part of the fade from here on. */
const PART = 0.04

interface Tints {
  readonly columns: number
  readonly rows: number
  readonly side: number
  readonly tint: (column: number, row: number) => number
  readonly screened: (column: number, row: number) => boolean
}

function tintsOf({ print, film }: Art, shift: readonly [number, number]): Tints {
  const side = Math.max(1, Math.round((BLOCK_MM * film.dpi) / 25.4 / 32)) * 32
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
  return {
    columns,
    rows,
    side,
    tint: (c, r) =>
      c < 0 || r < 0 || c >= columns || r >= rows ? 0 : (sums[r * columns + c] ?? 0) / side ** 2,
    screened: (c, r) => {
      const x = Math.floor(((c + 0.5) * side - shift[0]) / TILE)
      const y = Math.floor(((r + 0.5) * side - shift[1]) / TILE)
      return x >= 0 && x < print.tilesX && (film.halftone.map[y * print.tilesX + x] ?? 0) > 0
    },
  }
}

const WAYS = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const

/** Where the halftone of one film stops inside its fade into another; both of one size. */
function stopsOf(a: Tints, b: Tints): readonly Stop[] {
  const found: Stop[] = []
  for (let r = 0; r < a.rows; r++)
    for (let c = 0; c < a.columns; c++) {
      const own = a.tint(c, r)
      if (own < STILL || own > SOLID || !a.screened(c, r)) continue
      for (const [dx, dy] of WAYS) {
        const before = a.tint(c - dx, r - dy)
        // The fade as it went so far, two squares on; what lies between may be cut.
        const expected = own + 2 * Math.min(0, own - before)
        const beyond = a.tint(c + 2 * dx, r + 2 * dy)
        if (before < own - 0.01 || expected < STILL || beyond > GONE) continue
        const other = b.tint(c + 2 * dx, r + 2 * dy)
        // The other goes on there, and fades itself: what ends at the edge of both is the edge of the art.
        if (other < PART || other > SOLID || b.tint(c, r) < PART || b.tint(c, r) > SOLID) continue
        if (!b.screened(c + 2 * dx, r + 2 * dy)) continue
        found.push({ x: (c + 0.5 + dx / 2) * a.side, y: (r + 0.5 + dy / 2) * a.side, tint: own, other })
      }
    }
  return found
}

/** Fewer squares than this are a corner of something else. */
const LEAST = 3

/** Where either of two fades stops midway; none when they are built as one. */
export function fadeStops(
  a: Art,
  b: Art,
): { readonly of: 'a' | 'b'; readonly stops: readonly Stop[] } | undefined {
  const [ta, tb] = [tintsOf(a, a.shift), tintsOf(b, b.shift)]
  const [ofA, ofB] = [stopsOf(ta, tb), stopsOf(tb, ta)]
  const worse =
    ofA.length >= ofB.length ? ({ of: 'a', stops: ofA } as const) : ({ of: 'b', stops: ofB } as const)
  return worse.stops.length >= LEAST ? worse : undefined
}
