import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { similarity } from './agreement'
import { disc, drawn, grown, mark, outside, type Shape, slab, together, within } from './film.fixtures'
import { bare, DPI, FRAME, film, knockout, PX, px, setOf } from './filmsDrawn.fixtures'
import { baseOf, exposures, meetingOf, opened, peeping, readFilm, settle } from './index'

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
