import { describe, expect, it } from 'vitest'
import { isoOf } from '../schedule'
import { NOTHING_KEPT } from './kept'
import { promiseOf } from './promise'
import { on, runOf, shopOf } from './shopDays.fixtures'

const others = (count: number, due = '2026-12-04') =>
  Array.from({ length: count }, (_, i) => runOf(i + 1, { due, on: [on('a', 30, 150), on('b', 30, 150)] }))
const fresh = runOf(99, { due: '2026-12-20', on: [on('a', 30, 150), on('b', 30, 150)] })
const promised = (count: number, more = {}) => {
  const found = promiseOf(shopOf({ runs: [...others(count), { ...fresh, ...more }] }), NOTHING_KEPT, 'O-99')
  if (!found) throw new Error('no promise')
  return found
}

// Facts of the trade, from memory: more before it never makes it sooner, and what strays is later than planned more often than not.
describe('what can be promised', () => {
  it('the more is planned before it the later; what is sure is never sooner than what is likely', () => {
    const days = [0, 6, 14, 24].map((n) => promised(n))
    for (const [i, p] of days.entries()) {
      if (i > 0) expect(p.planned).toBeGreaterThanOrEqual(days[i - 1]?.planned ?? 0)
      expect(p.day >= isoOf(p.planned - 1).slice(0, 10)).toBe(true)
      expect(p.day >= isoOf(p.likely - 1).slice(0, 10)).toBe(true)
    }
    expect((days[3]?.day ?? '') > (days[0]?.day ?? '')).toBe(true)
  })
  it('days between printed and due, and air drying, come on top', () => {
    const usual = promised(2)
    expect(promised(2, { leadDays: 3 }).day > usual.day).toBe(true)
    expect(promised(2, { airDays: 1 }).likely).toBeGreaterThanOrEqual(usual.likely + 86_400)
  })
  it('one day for the same facts; nothing of an order that has no place, or that there is not', () => {
    expect(promised(8)).toEqual(promised(8))
    expect(promiseOf(shopOf({ runs: [runOf(1, { on: [] })] }), NOTHING_KEPT, 'O-1')).toBeUndefined()
    expect(promiseOf(shopOf({ runs: [runOf(1)] }), NOTHING_KEPT, 'O-7')).toBeUndefined()
  })
  it('a day that was asked for and is earlier: whether it can be had, and what that does to others', () => {
    const busy = shopOf({ runs: [...others(14, '2026-11-27'), { ...fresh, due: '2026-12-01' }] })
    const soon = promiseOf(busy, NOTHING_KEPT, 'O-99')
    expect(soon && soon.day > '2026-12-01').toBe(true)
    expect(soon?.sooner?.isPossible).toBe(true)
    // Yesterday cannot be had.
    expect(promised(2, { due: '2026-11-30' }).sooner?.isPossible).toBe(false)
    expect(promised(2).sooner).toBeUndefined()
  })
})
