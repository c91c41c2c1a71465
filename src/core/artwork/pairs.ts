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
  /** Where a miss would show first, the worst first. */
  readonly tight: readonly TightSpot[]
}

/** A place where two films meet closely, in pixels. */
export interface TightSpot {
  readonly x: number
  readonly y: number
  /** Overlap or clear distance there on average. */
  readonly width: number
  /** Edge there. */
  readonly length: number
}

const OVERLAP_MM2 = 0.5
/** More than a press that is looked after misses by (assumed): what is wider than that shows nothing. */
const MISS_MM = 0.75
const SPOTS = 3
/** Spots nearer than this are one place to look at, in tiles. */
const ONE_LOOK = 5
const EDGE_MM = 1
const BLENDING = 0.2

/** Gathers tile by tile what a miss would show along edges that meet. */
class Tightness {
  private readonly shows: Float64Array
  private readonly widths: Float64Array
  private readonly length: Uint32Array
  constructor(
    private readonly plane: Plane,
    private readonly miss: number,
  ) {
    const tiles = plane.tilesX * plane.tilesY
    this.shows = new Float64Array(tiles)
    this.widths = new Float64Array(tiles)
    this.length = new Uint32Array(tiles)
  }

  add(x: number, y: number, width: number): void {
    if (width >= this.miss) return
    const tile = Math.floor(y / TILE) * this.plane.tilesX + Math.floor(x / TILE)
    this.shows[tile] = (this.shows[tile] ?? 0) + this.miss - width
    this.widths[tile] = (this.widths[tile] ?? 0) + width
    this.length[tile] = (this.length[tile] ?? 0) + 1
  }

  /** The tiles where most would show, each apart from those before it. */
  spots(): readonly TightSpot[] {
    const { tilesX } = this.plane
    const place = (t: number) => [t % tilesX, Math.floor(t / tilesX)] as const
    const chosen: number[] = []
    const worst = [...this.shows.keys()]
      .filter((t) => (this.shows[t] ?? 0) > 0)
      .sort((a, b) => (this.shows[b] ?? 0) - (this.shows[a] ?? 0))
    for (const t of worst) {
      if (chosen.length === SPOTS) break
      const [x, y] = place(t)
      const isApart = chosen.every((c) => Math.hypot(place(c)[0] - x, place(c)[1] - y) >= ONE_LOOK)
      if (isApart) chosen.push(t)
    }
    return chosen.map((t) => {
      const [x, y] = place(t)
      const length = this.length[t] ?? 0
      return { x: (x + 0.5) * TILE, y: (y + 0.5) * TILE, width: (this.widths[t] ?? 0) / length, length }
    })
  }
}

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
  const tight = new Tightness(a.regions, MISS_MM * mm)
  eachEdge(a.regions, a.counts, (x, y) => {
    const near = b.distances.nearest(x, y)
    if (bitAt(b.regions, x, y) === 0) {
      if (!near) return
      gaps.add(near.d - 1)
      tight.add(x, y, near.d - 1)
    } else if (near && bitAt(a.regions, near.x, near.y) === 1) {
      traps.add(near.d)
      tight.add(x, y, near.d)
    }
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
    tight: how === 'blending' || how === 'overprinting' ? [] : tight.spots(),
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
