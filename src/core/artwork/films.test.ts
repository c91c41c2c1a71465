import { describe, expect, it } from 'vitest'
import { disc, dots, drawn, outside, type Shape, slab, together, within } from './film.fixtures'
import { bare, DPI, FRAME, knockout, PX, px, setOf } from './filmsDrawn.fixtures'
import { meetingOf, readFilm, settle } from './index'
import { inkTable } from './levels'

describe('how two films meet, on films drawn with known traps (drawn truth)', () => {
  const cases = [0.08, 0.15, 0.2, 0.3, 0.5].flatMap((trap) => [0, 22.5, 45].map((turn) => ({ trap, turn })))
  it.each(cases)('a trap of $trap mm at $turn degrees within a pixel', ({ trap, turn }) => {
    const square = slab(30, 30, 16, 16, turn)
    const pair = meetingOf(setOf(square, knockout(square, trap)), 0, 1)
    expect(pair.how).toBe('overlapping')
    expect(Math.abs(px(pair.trap?.median) - trap / 1000 / PX)).toBeLessThanOrEqual(1)
    const area = 16 * 16 - (16 - 2 * trap) ** 2
    expect(pair.overlap * 1e6).toBeCloseTo(area, -0.5)
  })

  it.each([0.1, 0.2, 0.35, 0.6, 1])('a gap of %s mm within a pixel', (gap) => {
    const pair = meetingOf(setOf(disc(30, 30, 9), outside(disc(30, 30, 17), disc(30, 30, 9 + gap))), 0, 1)
    expect(pair.how).toBe('apart')
    expect(Math.abs(px(pair.gap?.least) - gap / 1000 / PX)).toBeLessThanOrEqual(1)
    expect(pair.gap?.rough).toBe(false)
  })

  it('reads a gap that lies on the border of two tiles', () => {
    // The border is at pixel 320: 27.093 mm.
    const at = (320 * 25.4) / DPI
    const left = slab(at - 5.2, 30, 10, 20)
    const right = slab(at + 5.2, 30, 10, 20)
    expect(
      Math.abs(px(meetingOf(setOf(left, right), 0, 1).gap?.least) - 0.4 / 1000 / PX),
    ).toBeLessThanOrEqual(1)
  })

  it('sees edges that fit as touching, and far films as apart, roughly', () => {
    const square = slab(30, 30, 16, 16)
    expect(meetingOf(setOf(square, outside(disc(30, 30, 17), square)), 0, 1).how).toBe('touching')
    const far = meetingOf(setOf(disc(18, 30, 3), disc(42, 30, 3)), 0, 1)
    expect(far).toMatchObject({ how: 'apart', gap: { rough: true } })
    expect(Math.abs((far.gap?.least ?? 0) * 1000 - 18)).toBeLessThan(1.5)
  })

  it('says where they meet the closest: along the narrow half of a shared edge, as wide as it is there', () => {
    const left = slab(20, 30, 20, 20)
    // 0.1 mm over the edge above the middle, 0.6 mm below it.
    const right = together(slab(39.9, 25, 20, 10), slab(39.4, 35, 20, 10))
    const { tight = [] } = meetingOf(setOf(left, right), 0, 1)
    expect(tight.length).toBeGreaterThan(0)
    for (const { x, y, width, length } of tight) {
      // The middle of a square of 5.4 mm.
      expect(Math.abs(x * 1000 - 30)).toBeLessThan(3)
      expect(y * 1000).toBeLessThan(33)
      expect(px(width)).toBeLessThanOrEqual(0.1 / 1000 / PX + 1)
      expect(length * 1000).toBeLessThan(5.6)
    }
    // Nothing shows where nothing meets, and a fade has no such place.
    expect(meetingOf(setOf(disc(18, 30, 3), disc(42, 30, 3)), 0, 1).tight).toEqual([])
    expect(meetingOf(setOf(disc(30, 30, 15), disc(30, 30, 6)), 1, 0).tight).toEqual([])
  })

  it('tells overprinting, where no edge is shared, from a trap', () => {
    expect(meetingOf(setOf(disc(30, 30, 15), disc(30, 30, 6)), 1, 0).how).toBe('overprinting')
  })

  it('calls a halftone over a halftone, or over a solid, blending and shows no trap', () => {
    const tint = (lean: number) => within(dots(45 / 25.4, 22.5 + lean, 0.4), slab(30, 30, 26, 26))
    const blends = setOf(tint(0), tint(30), slab(30, 30, 26, 20))
    for (const [a, b, height] of [
      [0, 1, 26],
      [0, 2, 20],
    ] as const) {
      const met = meetingOf(blends, a, b)
      expect(met).toMatchObject({ how: 'blending', trap: undefined })
      // The area of the squares they share, within 5 %: dots at a rim are not filled up to its line.
      expect(Math.abs((met.overlap * 1e6) / (26 * height) - 1)).toBeLessThan(0.05)
    }
  })

  it('refuses films of different size', () => {
    expect(() => settle([bare(disc(20, 20, 5)), bare(disc(20, 20, 5), DPI, 41)])).toThrow(RangeError)
  })
})

describe('coverage', () => {
  const area = (shape: Shape, dpi: number) => (settle([bare(shape, dpi)]).facts[0]?.inkArea ?? 0) * 1e6

  it.each([150, 300, 600])('of flat art at %s dpi within 0.2 points (geometry)', (dpi) => {
    expect(Math.abs(area(disc(20, 20, 12), dpi) - Math.PI * 144)).toBeLessThan(0.002 * 1600)
  })

  const tints = [150, 300].flatMap((dpi) =>
    [20, 45, 65].flatMap((lpi) => [0.1, 0.5].map((tint) => ({ dpi, lpi, tint }))),
  )
  it.each(tints)('of a $tint tint of $lpi lpi at $dpi dpi within 0.2 points (area of round dots)', (c) => {
    const ink = area(dots(c.lpi / 25.4, 22.5, c.tint), c.dpi)
    expect(Math.abs(ink / 1600 - c.tint)).toBeLessThan(0.002)
  })

  it('follows Murray and Davies: the share of ink from the densities of paper, solid and tint (published relation)', () => {
    const [clear, ink] = [230, 25]
    const table = inkTable({ clear: 255, ink: 0, inverted: false })
    for (const grey of [40, 128, 200]) {
      const density = (v: number) => -Math.log10(v / 255)
      const share = (1 - 10 ** -(density(grey) - density(255))) / (1 - 10 ** -(density(1e-9) - density(255)))
      expect((table[grey] as number) / 255).toBeCloseTo(share, 2)
    }
    // A scan's ink and clear film scatter; between them the table rises steadily.
    const scan = inkTable({ clear, ink, inverted: false })
    expect([scan[clear], scan[ink]]).toEqual([0, 255])
    expect([...scan].every((v, i) => i === 0 || v <= (scan[i - 1] as number))).toBe(true)
  })

  it('reads a negative the same, by its dark frame or when told', () => {
    const image = drawn(40, 40, DPI, disc(20, 20, 8))
    const negative = { ...image, grey: image.grey.map((v) => 255 - v) }
    const found = settle([readFilm(negative, DPI)]).facts[0]
    expect(found?.negative).toBe(true)
    expect((found?.inkArea ?? 0) * 1e6).toBeCloseTo(Math.PI * 64, 0)
    expect(settle([readFilm(image, DPI, true)]).facts[0]?.negative).toBe(true)
  })

  it('leaves out the marks, and labels outside them, and boxes the art in millimetres', () => {
    const [facts] = setOf(together(slab(30, 30, 20, 10), slab(10, 58, 12, 2))).facts
    expect((facts?.inkArea ?? 0) * 1e6).toBeCloseTo(200, 0)
    expect((facts?.box?.width ?? 0) * 1000).toBeCloseTo(20, 0)
    expect((facts?.box?.x ?? 0) * 1000).toBeCloseTo(20, 0)
  })
})

describe('halftone screens', () => {
  const cases = [20, 35, 45, 55, 65].flatMap((lpi) => [0, 22.5, 75].map((angle) => ({ lpi, angle })))
  it.each(cases)(
    '$lpi lpi at $angle degrees: ruling within 1 %, angle within 0.5 degrees',
    ({ lpi, angle }) => {
      const [found] = settle([bare(dots(lpi / 25.4, angle, 0.35))]).facts[0]?.halftones ?? []
      expect(found?.shape).toBe('dots')
      expect(Math.abs((found?.ruling ?? 0) * 0.0254 - lpi) / lpi).toBeLessThan(0.01)
      const off = ((((found?.angle ?? 1) * 180) / Math.PI - angle + 135) % 90) - 45
      expect(Math.abs(off)).toBeLessThan(0.5)
      // As coarse and of one tone it may be holes: it is asked about.
      expect(found?.sure).toBe(lpi >= 30)
      if (lpi >= 30) expect(found?.confidence).toBeGreaterThan(0.8)
      expect(found?.tints[0]).toBeCloseTo(0.35, 1)
    },
  )

  it('takes a small dot for itself, not for its overtone', () => {
    const [found] = settle([bare(dots(35 / 25.4, 22.5, 0.06), 150)]).facts[0]?.halftones ?? []
    expect((found?.ruling ?? 0) * 0.0254).toBeCloseTo(35, 0)
  })

  it('tells lines from dots, by the direction they run', () => {
    const lines: Shape = (x, y) => {
      const a = Math.PI / 6
      const s = x * Math.sin(a) + y * Math.cos(a)
      return Math.abs(s - Math.round(s / 0.6) * 0.6) - 0.15
    }
    const [found] = settle([bare(lines)]).facts[0]?.halftones ?? []
    expect(found?.shape).toBe('lines')
    expect((found?.ruling ?? 0) / 1000).toBeCloseTo(1 / 0.6, 2)
    expect(((found?.angle ?? 0) * 180) / Math.PI).toBeCloseTo(30, 0)
  })

  it('finds two rulings on one film, each in its place', () => {
    const left = within(dots(35 / 25.4, 22.5, 0.4), slab(10, 20, 18, 38))
    const right = within(dots(55 / 25.4, 52.5, 0.4), slab(30, 20, 18, 38))
    const found = settle([bare(together(left, right))]).facts[0]?.halftones ?? []
    expect(found.map((h) => Math.round(h.ruling * 0.0254)).sort()).toEqual([35, 55])
    for (const h of found) expect(h.area * 1e6).toBeGreaterThan(300)
  })

  it('finds none in flat art', () => {
    expect(setOf(together(disc(25, 30, 8), slab(38, 30, 4, 20))).facts[0]?.halftones).toEqual([])
  })
})

describe('smallest line and gap', () => {
  it.each([0.15, 0.25, 0.4, 0.7, 1])('a line of %s mm among bold shapes within a pixel', (width) => {
    const [facts] = setOf(together(slab(30, 25, 14, width, 20), disc(30, 38, 6))).facts
    expect(Math.abs(px(facts?.line?.width) - width / 1000 / PX)).toBeLessThanOrEqual(1)
    const [place] = facts?.line?.places ?? []
    expect((place?.x ?? 0) * 1000).toBeCloseTo(30, -0.7)
    expect((place?.y ?? 0) * 1000).toBeCloseTo(25, -0.7)
  })

  it.each([0.2, 0.5])('a gap of %s mm in a solid within a pixel', (width) => {
    const [facts] = setOf(outside(disc(30, 30, 14), slab(30, 30, 18, width, 65))).facts
    expect(Math.abs(px(facts?.gap?.width) - width / 1000 / PX)).toBeLessThanOrEqual(1)
  })

  it('says none for bold art, and is not fooled by single pixels', () => {
    const image = drawn(60, 60, DPI, together(FRAME, disc(30, 30, 12)))
    for (let i = 0; i < 40; i++) image.grey[(150 + i * 9) * image.width + 300 + i] = i % 2 ? 0 : 255
    const [facts] = settle([readFilm(image, DPI)]).facts
    expect(facts?.line).toBeUndefined()
    expect(facts?.gap).toBeUndefined()
    expect(facts?.specks).toBeGreaterThan(10)
  })
})
