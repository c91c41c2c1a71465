import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Candidate } from './search'
import { standOut } from './standOut'

const candidate = (more: Partial<Candidate>): Candidate => ({
  parts: [],
  colour: { l: 50, a: 0, b: 0 },
  difference: 0.1,
  lamp: 0.4,
  hides: 0.95,
  cost: 12,
  opens: [],
  score: 0,
  ...more,
})

describe('which formulas are worth choosing between', () => {
  it('eight that are right and differ in nothing that is seen or paid are one', () => {
    const eight = Array.from({ length: 8 }, (_, i) =>
      candidate({ difference: 0.05 * i, cost: 12 + 0.05 * i }),
    )
    const { shown, alike } = standOut(eight)
    expect(shown).toEqual(eight.slice(0, 1))
    expect(alike).toEqual(eight.slice(1))
  })
  it.each([
    ['cheaper', { cost: 10 }],
    ['no can to open', { opens: [] }],
    ['true by lamplight', { lamp: 0.2 }],
    ['hides better', { hides: 0.99 }],
    ['nearer', { difference: 0.2 }],
  ])('%s: it stays to be chosen', (_, better) => {
    const first = candidate({ difference: 1, lamp: 1.5, hides: 0.9, opens: ['Y1'] })
    const other = { ...first, ...better }
    expect(standOut([first, other]).shown).toEqual([first, other])
  })
  it('a little cheaper is not', () => {
    expect(standOut([candidate({}), candidate({ cost: 11.7 })]).shown).toHaveLength(1)
  })
  it('loses none, keeps the best, and whatever is folded has one shown that is as good', () => {
    const some = fc.record({
      difference: fc.double({ min: 0, max: 12, noNaN: true }),
      lamp: fc.double({ min: 0, max: 12, noNaN: true }),
      hides: fc.double({ min: 0, max: 1, noNaN: true }),
      cost: fc.double({ min: 0, max: 60, noNaN: true }),
      opens: fc.subarray(['Y1', 'R1', 'B1']),
    })
    fc.assert(
      fc.property(fc.array(some.map(candidate), { minLength: 1, maxLength: 30 }), (found) => {
        const { shown, alike } = standOut(found)
        expect(shown[0]).toBe(found[0])
        expect(new Set([...shown, ...alike])).toEqual(new Set(found))
        for (const c of alike)
          expect(
            shown.some(
              (s) =>
                s.difference <= c.difference + 0.5 &&
                s.lamp <= c.lamp + 0.5 &&
                s.hides >= c.hides - 0.03 &&
                s.cost * 0.95 <= c.cost &&
                s.opens.length <= c.opens.length,
            ),
          ).toBe(true)
      }),
    )
  })
})
