import { describe, expect, it } from 'vitest'
import { plan, pressCycle } from './index'
import { CLOTHS, INKS, jobFor } from './plan.fixtures'

const cardFor = (asked: Parameters<typeof jobFor>[0]) => {
  const job = jobFor(asked)
  const p = plan(job.order, job.shop, job.decisions)
  return { p, card: pressCycle(p)! }
}
const dark = { inks: [INKS.white, INKS.red], overrides: { press: 'manual' } }

describe('the press cycle', () => {
  it('every garment gets every hit once, in the order of the plan; the flash comes between', () => {
    for (const crew of ['alone', 'loader']) {
      const { p, card } = cardFor({ ...dark, overrides: { ...dark.overrides, crew } })
      const printed = new Map<number, string[]>()
      for (let round = 0; round < 3; round++)
        for (const s of card.steps)
          printed.set(s.pallet, [...(printed.get(s.pallet) ?? []), ...s.front, ...(s.changed ?? [])])
      const wanted = p.hits.map((h) => h.hit.id)
      for (const hits of printed.values()) {
        const from = hits.indexOf(wanted[0]!)
        const one = hits.slice(from, from + wanted.length)
        expect(one).toEqual(wanted)
      }
    }
  })
  it('tells how long a pallet stands under the flash, longer than the film wants, and what a unit that stays does', () => {
    const { card } = cardFor(dark)
    expect(card.stands?.rule).toBe('CYCLE_TIMED')
    const of = (name: string) => {
      const input = card.stands?.inputs[name]
      return typeof input === 'object' && 'value' in input ? input.value : Number.NaN
    }
    expect(of('stop')).toBeGreaterThan(of('dwell'))
    const { flashes } = jobFor(dark).shop
    const on = (mount: 'swings' | 'fixed') => {
      const units = flashes.map((f) => ({ ...f, mount, side: 'left' as const }))
      return cardFor({ ...dark, shop: { flashes: units } }).card.stands
    }
    expect(on('fixed')?.rule).toBe('CYCLE_STAYS')
    expect(on('swings')?.rule).toBe('CYCLE_SWINGS')
    expect(on('swings')?.inputs.where).toMatch(/on the left$/)
    expect(
      cardFor({ cloth: CLOTHS.white, inks: [INKS.red], overrides: { press: 'manual' } }).card.stands,
    ).toBeUndefined()
  })
  it('a loader has a pallet of his own, never the one at the front', () => {
    const { card } = cardFor({ ...dark, overrides: { ...dark.overrides, crew: 'loader' } })
    expect(card.loader).toBe(true)
    expect(card.steps.filter((s) => s.load !== undefined).length).toBeGreaterThan(0)
    for (const s of card.steps) {
      expect(s.load).not.toBe(s.pallet)
      expect(s.flash).not.toBe(s.pallet)
    }
  })
  it('on a bench one colour goes across a batch; an automatic needs none', () => {
    const bench = cardFor({ cloth: CLOTHS.white, inks: [INKS.red], overrides: { press: 'bench' } })
    expect(bench.card.why.rule).toBe('BATCH')
    expect(bench.card.steps).toEqual([])
    expect(cardFor({ ...dark, overrides: { press: 'automatic' } }).card).toBeUndefined()
  })
})
