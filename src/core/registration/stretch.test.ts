import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mm } from '../quantity'
import { grownBy } from './stretch'

const screen = (gap: number, blade = 380, half = 150) => ({
  ...{ length: mm(700), width: mm(500), blade: mm(blade), gap: mm(gap) },
  print: { width: mm(2 * half), height: mm(2 * half) },
})

describe('mesh pressed through its gap', () => {
  it.each([
    [1.35, 0.0027],
    [1.6, 0.0038],
    [3.2, 0.0154],
    [6, 0.054],
  ])('a gap of %d mm carries the edge %d mm along the stroke (closed form of the model)', (gap, along) => {
    expect(Math.abs(grownBy(screen(gap)).along * 1000 - along)).toBeLessThan(0.0003)
  })
  it.each([
    [1.6, 380, 0.01],
    [3.2, 380, 0.041],
    [6, 380, 0.144],
    // With all of it let slide 0.120: 0.096 at eight tenths.
    [6, 320, 0.096],
  ])(
    'a gap of %d mm under a blade of %d mm, %d mm across it (closed form of the model)',
    (gap, blade, across) => {
      expect(Math.abs(grownBy(screen(gap, blade)).across * 1000 - across)).toBeLessThan(0.002)
    },
  )
  it('is the small-angle form h2/2 (1/(L-x) - 1/x), within a hundredth (Pythagoras)', () => {
    const [L, x, h] = [0.7, 0.5, 0.0032]
    const small = ((h * h) / 2) * (1 / (L - x) - 1 / x)
    expect(grownBy(screen(3.2)).along / small).toBeCloseTo(1, 2)
  })
  it('a wider gap, a longer blade, a larger print never stretch less; nothing is not a number', () => {
    const gap = fc.double({ min: 0, max: 20, noNaN: true })
    const blade = fc.double({ min: 100, max: 600, noNaN: true })
    const half = fc.double({ min: 10, max: 400, noNaN: true })
    fc.assert(
      fc.property(gap, blade, half, fc.double({ min: 0, max: 5, noNaN: true }), (g, b, h, more) => {
        const now = grownBy(screen(g, b, h))
        for (const other of [screen(g + more, b, h), screen(g, b + more, h)]) {
          const then = grownBy(other)
          expect(then.along).toBeGreaterThanOrEqual(now.along - 1e-9)
          expect(then.across).toBeGreaterThanOrEqual(now.across - 1e-9)
        }
        expect(Number.isFinite(now.along + now.across)).toBe(true)
      }),
    )
  })
})
