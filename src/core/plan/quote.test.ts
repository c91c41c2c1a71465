import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { costsOf, plan, quoteRun } from './index'
import { CLOTHS, INKS, jobFor } from './plan.fixtures'

const job = (asked: Parameters<typeof jobFor>[0]) => {
  const { order, shop, decisions } = jobFor(asked)
  return { plan: plan(order, shop, decisions), shop }
}
const light = job({ cloth: CLOTHS.white, inks: [INKS.red] })
const dark = job({ cloth: CLOTHS.navy, inks: [INKS.red, INKS.white] })

const TERMS = { markup: 0.6, garment: 0 }

describe('what is asked for printing (arithmetic, invented prices)', () => {
  it('is what it costs and the markup, to the next cent; the sum is so many of that', () => {
    const { plan, shop } = light
    const quoted = quoteRun(plan, shop, TERMS, [])
    const piece = costsOf(plan, shop)?.piece ?? 0
    expect(quoted?.pieces).toBe(plan.run.quantity)
    expect(quoted?.each).toBeGreaterThanOrEqual(piece * 1.6 - 1e-6)
    expect(quoted?.each).toBeLessThan(piece * 1.6 + 0.01)
    expect(quoted?.sum).toBeCloseTo((quoted?.each ?? 0) * plan.run.quantity, 9)
    expect(Math.round((quoted?.each ?? 0) * 100)).toBeCloseTo((quoted?.each ?? 0) * 100, 9)
    expect(quoteRun(plan, shop, { ...TERMS, markup: 0 }, [])?.each).toBeCloseTo(piece, 1)
  })

  it('where no order of printing fits there is no price', () => {
    const { plan, shop } = light
    expect(quoteRun({ ...plan, time: undefined }, shop, TERMS, [24])).toBeUndefined()
  })

  it('more pieces are never dearer a piece, more markup never cheaper, and each price is whole cents (property)', () => {
    const many = fc.uniqueArray(fc.integer({ min: 1, max: 10_000 }), { minLength: 1, maxLength: 8 })
    fc.assert(
      fc.property(
        fc.constantFrom(light, dark),
        many,
        fc.double({ min: 0, max: 10, noNaN: true }),
        ({ plan, shop }, quantities, markup) => {
          const quoted = quoteRun(plan, shop, { markup, garment: 0 }, quantities)
          const more = quoteRun(plan, shop, { markup: markup + 0.1, garment: 0 }, quantities)
          if (!quoted || !more) throw new Error('no price')
          const rising = [...quoted.at, { pieces: quoted.pieces, each: quoted.each }].sort(
            (a, b) => a.pieces - b.pieces,
          )
          rising.forEach((a, i) => {
            expect(a.each).toBeLessThanOrEqual(rising[i - 1]?.each ?? Number.POSITIVE_INFINITY)
            expect(Math.abs(a.each * 100 - Math.round(a.each * 100))).toBeLessThan(1e-6)
          })
          expect(more.each).toBeGreaterThanOrEqual(quoted.each)
        },
      ),
      { numRuns: 60 },
    )
  })
})
