import { describe, expect, it } from 'vitest'
import { isoOf, momentOf } from '../schedule'
import { differenceOf } from './compare'
import { afterAll, DaysSearch, daysNow, letGo, put, shiftedBy } from './decide'
import type { DayFacts } from './facts'
import { daysKeptSchema, NOTHING_KEPT } from './kept'
import { on, runOf, shopOf } from './shopDays.fixtures'

const at = (time: string) => momentOf(`2026-12-01T${time}`)
const runs = [
  runOf(1, { due: '2026-12-01', on: [on('a'), on('b')] }),
  runOf(2, { due: '2026-12-01', on: [on('a'), on('b')] }),
  runOf(3, { due: '2026-12-02', on: [on('a'), on('b')] }),
  runOf(4, { due: '2026-12-03', on: [on('b', 30, 240)] }),
]
const asked = shopOf({ runs })
const now = daysNow(asked, NOTHING_KEPT)
const laneOf = (lanes: typeof now.lanes, id: string) => lanes.runs.find((r) => r.facts.orderId === id)

describe('a run that the lead puts somewhere', () => {
  it('begins there, no sooner; what it comes to is told before; what is kept brings the same back', () => {
    const { kept, lanes, difference } = put(now, { runId: 'R-3-P1-dark', pressId: 'b', at: at('14:00') })
    const there = laneOf(lanes, 'O-3')
    expect(there?.pressId).toBe('b')
    expect(there?.start).toBeGreaterThanOrEqual(at('14:00'))
    expect(there?.isPinned).toBe(true)
    expect(difference.lateAfter).toBe(lanes.lateRuns)
    const again = daysNow({ ...asked, pins: kept.pins }, kept)
    expect(again.lanes.runs).toEqual(lanes.runs)
    expect(daysKeptSchema.isValidSync(kept)).toBe(true)
  })
  it('past its day it is late, and that is said before it is taken', () => {
    const { difference } = put(now, { runId: 'R-1-P1-dark', pressId: 'a', at: momentOf('2026-12-03T09:00') })
    expect(difference.later.map((s) => s.facts.orderId)).toEqual(['O-1'])
    expect(difference.lateAfter).toBe(difference.lateBefore + 1)
  })
  it('on a press that was sold, or cannot print it, is planned as before, and that is said', () => {
    const first = asked.runs[0] as DayFacts
    const pins = (pressId: string) => [{ runId: first.runId, pressId, at: at('14:00') }]
    for (const [pressId, more] of [
      ['sold', first],
      ['b', { ...first, on: first.on.filter((o) => o.pressId === 'a') }],
    ] as const) {
      const kept = { ...NOTHING_KEPT, pins: pins(pressId) }
      const alone = daysNow({ ...asked, ...kept, runs: [more] }, kept).lanes.runs[0]
      expect([alone?.pressId, alone?.isPinned, alone?.waits]).toEqual(['a', false, 'nothing'])
      expect(alone?.why.some((r) => r.rule === 'DAY_PUT_LOST')).toBe(true)
    }
    expect(laneOf(now.lanes, 'O-1')?.why.every((r) => r.rule !== 'DAY_PUT_LOST')).toBe(true)
  })
  it('let go it is planned as before', () => {
    const { kept } = put(now, { runId: 'R-3-P1-dark', pressId: 'b', at: at('14:00') })
    const then = daysNow({ ...asked, pins: kept.pins }, kept)
    const free = letGo(then, 'R-3-P1-dark')
    expect(free.kept.pins).toEqual([])
    expect(laneOf(free.lanes, 'O-3')?.isPinned).toBe(false)
  })
})

describe('a press that is down', () => {
  const down = { pressId: 'b', from: at('08:00'), to: momentOf('2026-12-02T08:00') }
  const shifted = shiftedBy(now, { kind: 'down', ...down })
  it('prints nothing meanwhile, and nothing else moves', () => {
    for (const r of shifted.lanes.runs.filter((x) => x.pressId === 'b'))
      expect(r.setUp).toBeGreaterThanOrEqual(down.to)
    expect(shifted.difference.moved).toEqual([])
  })
  it('dearer moves are fewer; free ones are never later than none', () => {
    const [few, free] = (['few', 'free'] as const).map((price) => {
      const search = new DaysSearch(now, shifted.kept, { price, evaluations: 3000 })
      search.go(3000)
      return search.proposal(shifted.kept)
    })
    expect(few?.difference.moved.length).toBeLessThanOrEqual(runs.length)
    expect(free?.lanes.cost).toBeLessThanOrEqual(shifted.lanes.cost + 1e-6)
    expect(free?.lanes.lateRuns).toBeLessThanOrEqual(shifted.lanes.lateRuns)
    for (const r of free?.lanes.runs ?? [])
      if (r.pressId === 'b') expect(r.setUp).toBeGreaterThanOrEqual(down.to)
  })
  it('back again everything is as it was', () => {
    const then = daysNow({ ...asked, down: shifted.kept.down }, shifted.kept)
    expect(afterAll(then, { kind: 'down', pressId: 'b' }).lanes.runs).toEqual(now.lanes.runs)
  })
})

describe('a plan that was taken outlives what changes', () => {
  const search = new DaysSearch(now, now.kept, { price: 'free', evaluations: 2000 })
  search.go(2000)
  const { kept } = search.proposal(now.kept)
  it('new runs find a place, runs that are gone leave none, a press that is sold gives way', () => {
    const later = shopOf({ runs: [...runs.slice(1), runOf(9, { due: '2026-12-01' })] })
    const found = daysNow(later, kept).lanes
    expect(found.runs.map((r) => r.facts.orderId).sort()).toEqual(['O-2', 'O-3', 'O-4', 'O-9'])
    const [left] = asked.shop.presses
    const sold = shopOf({ runs, shop: { presses: left ? [left] : [] } })
    const on1 = daysNow(sold, kept).lanes
    expect(on1.runs.every((r) => r.pressId === 'a')).toBe(true)
    expect(on1.out.map((o) => o.facts.orderId)).toEqual(['O-4'])
  })
  it('an hour later what is not begun is not in the past', () => {
    const then = daysNow({ ...asked, now: at('11:00') }, kept).lanes
    for (const r of then.runs) expect(isoOf(r.setUp) >= '2026-12-01T11:00').toBe(true)
  })
})

it('what becomes of runs is told run by run', () => {
  const later = daysNow(shopOf({ runs: runs.slice(1) }), NOTHING_KEPT)
  const gone = differenceOf(now.lanes, later.lanes)
  expect(gone.later.map((s) => s.facts.orderId)).toEqual(['O-1'])
  const same = differenceOf(now.lanes, now.lanes)
  expect([same.later, same.sooner, same.moved]).toEqual([[], [], []])
})

describe('what is kept', () => {
  it.each([
    ['a list', []],
    ['nothing', null],
    ['a pin without a moment', { pins: [{ runId: 'R-1', pressId: 'a' }], down: [] }],
    ['a word for a moment', { pins: [{ runId: 'R-1', pressId: 'a', at: '12' }], down: [] }],
    ['a press back before it went', { pins: [], down: [{ pressId: 'a', from: 5, to: 5 }] }],
    ['a run twice', { choice: { order: ['R-1', 'R-1'], press: {}, overtime: {} }, pins: [], down: [] }],
    [
      'a press that is a number',
      { choice: { order: [], press: { a: 1 }, overtime: {} }, pins: [], down: [] },
    ],
    ['no day', { choice: { order: [], press: {}, overtime: { a: ['soon'] } }, pins: [], down: [] }],
    ['a moment beyond all time', { pins: [{ runId: 'R-1', pressId: 'a', at: 1e300 }], down: [] }],
  ])('%s is refused', (_, kept) => expect(daysKeptSchema.isValidSync(kept)).toBe(false))
  it('odd but possible things do no harm', () => {
    const odd = {
      choice: { order: ['gone'], press: { 'R-1-P1-dark': 'sold' }, overtime: { sold: ['1970-01-01'] } },
      pins: [
        { runId: 'gone', pressId: 'a', at: 0 },
        { runId: 'R-1-P1-dark', pressId: 'sold', at: 0 },
        { runId: 'R-4-P1-dark', pressId: 'a', at: 0 },
      ],
      down: [{ pressId: 'sold', from: 0, to: 1 }],
    }
    expect(daysKeptSchema.isValidSync(odd)).toBe(true)
    const found = daysNow({ ...asked, pins: odd.pins, down: odd.down }, odd).lanes
    expect(found.runs).toHaveLength(4)
  })
})
