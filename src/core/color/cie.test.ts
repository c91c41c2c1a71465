import { diff } from 'color-diff'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FIRST_NM, LIGHT, OBSERVER, SAMPLES, STEP_NM } from './cie.fixtures'
import { BANDS, difference, type Lab, type Light, labOf, takeCurve } from './index'

/** CIELAB as CIE 15 writes it, from sums by 5 nm: shares nothing with the code that is tested. */
function labBySums(reflectance: readonly number[], light: Light): Lab {
  const lamp = LIGHT[light]
  const sum = (axis: number, r: (i: number) => number) =>
    lamp.reduce((all, s, i) => all + s * (OBSERVER[axis]?.[i] ?? 0) * r(i), 0)
  const [x, y, z] = [0, 1, 2].map((axis) => sum(axis, (i) => reflectance[i] ?? 0) / sum(axis, () => 1)) as [
    number,
    number,
    number,
  ]
  const f = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116)
  return { l: 116 * f(y) - 16, a: 500 * (f(x) - f(y)), b: 200 * (f(y) - f(z)) }
}
const everyTwenty = (curve: readonly number[]) => BANDS.map((nm) => curve[(nm - FIRST_NM) / STEP_NM] ?? 0)

describe('the fifteen test colour samples of the CIE (open CIE data, colord-data 1.4.6)', () => {
  const off = (light: Light) =>
    Object.entries(SAMPLES).map(([name, curve]) => ({
      name,
      off: difference(labOf(everyTwenty(curve), light), labBySums(curve, light)),
    }))
  // What twenty nanometres cost against five: told in docs/models/mixing.md.
  it.each([
    ['D65', 0.5],
    ['D50', 0.5],
    ['A', 0.5],
  ] as const)('under %s every 20 nm is within %s of every 5', (light, most) => {
    const all = off(light)
    for (const { name, off } of all) expect(off, name).toBeLessThan(most)
    const mean = all.reduce((sum, s) => sum + s.off, 0) / all.length
    expect(mean).toBeLessThan(0.3)
  })
  it('the first eight are of medium chroma and alike in lightness under A, as CIE 13.3 describes them (from memory)', () => {
    for (const name of ['TCS01', 'TCS02', 'TCS03', 'TCS04', 'TCS05', 'TCS06', 'TCS07', 'TCS08']) {
      const { l, a, b } = labBySums(SAMPLES[name] ?? [], 'A')
      expect(l, name).toBeGreaterThan(55)
      expect(l, name).toBeLessThan(68)
      expect(Math.hypot(a, b), name).toBeLessThan(50)
    }
  })
  it('a curve brought by 5 nm is gathered to the same colour', () => {
    for (const [name, curve] of Object.entries(SAMPLES)) {
      const taken = takeCurve({ at: curve.map((_, i) => FIRST_NM + i * STEP_NM), values: curve })
      if (!taken.ok) throw new Error(taken.message)
      expect(difference(labOf(taken.spectrum), labBySums(curve, 'D65')), name).toBeLessThan(0.7)
    }
  })
})

describe('a second CIEDE2000 (color-diff)', () => {
  it('agrees with the one in use, on any two colours (property)', () => {
    const lab = fc.record({
      l: fc.double({ min: 0, max: 100, noNaN: true }),
      a: fc.double({ min: -100, max: 100, noNaN: true }),
      b: fc.double({ min: -100, max: 100, noNaN: true }),
    })
    const theirs = ({ l, a, b }: Lab) => ({ L: l, a, b })
    fc.assert(
      fc.property(lab, lab, (one, other) => {
        expect(difference(one, other)).toBeCloseTo(diff(theirs(one), theirs(other)), 4)
      }),
      { numRuns: 500 },
    )
  })
})
