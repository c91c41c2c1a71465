import { describe, expect, it } from 'vitest'
import { disc, drawn, outside, type Shape, slab, together } from './film.fixtures'
import { inkTable } from './levels'
import { pack } from './pack'
import { type Thin, thinStrokes } from './thickness'

const DPI = 300
const PX = 25.4 / DPI
const TABLE = inkTable({ ink: 0, clear: 255, inverted: false })

const strokes = (
  shape: Shape,
  kind: 0 | 1,
  counts: (tile: number) => boolean = () => true,
): readonly Thin[] => {
  const image = drawn(30, 30, DPI, shape)
  return thinStrokes(pack(image, TABLE).bits, image, TABLE, kind, DPI, counts)
}

const mm = (px: number | undefined) => (px ?? Number.NaN) * PX

describe('thin strokes of ink', () => {
  it.each([0, 17, 45, 73, 90, 135])('one line at %s degrees is one width, wherever it runs', (turn) => {
    const found = strokes(slab(15, 15, 16, 0.5, turn), 1)
    expect(Math.abs(mm(found[0]?.width) - 0.5)).toBeLessThanOrEqual(PX)
    expect(found.reduce((sum, t) => sum + mm(t.length), 0)).toBeGreaterThan(11)
  })

  it('come thinnest first, each at its place', () => {
    const found = strokes(together(slab(15, 6, 20, 1.1), slab(15, 15, 20, 0.3), slab(15, 24, 20, 0.7)), 1)
    expect(found.map((t) => Math.round(mm(t.width) * 10) / 10)).toEqual([0.3, 0.7, 1.1])
    expect(found.map((t) => Math.round(mm(t.y)))).toEqual([15, 24, 6])
    for (const t of found) expect(mm(t.length)).toBeGreaterThan(18)
  })

  it('follow a curve: a ring is as wide all round', () => {
    const ring = outside(disc(15, 15, 10), disc(15, 15, 9.4))
    const found = strokes(ring, 1)
    expect(found.length).toBeGreaterThanOrEqual(2)
    for (const t of found.slice(0, 4)) expect(Math.abs(mm(t.width) - 0.6)).toBeLessThanOrEqual(PX)
  })

  it('of less than a millimetre of length, or wider than one and a half, are none', () => {
    expect(strokes(slab(15, 15, 0.8, 0.4), 1)).toEqual([])
    expect(strokes(slab(15, 15, 12, 2), 1)).toEqual([])
  })

  it('are not the tips of bold shapes', () => {
    // A diamond: its corners are as thin as one likes, but nowhere for a millimetre.
    const found = strokes(slab(15, 15, 12, 12, 45), 1)
    for (const t of found) expect(mm(t.width)).toBeGreaterThan(0.8)
  })

  it('are looked for only where they count', () => {
    expect(strokes(slab(15, 15, 16, 0.5), 1, () => false)).toEqual([])
  })
})

describe('thin gaps in ink', () => {
  it.each([0, 30, 90])('a slit at %s degrees', (turn) => {
    const found = strokes(outside(disc(15, 15, 12), slab(15, 15, 14, 0.4, turn)), 0)
    expect(Math.abs(mm(found[0]?.width) - 0.4)).toBeLessThanOrEqual(PX)
  })

  it('between two shapes is as wide as they stand apart', () => {
    const found = strokes(together(slab(10, 15, 9.4, 16), slab(20, 15, 9.8, 16)), 0)
    expect(Math.abs(mm(found[0]?.width) - 0.4)).toBeLessThanOrEqual(PX)
    expect(mm(found[0]?.x)).toBeCloseTo(14.9, 0)
  })

  it('the clear film round the art is no gap', () => {
    expect(strokes(slab(15, 15, 28, 28), 0)).toEqual([])
  })
})
