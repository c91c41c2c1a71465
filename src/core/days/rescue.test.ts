import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { momentOf } from '../schedule'
import { daysNow } from './decide'
import type { ShopDays } from './facts'
import { type DaysKept, NOTHING_KEPT } from './kept'
import { Rescues } from './rescue'
import { on, runOf, shopOf } from './shopDays.fixtures'

const TRIES = 400
function rescuesOf(asked: ShopDays, orderId: string, kept: DaysKept = NOTHING_KEPT) {
  const now = daysNow(asked, kept)
  const rescues = new Rescues(now, orderId, TRIES)
  for (let i = 0; !rescues.isDone && i < 1000; i++) rescues.go(100)
  return { now, found: rescues.found(), share: rescues.share }
}
const long = (n: number, more: Parameters<typeof runOf>[1] = {}) =>
  runOf(n, { due: '2026-12-01', on: [on('a', 30, 360)], ...more })
const kinds = (found: ReturnType<typeof rescuesOf>['found']) => found.map((r) => r.kind)

describe('ways to have a late order in time', () => {
  it('another press, where its own is taken; taking it makes the sheet for that press', () => {
    const runs = [
      long(1, { due: '2026-11-30' }),
      long(2, { on: [on('a', 30, 360), on('b', 30, 420)], isChosen: false }),
    ]
    const kept = {
      ...NOTHING_KEPT,
      choice: { order: runs.map((r) => r.runId), press: { [runOf(2).runId]: 'a' }, overtime: {} },
    }
    const { now, found, share } = rescuesOf(shopOf({ runs }), 'O-2', kept)
    expect(now.lanes.runs.find((r) => r.facts.orderId === 'O-2')?.late).toBeGreaterThan(0)
    expect(share).toBe(1)
    const best = found.find((r) => r.late === 0)
    expect(best?.proposal.lanes.runs.find((r) => r.facts.orderId === 'O-2')?.pressId).toBe('b')
    expect(best?.proposal.difference.sheets.map((r) => r.facts.orderId)).toEqual(['O-2'])
    const after = daysNow(shopOf({ runs }), best?.proposal.kept ?? NOTHING_KEPT)
    expect(after.lanes.runs.find((r) => r.facts.orderId === 'O-2')?.late).toBe(0)
  })
  it('overtime, where the day is too short; nothing of it is taken without being asked for', () => {
    const { now, found } = rescuesOf(shopOf({ runs: [long(1, { on: [on('a', 30, 510)] })] }), 'O-1', {
      ...NOTHING_KEPT,
      choice: { order: [runOf(1).runId], press: {}, overtime: {} },
    })
    expect(now.lanes.lateRuns).toBe(1)
    expect(kinds(found)).toEqual(['overtime'])
    expect(found[0]?.late).toBe(0)
    expect(Object.values(found[0]?.proposal.lanes.overtime ?? {}).flat()).toEqual(['2026-12-01'])
  })
  it('a loader, where that is quicker: what is kept plans it so', () => {
    const slow = { ...on('a', 30, 520), helped: 400 * 60 }
    const asked = shopOf({ runs: [long(1, { on: [slow] })] })
    const kept = { ...NOTHING_KEPT, choice: { order: [runOf(1).runId], press: {}, overtime: {} } }
    const { found } = rescuesOf(asked, 'O-1', kept)
    const loader = found.find((r) => r.kind === 'loader')
    expect(loader?.late).toBe(0)
    const next = loader?.proposal.kept
    expect(next?.helped).toEqual([runOf(1).runId])
    const after = daysNow({ ...asked, helped: next?.helped }, next ?? NOTHING_KEPT)
    expect(after.lanes.lateRuns).toBe(0)
  })
  it('split over two presses is told, and is for the order to decide: it cannot be taken here', () => {
    const asked = shopOf({ runs: [long(1, { on: [on('a', 30, 600), on('b', 30, 600)] })] })
    const kept = { ...NOTHING_KEPT, choice: { order: [runOf(1).runId], press: {}, overtime: {} } }
    const split = rescuesOf(asked, 'O-1', kept).found.find((r) => r.kind === 'split')
    expect(split?.canBeTaken).toBe(false)
    expect(split?.late).toBe(0)
    // Its second half wants screens of its own.
    expect(split?.proposal.lanes.runs.map((r) => r.facts.pieces)).toEqual([24, 24])
  })
  it('held by the lead it is let go first; what cannot be helped has no ways', () => {
    const pins = [{ runId: runOf(1).runId, pressId: 'a', at: momentOf('2026-12-03T08:00') }]
    const held = rescuesOf(shopOf({ runs: [long(1)], pins }), 'O-1', { ...NOTHING_KEPT, pins })
    expect(held.now.lanes.lateRuns).toBe(1)
    expect(held.found[0]?.late).toBe(0)
    expect(held.found[0]?.proposal.kept.pins).toEqual([])
    const past = rescuesOf(shopOf({ runs: [long(1, { due: '2026-11-27' })] }), 'O-1')
    expect(kinds(past.found)).toEqual([])
    expect(rescuesOf(shopOf({ runs: [long(1)] }), 'O-9').found).toEqual([])
  })
  it('no way is told that has the order no earlier than the days would bring by themselves', () => {
    const runs = Array.from({ length: 5 }, (_, i) =>
      long(i + 1, { on: [on('a', 30, 200), on('b', 30, 240)], due: '2026-12-01' }),
    )
    const { now, found } = rescuesOf(shopOf({ runs }), 'O-5')
    const before = now.lanes.runs.find((r) => r.facts.orderId === 'O-5')?.late ?? 0
    for (const r of found) expect(r.late).toBeLessThan(Math.max(1, before))
    const lates = found.map((r) => r.late ?? 0)
    expect(lates).toEqual([...lates].sort((a, b) => a - b))
    for (const r of found.flatMap((f) => f.proposal.lanes.runs)) {
      expect(r.why.length).toBeGreaterThan(0)
      expect(message(r.why[0] as never, 'metric')).not.toMatch(/undefined|NaN/)
    }
  })
})
