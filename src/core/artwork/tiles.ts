import type { Film } from './film'
import type { Mark } from './marks'
import { type Box, within } from './pack'
import { emptyPlane, type Plane } from './plane'

/**
 * Art larger than a film sheet comes as two tiles with corner marks on both, joined on the screen (common practice). Here they
 * are joined on the film: the marks that meet tell how the sheets lie to each other.
 */

/** Two films that are tiles of one. */
export interface Tiles {
  readonly a: number
  readonly b: number
  /** Pixels by which the second lies right of and below the first. */
  readonly dx: number
  readonly dy: number
  /** The marks at the seam, on each. */
  readonly seam: readonly [readonly Mark[], readonly Mark[]]
}

/** Marks of two tiles meet to so many pixels at 300 an inch. */
const MEETS_MM = 0.15
/** Tiles lie beside each other by more than this share of a sheet one way, and less than that the other. */
const BESIDE = 0.4
const LEVEL = 0.15
/** Marks of a seam stand this share of a sheet apart. */
const APART = 0.25
/** Marks this near each other on two films are one mark: such films lie on each other, not beside. */
const SAME_MM = 6

const pairsOf = (marks: readonly Mark[]) =>
  marks.flatMap((p) => marks.filter((q) => q !== p && q.shape === p.shape).map((q) => [p, q] as const))

function meeting(a: Film, b: Film): Omit<Tiles, 'a' | 'b'> | undefined {
  const { width, height } = a.packed.bits
  const px = a.dpi / 25.4
  const far = (p: Mark, q: Mark) => Math.hypot(p.x - q.x, p.y - q.y)
  const alone = (m: Mark) => b.marks.every((o) => far(m, o) > SAME_MM * px)
  for (const [p, q] of pairsOf(a.marks.filter(alone)))
    for (const [r, s] of pairsOf(b.marks)) {
      if (far(p, q) < APART * Math.min(width, height)) continue
      const off = Math.hypot(q.x - p.x - (s.x - r.x), q.y - p.y - (s.y - r.y))
      if (off > MEETS_MM * px || p.shape !== r.shape) continue
      const [dx, dy] = [(p.x - r.x + q.x - s.x) / 2, (p.y - r.y + q.y - s.y) / 2]
      const [across, down] = [Math.abs(dx) / width, Math.abs(dy) / height]
      const beside = (across > BESIDE && down < LEVEL) || (down > BESIDE && across < LEVEL)
      if (beside)
        return {
          dx: Math.round(dx),
          dy: Math.round(dy),
          seam: [
            [p, q],
            [r, s],
          ],
        }
    }
  return undefined
}

/** Films that are tiles of one, each pair once; films that carry their marks in the same places are none. */
export function tilesIn(films: readonly Film[]): readonly Tiles[] {
  return films.flatMap((one, a) =>
    films.slice(a + 1).flatMap((two, i): Tiles[] => {
      const met = meeting(one, two)
      return met ? [{ a, b: a + 1 + i, ...met }] : []
    }),
  )
}

/** Two tiles as one film, without the marks at their seam. */
export function joined(films: readonly Film[], { a, b, dx, dy, seam }: Tiles): Plane {
  const [one, two] = [films[a], films[b]].map((f) => f?.packed.bits)
  if (!one || !two) throw new RangeError('There is no such film')
  const [left, top] = [Math.min(0, dx), Math.min(0, dy)]
  const out = emptyPlane(
    Math.max(one.width, dx + two.width) - left,
    Math.max(one.height, dy + two.height) - top,
  )
  const lay = (plane: Plane, x0: number, y0: number, clear: readonly Box[]) => {
    for (let y = 0; y < plane.height; y++)
      for (let w = 0; w < plane.stride; w++) {
        const word = plane.bits[y * plane.stride + w] ?? 0
        if (word === 0) continue
        for (let bit = 0; bit < 32; bit++) {
          const x = w * 32 + bit
          if (!((word >>> bit) & 1) || clear.some((box) => within(box, x, y))) continue
          const at = (y + y0) * out.stride + ((x + x0) >> 5)
          out.bits[at] = (out.bits[at] ?? 0) | (1 << ((x + x0) & 31))
        }
      }
  }
  lay(
    one,
    -left,
    -top,
    seam[0].map((m) => m.box),
  )
  lay(
    two,
    dx - left,
    dy - top,
    seam[1].map((m) => m.box),
  )
  return out
}
