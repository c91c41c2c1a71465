import { describe, expect, it } from 'vitest'
import type { LaneRun, Lanes, ShopDays } from '@/core/days'
import type { InkNeedLine } from '@/core/plan'
import { momentOf } from '@/core/schedule'
import { crewDay, daysWithWork } from './crew'
import { csvOf, entryOf } from './out'

const run = (n: number, from: string, to: string, pressId = 'a', print = 'P1'): LaneRun => ({
  facts: {
    ...{
      runId: `R-${n}-${print}-dark`,
      orderId: `O-${n}`,
      print,
      words: `Job ${n}`,
      due: '2026-12-04',
      pieces: 48,
    },
    ...{ cloth: '#222222', inks: [], on: [], isChosen: false, airDays: 0, pot: 0, isBased: false },
    ...{ lightest: 90, darkest: 20 },
  },
  ...{ pressId, setUp: momentOf(from), start: momentOf(from) + 1800, end: momentOf(to), done: momentOf(to) },
  ...{
    pace: 1,
    short: 0,
    isBegun: false,
    isPinned: false,
    waits: 'nothing',
    waitsFor: undefined,
    why: [],
    crew: [],
    screens: undefined,
    late: 0,
  },
})
const lanes = {
  now: momentOf('2026-12-01T08:00'),
  runs: [
    run(1, '2026-12-01T08:00', '2026-12-01T10:00'),
    run(2, '2026-12-01T15:00', '2026-12-02T09:00', 'b'),
    run(3, '2026-12-04T08:00', '2026-12-04T09:00'),
    run(4, '2026-12-04T09:00', '2026-12-04T10:00'),
  ],
  ...{ out: [], overtime: {}, late: 0, lateRuns: 0, cost: 0 },
} as Lanes
const asked = {
  shop: {
    presses: [
      { id: 'a', name: 'Press A' },
      { id: 'b', name: 'Press B' },
    ],
  },
  screens: {
    'O-1.P1': [{ mesh: 1, left: 0 }],
    'O-3.P1': [
      { mesh: 1, left: undefined },
      { mesh: 1, left: 60 },
    ],
  },
} as unknown as ShopDays
const needs = [{ runId: 'R-1-P1-dark', name: 'Base white', mass: 0.4 }] as unknown as readonly InkNeedLine[]
const on = (day: string) => crewDay(day, { lanes, asked, needs })

describe('the list of a day', () => {
  it('days with work, a run over midnight is on both', () => {
    expect(daysWithWork(lanes)).toEqual(['2026-12-01', '2026-12-02', '2026-12-04'])
    expect(on('2026-12-02').presses.map((p) => p.runs.length)).toEqual([0, 1])
    expect(on('2026-12-03').presses.every((p) => p.runs.length === 0)).toBe(true)
  })
  it('screens are made for that day and the next that is worked; those that hang are not told', () => {
    expect(on('2026-12-01').screens).toEqual([])
    expect(on('2026-12-02').screens.map((s) => [s.run.facts.orderId, s.make])).toEqual([['O-3', 2]])
  })
  it('inks by the set-up of what begins that day', () => {
    const [ink] = on('2026-12-01').inks
    expect(ink).toMatchObject({
      by: momentOf('2026-12-01T08:00'),
      needs: [{ name: 'Base white', mass: 0.4 }],
    })
    expect(on('2026-12-02').inks).toEqual([])
  })
  it('goes out as a calendar and as rows', () => {
    const nameOf = () => 'Press B'
    expect(entryOf(lanes.runs[1] as LaneRun, nameOf)).toMatchObject({
      ...{ id: 'R-2-P1-dark', from: '2026-12-01T15:00', to: '2026-12-02T09:00', place: 'Press B' },
    })
    expect(csvOf(lanes.runs[1] as LaneRun, nameOf)).toMatchObject({
      press: 'Press B',
      order: 'O-2',
      lateMinutes: 0,
    })
  })
})
