import type { Film } from './film'
import type { Mark } from './marks'
import { type Box, meets, within } from './pack'
import type { Plane } from './plane'

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

const nearest = <M extends Point>(marks: readonly M[], p: Point, most: number): M | undefined => {
  const far = (m: Point) => Math.hypot(m.x - p.x, m.y - p.y)
  const best = marks.reduce<M | undefined>((a, m) => (!a || far(m) < far(a) ? m : a), undefined)
  return best && far(best) <= most ? best : undefined
}

/** A set has so many registration marks at the most: more are a pattern of the art. */
const MOST_MARKS = 8

/** A shape that at least half of the films carry, and whether it lies outside of the art of all that carry it. */
interface Shared extends Mark {
  readonly outside: boolean
}

/**
 * Which of the shapes that look like marks are marks: those that stand across from another of their kind, a few of them, or
 * outside of the art.
 */
function inPlace(marks: readonly Shared[], { width, height }: Plane): readonly Mark[] {
  const mirrored = (m: Mark, p: Mark) =>
    Math.abs(m.x + p.x - width) < LEVEL * width &&
    Math.abs(m.y + p.y - height) < LEVEL * height &&
    Math.hypot(m.x - p.x, m.y - p.y) > ACROSS * Math.min(width, height)
  const facing = marks.filter((m) =>
    marks.some(
      (p) =>
        p !== m &&
        p.shape === m.shape &&
        (beside(m, p, width, height) || above(m, p, width, height) || mirrored(m, p)),
    ),
  )
  // A line is a mark only where lines are: outside of the art, at the middle of a side, another across.
  const middle = (m: Mark) =>
    Math.abs(m.x - width / 2) < LEVEL * width || Math.abs(m.y - height / 2) < LEVEL * height
  const line = (m: Mark) => m.shape === 'centre line'
  const believed = facing.filter((m) => !line(m) || (m.outside && middle(m)))
  if (believed.length >= 2 && believed.length <= MOST_MARKS) {
    const inner = artBox(believed, width, height)
    return marks.filter((m) => believed.includes(m) || (!line(m) && !within(inner, m.x, m.y) && m.outside))
  }
  const alone = marks.filter((m) => m.outside && !line(m))
  return alone.length <= MOST_MARKS ? alone : []
}

/** Each shape that at least half of the films carry, once. */
function sharedBy(films: readonly Film[], near: number): readonly Shared[] {
  const found: Shared[] = []
  for (const film of films)
    for (const m of film.marks) {
      const carry = films.filter((f) => nearest(f.marks, m, near))
      if (2 * carry.length < films.length || nearest(found, m, near)) continue
      found.push({ ...m, outside: carry.every((f) => !f.art || !meets(m.box, f.art)) })
    }
  return found
}

/**
 * Compares the marks of all films; a mark counts when at least half of the films carry it and it stands where marks do.
 *
 * @param kept points that someone said are art
 */
export function agree(
  films: readonly Film[],
  kept: readonly { readonly x: number; readonly y: number }[] = [],
): Agreement {
  const [first] = films
  if (!first) return { places: [], reference: 0, films: [] }
  const near = (SAME_MM * first.dpi) / 25.4
  const marks = inPlace(sharedBy(films, near), first.packed.bits).filter(
    (m) => !kept.some(({ x, y }) => within(m.box, x, y)),
  )
  const own = films.map((f) => f.marks.filter((m) => nearest(marks, m, near)))
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
    // Where the measure itself lacks a mark, as it lies on another film.
    places: marks.map((m) => nearest(own[reference] ?? [], m, near) ?? m),
    films: films.map((_, j) => ({ marks: own[j] as readonly Mark[], misfit: misfitOf(reference, j) })),
  }
}

/** Marks stand across from each other when they are level to this share of the film, and this far apart. */
const LEVEL = 0.04
const ACROSS = 0.25
const beside = (m: Point, p: Point, width: number, height: number) =>
  Math.abs(m.y - p.y) < LEVEL * height && Math.abs(m.x - p.x) > ACROSS * width
const above = (m: Point, p: Point, width: number, height: number) =>
  Math.abs(m.x - p.x) < LEVEL * width && Math.abs(m.y - p.y) > ACROSS * height

/**
 * The rectangle of the art: inside marks that stand across from each other. Marks in the corners bound it by their
 * middles, so that labels outside are left out and art that reaches between them is not cut.
 */
export function artBox(marks: readonly Mark[], width: number, height: number): Box {
  const box = { left: 0, top: 0, right: width, bottom: height }
  for (const m of marks) {
    const h = marks.find((p) => beside(m, p, width, height))
    const v = marks.find((p) => above(m, p, width, height))
    const corner = h && v
    if (h && m.x < h.x) box.left = Math.max(box.left, corner ? Math.ceil(m.x) : m.box.right)
    if (h && m.x > h.x) box.right = Math.min(box.right, corner ? Math.floor(m.x) : m.box.left)
    if (v && m.y < v.y) box.top = Math.max(box.top, corner ? Math.ceil(m.y) : m.box.bottom)
    if (v && m.y > v.y) box.bottom = Math.min(box.bottom, corner ? Math.floor(m.y) : m.box.top)
  }
  return box
}
