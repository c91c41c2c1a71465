import type { MeetingArt } from './film'
import { type Spread, Widths } from './histogram'
import { bitAt, CELL, eachBit, edgeWord, FULL, type Plane, popcount, TILE } from './plane'

/** How two films meet. */
export type How = 'apart' | 'touching' | 'overlapping' | 'overprinting' | 'blending'

/** All lengths in pixels. */
export interface Pair {
  readonly how: How
  /** Area that both print. */
  readonly overlap: number
  /** Share of that area that lies in a halftone of either. */
  readonly halftone: number
  /** Overlap across the edges where the two share one: least, median and most of the length. */
  readonly trap: Spread | undefined
  /** Smallest clear distance over a millimetre of edge; `rough` when good to a millimetre only. */
  readonly gap: { readonly least: number; readonly rough: boolean } | undefined
}

const OVERLAP_MM2 = 0.5
const EDGE_MM = 1
const BLENDING = 0.2

/** Calls back for each edge pixel of a film's ink. */
export function eachEdge(plane: Plane, counts: Uint16Array, act: (x: number, y: number) => void): void {
  for (let ty = 0; ty < plane.tilesY; ty++)
    for (let tx = 0; tx < plane.tilesX; tx++) {
      // A full tile can have an edge along its rim: where a neighbour is not full.
      if (counts[ty * plane.tilesX + tx] === 0 || enclosed(counts, plane, tx, ty)) continue
      for (let y = ty * TILE; y < ty * TILE + TILE; y++)
        for (let w = 0; w < 2; w++)
          eachBit(edgeWord(plane, y, tx * 2 + w), (b) => act(tx * TILE + w * 32 + b, y))
    }
}

function enclosed(counts: Uint16Array, { tilesX, tilesY }: Plane, tx: number, ty: number): boolean {
  const full = (x: number, y: number) =>
    x >= 0 && y >= 0 && x < tilesX && y < tilesY && counts[y * tilesX + x] === FULL
  return full(tx, ty) && full(tx - 1, ty) && full(tx + 1, ty) && full(tx, ty - 1) && full(tx, ty + 1)
}

/** Area both print, and how much of it is halftone. */
function overlapOf(a: MeetingArt, b: MeetingArt) {
  let all = 0
  let halftone = 0
  for (let t = 0; t < a.counts.length; t++) {
    const na = a.counts[t] ?? 0
    const nb = b.counts[t] ?? 0
    if (na === 0 || nb === 0) continue
    const n = na === FULL ? nb : nb === FULL ? na : bothIn(a.regions, b.regions, t)
    all += n
    if (a.film.halftone.map[t] || b.film.halftone.map[t]) halftone += n
  }
  return { all, halftone: all === 0 ? 0 : halftone / all }
}

function bothIn(a: Plane, b: Plane, tile: number): number {
  const x = (tile % a.tilesX) * 2
  const y0 = Math.floor(tile / a.tilesX) * TILE
  let n = 0
  for (let y = y0; y < y0 + TILE; y++) {
    const at = y * a.stride + x
    n += popcount((a.bits[at] ?? 0) & (b.bits[at] ?? 0))
    n += popcount((a.bits[at + 1] ?? 0) & (b.bits[at + 1] ?? 0))
  }
  return n
}

/**
 * How one film's art meets another's. Both must have the same size and resolution.
 * Distances are between pixel centres: an overlap of n pixels reads n, a gap of n clear pixels reads n.
 */
export function pairOf(a: MeetingArt, b: MeetingArt): Pair {
  const mm = a.film.dpi / 25.4
  const { all, halftone } = overlapOf(a, b)
  const traps = new Widths()
  const gaps = new Widths()
  eachEdge(a.regions, a.counts, (x, y) => {
    const near = b.distances.nearest(x, y)
    if (bitAt(b.regions, x, y) === 0) {
      if (near) gaps.add(near.d - 1)
    } else if (near && bitAt(a.regions, near.x, near.y) === 1) traps.add(near.d)
  })
  const edge = EDGE_MM * mm
  const trap = traps.spread(edge)
  const gap = gaps.count > 0 ? { least: gaps.least(edge) ?? 0, rough: false } : farGap(a, b)
  const how = ((): How => {
    if (all > OVERLAP_MM2 * mm * mm) {
      if (halftone > BLENDING) return 'blending'
      return trap ? 'overlapping' : 'overprinting'
    }
    return gaps.below(0.5) > edge ? 'touching' : 'apart'
  })()
  return {
    how,
    overlap: all,
    halftone,
    trap: how === 'overlapping' ? trap : undefined,
    gap: how === 'apart' ? gap : undefined,
  }
}

/** Distance of films that come nowhere near each other, on the coarse grid. */
function farGap(a: MeetingArt, b: MeetingArt): Pair['gap'] {
  if (!a.box || !b.box) return undefined
  let least = Number.POSITIVE_INFINITY
  a.coarse.filled.forEach((filled, i) => {
    if (filled) least = Math.min(least, b.distances.away[i] ?? 0)
  })
  return { least: Math.max(0, least - 1) * CELL, rough: true }
}
