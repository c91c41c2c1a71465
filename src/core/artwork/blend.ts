import type { MeetingArt } from './film'
import { coarser, type Tints } from './tints'

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

/** A fade stops when it would still print so much two squares on, and prints less than that. */
const STILL = 0.08
const GONE = 0.015
/** The other colour is solid from here on. */
const SOLID = 0.9
/** And part of the fade from here on. */
const PART = 0.04

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

/** So many squares on. */
const AHEAD = 2
/** And back. */
const BEHIND = 3

/** Where the halftone of one film stops inside its fade into another, by the way it went; both of one size. */
function stopsOf(a: Tints, b: Tints, [dx, dy]: readonly [number, number]): ReadonlyMap<number, Stop> {
  const found = new Map<number, Stop>()
  const { columns, rows, side } = a
  const step = dy * columns + dx
  // Beyond the film nothing prints: a square whose way on leaves it has no fade to judge.
  const inside = (c: number, r: number) => c >= 0 && r >= 0 && c < columns && r < rows
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const at = r * columns + c
      const own = a.tints[at] ?? 0
      if (own < STILL || own > SOLID || !a.screened[at]) continue
      if (!inside(c + AHEAD * dx, r + AHEAD * dy) || !inside(c - BEHIND * dx, r - BEHIND * dy)) continue
      const of = (k: number) => a.tints[at + k * step] ?? 0
      const into = (k: number) => b.tints[at + k * step] ?? 0
      if (of(2) > GONE || into(0) < PART || into(2) > SOLID) continue
      // One falls while the other rises, square by square: a fade, and no shape that ends.
      if (!FALLING.every((k) => of(k - 1) - of(k) > SLOPE)) continue
      if (!RISING.every((k) => into(k) - into(k - 1) > SLOPE)) continue
      // As it went so far, two squares on; what lies between may be cut.
      if (own - 2 * (of(-1) - own) < STILL) continue
      // The other goes on as it went: where it breaks off as well is an edge of the art.
      if ([0, 1].some((k) => Math.abs(into(k - 1) - 2 * into(k) + into(k + 1)) > SMOOTH)) continue
      if (!b.screened[at + 2 * step]) continue
      found.set(at, {
        x: (c + 0.5 + dx / 2) * side,
        y: (r + 0.5 + dy / 2) * side,
        tint: own,
        other: into(2),
      })
    }
  return found
}
const FALLING = [-2, -1, 0]
const RISING = [-2, -1, 0, 1, 2]

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
  a: MeetingArt,
  b: MeetingArt,
): { readonly of: 'a' | 'b'; readonly stops: readonly Stop[] } | undefined {
  let [ta, tb] = [a.tints(), b.tints()]
  for (const least of LEAST) {
    const [ofA, ofB] = [worstLine(ta, tb), worstLine(tb, ta)]
    const worse =
      ofA.length >= ofB.length ? ({ of: 'a', stops: ofA } as const) : ({ of: 'b', stops: ofB } as const)
    if (worse.stops.length >= least) return worse
    ;[ta, tb] = [coarser(ta), coarser(tb)]
  }
  return undefined
}
