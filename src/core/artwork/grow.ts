import { emptyPlane, type Plane } from './plane'

/** `to |= from` moved by whole pixels along the row, to the right when `by` is above 0. */
function orMoved(to: Uint32Array, from: Uint32Array, by: number): void {
  const words = Math.floor(Math.abs(by) / 32)
  const bits = Math.abs(by) % 32
  const n = to.length
  for (let w = 0; w < n; w++) {
    const [near, far] = by >= 0 ? [w - words, w - words - 1] : [w + words, w + words + 1]
    const a = near >= 0 && near < n ? (from[near] ?? 0) : 0
    const b = bits !== 0 && far >= 0 && far < n ? (from[far] ?? 0) : 0
    const own =
      by >= 0
        ? (a << bits) | (bits === 0 ? 0 : b >>> (32 - bits))
        : (a >>> bits) | (bits === 0 ? 0 : b << (32 - bits))
    to[w] = (to[w] ?? 0) | own
  }
}

/** A row grown by so many pixels both ways, by doubling. */
function grownRow(row: Uint32Array, by: number): Uint32Array {
  let out = row.slice()
  for (let done = 0; done < by; ) {
    const step = Math.min(done + 1, by - done)
    const next = out.slice()
    orMoved(next, out, step)
    orMoved(next, out, -step)
    out = next
    done += step
  }
  return out
}

/**
 * Ink grown by a disc: each pixel whose centre lies within `radius` of one with ink. What lies beyond the film is lost.
 *
 * @param radius pixels, 0 or more
 */
export function grown(plane: Plane, radius: number): Plane {
  const out = emptyPlane(plane.width, plane.height)
  const { stride } = plane
  const reach = Math.floor(radius)
  const halves = Array.from({ length: reach + 1 }, (_, dy) =>
    Math.floor(Math.sqrt(radius * radius - dy * dy) + 1e-9),
  )
  for (let y = 0; y < plane.height; y++) {
    const row = plane.bits.subarray(y * stride, (y + 1) * stride)
    if (row.every((w) => w === 0)) continue
    halves.forEach((half, dy) => {
      const wide = grownRow(row, half)
      for (const v of dy === 0 ? [y] : [y - dy, y + dy]) {
        if (v < 0 || v >= plane.height) continue
        for (let w = 0; w < stride; w++)
          out.bits[v * stride + w] = (out.bits[v * stride + w] ?? 0) | (wide[w] ?? 0)
      }
    })
  }
  return onFilm(out)
}

/** Without the bits beyond the right edge of the film. */
function onFilm(plane: Plane): Plane {
  const last = plane.width >> 5
  const keep = plane.width & 31 ? (1 << (plane.width & 31)) - 1 : 0
  for (let y = 0; y < plane.height; y++)
    for (let w = last; w < plane.stride; w++) {
      const at = y * plane.stride + w
      plane.bits[at] = w === last ? (plane.bits[at] ?? 0) & keep : 0
    }
  return plane
}

/** Each word of planes of one size, by a rule. */
export function combined(
  planes: readonly [Plane, ...Plane[]],
  rule: (...words: readonly number[]) => number,
): Plane {
  const [first] = planes
  const out = emptyPlane(first.width, first.height)
  for (let i = 0; i < out.bits.length; i++) out.bits[i] = rule(...planes.map((p) => p.bits[i] ?? 0))
  return onFilm(out)
}

/** Ink drawn in by a disc: each pixel of ink farther than `radius` from any without. The edge of the film counts as ink. */
export const drawnIn = (plane: Plane, radius: number): Plane =>
  combined(
    [
      plane,
      grown(
        combined([plane], (w) => ~w),
        radius,
      ),
    ],
    (w = 0, out = 0) => w & ~out,
  )
