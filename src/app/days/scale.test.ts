import { describe, expect, it } from 'vitest'
import type { Difference, LaneRun, Lanes, Shift } from '@/core/days'
import { USUAL_HOURS } from '@/core/equipment'
import { isoOf, momentOf } from '@/core/schedule'
import { clockWords, dayWords, differenceWords, lateWords } from './said'
import { hourMarks, momentAt, partsOf, windowsOf } from './scale'

const lanesAt = (now: string, ends: readonly string[] = []): Lanes => ({
  now: momentOf(now),
  runs: ends.map((end) => ({ end: momentOf(end) }) as LaneRun),
  ...{ out: [], overtime: {}, late: 0, lateRuns: 0, cost: 0 },
})
const daysOf = (...asked: Parameters<typeof windowsOf>) =>
  windowsOf(...asked).map((w) => isoOf(w.day).slice(0, 10))

describe('what is shown of the days', () => {
  it('a day; what is left of one that ends soon with the next; a week of five working days', () => {
    expect(daysOf(lanesAt('2026-12-01T07:00'), USUAL_HOURS, 'day', 0)).toEqual(['2026-12-01'])
    expect(daysOf(lanesAt('2026-12-01T16:10'), USUAL_HOURS, 'day', 0)).toEqual(['2026-12-01', '2026-12-02'])
    expect(daysOf(lanesAt('2026-12-01T20:00'), USUAL_HOURS, 'day', 0)).toEqual(['2026-12-02'])
    expect(daysOf(lanesAt('2026-12-04T09:00'), USUAL_HOURS, 'week', 0)).toEqual([
      ...['2026-12-04', '2026-12-07', '2026-12-08', '2026-12-09', '2026-12-10'],
    ])
    expect(daysOf(lanesAt('2026-12-04T09:00'), USUAL_HOURS, 'week', 1)[0]).toBe('2026-12-11')
    expect(windowsOf(lanesAt('2026-12-01T09:00'), { ...USUAL_HOURS, days: [] }, 'week', 0)).toEqual([])
  })
  it('overtime makes the day longer', () => {
    const [w] = windowsOf(lanesAt('2026-12-01T08:00', ['2026-12-01T18:20']), USUAL_HOURS, 'day', 0)
    expect(isoOf(w?.to ?? 0)).toBe('2026-12-01T19:00')
  })
  it('widths make one, a share and its moment are the same, a night is left out of a run', () => {
    const windows = windowsOf(lanesAt('2026-12-01T08:00'), USUAL_HOURS, 'week', 0)
    expect(windows.reduce((sum, w) => sum + w.width, 0)).toBeCloseTo(1, 9)
    const noon = momentOf('2026-12-03T12:00')
    const [part] = partsOf(windows, noon, noon + 900)
    expect(momentAt(windows, part?.left ?? 0)).toBe(noon)
    const night = partsOf(windows, momentOf('2026-12-01T16:00'), momentOf('2026-12-02T09:00'))
    expect(night).toHaveLength(2)
    expect(night[0]?.isFirst).toBe(true)
    expect(momentAt([], 0.5)).toBeUndefined()
    expect(hourMarks(windows).map((m) => m.hour)).not.toContain(16)
  })
})

const NOTHING: Difference = {
  ...{ later: [], sooner: [], moved: [], sheets: [], overtime: [] },
  ...{ lateBefore: 1, lateAfter: 1 },
}

describe('said in few words', () => {
  const now = momentOf('2026-12-01T08:00')
  it('moments and lateness', () => {
    expect(clockWords(momentOf('2026-12-01T10:40'), now)).toBe('10:40')
    expect(clockWords(momentOf('2026-12-03T10:40'), now)).toBe('Thu 10:40')
    expect(clockWords(momentOf('2026-12-14T10:40'), now)).toBe('Mon 14 Dec 10:40')
    expect([
      lateWords(20),
      lateWords(1800),
      lateWords(7200),
      lateWords(86_400),
      lateWords(3 * 86_400),
    ]).toEqual([...['1 min late', '30 min late', '2 h late', '1 day late', '3 days late']])
  })
  it('nothing that changes is said so', () =>
    expect(differenceWords(NOTHING, now)).toEqual(['Nothing becomes late by it, nothing else moves.']))
  it('how many are late comes first; overtime, and who is to be told by place and name', () => {
    const facts = { words: 'Tide Observatory, Star chart' }
    const at = (pressId: string, crew: readonly string[]) => ({
      pressId,
      start: now,
      done: now,
      late: 0,
      crew,
    })
    const moved = [{ facts, from: at('a', ['ida']), to: at('b', ['bo']) }] as unknown as Shift[]
    const names = { press: (id: string) => `Press ${id}`, who: (id: string) => id.toUpperCase() }
    const overtime = [{ pressId: 'b', day: '2026-12-03' }]
    expect(differenceWords({ ...NOTHING, moved, overtime, lateAfter: 0 }, now, names)).toEqual([
      '0 late instead of 1.',
      'Overtime: Press b Thu 3 Dec.',
      'Changes its press or its turn: Tide Observatory, Star chart.',
      'To be told: Press a, Press b (IDA, BO).',
    ])
  })
  it('days are today, tomorrow, or by name', () =>
    expect(['2026-12-01', '2026-12-02', '2027-01-04'].map((d) => dayWords(d, now))).toEqual([
      ...['today', 'tomorrow', 'Mon 4 Jan'],
    ]))
})
