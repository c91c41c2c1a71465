import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inkTable } from './levels'
import { phases, powerOver, repeatAt } from './spectrum'

const N = 64
const TABLE = inkTable({ ink: 0, clear: 255, inverted: false })

/** Greys of a sum of cosine waves about middle grey. */
const waves = (n: number, ...list: readonly (readonly [u: number, v: number, strength: number])[]) => ({
  width: n,
  height: n,
  grey: Uint8Array.from({ length: n * n }, (_, i) => {
    const [x, y] = [i % n, Math.floor(i / n)]
    return Math.round(128 + list.reduce((s, [u, v, a]) => s + a * Math.cos(2 * Math.PI * (u * x + v * y)), 0))
  }),
})

const frequency = fc.double({ min: 0.08, max: 0.3, noNaN: true })
const turn = fc.double({ min: -3, max: 3, noNaN: true })

describe('what repeats in a window', () => {
  it('is a wave’s own frequency and direction, between the bins too (property)', () => {
    fc.assert(
      fc.property(frequency, turn, (f, a) => {
        const [u, v] = [f * Math.cos(a), f * Math.sin(a)]
        const found = repeatAt(waves(N, [u, v, 60]), TABLE, 0, 0, N, 0.05, 0.4)
        expect(found?.waves).toHaveLength(1)
        const [w] = found?.waves ?? []
        const along = Math.abs(((w?.u ?? 0) * u + (w?.v ?? 0) * v) / f)
        expect(along).toBeCloseTo(f, 3)
        expect(found?.share).toBeGreaterThan(0.9)
      }),
      { numRuns: 25 },
    )
  })

  it('is a lattice when a second wave stands across the first (property)', () => {
    fc.assert(
      fc.property(frequency, turn, fc.double({ min: 0.35, max: 1, noNaN: true }), (f, a, weaker) => {
        const [u, v] = [f * Math.cos(a), f * Math.sin(a)]
        const found = repeatAt(waves(N, [u, v, 50], [-v, u, 50 * weaker]), TABLE, 0, 0, N, 0.05, 0.4)
        expect(found?.waves).toHaveLength(2)
        const [w] = found?.waves ?? []
        expect(Math.hypot(w?.u ?? 0, w?.v ?? 0)).toBeCloseTo(f, 2)
        expect(found?.balance).toBeLessThanOrEqual(1)
      }),
      { numRuns: 25 },
    )
  })

  it('is the coarser of a wave and its overtone of nearly the same power', () => {
    const found = repeatAt(waves(N, [0.1, 0.05, 40], [0.2, 0.1, 45]), TABLE, 0, 0, N, 0.05, 0.4)
    expect(Math.hypot(found?.waves[0].u ?? 0, found?.waves[0].v ?? 0)).toBeCloseTo(Math.hypot(0.1, 0.05), 2)
  })

  it('is nothing in an even window', () => {
    expect(repeatAt(waves(N), TABLE, 0, 0, N, 0.05, 0.4)).toBeUndefined()
  })
})

describe('power at a frequency', () => {
  it('of a whole cosine is a quarter of the square of its sum (Fourier)', () => {
    const n = 32
    const { cos } = phases(4 / n, n)
    expect(powerOver(n, 1, { u: 4 / n, v: 0 })(cos)).toBeCloseTo((n / 2) ** 2, 6)
    expect(powerOver(n, 1, { u: 7 / n, v: 0 })(cos)).toBeCloseTo(0, 6)
  })

  it('is the square of the sum of all pixels by their phase, over odd sides too (property, Fourier)', () => {
    const side = fc.integer({ min: 1, max: 9 })
    fc.assert(
      fc.property(side, side, frequency, frequency, fc.nat(99), (w, h, u, v, seed) => {
        const signal = Float64Array.from({ length: w * h }, (_, i) => Math.sin(1 + seed + i * i))
        let [re, im] = [0, 0]
        signal.forEach((s, i) => {
          const phase = 2 * Math.PI * (u * (i % w) + v * Math.floor(i / w))
          re += s * Math.cos(phase)
          im += s * Math.sin(phase)
        })
        expect(powerOver(w, h, { u, v })(signal)).toBeCloseTo(re * re + im * im, 8)
      }),
    )
  })

  it('does not change when the signal is shifted round (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 16, maxLength: 16 }),
        fc.nat(15),
        (list, by) => {
          const shifted = list.map((_, i) => list[(i + by) % 16] as number)
          const power = powerOver(16, 1, { u: 3 / 16, v: 0 })
          const at = (l: readonly number[]) => power(Float64Array.from(l))
          expect(at(shifted)).toBeCloseTo(at(list), 6)
        },
      ),
    )
  })
})
