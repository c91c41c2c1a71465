import type { Art } from './film'
import { Widths } from './histogram'
import { eachEdge } from './pairs'
import { bitAt } from './plane'

/** What one pair of films would show if the prints missed each other. Lengths in pixels. */
export interface Exposure {
  /** Length of edge along which the two meet. */
  readonly edge: number
  /** Shares of that edge at which cloth, or base, would show somewhere within the tolerance. */
  readonly cloth: number
  readonly base: number
  /** Trap that 95 % of the edge has; negative for a gap. */
  readonly trap: number
  /** More trap or choke needed for the tolerance; 0 when there is enough. */
  readonly more: number
}

/** Edges farther apart than this were not meant to meet, in mm. */
const MEANT_MM = 0.5

/** Overlap at an edge pixel of `a`: positive inside `b` as far as their common edge, negative across a gap. */
function signedTrap(a: Art, b: Art, x: number, y: number): number | undefined {
  const near = b.distances.nearest(x, y)
  if (!near) return undefined
  if (bitAt(b.regions, x, y) === 0) return 1 - near.d
  return bitAt(a.regions, near.x, near.y) === 1 ? near.d : undefined
}

const depth = (f: Art, x: number, y: number): number =>
  bitAt(f.regions, x, y) === 0 ? 0 : (f.distances.nearest(x, y)?.d ?? Number.POSITIVE_INFINITY)

/**
 * What shows between two films when their prints may miss each other by up to `tolerance`.
 *
 * @param others films that may cover the edge; the base is not among them
 * @param tolerance pixels; the miss of one print against the other
 * @returns undefined for films that do not meet
 */
export function exposureOf(
  a: Art,
  b: Art,
  others: readonly Art[],
  base: Art | undefined,
  tolerance: number,
): Exposure | undefined {
  const mm = a.film.dpi / 25.4
  const meant = Math.max(tolerance, MEANT_MM * mm)
  const traps = new Widths()
  let cloth = 0
  let onBase = 0
  eachEdge(a.regions, a.counts, (x, y) => {
    const trap = signedTrap(a, b, x, y)
    if (trap === undefined || trap < -meant) return
    traps.add(trap)
    if (trap >= tolerance || others.some((f) => depth(f, x, y) >= tolerance)) return
    if (base && bitAt(base.regions, x, y) === 1) onBase++
    else cloth++
  })
  if (traps.count <= mm) return undefined
  const trap = traps.at(0.05) ?? 0
  return {
    edge: traps.count,
    cloth: cloth / traps.count,
    base: onBase / traps.count,
    trap,
    more: Math.max(0, tolerance - trap),
  }
}

/** A film pushed on the press: pixels, and radians clockwise about the middle of the films. */
export interface Push {
  readonly dx: number
  readonly dy: number
  readonly rotation: number
}

/** Not pushed at all. */
export const STILL: Push = { dx: 0, dy: 0, rotation: 0 }

/** What a push opened between two films. Lengths in pixels. */
export interface Opened {
  /** Edge along which the two met before, and how much of it is open now. */
  readonly edge: number
  readonly open: number
  /** 99 % of the edge gapes less than this; 0 when nothing opened. */
  readonly widest: number
  /** Trap left over 95 % of the edge; negative for a gap. */
  readonly trap: number
}

const turned = (p: Push, cx: number, cy: number, back: boolean) => {
  const c = Math.cos(p.rotation)
  const s = Math.sin(p.rotation) * (back ? -1 : 1)
  return (x: number, y: number): [number, number] => {
    const ox = x - cx - (back ? p.dx : 0)
    const oy = y - cy - (back ? p.dy : 0)
    return [cx + c * ox - s * oy + (back ? 0 : p.dx), cy + s * ox + c * oy + (back ? 0 : p.dy)]
  }
}

/**
 * Measures what opens between two films that met, once each is pushed.
 *
 * @returns undefined for films that do not meet as drawn
 */
export function openedBy(a: Art, pushA: Push, b: Art, pushB: Push): Opened | undefined {
  const mm = a.film.dpi / 25.4
  const cx = a.regions.width / 2
  const cy = a.regions.height / 2
  const go = turned(pushA, cx, cy, false)
  const intoB = turned(pushB, cx, cy, true)
  const fromB = turned(pushB, cx, cy, false)
  const intoA = turned(pushA, cx, cy, true)
  const now = new Widths()
  eachEdge(a.regions, a.counts, (x, y) => {
    const before = signedTrap(a, b, x, y)
    if (before === undefined || before < -MEANT_MM * mm) return
    const [bx, by] = intoB(...go(x, y)).map(Math.round) as [number, number]
    if (bx < 0 || by < 0 || bx >= b.regions.width || by >= b.regions.height) return
    const near = b.distances.nearest(bx, by)
    if (!near) return
    if (bitAt(b.regions, bx, by) === 0) return now.add(1 - near.d)
    const [ax, ay] = intoA(...fromB(near.x, near.y)).map(Math.round) as [number, number]
    if (bitAt(a.regions, ax, ay) === 1) now.add(near.d)
  })
  if (now.count <= mm) return undefined
  return {
    edge: now.count,
    open: now.below(-0.25),
    widest: Math.max(0, -(now.at(0.01) ?? 0)),
    trap: now.at(0.05) ?? 0,
  }
}
