import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { similarity } from './agreement'
import { disc, dots, drawn, grown, mark, outside, type Shape, slab, together, within } from './film.fixtures'
import { baseOf, exposures, meetingOf, opened, peeping, readFilm, settle } from './index'
import { inkTable } from './levels'

const DPI = 300
const PX = 0.0254 / DPI
/** Marks at the middle of each side of a 60 x 60 mm film. */
const FRAME = together(mark(30, 6), mark(30, 54), mark(6, 30), mark(54, 30))

const film = (shape: Shape, dpi = DPI) => readFilm(drawn(60, 60, dpi, together(FRAME, shape)), dpi)
const bare = (shape: Shape, dpi = DPI, size = 40) => readFilm(drawn(size, size, dpi, shape), dpi)
const setOf = (...shapes: readonly Shape[]) => settle(shapes.map((s) => film(s)))
const px = (metres: number | undefined) => (metres ?? Number.NaN) / PX

/** A hole cut for a shape, smaller by the trap or larger by the gap. */
const knockout = (shape: Shape, trap: number) => outside(disc(30, 30, 17), grown(shape, -trap))

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
      expect(found?.confidence).toBeGreaterThan(0.8)
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

describe('registration marks', () => {
  const places = [
    { x: 30.37, y: 6.11, turn: 0 },
    { x: 29.8, y: 6.6, turn: 0.5 },
    { x: 30, y: 6, turn: -1 },
  ]
  it.each(places)('at $x, $y mm turned $turn within half a pixel', ({ x, y, turn }) => {
    for (const circle of [true, false]) {
      const [facts] = settle([
        bare(together(mark(x, y, turn, 10, 0.3, circle), disc(30, 36, 10)), DPI, 60),
      ]).facts
      expect(facts?.marks).toHaveLength(1)
      const [found] = facts?.marks ?? []
      expect(found?.shape).toBe(circle ? 'cross in a circle' : 'cross')
      expect(Math.hypot(px(found?.x) - x / 1000 / PX, px(found?.y) - y / 1000 / PX)).toBeLessThan(0.5)
    }
  })

  it('are found amid busy art that comes as close as 2 mm', () => {
    const weave = (x: number, y: number) => Math.abs(((x + 0.6 * y) % 2.2) - 1.1) - 0.4
    const clear = together(
      slab(30, 6, 14, 14),
      slab(30, 54, 14, 14),
      slab(6, 30, 14, 14),
      slab(54, 30, 14, 14),
    )
    const found = film(outside(within(weave, slab(30, 30, 58, 58)), clear)).marks
    for (const [x, y] of [
      [30, 6],
      [30, 54],
      [6, 30],
      [54, 30],
    ] as const) {
      const off = found.map((m) => Math.hypot(m.x - x / 1000 / PX, m.y - y / 1000 / PX))
      expect(Math.min(...off)).toBeLessThanOrEqual(0.5)
    }
  })

  it('takes no plus sign of the art for a mark', () => {
    const plus = together(slab(30, 30, 12, 3), slab(30, 30, 3, 12))
    expect(settle([bare(plus, DPI, 60)]).facts[0]?.marks).toEqual([])
  })

  it('says which film is off, by how much, and lays it back before measuring', () => {
    const square = slab(30, 30, 12, 12)
    const moved =
      (s: Shape): Shape =>
      (x, y) =>
        s(x - 0.8, y + 0.5)
    const films = [
      film(square),
      film(outside(disc(30, 30, 15), square)),
      readFilm(drawn(60, 60, DPI, moved(together(FRAME, disc(30, 30, 15)))), DPI),
    ]
    const set = settle(films)
    expect(set.facts.map((f) => Math.round((f.misfit?.dx ?? 9) * 1e4) / 10)).toEqual([0, 0, 0.8])
    expect((set.facts[2]?.misfit?.dy ?? 0) * 1000).toBeCloseTo(-0.5, 1)
    expect((set.facts[2]?.box?.x ?? 0) * 1000).toBeCloseTo(15, 0)
    expect(meetingOf(set, 0, 1).how).toBe('touching')
  })

  it('reads a turned and a stretched film', () => {
    const turned = (deg: number, scale: number) =>
      together(
        ...(
          [
            [30, 6],
            [30, 54],
            [6, 30],
            [54, 30],
          ] as const
        ).map(([x, y]) => {
          const a = (deg * Math.PI) / 180
          const [u, v] = [(x - 30) * scale, (y - 30) * scale]
          return mark(30 + u * Math.cos(a) - v * Math.sin(a), 30 + u * Math.sin(a) + v * Math.cos(a), deg)
        }),
      )
    const set = settle([
      film(disc(30, 30, 9)),
      film(disc(30, 30, 8)),
      bare(together(turned(0.6, 1.01), disc(30, 30, 8)), DPI, 60),
    ])
    expect(((set.facts[2]?.misfit?.rotation ?? 0) * 180) / Math.PI).toBeCloseTo(0.6, 1)
    expect(set.facts[2]?.misfit?.scale).toBeCloseTo(1.01, 3)
  })

  it('similarity gives back any shift, turn and size (property)', () => {
    const coordinate = fc.double({ min: -500, max: 500, noNaN: true })
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: coordinate, y: coordinate }), { minLength: 3, maxLength: 6 }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        coordinate,
        (points, turn, scale, shift) => {
          const spread = Math.max(
            ...points.map((p) => Math.hypot(p.x - (points[0]?.x ?? 0), p.y - (points[0]?.y ?? 0))),
          )
          fc.pre(spread > 1)
          const to = points.map(({ x, y }) => ({
            x: scale * (x * Math.cos(turn) - y * Math.sin(turn)) + shift,
            y: scale * (x * Math.sin(turn) + y * Math.cos(turn)) - shift,
          }))
          const found = similarity(points, to)
          expect(found?.scale).toBeCloseTo(scale, 6)
          expect(found?.rotation).toBeCloseTo(turn, 6)
          expect(found?.worst).toBeLessThan(1e-6)
        },
      ),
    )
  })
})

describe('the base', () => {
  const colour = slab(30, 30, 20, 14, 10)
  it.each([0.08, 0.17, 0.3, -0.15])('choked by %s mm within a pixel', (choke) => {
    const { choke: found } = baseOf(setOf(grown(colour, -choke), colour), 0, [1], [])
    expect(Math.abs(px(found?.median) - choke / 1000 / PX)).toBeLessThanOrEqual(1)
  })

  it('finds colour without base, base without colour, and base that could be knocked out', () => {
    const needing = slab(24, 30, 10, 16)
    const other = slab(36, 30, 6, 16)
    const missed = disc(24, 43, 2.5)
    const set = setOf(
      together(slab(24, 30, 9.7, 15.7), other, disc(30, 16, 2)),
      together(needing, missed),
      other,
    )
    const facts = baseOf(set, 0, [1], [2])
    expect(facts.uncovered.area * 1e6).toBeCloseTo(Math.PI * 2.5 ** 2, 0)
    expect((facts.uncovered.places[0]?.x ?? 0) * 1000).toBeCloseTo(24, -0.7)
    expect(facts.needless.area * 1e6).toBeCloseTo(96, -0.7)
    expect(facts.bare.area * 1e6 + facts.peep.area * 1e6).toBeCloseTo(Math.PI * 4, 0)
    expect(facts.peep.area).toBe(0)
  })

  it('sees a rim that peeps out', () => {
    const facts = baseOf(setOf(grown(colour, 0.3), colour), 0, [1], [])
    expect(facts.peep.area * 1e6).toBeCloseTo(0.3 * 2 * 34, -0.5)
    expect(facts.bare.area).toBe(0)
  })
})

describe('prints that miss each other', () => {
  const square = slab(30, 30, 16, 16)
  const trapped = (trap: number) => setOf(square, knockout(square, trap))

  it('shows cloth along every edge whose trap is smaller than the miss, none where it is larger', () => {
    const share = (miss: number) => exposures(trapped(0.3), undefined, miss)[0]?.cloth ?? 0
    expect(share(0.0002)).toBe(0)
    expect(share(0.0005)).toBeGreaterThan(0.95)
    expect((exposures(trapped(0.3), undefined, 0.0005)[0]?.more ?? 0) * 1000).toBeCloseTo(0.2, 0)
  })

  it('shows base where base lies under the edge, and nothing where a third film covers it', () => {
    const hole = knockout(square, 0)
    const [onBase] = exposures(setOf(square, hole, disc(30, 30, 16.8)), 2, 0.0003)
    expect(onBase?.base).toBeGreaterThan(0.95)
    expect(onBase?.cloth).toBeLessThan(0.05)
    const outline = outside(slab(30, 30, 18, 18), slab(30, 30, 14, 14))
    const [covered] = exposures(setOf(square, hole, outline), undefined, 0.0003)
    expect(covered?.cloth).toBeLessThan(0.05)
  })

  it('shows a choked base where it is missed by more than the choke, all round', () => {
    const set = setOf(grown(square, -0.2), square)
    const at = (miss: number) => peeping(set, 0, [1], miss)
    expect(at(0.0001)?.base).toBeLessThan(0.02)
    expect(at(0.0004)?.base).toBeGreaterThan(0.95)
    expect(px(at(0.0004)?.more)).toBeCloseTo(px(0.0002), -0.3)
    expect(at(0.0001)?.more).toBe(0)
    // 4 x 16 mm of edge, less the corners.
    expect((at(0.0001)?.edge ?? 0) * 1000).toBeCloseTo(64, -1)
    expect(peeping(setOf(disc(12, 30, 3), disc(48, 30, 3)), 0, [1], 0.0002)).toBeUndefined()
  })

  it('opens a gap as wide as the push beyond the trap, on the side it is pushed from', () => {
    const push = (dx: number, rotation = 0) =>
      opened(trapped(0.2), [
        { dx: dx / 1000, dy: 0, rotation },
        { dx: 0, dy: 0, rotation: 0 },
      ])[0]
    expect(push(0)?.widest).toBe(0)
    expect((push(0.6)?.widest ?? 0) * 1000).toBeCloseTo(0.4, 0)
    const quarter = (push(0.6)?.open ?? 0) / (push(0.6)?.edge ?? 1)
    expect(quarter).toBeGreaterThan(0.2)
    expect(quarter).toBeLessThan(0.3)
    expect(push(0, 0.1)?.open).toBeGreaterThan(0)
  })
})
