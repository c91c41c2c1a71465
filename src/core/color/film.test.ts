import fc from 'fast-check'
import { expect, it } from 'vitest'
import { BANDS, inner, layered, outer, outerSlope, overGround, overGroundSlopes } from './index'

const strength = fc.double({ min: 1e2, max: 5e5, noNaN: true })
const thickness = fc.double({ min: 1e-6, max: 6e-5, noNaN: true })
const ground = fc.double({ min: 0.01, max: 0.95, noNaN: true })

it('no film leaves the ground, and neither does a clear one (identity, property)', () => {
  fc.assert(
    fc.property(strength, strength, ground, (k, s, g) => {
      expect(overGround(k, s, 0, g)).toBeCloseTo(g, 9)
      expect(overGround(0, 0, 1e-3, g)).toBeCloseTo(g, 9)
    }),
  )
})

it('a film without end has the reflectance 1 + K/S - sqrt((K/S)2 + 2 K/S) (published: Kubelka and Munk 1931)', () => {
  fc.assert(
    fc.property(strength, strength, ground, (k, s, g) => {
      const q = k / s
      expect(overGround(k, s, 1, g)).toBeCloseTo(1 + q - Math.sqrt(q * q + 2 * q), 6)
    }),
  )
})

it('is the textbook form with coth (published: Kubelka 1948)', () => {
  fc.assert(
    fc.property(strength, strength, thickness, ground, (k, s, x, g) => {
      const a = (k + s) / s
      const b = Math.sqrt(a * a - 1)
      const bcoth = b / Math.tanh(b * s * x)
      expect(overGround(k, s, x, g)).toBeCloseTo((1 - g * (a - bcoth)) / (a - g + bcoth), 6)
    }),
  )
})

it('without scattering light goes through twice: ground x exp(-2 K X) (published: Bouguer and Lambert)', () => {
  fc.assert(
    fc.property(strength, thickness, ground, (k, x, g) => {
      expect(overGround(k, 0, x, g)).toBeCloseTo(g * Math.exp(-2 * k * x), 9)
    }),
  )
})

it('two films are one of both thicknesses; more of it hides more of a black ground (property)', () => {
  fc.assert(
    fc.property(strength, strength, thickness, thickness, ground, (k, s, x, y, g) => {
      expect(overGround(k, s, y, overGround(k, s, x, g))).toBeCloseTo(overGround(k, s, x + y, g), 9)
      expect(overGround(k, s, x + y, 0)).toBeGreaterThanOrEqual(overGround(k, s, x, 0) - 1e-12)
    }),
  )
})

it('the surface goes there and back, and lets no more out than comes in (published: Saunderson 1942)', () => {
  fc.assert(
    fc.property(ground, (r) => {
      expect(inner(outer(r))).toBeCloseTo(r, 9)
      expect(outer(r)).toBeLessThan(0.972 + 1e-9)
    }),
  )
  expect([inner(0), inner(1)]).toEqual([0, 0.9995])
})

it('a clear film on a cloth leaves it as it was', () => {
  const cloth = BANDS.map((_, i) => 0.1 + 0.05 * i)
  const clear = { k: BANDS.map(() => 0), s: BANDS.map(() => 0) }
  layered([{ optics: clear, thickness: 2e-5 }], cloth).forEach((r, i) => {
    expect(r).toBeCloseTo(cloth[i] as number, 9)
  })
})

it('slopes of a film are those of small steps (property)', () => {
  fc.assert(
    fc.property(strength, strength, thickness, ground, (k, s, x, g) => {
      const [r, byK, byS] = overGroundSlopes(k, s, x, g)
      expect(r).toBeCloseTo(overGround(k, s, x, g), 12)
      const step = (of: (h: number) => number, h: number) => (of(h) - of(-h)) / (2 * h)
      const near = (slope: number, stepped: number, unit: number) =>
        expect(Math.abs(slope - stepped) * unit).toBeLessThan(1e-5)
      near(
        byK,
        step((h) => overGround(k + h, s, x, g), k * 1e-4),
        k,
      )
      near(
        byS,
        step((h) => overGround(k, s + h, x, g), s * 1e-4),
        s,
      )
    }),
  )
  expect(outerSlope(0.7)).toBeCloseTo((outer(0.7001) - outer(0.6999)) / 0.0002, 5)
})

it.each([
  [0.02, 0.05, 20, 0.8, 0.48441459],
  [1e-5, 0.16, 30, 0.02, 0.82801017],
])('inside figures, those of the model: k %s, s %s per um, %s um on %s', (k, s, x, g, wanted) => {
  expect(overGround(k * 1e6, s * 1e6, x * 1e-6, g)).toBeCloseTo(wanted, 8)
})

it('inside figures of the surface', () => {
  expect(inner(0.5)).toBeCloseTo(0.72104019, 8)
  expect(inner(0.86)).toBeCloseTo(0.94982079, 8)
  expect(outer(0.7)).toBeCloseTo(0.47544828, 8)
})
