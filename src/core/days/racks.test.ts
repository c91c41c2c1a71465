import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { isoOf } from '../schedule'
import { daysNow } from './decide'
import { NOTHING_KEPT } from './kept'
import { on, runOf, shopOf } from './shopDays.fixtures'

describe('places in which screens dry', () => {
  const runs = [runOf(1, { on: [on('a')] }), runOf(2, { on: [on('b')] })]
  /** Two sets of two screens, none of them made. */
  const planned = (racks?: number, each = 2) => {
    const screens = Object.fromEntries(
      runs.map((r) => [
        `${r.orderId}.${r.print}`,
        Array.from({ length: each }, () => ({ mesh: 4300, left: undefined })),
      ]),
    )
    const shop = { screens: { humidity: 0.45, racks } as never }
    return [...daysNow(shopOf({ runs, screens, shop }), NOTHING_KEPT).lanes.runs].sort(
      (a, b) => (a.screens?.from ?? 0) - (b.screens?.from ?? 0),
    )
  }
  it('as many as there are dry at a time: the next set is begun when the first is dry, and that is said', () => {
    const [first, second] = planned(2)
    expect(second?.screens?.from).toBeGreaterThanOrEqual(first?.screens?.ready ?? Number.POSITIVE_INFINITY)
    const said = second?.why.find((r) => r.rule === 'WAITS_RACKS')
    expect(message(said as never, 'metric')).toContain('no place to dry in was free before')
    expect(message(said as never, 'metric')).toContain(isoOf(first?.screens?.ready ?? 0).slice(11, 16))
  })
  it('where there are places enough, or nobody said how many, they dry side by side', () => {
    const begins = (racks?: number) => planned(racks).map((r) => r.screens?.from)
    expect(begins(4)).toEqual(begins())
    expect(planned(4).every((r) => r.why.every((w) => w.rule !== 'WAITS_RACKS'))).toBe(true)
  })
  it('a set with more screens than there are places is made all the same; fewer places make no set sooner', () => {
    const ready = (racks: number) => Math.max(...planned(racks).map((r) => r.screens?.ready ?? 0))
    expect(planned(1)).toHaveLength(2)
    const all = [1, 2, 3, 4, 8].map(ready)
    expect(all.every((t, i) => i === 0 || t <= (all[i - 1] ?? 0))).toBe(true)
    expect(all[0]).toBeGreaterThan(all.at(-1) ?? 0)
  })
})
