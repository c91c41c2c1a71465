import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { celsius } from '../quantity'
import { dwellInGoes, dwellOn } from './model'
import { waiting } from './waiting.fixtures'

describe('a flash in several goes', () => {
  it('in one go it is one flash', () => {
    for (const kind of ['panel', 'quartz', 'air'] as const) {
      const one = dwellOn(waiting(kind), celsius(45))
      const same = dwellInGoes(waiting(kind), celsius(45), 1, 5)
      expect(same.needed).toBeCloseTo(one.needed!, 0)
      expect(same.limit).toBeCloseTo(one.limit!, 0)
    }
  })
  it('more goes are shorter each and longer together, the more so the longer the pause (energy balance: it cools between)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('panel' as const, 'quartz' as const, 'air' as const),
        fc.double({ min: 20, max: 70, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (kind, warm, pause) => {
          const one = dwellInGoes(waiting(kind), celsius(warm), 1, pause).needed!
          const two = dwellInGoes(waiting(kind), celsius(warm), 2, pause).needed!
          const slower = dwellInGoes(waiting(kind), celsius(warm), 2, pause + 10).needed!
          expect(two).toBeLessThan(one)
          expect(2 * two).toBeGreaterThan(one - 0.2)
          expect(slower).toBeGreaterThan(two - 0.1)
        },
      ),
      { numRuns: 15 },
    )
  })
})
