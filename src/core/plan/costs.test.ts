import { describe, expect, it } from 'vitest'
import { costsOf, plan } from './index'
import { CLOTHS, INKS, jobFor } from './plan.fixtures'

const priced = (asked: Parameters<typeof jobFor>[0] = {}) => {
  const job = jobFor(asked)
  return { ...job, p: plan(job.order, job.shop, job.decisions) }
}

describe('what a run costs (arithmetic, invented prices)', () => {
  const { p, shop } = priced({
    cloth: CLOTHS.white,
    inks: [INKS.red],
    overrides: { press: 'manual', setup: 1800, rate: 100 / 3600 },
  })
  it('is press, people, screens, ink and spoiled garments, by hand', () => {
    const c = costsOf(p, shop, 100)!
    // Half an hour of set-up and an hour for a hundred pieces.
    expect(c.time).toBeCloseTo(1.5 * 3600, 6)
    expect(c.press).toBeCloseTo(1.5 * shop.prices.pressHour, 9)
    expect(c.people).toBeCloseTo(1.5 * shop.prices.personHour, 9)
    expect(c.screens).toBe(shop.prices.screen)
    // 100 x 0.015 / 0.985 misprints and one first print.
    expect(c.spoil).toBeCloseTo((1.5 / 0.985 + 1) * shop.prices.garment, 9)
    expect(c.total).toBeCloseTo(c.press + c.people + c.screens + c.ink + c.spoil, 9)
    expect(c.piece).toBeCloseTo(c.total / 100, 9)
  })
  it('a piece gets cheaper as there are more of them, never dearer', () => {
    const pieces = [12, 24, 48, 96, 192, 384].map((n) => costsOf(p, shop, n)!.piece)
    for (const [i, c] of pieces.slice(1).entries()) expect(c).toBeLessThan(pieces[i]!)
  })
  it('a crew of two costs two; nothing is told while no order fits, or of no pieces', () => {
    const two = priced({
      cloth: CLOTHS.white,
      inks: [INKS.red],
      overrides: { press: 'manual', setup: 1800, rate: 100 / 3600, crew: 'loader' },
    })
    expect(costsOf(two.p, shop, 100)!.people).toBeCloseTo(2 * costsOf(p, shop, 100)!.people, 6)
    expect(costsOf({ ...p, time: undefined }, shop)).toBeUndefined()
    expect(costsOf(p, shop, 0)).toBeUndefined()
  })
})
