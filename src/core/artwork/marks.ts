import { CELL, type Coarse, components } from './coarse'
import type { Box } from './pack'
import { bitAt, type Plane } from './plane'

/** A registration mark found on a film, in pixels from the film's top left corner. */
export interface Mark {
  readonly x: number
  readonly y: number
  readonly shape: 'cross' | 'cross in a circle'
  readonly box: Box
}

const LEAST_MM = 3
const MOST_MM = 22
const MOST_ASPECT = 1.4
const MOST_INK = 0.3
/** Bars thicker than this share of the mark belong to the art: a plus sign. */
const MOST_BAR = 0.12

function boxOf(cells: readonly number[], columns: number): Box {
  const xs = cells.map((c) => c % columns)
  const ys = cells.map((c) => Math.floor(c / columns))
  return {
    left: Math.min(...xs) * CELL,
    top: Math.min(...ys) * CELL,
    right: (Math.max(...xs) + 1) * CELL,
    bottom: (Math.max(...ys) + 1) * CELL,
  }
}

/** A straight line `a + b t` through points with weights, outliers left out twice. */
function line(points: readonly (readonly [t: number, at: number])[]) {
  let kept = points
  let a = 0
  let b = 0
  for (let round = 0; round < 3; round++) {
    const n = kept.length
    if (n < 5) return undefined
    const tm = kept.reduce((s, [t]) => s + t, 0) / n
    const am = kept.reduce((s, [, y]) => s + y, 0) / n
    const tt = kept.reduce((s, [t]) => s + (t - tm) ** 2, 0)
    b = kept.reduce((s, [t, y]) => s + (t - tm) * (y - am), 0) / tt
    a = am - b * tm
    const off = kept.map(([t, y]) => Math.abs(y - a - b * t))
    const limit = Math.max(0.75, 2.5 * ([...off].sort((p, q) => p - q)[n >> 1] ?? 0))
    kept = kept.filter((_, i) => (off[i] ?? 0) <= limit)
  }
  return kept.length < points.length / 2 ? undefined : { a, b }
}

/**
 * The bar of a cross that runs along one axis: in each slice across it the ink near the middle, by its centre.
 * `at(t, s)` reads the pixel at `t` along the bar and `s` across it.
 */
function bar(at: (t: number, s: number) => number, from: number, to: number, mid: number, half: number) {
  const slices: [number, number][] = []
  let thick = 0
  for (let t = from; t < to; t++) {
    let ink = 0
    let sum = 0
    for (let s = Math.floor(mid - half); s <= mid + half; s++)
      if (at(t, s)) {
        ink++
        sum += s
      }
    // Slices through the other bar or the ring hold more ink than a bar is thick.
    if (ink === 0 || ink > half) continue
    slices.push([t, sum / ink])
    thick += ink
  }
  const clear =
    slices.length >= (to - from) * 0.45 && thick / slices.length <= Math.max(2, MOST_BAR * (to - from))
  return clear ? line(slices) : undefined
}

/** Ink in all four quarters at about the same distance from the centre, away from the bars: a ring. */
function hasRing(plane: Plane, x: number, y: number, radius: number): boolean {
  const bins = new Map<number, number[]>()
  const thick = Math.max(2, radius * 0.12)
  for (let py = Math.floor(y - radius); py <= y + radius; py++)
    for (let px = Math.floor(x - radius); px <= x + radius; px++) {
      const dx = px + 0.5 - x
      const dy = py + 0.5 - y
      if (!bitAt(plane, px, py) || Math.abs(dx) < thick || Math.abs(dy) < thick) continue
      const r = Math.round(Math.hypot(dx, dy) / thick)
      const quarters = bins.get(r) ?? [0, 0, 0, 0]
      const q = (dx > 0 ? 1 : 0) + (dy > 0 ? 2 : 0)
      quarters[q] = (quarters[q] ?? 0) + 1
      bins.set(r, quarters)
    }
  const least = radius * 0.15
  return [...bins.values()].some((quarters) => quarters.every((n) => n >= least))
}

/**
 * Finds registration marks: small crosses, plain or in a circle, that stand alone.
 *
 * @param dpi pixels per inch
 * @returns centres to a fraction of a pixel; 0.5 is the middle of the first pixel
 */
export function findMarks(plane: Plane, coarse: Coarse, dpi: number): readonly Mark[] {
  const px = dpi / 25.4
  const least = LEAST_MM * px - CELL
  const most = MOST_MM * px + 2 * CELL
  const mostCells = (most / CELL + 1) ** 2
  return components(coarse, mostCells).flatMap((cells): Mark[] => {
    const box = boxOf(cells, coarse.columns)
    const w = box.right - box.left
    const h = box.bottom - box.top
    if (Math.max(w, h) > most || Math.min(w, h) < least) return []
    if (Math.max(w, h) / Math.min(w, h) > MOST_ASPECT) return []
    let ink = 0
    for (let y = box.top; y < box.bottom; y++)
      for (let x = box.left; x < box.right; x++) ink += bitAt(plane, x, y)
    if (ink > MOST_INK * w * h || ink < Math.min(w, h)) return []
    const half = Math.max(4, Math.min(w, h) * 0.16)
    const cx = (box.left + box.right) / 2
    const cy = (box.top + box.bottom) / 2
    const across = bar((t, s) => bitAt(plane, t, s), box.left, box.right, cy, half)
    const upright = bar((t, s) => bitAt(plane, s, t), box.top, box.bottom, cx, half)
    if (!across || !upright || Math.abs(across.b) > 0.2 || Math.abs(upright.b) > 0.2) return []
    // y = a1 + b1 x meets x = a2 + b2 y; half a pixel leads from a pixel's number to its middle.
    const y = (across.a + across.b * upright.a) / (1 - across.b * upright.b)
    const x = upright.a + upright.b * y
    const ring = hasRing(plane, x + 0.5, y + 0.5, Math.max(w, h) / 2)
    return [{ x: x + 0.5, y: y + 0.5, shape: ring ? 'cross in a circle' : 'cross', box }]
  })
}
