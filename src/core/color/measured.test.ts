import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BANDS, halftoned, printedDot, takeCurve } from './index'

const steps = (from: number, to: number, by: number) =>
  Array.from({ length: Math.floor((to - from) / by) + 1 }, (_, i) => from + i * by)
const smooth = (nm: number) => 0.4 + 0.3 * Math.sin((nm - 400) / 80)

describe('a measured curve', () => {
  it.each([
    ['10 nm', steps(380, 730, 10)],
    ['5 nm', steps(400, 700, 5)],
    ['20 nm', steps(400, 700, 20)],
    ['15 nm', steps(390, 705, 15)],
  ])('by %s comes to the bands used here', (_, at) => {
    const taken = takeCurve({ at, values: at.map(smooth) })
    if (!taken.ok) throw new Error(taken.message)
    taken.spectrum.forEach((r, i) => {
      expect(r).toBeCloseTo(smooth(BANDS[i]!), 2)
    })
  })
  it('a cubic is met exactly: four-point Lagrange (the method of ASTM E2022), property', () => {
    const part = fc.double({ min: -0.3, max: 0.3, noNaN: true })
    fc.assert(
      fc.property(part, part, part, (a, b, c) => {
        const cubic = (nm: number) => {
          const t = (nm - 550) / 150
          return 0.5 + 0.15 * (a * t + b * t * t + c * t ** 3)
        }
        const at = steps(400, 700, 15)
        const taken = takeCurve({ at, values: at.map(cubic) })
        if (!taken.ok) throw new Error(taken.message)
        taken.spectrum.forEach((r, i) => {
          expect(r).toBeCloseTo(cubic(BANDS[i]!), 9)
        })
      }),
    )
  })
  it.each([
    [
      'no number',
      steps(400, 700, 20),
      (nm: number) => (nm === 500 ? Number.NaN : 0.5),
      /500 nm is no number/,
    ],
    ['below zero', steps(400, 700, 20), () => -0.2, /below zero/],
    ['too short', steps(450, 650, 10), () => 0.5, /has to cover 420 to 680/],
    ['too coarse', steps(400, 700, 50), () => 0.5, /too coarse/],
  ])('%s is refused with where', (_, at, of, message) => {
    const taken = takeCurve({ at, values: at.map(of) })
    expect(taken.ok ? '' : taken.message).toMatch(message)
  })
  it('wavelengths that do not rise and lists of two lengths are refused', () => {
    expect(takeCurve({ at: [400, 420, 410, 700], values: [1, 1, 1, 1] }).ok).toBe(false)
    expect(takeCurve({ at: [400, 500, 600, 700], values: [1, 1] }).ok).toBe(false)
  })
  it('above 1 is kept and told, never clipped silently', () => {
    const at = steps(400, 700, 10)
    const taken = takeCurve({ at, values: at.map((nm) => (nm === 440 ? 1.12 : 0.8)) })
    if (!taken.ok) throw new Error(taken.message)
    expect(Math.max(...taken.spectrum)).toBeCloseTo(1.12, 9)
    expect(taken.notes.join(' ')).toMatch(/112 % at 440 nm: it fluoresces/)
  })
})

describe('a halftone', () => {
  const [white, ink] = [BANDS.map(() => 0.86), BANDS.map(() => 0.05)]
  it('without gain and spread it is the mean by area (published: Murray and Davies 1936)', () => {
    expect(halftoned(0.3, ink, white, { gain: 0, spread: 1 })[5]).toBeCloseTo(0.3 * 0.05 + 0.7 * 0.86, 12)
  })
  it('none is the ground, all is the solid, and more is darker (property)', () => {
    expect(halftoned(0, ink, white)).toEqual(white.map((r) => expect.closeTo(r, 12)))
    expect(halftoned(1, ink, white)).toEqual(ink.map((r) => expect.closeTo(r, 12)))
    const dot = fc.double({ min: 0, max: 0.98, noNaN: true })
    fc.assert(
      fc.property(dot, (d) => {
        expect(halftoned(d + 0.01, ink, white)[3]!).toBeLessThan(halftoned(d, ink, white)[3]!)
      }),
    )
  })
  it('inside figures, those of the model: 10, 30, 50, 70, 90 % print as 23, 57, 79, 92, 98 %', () => {
    // As a reader tells it between this white and a solid black print.
    const [paper, solid] = [0.86, 0.023]
    const seen = [0.1, 0.3, 0.5, 0.7, 0.9].map((d) => {
      const [r = 0] = halftoned(
        d,
        BANDS.map(() => solid),
        BANDS.map(() => paper),
      )
      return ((paper - r) / (paper - solid)) * 100
    })
    seen.forEach((s, i) => {
      expect(Math.abs(s - [23, 57, 79, 92, 98][i]!)).toBeLessThan(1)
    })
    expect(printedDot(0.5)).toBeCloseTo(0.62, 12)
  })
})
