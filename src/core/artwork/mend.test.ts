import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { disc, outside, type Shape, grown as shapeGrown, slab, together } from './film.fixtures'
import { DPI, PX, px, setOf } from './filmsDrawn.fixtures'
import { combined, drawnIn, grown } from './grow'
import { baseOf, chokedBase, greyOf, meetingOf, readFilm, settle, spreadUnder } from './index'
import { bitAt, type Plane } from './plane'
import { plane } from './plane.fixtures'

/** The set with one film read again as it was mended. */
function mended(shapes: readonly Shape[], at: number, mend: (set: ReturnType<typeof setOf>) => Plane) {
  const set = setOf(...shapes)
  const film = mend(set)
  const image = { width: film.width, height: film.height, grey: greyOf(film) }
  return {
    film,
    set: settle(set.arts.map((a, i) => (i === at ? readFilm(image, DPI) : a.film))),
  }
}

describe('a base choked (read back by the reader, drawn truth)', () => {
  const colour = together(disc(24, 26, 8), slab(38, 34, 14, 18, 20))
  it.each([0.1, 0.17, 0.25, 0.4])('by %s mm within a pixel, from none; marks stay', (choke) => {
    const { set } = mended([colour, colour], 0, (s) => chokedBase(s, 0, [1], choke / 1000))
    const base = baseOf(set, 0, [1], [])
    expect(Math.abs(px(base.choke?.median) - choke / 1000 / PX)).toBeLessThanOrEqual(1)
    expect(px(base.choke?.least)).toBeGreaterThan(choke / 1000 / PX - 1.5)
    expect(base.peep.area).toBe(0)
    expect(set.facts[0]?.marks).toHaveLength(4)
    expect(set.facts[0]?.misfit?.worst).toBeLessThan(PX / 2)
  })

  it('base that stands out a little is drawn in; white that is meant to show stays', () => {
    const white = slab(40, 44, 20, 6)
    const { set } = mended([together(shapeGrown(colour, 0.3), white), colour], 0, (s) =>
      chokedBase(s, 0, [1], 0.0002),
    )
    const base = baseOf(set, 0, [1], [])
    const before = baseOf(setOf(together(shapeGrown(colour, 0.3), white), colour), 0, [1], [])
    // A rim of 0.3 mm round both shapes; beside the white itself a millimetre counts as standing out before and after.
    expect((before.peep.area - base.peep.area) * 1e6).toBeGreaterThan(
      0.3 * 0.8 * (Math.PI * 16 + 2 * (14 + 18) - 20),
    )
    // What lies beyond the colour, less the rim where both meet.
    const shown = base.bare.area * 1e6
    expect(shown).toBeGreaterThan(65)
  })

  it('is drawn in no further the second time', () => {
    const once = mended([colour, colour], 0, (s) => chokedBase(s, 0, [1], 0.0003))
    const twice = chokedBase(once.set, 0, [1], 0.0003)
    expect([...twice.bits]).toEqual([...once.film.bits])
  })
})

describe('a trap made (read back by the reader, drawn truth)', () => {
  it.each([0.1, 0.2, 0.4])('of %s mm within a pixel, where two colours just touched', (trap) => {
    const square = slab(30, 30, 16, 16, 10)
    const { set } = mended([square, outside(disc(30, 30, 17), square)], 0, (s) =>
      spreadUnder(s, 0, 1, trap / 1000),
    )
    const pair = meetingOf(set, 0, 1)
    expect(pair.how).toBe('overlapping')
    expect(Math.abs(px(pair.trap?.median) - trap / 1000 / PX)).toBeLessThanOrEqual(1)
  })
  it('adds nothing outside of the other colour', () => {
    const film = mended([disc(24, 30, 6), slab(36, 30, 12, 12)], 0, (s) => spreadUnder(s, 0, 1, 0.0005))
    const before = setOf(disc(24, 30, 6)).arts[0]?.film.packed.bits as Plane
    const added = combined([film.film, before], (a = 0, b = 0) => a & ~b)
    const other = film.set.arts[1]?.regions as Plane
    expect(combined([added, other], (a = 0, b = 0) => a & ~b).bits.every((w) => w === 0)).toBe(true)
  })
})

describe('growing', () => {
  const spots = fc.array(fc.tuple(fc.integer({ min: 0, max: 69 }), fc.integer({ min: 0, max: 39 })), {
    minLength: 1,
    maxLength: 6,
  })
  it('inks what lies within the radius of ink, and nothing else (property)', () => {
    fc.assert(
      fc.property(spots, fc.integer({ min: 0, max: 36 }), (at, quarters) => {
        const radius = quarters / 4
        const rows = Array.from({ length: 40 }, (_, y) =>
          Array.from({ length: 70 }, (_, x) => (at.some(([u, v]) => u === x && v === y) ? '#' : '.')).join(
            '',
          ),
        )
        const wide = grown(plane(...rows), radius)
        for (let y = 0; y < 40; y++)
          for (let x = 0; x < 70; x++)
            expect(bitAt(wide, x, y)).toBe(
              at.some(([u, v]) => Math.hypot(u - x, v - y) <= radius + 1e-9) ? 1 : 0,
            )
      }),
      { numRuns: 30 },
    )
  })
  it('draws in no more than it grew (property)', () => {
    fc.assert(
      fc.property(spots, fc.integer({ min: 0, max: 5 }), (at, radius) => {
        const rows = Array.from({ length: 40 }, (_, y) =>
          Array.from({ length: 70 }, (_, x) => (at.some(([u, v]) => u === x && v === y) ? '#' : '.')).join(
            '',
          ),
        )
        const before = plane(...rows)
        const closed = drawnIn(grown(before, radius), radius)
        expect(combined([before, closed], (a = 0, b = 0) => a & ~b).bits.every((w) => w === 0)).toBe(true)
      }),
      { numRuns: 30 },
    )
  })
})
