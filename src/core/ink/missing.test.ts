import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isCanOf, missingFor } from './index'

const PARTS = [
  { code: 'W1', share: 0.7 },
  { code: 'B2', share: 0.3 },
]

describe('what of a mix is not booked in', () => {
  it('by the book of all cans of an ink together', () => {
    const cans = [
      { code: 'W1', mass: 0.4 },
      { code: 'W1', mass: 0.2 },
      { code: 'B2', mass: 1 },
    ]
    expect(missingFor(PARTS, 0.6, cans)).toEqual([])
    const [first, ...others] = missingFor(PARTS, 1, cans)
    expect(first?.code).toBe('W1')
    expect(first?.short).toBeCloseTo(0.1, 9)
    expect(others).toEqual([])
    expect(missingFor(PARTS, 1, []).map((m) => m.code)).toEqual(['W1', 'B2'])
  })
  it('a can overdrawn by the book gives nothing; more in a can never misses more (property)', () => {
    const mass = fc.double({ min: -1, max: 5, noNaN: true })
    fc.assert(
      fc.property(mass, mass, fc.double({ min: 0.01, max: 20, noNaN: true }), (a, more, wanted) => {
        const short = (b: number) =>
          missingFor(PARTS, wanted, [{ code: 'W1', mass: b }]).find((m) => m.code === 'W1')?.short ?? 0
        expect(short(a + Math.abs(more))).toBeLessThanOrEqual(short(a) + 1e-12)
        expect(short(a)).toBeLessThanOrEqual(wanted * 0.7 + 1e-12)
      }),
    )
  })
})

describe('a can by its label', () => {
  it.each(['C-0001', 'c0001', 'c-1', 'C 0001', ' C1 ', 'w1', 'W-1'])(
    '%s is the can C-0001 of W1',
    (typed) => {
      expect(isCanOf(typed, 'C-0001', 'W1')).toBe(true)
    },
  )
  it.each(['C-0010', 'c10', 'C-001', '1', '', 'W11'])('%s may not be', (typed) => {
    expect(isCanOf(typed, 'C-0010', 'W1')).toBe(['C-0010', 'c10'].includes(typed))
  })
})
