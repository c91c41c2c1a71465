import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { disc, dots, drawn, type Shape, slab, together, within } from './film.fixtures'
import { colourOf, type GreyImage, meetingOf, readFilm, settle } from './index'

const ALL = slab(20, 20, 36, 36)
const factsOf = (image: GreyImage, screened?: boolean) => {
  const [facts] = settle([readFilm(image, 300, undefined, screened)]).facts
  if (!facts) throw new Error('no film')
  return facts
}
/** A cell that repeats every `w` by `h` mm, each row moved along by `skew`. */
const repeated =
  (w: number, h: number, cell: Shape, skew = 0): Shape =>
  (x, y) => {
    const row = Math.floor(y / h)
    const along = x - row * skew
    return cell(along - Math.floor(along / w) * w, y - row * h)
  }
const star = together(
  slab(0.75, 0.75, 1.1, 0.25),
  slab(0.75, 0.75, 0.25, 1.1),
  slab(0.75, 0.75, 0.9, 0.2, 45),
)

describe('patterns of the art are not taken for halftones: they are asked about, and nothing is planned from them', () => {
  it.each<[string, Shape]>([
    ['pin stripes', (x) => Math.abs(x - Math.round(x)) - 0.2],
    ['fine stripes', (x) => Math.abs(x / 0.6 - Math.round(x / 0.6)) * 0.6 - 0.12],
    ['holes of a jersey', (x, y) => -dots(1 / 1.2, 0, 0.3)(x, y)],
    ['bricks', repeated(2, 1, slab(1, 0.5, 1.8, 0.84), 1)],
    ['tiles of stars', repeated(1.5, 1.5, star)],
  ])('%s', (_, shape) => {
    const facts = factsOf(drawn(40, 40, 300, within(shape, ALL)))
    expect(facts.halftones.map((h) => h.sure)).toEqual([false])
    const print = facts.box
    if (!print) throw new Error('no box')
    expect(colourOf(facts, print).ruling).toBeUndefined()
    // Who knows better says so.
    expect(factsOf(drawn(40, 40, 300, within(shape, ALL)), true).halftones.some((h) => h.sure)).toBe(true)
    expect(factsOf(drawn(40, 40, 300, within(shape, ALL)), false).halftones).toEqual([])
  })

  it.each([
    [45, 0.35],
    [55, 0.1],
    [35, 0.06],
    [65, 0.6],
  ])('a flat tint of %s lpi and %s is one', (lpi, tint) => {
    const facts = factsOf(drawn(40, 40, 300, within(dots(lpi / 25.4, 22.5, tint), ALL)))
    expect(facts.halftones.map((h) => h.sure)).toEqual([true])
    expect(facts.grain).toBe(0)
  })

  it('lines that swell are one', () => {
    const swelling: Shape = (x, y) => Math.abs(x / 0.6 - Math.round(x / 0.6)) * 0.6 - 0.06 - 0.16 * (y / 40)
    const [found] = factsOf(drawn(40, 40, 300, within(swelling, ALL))).halftones
    expect(found).toMatchObject({ shape: 'lines', sure: true })
  })
})

/** A film of 40 x 40 mm at 300 dpi, inked pixel by pixel inside a border of 2 mm. */
function pixels(inked: (x: number, y: number) => boolean): GreyImage {
  const [side, edge] = [472, 24]
  const grey = new Uint8Array(side * side).fill(255)
  for (let y = edge; y < side - edge; y++)
    for (let x = edge; x < side - edge; x++) if (inked(x, y)) grey[y * side + x] = 0
  return { width: side, height: side, grey }
}
/** Random numbers that stay, on a grid of cells. */
function field(cell: number, seed: number): (x: number, y: number) => number {
  const rng = randomLcg(seed)
  const kept = Array.from({ length: 500 * 500 }, () => rng())
  return (x, y) => kept[Math.floor(y / cell) * 500 + Math.floor(x / cell)] ?? 1
}
const BAYER = [0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5]

describe('random dots', () => {
  const one = field(1, 0.1)
  const two = field(2, 0.2)
  const three = field(3, 0.3)
  it.each<[string, GreyImage]>([
    ['stochastic, one pixel', pixels((x, y) => one(x, y) < 0.3)],
    ['stochastic, three pixels', pixels((x, y) => three(x, y) < 0.2)],
    ['index, a fade of two pixels', pixels((x, y) => two(x, y) < x / 472)],
    ['a regular dither', pixels((x, y) => 16 * (x / 472) > (BAYER[(y & 3) * 4 + (x & 3)] ?? 0) + 0.5)],
  ])('%s: told as such, no ruling, no thin lines', (_, image) => {
    const facts = factsOf(image)
    expect(facts.halftones).toEqual([])
    expect(facts.grain * 1e6).toBeGreaterThan(700)
    expect(facts.line).toBeUndefined()
  })

  it('on two films blend, without a trap', () => {
    const a = pixels((x, y) => two(x, y) < 0.4)
    const b = pixels((x, y) => three(x, y) < 0.4)
    const set = settle([readFilm(a, 300), readFilm(b, 300)])
    expect(set.facts.every((f) => f.grain > 0)).toBe(true)
    expect(meetingOf(set, 0, 1)).toMatchObject({ how: 'blending', trap: undefined })
  })

  it('are not seen in bold shapes, small type and thin lines', () => {
    const type = repeated(
      2.2,
      3.4,
      together(slab(0.8, 1.4, 0.3, 2), slab(1.1, 0.5, 0.9, 0.3), disc(1.5, 2, 0.3)),
    )
    for (const shape of [disc(20, 20, 12), within(type, ALL), slab(20, 20, 30, 0.2, 15)])
      expect(factsOf(drawn(40, 40, 300, shape)).grain).toBe(0)
  })
})

it('art that bleeds over the edge is asked about, and its coverage is not taken', () => {
  const bleeding: Shape = (x, y) => -disc(20, 20, 10)(x, y)
  const facts = factsOf(drawn(40, 40, 300, bleeding))
  expect(facts.either).toBe(true)
  const [said] = settle([readFilm(drawn(40, 40, 300, bleeding), 300, false)]).facts
  expect(said?.either).toBe(false)
  expect((said?.inkArea ?? 0) * 1e6).toBeCloseTo(1600 - Math.PI * 100, -1)
})
