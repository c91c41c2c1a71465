import fc from 'fast-check'
import { expect, it } from 'vitest'
import { overGround } from './film'

/**
 * Light in a film that absorbs and scatters, as Kubelka and Munk wrote it down (1931): dR/dx = s - 2 (k + s) R + s R^2, from the
 * ground up. Integrated by the classical fourth-order method, which shares nothing with the closed form.
 */
function integrated(k: number, s: number, x: number, ground: number): number {
  const steps = 4000
  const h = x / steps
  const slope = (r: number) => s - 2 * (k + s) * r + s * r * r
  let r = ground
  for (let i = 0; i < steps; i++) {
    const a = slope(r)
    const b = slope(r + (h / 2) * a)
    const c = slope(r + (h / 2) * b)
    const d = slope(r + h * c)
    r += (h / 6) * (a + 2 * b + 2 * c + d)
  }
  return r
}

it('a film over a ground is what the equation of Kubelka and Munk, integrated, gives (property)', () => {
  fc.assert(
    fc.property(
      // Films of 1 to 200 micrometres, inks from clear to black and from clear to white, per metre.
      fc.double({ min: 1e-6, max: 2e-4, noNaN: true }),
      fc.double({ min: 0, max: 3e5, noNaN: true }),
      fc.double({ min: 0, max: 3e5, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (x, k, s, ground) => {
        expect(overGround(k, s, x, ground)).toBeCloseTo(integrated(k, s, x, ground), 6)
      },
    ),
    { numRuns: 120 },
  )
})
