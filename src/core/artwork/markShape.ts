import type { Box } from './pack'
import { bitAt, type Plane } from './plane'

/** What registration marks look like. */
export type MarkShape = 'cross' | 'cross in a circle' | 'target' | 'corner' | 'centre line'

/** A mark by its shape alone, in pixels; 0.5 is the middle of the first one. */
export interface Shaped {
  readonly x: number
  readonly y: number
  readonly shape: MarkShape
}

/** Bars thicker than this share of the mark belong to the art: a plus sign. */
const MOST_BAR = 0.12
/** A bar runs through: so much of its length holds ink. */
const RUNS = 0.85
/** So much of a mark's ink is what a mark is made of. A compass rose, a snowflake, a grid have more. */
const EXPLAINED = 0.85
/** Directions that are looked at to tell a ring, and how many of them a ring covers. */
const SECTORS = 24
const RING = 0.8

/** A straight line `a + b t` through points, outliers left out twice. */
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

interface Bar {
  /** Its middle is at `a + b t`. */
  readonly a: number
  readonly b: number
  readonly thick: number
}

/**
 * A bar that runs along one axis: in each slice across it the ink near the middle, by its centre.
 * `at(t, s)` reads the pixel at `t` along the bar and `s` across it.
 *
 * @param least share of the slices that must show the bar alone
 */
function bar(
  at: (t: number, s: number) => number,
  [from, to]: readonly [number, number],
  mid: number,
  half: number,
  least: number,
): Bar | undefined {
  const slices: [number, number][] = []
  let thick = 0
  let run = 0
  for (let t = from; t < to; t++) {
    let ink = 0
    let sum = 0
    for (let s = Math.floor(mid - half); s <= mid + half; s++)
      if (at(t, s)) {
        ink++
        sum += s
      }
    if (ink === 0) continue
    run++
    // Slices through the other bar, a ring or a filled quarter hold more ink than a bar is thick.
    if (ink > half) continue
    slices.push([t, sum / ink])
    thick += ink
  }
  if (run < RUNS * (to - from) || slices.length < (to - from) * least) return undefined
  if (thick / slices.length > Math.max(2, MOST_BAR * (to - from))) return undefined
  const found = line(slices)
  return found && Math.abs(found.b) <= 0.2 ? { ...found, thick: thick / slices.length } : undefined
}

/** Round the ink. */
function tight(plane: Plane): Box | undefined {
  let [left, top, right, bottom] = [plane.width, plane.height, 0, 0]
  for (let y = 0; y < plane.height; y++)
    for (let x = 0; x < plane.width; x++)
      if (bitAt(plane, x, y)) {
        left = Math.min(left, x)
        right = Math.max(right, x + 1)
        top = Math.min(top, y)
        bottom = Math.max(bottom, y + 1)
      }
  return right > left ? { left, top, right, bottom } : undefined
}

interface Rings {
  /** Share of the ink that is not on a bar and lies in rings, and in two quarters across from each other. */
  readonly ink: number
  readonly explained: number
  readonly rings: number
  readonly quarters: number
}

/** Sorts the ink of a mark by its distance from the middle: rings all round, or quarters filled across from each other. */
function ringsIn(
  plane: Plane,
  box: Box,
  cx: number,
  cy: number,
  onBar: (x: number, y: number) => boolean,
): Rings {
  const radius = Math.max(box.right - box.left, box.bottom - box.top) / 2
  const wide = Math.max(1, radius / 24)
  const bins: { ink: number; free: number; readonly inked: number[]; readonly open: number[] }[] = []
  let ink = 0
  for (let y = box.top; y < box.bottom; y++)
    for (let x = box.left; x < box.right; x++) {
      const [dx, dy] = [x + 0.5 - cx, y + 0.5 - cy]
      if (onBar(x + 0.5, y + 0.5)) continue
      const r = Math.floor(Math.hypot(dx, dy) / wide)
      const sector = Math.min(
        SECTORS - 1,
        Math.floor(((Math.atan2(dy, dx) + Math.PI) / (2 * Math.PI)) * SECTORS),
      )
      bins[r] ??= { ink: 0, free: 0, inked: new Array(SECTORS).fill(0), open: new Array(SECTORS).fill(0) }
      const bin = bins[r]
      bin.free++
      bin.open[sector] = (bin.open[sector] ?? 0) + 1
      if (!bitAt(plane, x, y)) continue
      ink++
      bin.ink++
      bin.inked[sector] = (bin.inked[sector] ?? 0) + 1
    }
  let [explained, rings, quarters] = [0, 0, 0]
  let before = false
  for (const bin of bins) {
    if (!bin) continue
    const shares = bin.open.flatMap((n, s) => (n > 0 ? [[s, (bin.inked[s] ?? 0) / n] as const] : []))
    const covered = shares.filter(([, share]) => share > 0).length / Math.max(1, shares.length)
    const ring = covered >= RING
    // Sectors run from the left round: quarters of six.
    const quarter = [0, 1, 2, 3].map((q) => {
      const own = shares.filter(([s]) => Math.floor(s / (SECTORS / 4)) === q)
      return own.reduce((sum, [, share]) => sum + share, 0) / Math.max(1, own.length)
    })
    const [a = 0, b = 0, c = 0, d = 0] = quarter
    const across =
      (Math.min(a, c) > 0.7 && Math.max(b, d) < 0.3) || (Math.min(b, d) > 0.7 && Math.max(a, c) < 0.3)
    if (ring && !before) rings++
    before = ring
    if (across) quarters += bin.ink
    if (ring || across) explained += bin.ink
  }
  return { ink, explained, rings, quarters }
}

/** A cross, plain, in a circle, or with filled quarters. */
function cross(plane: Plane, box: Box): Shaped | undefined {
  const [w, h] = [box.right - box.left, box.bottom - box.top]
  const half = Math.max(4, Math.min(w, h) * 0.16)
  const [mx, my] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2]
  const across = bar((t, s) => bitAt(plane, t, s), [box.left, box.right], my, half, 0.25)
  const upright = bar((t, s) => bitAt(plane, s, t), [box.top, box.bottom], mx, half, 0.25)
  if (!across || !upright) return undefined
  // y = a1 + b1 x meets x = a2 + b2 y; half a pixel leads from a pixel's number to its middle.
  const y = (across.a + across.b * upright.a) / (1 - across.b * upright.b) + 0.5
  const x = upright.a + upright.b * (y - 0.5) + 0.5
  const onBar = (px: number, py: number) =>
    Math.abs(py - 0.5 - across.a - across.b * (px - 0.5)) <= across.thick / 2 + 1 ||
    Math.abs(px - 0.5 - upright.a - upright.b * (py - 0.5)) <= upright.thick / 2 + 1
  const { ink, explained, rings, quarters } = ringsIn(plane, box, x, y, onBar)
  const bars = (w + h) * Math.max(1, (across.thick + upright.thick) / 2)
  // What is left over counts against the whole mark: a hairline's rough rim is little.
  if (ink - explained > (1 - EXPLAINED) * (bars + ink)) return undefined
  return {
    x,
    y,
    shape: quarters > 0.25 * ink && quarters > 20 ? 'target' : rings > 0 ? 'cross in a circle' : 'cross',
  }
}

/** Rings about a dot or about each other, without a cross. */
function bullseye(plane: Plane, box: Box): Shaped | undefined {
  let [n, sx, sy] = [0, 0, 0]
  for (let y = box.top; y < box.bottom; y++)
    for (let x = box.left; x < box.right; x++)
      if (bitAt(plane, x, y)) {
        n++
        sx += x + 0.5
        sy += y + 0.5
      }
  const [x, y] = [sx / n, sy / n]
  const { ink, explained, rings } = ringsIn(plane, box, x, y, () => false)
  return rings >= 2 && explained >= 0.95 * ink ? { x, y, shape: 'target' } : undefined
}

/** Two thin bars that meet at a corner of their box. */
function corner(plane: Plane, box: Box): Shaped | undefined {
  const [w, h] = [box.right - box.left, box.bottom - box.top]
  const half = Math.max(2, 0.1 * Math.min(w, h))
  for (const y0 of [box.top, box.bottom - 1])
    for (const x0 of [box.left, box.right - 1]) {
      const my = y0 === box.top ? y0 + half / 2 : y0 - half / 2
      const mx = x0 === box.left ? x0 + half / 2 : x0 - half / 2
      const across = bar((t, s) => bitAt(plane, t, s), [box.left, box.right], my, half, 0.7)
      const upright = bar((t, s) => bitAt(plane, s, t), [box.top, box.bottom], mx, half, 0.7)
      if (!across || !upright) continue
      let [all, off] = [0, 0]
      for (let y = box.top; y < box.bottom; y++)
        for (let x = box.left; x < box.right; x++)
          if (bitAt(plane, x, y)) {
            all++
            if (Math.abs(y - my) > half && Math.abs(x - mx) > half) off++
          }
      if (off > (1 - EXPLAINED) * all) continue
      const y = (across.a + across.b * upright.a) / (1 - across.b * upright.b)
      return { x: upright.a + upright.b * y + 0.5, y: y + 0.5, shape: 'corner' }
    }
  return undefined
}

/** A short thin bar by itself, level or upright. */
function centreLine(plane: Plane, box: Box, thin: number): Shaped | undefined {
  const [w, h] = [box.right - box.left, box.bottom - box.top]
  if (Math.min(w, h) > thin) return undefined
  const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2]
  const [along, half] = [[box.left, box.right, box.top, box.bottom] as const, Math.min(w, h)]
  const found =
    w > h
      ? bar((t, s) => bitAt(plane, t, s), [along[0], along[1]], y, half, 0.85)
      : bar((t, s) => bitAt(plane, s, t), [along[2], along[3]], x, half, 0.85)
  return found && { x, y, shape: 'centre line' }
}

/** Longer than this share of its width, a mark is a line. */
const MOST_ASPECT = 1.4
const LINE_ASPECT = 4

/**
 * What mark a small piece of ink is, by its shape alone.
 *
 * @param plane the piece by itself
 * @param thin pixels that a line by itself is thick at the most
 */
export function markShape(plane: Plane, thin: number): Shaped | undefined {
  const own = tight(plane)
  if (!own) return undefined
  const [w, h] = [own.right - own.left, own.bottom - own.top]
  const aspect = Math.max(w, h) / Math.min(w, h)
  if (aspect >= LINE_ASPECT) return centreLine(plane, own, thin)
  if (aspect <= MOST_ASPECT) {
    const found = cross(plane, own) ?? bullseye(plane, own)
    if (found) return found
  }
  return corner(plane, own)
}
