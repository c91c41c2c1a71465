import fc from 'fast-check'
import { bitAt, emptyPlane, type Plane } from './plane'

/** A plane drawn with letters: `#` is ink. */
export function plane(...rows: readonly string[]): Plane {
  const out = emptyPlane(rows[0]?.length ?? 0, rows.length)
  rows.forEach((row, y) => {
    for (let x = 0; x < row.length; x++) if (row[x] === '#') setBit(out, x, y)
  })
  return out
}

export function setBit(p: Plane, x: number, y: number): void {
  const at = y * p.stride + (x >> 5)
  p.bits[at] = (p.bits[at] as number) | (1 << (x & 31))
}

/** The plane as letters again. */
export const letters = (p: Plane): readonly string[] =>
  Array.from({ length: p.height }, (_, y) =>
    Array.from({ length: p.width }, (_, x) => (bitAt(p, x, y) ? '#' : '.')).join(''),
  )

/** Planes of a few blots, some larger than a tile, so that tiles are empty, full and mixed. */
export const blots = (size: number): fc.Arbitrary<Plane> =>
  fc
    .array(
      fc.record({
        x: fc.integer({ min: -20, max: size }),
        y: fc.integer({ min: -20, max: size }),
        w: fc.integer({ min: 1, max: size }),
        h: fc.integer({ min: 1, max: size }),
      }),
      { maxLength: 5 },
    )
    .map((list) => {
      const out = emptyPlane(size, size - 7)
      for (const { x, y, w, h } of list)
        for (let j = Math.max(0, y); j < Math.min(out.height, y + h); j++)
          for (let i = Math.max(0, x); i < Math.min(out.width, x + w); i++) setBit(out, i, j)
      return out
    })

/** Planes of single pixels strewn about. */
export const dust = (size: number): fc.Arbitrary<Plane> =>
  fc.array(fc.tuple(fc.nat(size - 1), fc.nat(size - 1)), { maxLength: 60 }).map((list) => {
    const out = emptyPlane(size, size)
    for (const [x, y] of list) setBit(out, x, y)
    return out
  })
