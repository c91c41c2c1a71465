import type { Film } from './film'
import type { Mark } from './marks'
import type { Box } from './pack'

/** How one film's marks lie against those of the set: what the film would have to be moved back by. */
export interface Misfit {
  /** Pixels, at the middle of the marks. */
  readonly dx: number
  readonly dy: number
  /** Radians, clockwise as seen. */
  readonly rotation: number
  /** 1 is the same size. */
  readonly scale: number
  /** Pixels left over after the best fit. */
  readonly rms: number
  readonly worst: number
}

export interface Agreement {
  /** The marks that count, as they lie on the film that agrees best with the others. */
  readonly places: readonly Mark[]
  /** Index of that film. */
  readonly reference: number
  readonly films: readonly {
    readonly marks: readonly Mark[]
    /** Undefined with fewer than two marks in common. */
    readonly misfit: Misfit | undefined
  }[]
}

type Point = { readonly x: number; readonly y: number }

/**
 * The similarity that lays one set of points on another with the least squares, in closed form
 * (registration of marks: Kanatani/Umeyama in two dimensions, without reflection).
 *
 * @returns undefined for fewer than two points
 */
export function similarity(from: readonly Point[], to: readonly Point[]): Misfit | undefined {
  const n = from.length
  if (n < 2) return undefined
  const mean = (ps: readonly Point[]) => ({
    x: ps.reduce((s, p) => s + p.x, 0) / n,
    y: ps.reduce((s, p) => s + p.y, 0) / n,
  })
  const a = mean(from)
  const b = mean(to)
  let dot = 0
  let cross = 0
  let size = 0
  from.forEach((p, i) => {
    const q = to[i] as Point
    const [px, py, qx, qy] = [p.x - a.x, p.y - a.y, q.x - b.x, q.y - b.y]
    dot += px * qx + py * qy
    cross += px * qy - py * qx
    size += px * px + py * py
  })
  if (size === 0) return undefined
  const c = dot / size
  const s = cross / size
  const off = from.map((p, i) => {
    const q = to[i] as Point
    const [px, py] = [p.x - a.x, p.y - a.y]
    return Math.hypot(b.x + c * px - s * py - q.x, b.y + s * px + c * py - q.y)
  })
  return {
    dx: b.x - a.x,
    dy: b.y - a.y,
    rotation: Math.atan2(s, c),
    scale: Math.hypot(s, c),
    rms: Math.sqrt(off.reduce((sum, o) => sum + o * o, 0) / n),
    worst: Math.max(...off),
  }
}

/** Marks of two films stand for the same one when they lie this near. */
const SAME_MM = 6

const nearest = (marks: readonly Mark[], p: Point, most: number): Mark | undefined => {
  const far = (m: Point) => Math.hypot(m.x - p.x, m.y - p.y)
  const best = marks.reduce<Mark | undefined>((a, m) => (!a || far(m) < far(a) ? m : a), undefined)
  return best && far(best) <= most ? best : undefined
}

/** Compares the marks of all films; a mark counts when at least half of the films carry it. */
export function agree(films: readonly Film[]): Agreement {
  const dpi = films[0]?.dpi ?? 300
  const near = (SAME_MM * dpi) / 25.4
  const shared = (i: number) =>
    (films[i] as Film).marks.filter(
      (m) => 2 * films.filter((f) => nearest(f.marks, m, near)).length >= films.length,
    )
  const own = films.map((_, i) => shared(i))
  const misfitOf = (i: number, j: number) => {
    const pairs = (own[i] as readonly Mark[]).flatMap((m) => {
      const other = nearest(own[j] as readonly Mark[], m, near)
      return other ? [[m, other] as const] : []
    })
    return similarity(
      pairs.map(([a]) => a),
      pairs.map(([, b]) => b),
    )
  }
  // The film most alike to all others is the measure; the first one when they tie.
  let reference = 0
  let least = Number.POSITIVE_INFINITY
  films.forEach((_, i) => {
    const sum = films.reduce((s, _f, j) => {
      const m = i === j ? undefined : misfitOf(i, j)
      return s + (i === j ? 0 : m ? Math.min(near, Math.hypot(m.dx, m.dy) + m.worst) : near)
    }, 0)
    if (sum < least - 0.5) {
      least = sum
      reference = i
    }
  })
  return {
    reference,
    places: own[reference] ?? [],
    films: films.map((_, j) => ({ marks: own[j] as readonly Mark[], misfit: misfitOf(reference, j) })),
  }
}

/** Marks stand across from each other when they are level to this share of the film, and this far apart. */
const LEVEL = 0.04
const ACROSS = 0.25

/**
 * The rectangle of the art: inside marks that stand across from each other. Marks in the corners bound it by their
 * middles, so that labels outside are left out and art that reaches between them is not cut.
 */
export function artBox(marks: readonly Mark[], width: number, height: number): Box {
  const box = { left: 0, top: 0, right: width, bottom: height }
  const beside = (m: Mark, p: Mark) =>
    Math.abs(m.y - p.y) < LEVEL * height && Math.abs(m.x - p.x) > ACROSS * width
  const above = (m: Mark, p: Mark) =>
    Math.abs(m.x - p.x) < LEVEL * width && Math.abs(m.y - p.y) > ACROSS * height
  for (const m of marks) {
    const h = marks.find((p) => beside(m, p))
    const v = marks.find((p) => above(m, p))
    const corner = h && v
    if (h && m.x < h.x) box.left = Math.max(box.left, corner ? Math.ceil(m.x) : m.box.right)
    if (h && m.x > h.x) box.right = Math.min(box.right, corner ? Math.floor(m.x) : m.box.left)
    if (v && m.y < v.y) box.top = Math.max(box.top, corner ? Math.ceil(m.y) : m.box.bottom)
    if (v && m.y > v.y) box.bottom = Math.min(box.bottom, corner ? Math.floor(m.y) : m.box.top)
  }
  return box
}
