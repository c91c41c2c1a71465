import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { copyOf, last } from './flash'
import { type Asked, C, underUnit } from './heat.fixtures'

const BOARDS = ['aluminium', 'rubber', 'wood'] as const
const needs = (asked: Asked) => BOARDS.map((board) => underUnit({ ...asked, board }).needed ?? Number.NaN)
const limits = (asked: Asked) => BOARDS.map((board) => underUnit({ ...asked, board }).limit ?? Number.NaN)
/** Within a share of what is expected. */
const about = (found: readonly number[], expected: readonly number[], share: number) => {
  for (const [i, x] of expected.entries()) {
    expect(found[i]! / x).toBeGreaterThan(1 - share)
    expect(found[i]! / x).toBeLessThan(1 + share)
  }
}
const peakAfter = (board: (typeof BOARDS)[number], time: number, spot: 'centre' | 'mean') => {
  const { s, phase } = underUnit({ board })
  last(s, phase(spot), time)
  return s.t[0]! - C
}

describe('facts of the trade (common practice, no source; the panel, the quartz and gelling are tuned to them)', () => {
  it('plastisol gels in 5 to 12 s under a black panel, cold boards and warm ones', () => {
    for (const warm of [22, 45, 60])
      for (const need of needs({ warm })) {
        expect(need).toBeGreaterThan(4.5)
        expect(need).toBeLessThan(12)
      }
  })
  it('its film is then at 105 to 130 °C', () => {
    for (const board of BOARDS) {
      const { s, phase, needed } = underUnit({ board })
      for (const spot of ['corner', 'centre'] as const) {
        const film = copyOf(s)
        last(film, phase(spot), needed ?? 0)
        // The corner when it is gelled; the centre is ahead of it.
        expect(film.t[0]! - C).toBeGreaterThan(100)
        expect(film.t[0]! - C).toBeLessThan(spot === 'corner' ? 130 : 135)
      }
    }
  })
  it('over about 12 s on a warm board it is over-flashed', () => {
    for (const most of limits({ warm: 45 })) {
      expect(most).toBeGreaterThan(9)
      expect(most).toBeLessThan(13)
    }
  })
  it('just after a long flash the film can be over 150 °C', () => {
    for (const board of ['rubber', 'wood'] as const)
      expect(peakAfter(board, 12, 'centre')).toBeGreaterThan(150)
    expect(peakAfter('aluminium', 15, 'centre')).toBeGreaterThan(150)
  })
  it('a cold damp morning takes longer, each of both does', () => {
    const usual = needs({ warm: 22 })
    const cold = needs({ warm: 8, ambient: { air: C + 8, humidity: 0.5 } })
    const damp = needs({ warm: 22, ambient: { air: C + 22, humidity: 0.9 } })
    const both = needs({ warm: 8, ambient: { air: C + 8, humidity: 0.9 } })
    for (const i of [0, 1, 2]) {
      expect(cold[i]).toBeGreaterThan(usual[i]!)
      expect(damp[i]).toBeGreaterThan(usual[i]!)
      expect(both[i]).toBeGreaterThan(Math.max(cold[i]!, damp[i]!))
    }
  })
  it('water-based ink takes longer, and moving air helps it', () => {
    for (const ink of ['highSolids', 'waterBased'] as const) {
      const [still, moving] = [needs({ ink }), needs({ ink, kind: 'air' })]
      for (const i of [0, 1, 2]) {
        expect(still[i]).toBeGreaterThan(10)
        expect(moving[i]).toBeLessThan(0.75 * still[i]!)
      }
    }
  })
  it('a heat gun takes 30 to 45 s on a rubber board, a full front far longer', () => {
    const need = underUnit({ kind: 'gun', board: 'rubber', warm: 22, width: 0.2, height: 0.25 }).needed
    expect(need).toBeGreaterThan(30)
    expect(need).toBeLessThan(45)
    expect(underUnit({ kind: 'gun', board: 'rubber', warm: 22 }).needed).toBeGreaterThan(90)
  })
})

// What another program that was written from the same equations came to: figures of the inside, no check from outside.
describe('inside figures', () => {
  it('dwells', () => {
    about(needs({ warm: 22 }), [10.1, 8.9, 8.5], 0.06)
    about(needs({ warm: 45 }), [6.7, 6.6, 6.6], 0.06)
    about(needs({ warm: 60 }), [5.2, 5.4, 5.6], 0.08)
    about(needs({ warm: 8, ambient: { air: C + 8, humidity: 0.5 } }), [14.3, 11.4], 0.08)
    about(needs({ warm: 8, ambient: { air: C + 8, humidity: 0.9 } }), [16.4, 13], 0.18)
  })
  it('limits', () => {
    about(limits({ warm: 22 }), [17.8, 13.2, 12], 0.05)
    about(limits({ warm: 45 }), [11.3, 10.1, 9.7], 0.03)
    about(limits({ warm: 60 }), [8.8, 8.5, 8.4], 0.03)
  })
  it('peaks', () => {
    about([peakAfter('aluminium', 12, 'centre'), peakAfter('aluminium', 12, 'mean')], [149, 143], 0.02)
    about([peakAfter('rubber', 12, 'centre'), peakAfter('rubber', 12, 'mean')], [159, 153], 0.02)
  })
  it('heights of 50 to 150 mm', () => {
    const at = [50, 65, 75, 100, 125, 150].map((mm) => underUnit({ above: mm / 1000 }).needed ?? 0)
    about(at, [5.8, 6.7, 7.3, 9.3, 11.6, 14.4], 0.04)
  })
  it('colours', () => {
    const of = (kind: 'panel' | 'quartz') =>
      (['white', 'mid', 'dark'] as const).map((shade) => underUnit({ kind, shade }).needed ?? 0)
    about(of('quartz'), [3.3, 2.7, 2.4], 0.07)
    about(of('panel'), [6.7, 6.3, 5.9], 0.05)
  })
})

describe('what always holds', () => {
  const asked = fc.record({
    board: fc.constantFrom(...BOARDS),
    warm: fc.integer({ min: 5, max: 70 }),
    kind: fc.constantFrom('panel' as const, 'quartz' as const, 'air' as const),
    ink: fc.constantFrom(
      'base' as const,
      'top' as const,
      'metallic' as const,
      'highSolids' as const,
      'waterBased' as const,
    ),
    shade: fc.constantFrom('white' as const, 'light' as const, 'mid' as const, 'dark' as const),
    fabric: fc.constantFrom('cotton' as const, 'blend' as const, 'polyester' as const, 'fleece' as const),
    ambient: fc.record({
      air: fc.integer({ min: 0, max: 40 }).map((t) => t + C),
      humidity: fc.integer({ min: 5, max: 95 }).map((h) => h / 100),
    }),
    width: fc.integer({ min: 5, max: 44 }).map((cm) => cm / 100),
    // A corner that lies outside of a panel sees more of it from farther away.
    height: fc.integer({ min: 5, max: 44 }).map((cm) => cm / 100),
    above: fc.integer({ min: 20, max: 200 }).map((mm) => mm / 1000),
  })
  it('a longer flash is never cooler, a farther panel never faster, numbers are numbers', () => {
    fc.assert(
      fc.property(asked, (a) => {
        const { s, phase, needed, limit } = underUnit(a)
        const [short, long] = [copyOf(s), copyOf(s)]
        last(short, phase('centre'), 6)
        last(long, phase('centre'), 9)
        expect(long.t[0]!).toBeGreaterThanOrEqual(short.t[0]! - 1e-6)
        expect(long.cure).toBeGreaterThanOrEqual(short.cure)
        for (const x of [...long.t, long.gel, long.cure, long.ink]) expect(Number.isFinite(x)).toBe(true)
        expect(Math.max(...long.t)).toBeLessThan(900)
        const farther = underUnit({ ...a, above: a.above * 1.3 }).needed
        if (needed === undefined) expect(farther).toBeUndefined()
        else if (farther !== undefined) expect(farther).toBeGreaterThan(needed - 0.1)
        if (limit !== undefined) expect(limit).toBeGreaterThan(0)
      }),
      { numRuns: 60, seed: 8 },
    )
  })
})
