import { type Distances, distancesOf } from './distance'
import type { Art } from './film'
import { type Spread, Widths } from './histogram'
import { eachEdge } from './pairs'
import { bitAt, CELL, eachBit, emptyPlane, type Plane, TILE, tileCounts } from './plane'

/** A place on the films in pixels, with how bad it is. */
export interface Spot {
  readonly x: number
  readonly y: number
  /** Pixels of area. */
  readonly area: number
}

/** What the base does under its colours. Lengths and areas in pixels. */
export interface BaseCheck {
  /** Colour that needs a base and lies beside it by more than the tolerance. */
  readonly uncovered: { readonly area: number; readonly places: readonly Spot[] }
  /** Base that no colour covers within a millimetre of a colour: it peeps out as a rim. */
  readonly peep: { readonly area: number; readonly places: readonly Spot[] }
  /** Base that no colour covers, farther out: meant to show, or forgotten to be knocked out. */
  readonly bare: { readonly area: number; readonly places: readonly Spot[] }
  /** Base under colours that need none, which could have been knocked out. */
  readonly needless: { readonly area: number; readonly places: readonly Spot[] }
  /** How far the base stays inside its colours; negative where it shows. */
  readonly choke: Spread | undefined
}

/** Uncovered colour no wider than this belongs to the choke, in mm. */
const TOLERANCE_MM = 0.5
const RIM_MM = 1
const PLACES = 10

/** Pixels where `rule` of the films' words is set. */
function combined(like: Plane, rule: (word: number) => number): Plane {
  const out = emptyPlane(like.width, like.height)
  for (let i = 0; i < out.bits.length; i++) out.bits[i] = rule(i)
  return out
}

const any = (films: readonly Art[]) => (i: number) =>
  films.reduce((bits, f) => bits | (f.regions.bits[i] ?? 0), 0)

/** Worst places of a plane: coarse cells joined, largest area first. */
function worst(plane: Plane): readonly Spot[] {
  const columns = plane.tilesX
  const counts = tileCounts(plane)
  const seen = new Uint8Array(counts.length)
  const spots: Spot[] = []
  for (let start = 0; start < counts.length; start++) {
    if (!counts[start] || seen[start]) continue
    const stack = [start]
    seen[start] = 1
    let area = 0
    let x = 0
    let y = 0
    while (stack.length > 0) {
      const t = stack.pop() ?? 0
      const n = counts[t] ?? 0
      area += n
      x += n * ((t % columns) + 0.5) * TILE
      y += n * (Math.floor(t / columns) + 0.5) * TILE
      const left = t % columns > 0 ? [t - 1] : []
      const right = t % columns < columns - 1 ? [t + 1] : []
      for (const next of [...left, ...right, t - columns, t + columns]) {
        if (next < 0 || next >= counts.length || !counts[next] || seen[next]) continue
        seen[next] = 1
        stack.push(next)
      }
    }
    spots.push({ x: x / area, y: y / area, area })
  }
  return spots.sort((a, b) => b.area - a.area).slice(0, PLACES)
}

const found = (plane: Plane) => ({
  area: tileCounts(plane).reduce((a, b) => a + b, 0),
  places: worst(plane),
})

/** Ink of a plane within `px` of another one's, and beyond. */
function farFrom(
  plane: Plane,
  { plane: other, away, nearest }: Distances,
  px: number,
): { readonly near: Plane; readonly far: Plane } {
  const near = emptyPlane(plane.width, plane.height)
  const far = emptyPlane(plane.width, plane.height)
  const columns = (plane.tilesX * TILE) / CELL
  for (let y = 0; y < plane.height; y++)
    for (let w = 0; w < plane.stride; w++) {
      const at = y * plane.stride + w
      const word = plane.bits[at] ?? 0
      if (word === 0) continue
      let close = 0
      eachBit(word, (b) => {
        const x = w * 32 + b
        const cells = away[Math.floor(y / CELL) * columns + Math.floor(x / CELL)] ?? 0
        if ((cells - 2) * CELL > px) return
        const d = bitAt(other, x, y) ? 0 : nearest(x, y)?.d
        if (d !== undefined && d - 1 <= px) close |= 1 << b
      })
      near.bits[at] = close
      far.bits[at] = word & ~close
    }
  return { near, far }
}

const unionOf = (base: Art, needing: readonly Art[]) => combined(base.regions, any(needing))

/** How far a base stays inside the joint edge of its colours, at each pixel of that edge; negative where it shows. */
function chokesOf(base: Art, union: Plane): Widths {
  const chokes = new Widths()
  eachEdge(union, tileCounts(union), (x, y) => {
    const near = base.distances.nearest(x, y)
    if (!near) return
    if (bitAt(base.regions, x, y) === 1) {
      // The base reaches beyond the colour here: by as much as it is deep, less the pixel itself.
      if (bitAt(union, near.x, near.y) === 0) chokes.add(-(near.d - 1))
    } else if (bitAt(union, near.x, near.y) === 1) chokes.add(near.d)
  })
  return chokes
}

/** What a base would show along the edge of its colours. Lengths in pixels. */
export interface Peeping {
  readonly edge: number
  /** Share of that edge at which base would show somewhere within the tolerance. */
  readonly base: number
  /** More choke that would hide it on 95 % of the edge; 0 when there is enough. */
  readonly more: number
}

/**
 * What of a base shows beside its colours when their prints may miss it by up to `tolerance` pixels.
 *
 * @returns undefined where no edge of the colours lies near an edge of the base
 */
export function peepingOf(base: Art, needing: readonly Art[], tolerance: number): Peeping | undefined {
  const chokes = chokesOf(base, unionOf(base, needing))
  if (chokes.count <= base.film.dpi / 25.4) return undefined
  return {
    edge: chokes.count,
    base: chokes.below(tolerance) / chokes.count,
    more: Math.max(0, tolerance - (chokes.at(0.05) ?? 0)),
  }
}

/**
 * Checks a base against the colours printed on it.
 *
 * @param needing films that must have base under them
 * @param others films that need none
 */
export function checkBase(base: Art, needing: readonly Art[], others: readonly Art[]): BaseCheck {
  const mm = base.film.dpi / 25.4
  const w = base.regions
  const union = unionOf(base, needing)
  const other = combined(w, any(others))
  const all = combined(w, (i) => (union.bits[i] ?? 0) | (other.bits[i] ?? 0))
  const open = combined(w, (i) => (union.bits[i] ?? 0) & ~(w.bits[i] ?? 0))
  const bare = combined(w, (i) => (w.bits[i] ?? 0) & ~(all.bits[i] ?? 0))
  const needless = combined(w, (i) => (w.bits[i] ?? 0) & (other.bits[i] ?? 0) & ~(union.bits[i] ?? 0))
  const rim = farFrom(bare, distancesOf(all, tileCounts(all)), RIM_MM * mm)
  return {
    uncovered: found(farFrom(open, base.distances, TOLERANCE_MM * mm).far),
    peep: found(rim.near),
    bare: found(rim.far),
    needless: found(needless),
    choke: chokesOf(base, union).spread(mm),
  }
}
