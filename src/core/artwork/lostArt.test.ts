import { describe, expect, it } from 'vitest'
import { disc, dots, drawn, mark, outside, type Shape, slab, together, within } from './film.fixtures'
import { DPI, FRAME, film } from './filmsDrawn.fixtures'
import { readFilm, settle } from './index'

const areaOf = (shapes: readonly Shape[], at = 0) =>
  (settle(shapes.map((s) => film(s))).facts[at]?.inkArea ?? 0) * 1e6
const bar = (turn: number, long: number, wide: number) => slab(30, 30, long, wide, turn)
const compassRose = together(
  bar(0, 14, 0.4),
  bar(90, 14, 0.4),
  bar(45, 9, 0.4),
  bar(-45, 9, 0.4),
  disc(30, 30, 1),
)
const snowflake = together(
  ...[0, 60, 120].map((t) => bar(t, 14, 0.4)),
  ...[30, 90, 150].map((t) => bar(t, 8, 0.3)),
)
const grid = together(
  ...[-6, -3, 0, 3, 6].flatMap((d) => [slab(30 + d, 30, 0.3, 14), slab(30, 30 + d, 14, 0.3)]),
)

describe('art is not taken for marks (drawn truth)', () => {
  it.each([
    ['a compass rose', compassRose],
    ['a snowflake', snowflake],
    ['a grid', grid],
    ['a patch of a light tint', within(dots(35 / 25.4, 28, 0.15), slab(30, 30, 15, 15))],
    ['a small ring', outside(disc(30, 30, 6), disc(30, 30, 5.4))],
  ])('%s on every film stays art', (_, shape) => {
    const [facts] = settle([film(shape), film(shape)]).facts
    expect(facts?.marks).toHaveLength(4)
    expect((facts?.inkArea ?? 0) * 1e6).toBeGreaterThan(4)
    expect(Math.abs((facts?.inkArea ?? 0) * 1e6 - trueArea(shape))).toBeLessThan(0.02 * trueArea(shape) + 0.3)
  })

  it.each([12, 15, 18])(
    'tints %s mm wide stay art, at 300 and 600 dpi, on films without marks',
    (side) => {
      for (const [dpi, lpi, angle] of [
        [600, 35, 28],
        [300, 35, 28],
        [300, 20, 45],
        [300, 55, 22.5],
      ] as const) {
        const tint = within(dots(lpi / 25.4, angle, 0.15), slab(20, 20, side, side))
        const read = () => readFilm(drawn(40, 40, dpi, tint), dpi)
        const [facts] = settle([read(), read()]).facts
        expect(facts?.marks).toEqual([])
        expect(Math.abs((facts?.inkArea ?? 0) * 1e6 - 0.15 * side * side)).toBeLessThan(0.02 * side * side)
      }
    },
    30_000,
  )

  it('a lone thin cross inside the art stays; four that face each other are marks', () => {
    const cross = together(slab(26, 28, 8, 0.3), slab(26, 28, 0.3, 8))
    expect(areaOf([together(cross, disc(40, 40, 3))])).toBeCloseTo(2 * 8 * 0.3 + Math.PI * 9, 0)
  })

  it('a pattern of a dozen crosses is art', () => {
    const pattern = together(
      ...[12, 24, 36, 48].flatMap((x) =>
        [16, 30, 44].map((y) => together(slab(x, y, 5, 0.4), slab(x, y, 0.4, 5))),
      ),
    )
    const image = drawn(60, 60, DPI, pattern)
    expect(settle([readFilm(image, DPI)]).facts[0]?.marks).toEqual([])
  })

  it('what someone says is art is art', () => {
    const films = [film(disc(30, 30, 6)), film(disc(30, 30, 6))]
    const px = DPI / 25.4
    const [facts] = settle(films, [{ x: 30 * px, y: 6 * px }]).facts
    expect(facts?.marks).toHaveLength(3)
    expect(facts?.leftOut.filter((o) => o.kind === 'mark')).toHaveLength(3)
    expect((facts?.box?.y ?? 1) * 1000).toBeLessThan(2)
  })
})

describe('art beyond the marks', () => {
  it('bars that reach past the side marks are kept whole', () => {
    const bars = together(slab(30, 18, 54, 4), slab(30, 42, 54, 4))
    expect(areaOf([bars, bars])).toBeCloseTo(2 * 54 * 4, -0.5)
  })

  it('a large piece outside is kept, a label and a wedge are left out and told', () => {
    const px = DPI / 25.4
    const sides = together(mark(60, 40), mark(60, 90), mark(40, 65), mark(80, 65))
    const label = together(...[0, 1, 2, 3].map((i) => slab(50 + i * 3, 114, 1.5, 3)))
    const shape = together(sides, disc(60, 65, 6), slab(15, 65, 20, 20), label)
    const read = readFilm(drawn(120, 120, DPI, shape), DPI)
    const [facts] = settle([read]).facts
    expect((facts?.inkArea ?? 0) * 1e6).toBeCloseTo(Math.PI * 36 + 400, 0)
    expect(facts?.leftOut.map((o) => o.kind).sort()).toEqual(['label', 'mark', 'mark', 'mark', 'mark'])
    const [told] = facts?.leftOut.filter((o) => o.kind === 'label') ?? []
    expect((told?.y ?? 0) * 1000).toBeGreaterThan(110)
    const [back] = settle([read], [{ x: 52 * px, y: 114 * px }]).facts
    expect((back?.inkArea ?? 0) * 1e6).toBeCloseTo(Math.PI * 36 + 400 + 4 * 4.5, 0)
  })
})

const ringed = (x: number, y: number, r: number, w: number) => outside(disc(x, y, r), disc(x, y, r - w))
const quarters = (x: number, y: number) =>
  together(
    slab(x, y, 12, 0.3),
    slab(x, y, 0.3, 12),
    ringed(x, y, 3.5, 0.3),
    within(disc(x, y, 3.5), slab(x + 5, y + 5, 10, 10)),
    within(disc(x, y, 3.5), slab(x - 5, y - 5, 10, 10)),
  )
const bullseye = (x: number, y: number) =>
  together(disc(x, y, 0.8), ringed(x, y, 2.2, 0.4), ringed(x, y, 4, 0.4))
const corner = (x: number, y: number) => {
  const [dx, dy] = [x < 30 ? 1 : -1, y < 30 ? 1 : -1]
  return together(slab(x + dx * 4, y, 8.3, 0.3), slab(x, y + dy * 4, 0.3, 8.3))
}
const short = (x: number, y: number) => (x === 30 ? slab(x, y, 0.4, 7) : slab(x, y, 7, 0.4))

describe('marks of every usual shape', () => {
  const sides = [
    [30, 6],
    [30, 54],
    [6, 30],
    [54, 30],
  ] as const
  const corners = [
    [4, 4],
    [56, 4],
    [4, 56],
    [56, 56],
  ] as const
  it.each([
    ['quartered targets', quarters, sides, 'target'],
    ['bullseyes', bullseye, sides, 'target'],
    ['crosses', (x: number, y: number) => mark(x, y, 0, 9, 0.3, false), sides, 'cross'],
    ['crosses in circles', (x: number, y: number) => mark(x, y), sides, 'cross in a circle'],
    ['corners', corner, corners, 'corner'],
    ['centre lines', short, sides, 'centre line'],
  ] as const)('%s are found within half a pixel, and are no art', (_, draw, places, shape) => {
    const frame = together(...places.map(([x, y]) => draw(x, y)))
    const image = () => readFilm(drawn(60, 60, DPI, together(frame, disc(30, 30, 9))), DPI)
    const [facts] = settle([image(), image()]).facts
    expect(facts?.marks.map((m) => m.shape)).toEqual([shape, shape, shape, shape])
    for (const [x, y] of places) {
      const off = (facts?.marks ?? []).map((m) => Math.hypot(m.x * 1000 - x, m.y * 1000 - y))
      expect((Math.min(...off) * DPI) / 25.4).toBeLessThan(0.5)
    }
    expect((facts?.inkArea ?? 0) * 1e6).toBeCloseTo(Math.PI * 81, 0)
  })
})

/** Area of a shape in square millimetres, by counting a grid ten times as fine as a pixel would be at 50 dpi. */
function trueArea(shape: Shape): number {
  const step = 0.05
  let n = 0
  for (let y = 15; y < 45; y += step)
    for (let x = 15; x < 45; x += step) if (shape(x + step / 2, y + step / 2) < 0) n++
  return n * step * step
}

it('the frame of the other tests is what its name says', () => {
  expect(settle([readFilm(drawn(60, 60, DPI, FRAME), DPI)]).facts[0]?.marks).toHaveLength(4)
})
