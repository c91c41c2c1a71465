import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_RACK } from '../equipment'
import { learntFrom, strangersIn } from './learnt'

describe('what weigh-backs say', () => {
  // 400 g wanted: 250 g to lay and 150 g that stay behind (arithmetic, no source).
  const run = (used: number) => ({ needed: 0.4, used })
  it('is nothing from two runs, and the middle of three', () => {
    expect(learntFrom([run(0.2), run(0.3)], 1)).toBeUndefined()
    const learnt = learntFrom([run(0.2), run(0.3), run(0.9)], 1)!
    expect(learnt.runs).toBe(3)
    expect(learnt.factor).toBeCloseTo(1.2, 9)
  })
  it('goes on from what the plans computed with', () => {
    expect(learntFrom([0.25, 0.25, 0.25].map(run), 1.2)!.factor).toBeCloseTo(1.2, 9)
  })
  it('one wild weighing moves it little, and it stays between half and double (property)', () => {
    const used = fc.double({ min: 0.001, max: 5, noNaN: true })
    fc.assert(
      fc.property(used, (wild) => {
        const { factor } = learntFrom([0.24, 0.25, 0.26, 0.25].map(run).concat(run(wild)), 1)!
        expect(Math.abs(factor - 1)).toBeLessThan(0.05)
      }),
    )
    expect(learntFrom([5, 5, 5].map(run), 1)!.factor).toBe(2)
    expect(learntFrom([0.01, 0.01, 0.01].map(run), 1)!.factor).toBe(0.5)
  })
})

it('a part of another system is a stranger in the tub', () => {
  const water = { ...STARTER_RACK[0]!, code: 'Q-W', system: 'waterBased' }
  const rack = [...STARTER_RACK, water]
  const parts = [
    { code: 'W1', share: 0.5 },
    { code: 'Q-W', share: 0.5 },
  ]
  expect(strangersIn(parts, 'plastisol', rack).map((i) => i.code)).toEqual(['Q-W'])
  expect(strangersIn(parts, 'waterBased', rack).map((i) => i.code)).toEqual(['W1'])
})
