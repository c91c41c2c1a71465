import { describe, expect, it } from 'vitest'
import { FLASH } from '../sequence'
import { flashBehind, handOrder, movesOf, plan, putAt, screensOf, waysOf } from './index'
import { CLOTHS, INKS, ink, jobFor } from './plan.fixtures'

const ask = (asked: Parameters<typeof jobFor>[0] = {}) => {
  const job = jobFor(asked)
  return { ...job, now: plan(job.order, job.shop, job.decisions) }
}
const three = { inks: [INKS.white, INKS.red, INKS.yellow, INKS.black] }

describe('other ways to print it', () => {
  it('are plans of their own that truly differ, and taken they are the plan', () => {
    const asked = ask(three)
    const ways = waysOf(asked)
    expect(ways.length).toBeGreaterThan(1)
    const cells = (p: typeof asked.now) =>
      [p.press.id, ...p.sequence.cells.map((c) => (c.kind === 'print' ? c.hitId : c.kind))].join()
    const all = [asked.now, ...ways.map((w) => w.plan)].map((p) => `${cells(p)} ${screensOf(p)}`)
    expect(new Set(all).size).toBe(all.length)
    for (const way of ways) {
      const taken = plan(asked.order, asked.shop, way.decisions)
      expect(taken.sequence).toEqual(way.plan.sequence)
      expect(taken.sequence.fits).toBe(true)
    }
  })
  it('flashing after the base only saves a flash and risks wet contact; every colour costs flashes', () => {
    const asked = ask(three)
    const of = (id: string) => waysOf(asked).find((w) => w.id === id)?.plan
    const [saves, every] = [of('afterBase'), of('setUp')]
    if (saves) {
      expect(saves.flashes.length).toBeLessThan(asked.now.flashes.length)
      expect(saves.sequence.wetRisk).toBeGreaterThan(asked.now.sequence.wetRisk)
    }
    expect(every?.flashes.length).toBeGreaterThan(asked.now.flashes.length)
  })
  it('no press is offered whose boards the print does not fit', () => {
    const wide = { ...three, width: 0.585, height: 0.815 }
    expect(waysOf(ask(wide)).filter((w) => w.id.startsWith('press.'))).toEqual([])
    expect(waysOf(ask(three)).filter((w) => w.id.startsWith('press.')).length).toBeGreaterThan(0)
  })
  it('an order by hand offers the advised one back', () => {
    const first = ask(three)
    const order = [...first.now.hits.map((h) => h.hit.id)].reverse().sort((a) => (a === 'base' ? -1 : 0))
    const asked = { ...first, decisions: { ...first.decisions, order } }
    const now = plan(asked.order, asked.shop, asked.decisions)
    const [advised] = waysOf({ ...asked, now })
    if (now.sequence.fits && advised?.id === 'advised')
      expect(advised.plan.sequence.cells).toEqual(first.now.sequence.cells)
    else expect(now.sequence.fits).toBe(false)
  })
})

describe('an order by hand', () => {
  it('moves among the hits; a flash by hand stays behind what it follows', () => {
    const order = ['base', FLASH, 'a', 'b', 'c']
    expect(putAt(order, 'c', 1)).toEqual(['base', FLASH, 'c', 'a', 'b'])
    expect(putAt(order, 'a', 3)).toEqual(['base', FLASH, 'b', 'c', 'a'])
  })
  it('a flash goes in behind a hit, and out again', () => {
    const order = ['base', 'a', 'b']
    const flashed = flashBehind(order, 'a')
    expect(flashed).toEqual(['base', 'a', FLASH, 'b'])
    expect(flashBehind(flashed, 'a')).toEqual(order)
  })
  it('a flash the lead wants is planned, and its reason says who wants it', () => {
    const asked = ask({ cloth: CLOTHS.white, inks: [ink('a', '#e03c2e'), ink('b', '#1f3a7d')] })
    expect(asked.now.flashes).toHaveLength(0)
    const order = flashBehind(handOrder(asked.now, asked.decisions), asked.now.hits[0]!.hit.id)
    const wanted = plan(asked.order, asked.shop, { ...asked.decisions, order })
    expect(wanted.flashes).toHaveLength(1)
    expect(wanted.flashes[0]!.reasons.map((r) => r.rule)).toContain('HAND_FLASH')
  })
  it('what would follow from each place is what follows once it is put there', () => {
    const asked = ask(three)
    const moves = movesOf(asked.order, asked.shop, asked.decisions, asked.now, 'red')
    expect(moves).toHaveLength(asked.now.hits.length)
    // Before the base it cannot be, and it says why.
    expect(moves[0]).toMatchObject({ fits: false })
    expect(moves[0]!.why.map((r) => r.rule)).toContain('BASE_FIRST')
    for (const move of moves.filter((m) => m.fits)) {
      const p = plan(asked.order, asked.shop, { ...asked.decisions, order: move.order })
      expect(p.flashes.length).toBe(move.flashes)
      expect(p.sequence.wetRisk).toBeCloseTo(move.wetRisk, 6)
    }
  })
})
