import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import type { SharedPallets } from '../equipment'
import { isoOf } from '../schedule'
import { daysNow } from './decide'
import { NOTHING_KEPT } from './kept'
import { on, runOf, shopOf } from './shopDays.fixtures'

const sleeve = (number: number, pressId: string, print = 60) =>
  runOf(number, { on: [on(pressId, 30, print)], where: 'sleeve', isChosen: true })
const boards = (more: Partial<SharedPallets> = {}): SharedPallets => ({
  ...{ id: 's', name: 'Sleeve boards', where: 'sleeve', sets: 1, presses: [] },
  ...more,
})

describe('pallets that go from press to press', () => {
  const planned = (sharedPallets: readonly SharedPallets[], runs = [sleeve(1, 'a'), sleeve(2, 'b')]) =>
    daysNow(shopOf({ runs, shop: { sharedPallets } }), NOTHING_KEPT).lanes.runs
  const begins = (...asked: Parameters<typeof planned>) => {
    const at = planned(...asked).map((r) => [r.facts.orderId, isoOf(r.setUp).slice(5, 16)])
    return Object.fromEntries(at) as Readonly<Record<string, string>>
  }
  const together = { 'O-1': '12-01T08:00', 'O-2': '12-01T08:00' }

  it('one set: one press after the other, and it is said for what it waits', () => {
    const runs = [...planned([boards()])].sort((a, b) => a.setUp - b.setUp)
    expect(runs[1]?.setUp).toBe(runs[0]?.end)
    expect(message(runs[1]?.why[0] as never, 'metric')).toMatch(
      /^Sleeve boards: all are with Job [12] or before it, until Tue 1 Dec, \d\d:\d\d\.$/,
    )
  })
  it('as many at a time as there are sets', () => {
    expect(begins([boards({ sets: 2 })])).toEqual(together)
    const three = [sleeve(1, 'a'), sleeve(2, 'b'), sleeve(3, 'a')]
    expect(begins([boards({ sets: 2 })], three)).toEqual(begins([], three))
  })
  it('other prints, and presses with pallets of their own for it, wait for none', () => {
    expect(begins([boards()], [sleeve(1, 'a'), runOf(2, { on: [on('b')], where: 'front' })])).toEqual(
      together,
    )
    expect(begins([boards({ presses: ['a'] })])).toEqual(together)
    expect(begins([boards({ where: 'leg' })])).toEqual(together)
  })
  it('they stay on a press over night, where people go home', () => {
    const late = [sleeve(1, 'a', 600), sleeve(2, 'b')]
    const [first, second] = [...planned([boards()], late)].sort((a, b) => a.setUp - b.setUp)
    expect(second?.setUp).toBeGreaterThanOrEqual(first?.end ?? Number.POSITIVE_INFINITY)
  })
})
