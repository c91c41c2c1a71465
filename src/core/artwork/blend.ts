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

/** Tints of each film once, whatever it meets. */
const known = new WeakMap<Art, Tints>()

function tintsOf(art: Art): Tints {
  const before = known.get(art)
  if (before) return before
  const { print, film, shift } = art

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
  const tints: Tints = {
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
  known.set(art, tints)
  return tints
}

/** The same in squares of twice the side: slow fades are told from the grain of their dots there. */
const coarser = (t: Tints): Tints => ({
  columns: t.columns >> 1,
  rows: t.rows >> 1,
  side: 2 * t.side,
  tint: (c, r) => QUARTERS.reduce((sum, [x, y]) => sum + t.tint(2 * c + x, 2 * r + y), 0) / 4,
  screened: (c, r) => QUARTERS.every(([x, y]) => t.screened(2 * c + x, 2 * r + y)),
})
const QUARTERS = [
  [0, 0],
  [1, 0],
  [0, 1],
  [1, 1],
] as const

const WAYS = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const

/** A tint goes on without an edge: its slope changes by less than this from square to square. */
const SMOOTH = 0.08
/** A fade changes by more than this from square to square. */
const SLOPE = 0.005

/** A tint so many squares on. */
type Along = (squares: number) => number

/** Where the halftone of one film stops inside its fade into another, by the way it went; both of one size. */
function stopsOf(a: Tints, b: Tints, [dx, dy]: readonly [number, number]): ReadonlyMap<number, Stop> {
  const found = new Map<number, Stop>()
  for (let r = 0; r < a.rows; r++)
    for (let c = 0; c < a.columns; c++) {
      const own = a.tint(c, r)
      if (own < STILL || own > SOLID || !a.screened(c, r)) continue
      const [of, into] = [a, b].map((t) => (k: number) => t.tint(c + k * dx, r + k * dy)) as [Along, Along]
      // One falls while the other rises, square by square: a fade, and no shape that ends.
      const steps = [-2, -1, 0]
      if (!steps.every((k) => of(k - 1) - of(k) > SLOPE)) continue
      if (![...steps, 1, 2].every((k) => into(k) - into(k - 1) > SLOPE)) continue
      // As it went so far, two squares on; what lies between may be cut.
      if (own - 2 * (of(-1) - own) < STILL || of(2) > GONE) continue
      // The other goes on as it went: where it breaks off as well is an edge of the art.
      if ([0, 1].some((k) => Math.abs(into(k - 1) - 2 * into(k) + into(k + 1)) > SMOOTH)) continue
      if (into(0) < PART || into(2) > SOLID || !b.screened(c + 2 * dx, r + 2 * dy)) continue
      found.set(r * a.columns + c, {
        x: (c + 0.5 + dx / 2) * a.side,
        y: (r + 0.5 + dy / 2) * a.side,
        tint: own,
        other: into(2),
      })
    }
  return found
}

/** The longest line of stops side by side, across the way the fade goes. */
function longestLine(
  stops: ReadonlyMap<number, Stop>,
  columns: number,
  [dx]: readonly [number, number],
): readonly Stop[] {
  let best: readonly Stop[] = []
  const seen = new Set<number>()
  const [along, aslant] = dx === 0 ? [1, columns] : [columns, 1]
  for (const start of stops.keys()) {
    if (seen.has(start)) continue
    const line: Stop[] = []
    for (let at: number | undefined = start; at !== undefined && !seen.has(at); ) {
      seen.add(at)
      line.push(stops.get(at) as Stop)
      at = [at + along, at + along + aslant, at + along - aslant].find((n) => stops.has(n))
    }
    if (line.length > best.length) best = line
  }
  return best
}

const worstLine = (a: Tints, b: Tints): readonly Stop[] =>
  WAYS.map((way) => longestLine(stopsOf(a, b, way), a.columns, way)).reduce((x, y) =>
    y.length > x.length ? y : x,
  )

/** A line that is seen is as long as so many squares, and as so many of twice the side: a centimetre. */
const LEAST = [6, 3] as const

/** Where either of two fades stops midway; none when they are built as one. */
export function fadeStops(
  a: Art,
  b: Art,
): { readonly of: 'a' | 'b'; readonly stops: readonly Stop[] } | undefined {
  let [ta, tb] = [tintsOf(a), tintsOf(b)]
  for (const least of LEAST) {
    const [ofA, ofB] = [worstLine(ta, tb), worstLine(tb, ta)]
    const worse =
      ofA.length >= ofB.length ? ({ of: 'a', stops: ofA } as const) : ({ of: 'b', stops: ofB } as const)
    if (worse.stops.length >= least) return worse
    ;[ta, tb] = [coarser(ta), coarser(tb)]
  }
  return undefined
}
