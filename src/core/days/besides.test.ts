import { describe, expect, it } from 'vitest'
import { isoOf } from '../schedule'
import { dryerWork, inkWork, screenWork } from './besides'
import { daysNow } from './decide'
import { NOTHING_KEPT } from './kept'
import { on, runOf, shopOf } from './shopDays.fixtures'

const lanesIn = (asked: Parameters<typeof shopOf>[0]) => daysNow(shopOf(asked), NOTHING_KEPT).lanes

describe('what goes on beside the presses', () => {
  it('screens are made before their run is set up, one set after the other; those that are there are not', () => {
    const runs = [runOf(1), runOf(2), runOf(3)]
    const bare = [{ mesh: 4300, left: undefined }]
    const lanes = lanesIn({
      runs,
      screens: { 'O-1.P1': bare, 'O-2.P1': bare, 'O-3.P1': [{ mesh: 4300, left: 0 }] },
    })
    const work = screenWork(lanes)
    expect(work.map((w) => w.of[0]?.orderId).sort()).toEqual(['O-1', 'O-2'])
    for (const w of work) {
      const run = lanes.runs.find((r) => r.facts === w.of[0])
      expect(w.from).toBeGreaterThanOrEqual(lanes.now)
      expect(w.to).toBeGreaterThan(w.from)
      expect(w.to).toBeLessThanOrEqual(run?.setUp ?? 0)
    }
    expect(lanes.runs.map((r) => r.why[0]?.rule)).toContain('WAITS_SCREENS')
  })
  it('inks that are short are wanted when the run is set up', () => {
    const lanes = lanesIn({ runs: [runOf(1), runOf(2)] })
    const work = inkWork(lanes, { [runOf(2).runId]: ['Buoy orange'], gone: ['Nothing'] })
    expect(work.map((w) => [w.of[0]?.orderId, w.inks])).toEqual([['O-2', ['Buoy orange']]])
    expect(work[0]?.from).toBe(lanes.runs.find((r) => r.facts.orderId === 'O-2')?.setUp)
  })
  it('inks that are wanted at the same time are one mark, each ink once', () => {
    const runs = [runOf(1, { on: [on('a')] }), runOf(2, { on: [on('b')] })]
    const work = inkWork(lanesIn({ runs }), {
      [runOf(1).runId]: ['Orange', 'White'],
      [runOf(2).runId]: ['White', 'Blue'],
    })
    expect(work.map((w) => [w.of.map((f) => f.orderId), w.inks])).toEqual([
      [
        ['O-1', 'O-2'],
        ['Orange', 'White', 'Blue'],
      ],
    ])
  })
  it('a dryer runs one temperature at a time, in stretches that never meet', () => {
    const at = (film: number) => [{ ...on('a'), dryer: { id: 'd', share: 0.4, film } }]
    const other = (film: number) => [{ ...on('b'), dryer: { id: 'd', share: 0.4, film } }]
    const runs = [runOf(1, { on: at(433) }), runOf(2, { on: other(433) }), runOf(3, { on: other(398) })]
    const lanes = lanesIn({ runs, shop: { dryers: [{ id: 'd' }, { id: 'e' }] as never } })
    const [d, e] = dryerWork(lanes, ['d', 'e'])
    expect(e?.spans).toEqual([])
    expect(d?.spans.map((s) => s.film).sort()).toEqual([398, 433])
    const [first, second] = [...(d?.spans ?? [])].sort((a, b) => a.from - b.from)
    // Twenty minutes lie between two temperatures.
    expect((second?.from ?? 0) - (first?.to ?? 0)).toBeGreaterThanOrEqual(1200)
    expect(isoOf(first?.from ?? 0)).toMatch(/^2026-12-01T08/)
  })
})
