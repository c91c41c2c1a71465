import { median } from './histogram'
import type { GreyImage } from './levels'
import { eachBit, type Plane } from './plane'

/** A stroke of ink, or a gap between inks, of about the same width for at least a millimetre. */
export interface Thin {
  /** Pixels, to a fraction. */
  readonly width: number
  /** Pixels along it. */
  readonly length: number
  /** Its middle, in pixels from the top left corner. */
  readonly x: number
  readonly y: number
}

/** Wider strokes are not detail. */
const WIDEST_MM = 1.5
const SHORTEST_MM = 1
/** Widths of one stroke may differ by this share, or by pixels where it is narrow. */
const SAME = 0.2
const SAME_PX = 1.2
/** Strokes kept for a later choice: the thinnest. */
const KEPT = 400

interface Point {
  /** Along the stroke, whole, and across it. */
  readonly t: number
  readonly s: number
  readonly width: number
}

interface Chain {
  readonly points: Point[]
  /** Of the widths so far. */
  mean: number
}

/** Pixels of the same kind beside a pixel, `most` at the most; outside the film there is none of ink. */
function runDown(plane: Plane, x: number, y: number, step: 1 | -1, kind: number, most: number): number {
  const { bits, stride, height } = plane
  const mask = 1 << (x & 31)
  let at = y * stride + (x >> 5)
  for (let n = 0; n < most; n++) {
    at += step * stride
    const row = y + step * (n + 1)
    if (row < 0 || row >= height) return kind === 1 ? n : most
    if ((((bits[at] ?? 0) & mask) !== 0) !== (kind === 1)) return n
  }
  return most
}

/** The same along a row, a word at a time. */
function runAlong(plane: Plane, x: number, y: number, step: 1 | -1, kind: number, most: number): number {
  const row = y * plane.stride
  for (let n = 0; n < most; ) {
    const next = x + step * (n + 1)
    if (next < 0 || next >= plane.width) return kind === 1 ? n : most
    const word = plane.bits[row + (next >> 5)] ?? 0
    const other = kind === 1 ? ~word : word
    const bit = next & 31
    // What is not of the kind, from here on.
    const ahead = step > 0 ? other >>> bit : other << (31 - bit)
    if (ahead !== 0) {
      const far = step > 0 ? 31 - Math.clz32(ahead & -ahead) : Math.clz32(ahead)
      return Math.min(most, n + far)
    }
    n += step > 0 ? 32 - bit : bit + 1
  }
  return most
}

/**
 * Middles of strokes: at each edge the pixels across, and at their middle the pixels along.
 * The true width of a slanting stroke follows from both: h v / sqrt(h2 + v2).
 */
function points(
  plane: Plane,
  kind: 0 | 1,
  upright: boolean,
  cap: number,
  counts: (tile: number) => boolean,
): Map<number, Point[]> {
  const found = new Map<number, Point[]>()
  const along = 6 * cap
  const [runAcross, runLong] = upright ? [runAlong, runDown] : [runDown, runAlong]
  for (let y = 0; y < plane.height; y++) {
    const tiles = Math.floor(y / 64) * plane.tilesX
    for (let w = 0; w < plane.stride; w++) {
      const at = y * plane.stride + w
      const word = plane.bits[at] ?? 0
      const before = upright
        ? (word << 1) | (w > 0 ? (plane.bits[at - 1] ?? 0) >>> 31 : 0)
        : y > 0
          ? (plane.bits[at - plane.stride] ?? 0)
          : 0
      const starts = kind === 1 ? word & ~before : ~word & before
      if (starts === 0 || !counts(tiles + (w >> 1))) continue
      eachBit(starts, (bit) => {
        const x = w * 32 + bit
        const across = 1 + runAcross(plane, x, y, 1, kind, cap)
        if (across > cap) return
        const middle = (across - 1) / 2
        const mx = upright ? x + Math.floor(middle) : x
        const my = upright ? y : y + Math.floor(middle)
        if (mx >= plane.width || my >= plane.height) return
        const long = 1 + runLong(plane, mx, my, 1, kind, along) + runLong(plane, mx, my, -1, kind, along)
        // Each stroke is followed one way only: the way it runs longer. A gap open at its end is one too.
        if (upright ? long < across : long <= across) return
        const width = long > along ? across : (across * long) / Math.hypot(across, long)
        const t = upright ? y : x
        const point = { t, s: (upright ? x : y) + middle, width }
        const row = found.get(t)
        if (row) row.push(point)
        else found.set(t, [point])
      })
    }
  }
  return found
}

/** Joins middles of neighbouring rows into strokes of about one width. */
function chains(rows: Map<number, Point[]>, shortest: number): readonly Chain[] {
  const done: Chain[] = []
  let open: Chain[] = []
  const close = (c: Chain) => {
    const a = c.points[0] as Point
    const b = c.points.at(-1) as Point
    if (Math.hypot(b.t - a.t, b.s - a.s) >= shortest) done.push(c)
  }
  const ts = [...rows.keys()].sort((a, b) => a - b)
  for (const t of ts) {
    const next: Chain[] = []
    const taken = new Set<Chain>()
    for (const point of rows.get(t) as Point[]) {
      const fits = open.find((c) => {
        const end = c.points.at(-1) as Point
        const allowed = Math.max(SAME_PX, SAME * c.mean)
        return (
          !taken.has(c) &&
          end.t === t - 1 &&
          Math.abs(end.s - point.s) <= 1.5 &&
          Math.abs(point.width - c.mean) <= allowed
        )
      })
      if (fits) {
        taken.add(fits)
        fits.points.push(point)
        fits.mean += (point.width - fits.mean) / fits.points.length
        next.push(fits)
      } else next.push({ points: [point], mean: point.width })
    }
    for (const c of open) if (!taken.has(c)) close(c)
    open = next
  }
  open.forEach(close)
  return done
}

const DIRECTIONS = 16
const STEP = 0.25

/**
 * Width across a place from the greys: least over the directions of the ink met on the way out to either side,
 * or of the clear film for a gap.
 *
 * @param reach pixels followed to either side
 */
function greyWidth(
  image: GreyImage,
  table: Uint8Array,
  kind: 0 | 1,
  x: number,
  y: number,
  reach: number,
): number {
  const share = (px: number, py: number) => {
    const ix = Math.min(image.width - 1, Math.max(0, px))
    const iy = Math.min(image.height - 1, Math.max(0, py))
    const ink = (table[image.grey[iy * image.width + ix] ?? 0] ?? 0) / 255
    return kind ? ink : 1 - ink
  }
  const smooth = (px: number, py: number) => {
    const ix = Math.floor(px)
    const iy = Math.floor(py)
    const fx = px - ix
    const fy = py - iy
    return (
      (share(ix, iy) * (1 - fx) + share(ix + 1, iy) * fx) * (1 - fy) +
      (share(ix, iy + 1) * (1 - fx) + share(ix + 1, iy + 1) * fx) * fy
    )
  }
  let least = Number.POSITIVE_INFINITY
  for (let k = 0; k < DIRECTIONS; k++) {
    const dx = Math.cos((Math.PI * k) / DIRECTIONS)
    const dy = Math.sin((Math.PI * k) / DIRECTIONS)
    let sum = 0
    for (const way of [1, -1]) {
      for (let r = STEP / 2; r < reach; r += STEP) {
        const v = smooth(x + way * r * dx, y + way * r * dy)
        // Far enough out and clear: what comes next is another shape.
        if (v < 0.02) break
        sum += v * STEP
      }
    }
    least = Math.min(least, sum)
  }
  return least
}

/**
 * The thin strokes of a film's ink, or the thin gaps in it, thinnest first.
 *
 * @param kind 1 for ink, 0 for gaps
 * @param dpi pixels per inch
 * @param counts tiles that are looked at; halftone and its neighbours are not
 */
export function thinStrokes(
  plane: Plane,
  image: GreyImage,
  table: Uint8Array,
  kind: 0 | 1,
  dpi: number,
  counts: (tile: number) => boolean,
): readonly Thin[] {
  const cap = Math.ceil((WIDEST_MM * dpi) / 25.4)
  const shortest = (SHORTEST_MM * dpi) / 25.4
  const found = [true, false].flatMap((upright) =>
    chains(points(plane, kind, upright, cap, counts), shortest).map((c) => ({
      upright,
      points: c.points,
      width: median(c.points.map((p) => p.width)),
    })),
  )
  found.sort((a, b) => a.width - b.width)
  return found
    .slice(0, KEPT)
    .map(({ upright, points: p, width }): Thin => {
      const a = p[0] as Point
      const b = p.at(-1) as Point
      const at = (q: number) => p[Math.floor(q * (p.length - 1))] as Point
      const place = ({ t, s }: Point) => (upright ? { x: s, y: t } : { x: t, y: s })
      const fine = [0.3, 0.5, 0.7].map((q) => {
        const { x, y } = place(at(q))
        return greyWidth(image, table, kind, x, y, width / 2 + 3)
      })
      const middle = place(at(0.5))
      return {
        width: median(fine),
        length: Math.hypot(b.t - a.t, b.s - a.s),
        x: middle.x + 0.5,
        y: middle.y + 0.5,
      }
    })
    .sort((a, b) => a.width - b.width)
}
