import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { USUAL_HOURS } from '../equipment'
import { isoOf, momentOf } from '../schedule'
import { daysNow } from './decide'
import { decode } from './decode'
import type { ShopDays } from './facts'
import { firstPlan } from './firstPlan'
import { NOTHING_KEPT } from './kept'
import { daysOfShop, readyBy } from './shopDays'
import { on, runOf, shopOf } from './shopDays.fixtures'

const lanes = (asked: ShopDays) => daysNow(asked, NOTHING_KEPT).lanes
const one = (asked: ShopDays, id: string) => {
  const found = lanes(asked).runs.find((r) => r.facts.orderId === id)
  if (!found) throw new Error(`no ${id}`)
  return found
}

// The Gregorian calendar, outside of this project; a shop's clock shows 24 hours on every day.
describe('days of the calendar', () => {
  const works = (now: string, shop: Partial<ShopDays['shop']> = {}) => {
    const { problem, momentAt } = daysOfShop(shopOf({ now: momentOf(now), runs: [runOf(1)], shop }))
    const found = problem.presses[0]?.works.map((s) => isoOf(momentAt(s.from)).slice(0, 10)) ?? []
    return [...new Set(found)]
  }
  it('over the end of a year, and past a leap day; Saturdays and Sundays are left out', () => {
    expect(works('2026-12-30T07:00').slice(0, 4)).toEqual([
      '2026-12-30',
      '2026-12-31',
      '2027-01-01',
      '2027-01-04',
    ])
    expect(works('2028-02-28T07:00').slice(0, 3)).toEqual(['2028-02-28', '2028-02-29', '2028-03-01'])
    // 2100 is no leap year.
    expect(works('2100-02-26T07:00').slice(0, 2)).toEqual(['2100-02-26', '2100-03-01'])
  })
  it('where clocks change every day has its own eight and a half hours', () => {
    const { problem } = daysOfShop(shopOf({ now: momentOf('2026-03-27T00:00'), runs: [runOf(1)] }))
    const minutes = new Map<number, number>()
    for (const s of problem.presses[0]?.works ?? []) {
      const day = Math.floor(s.from / 1440)
      minutes.set(day, (minutes.get(day) ?? 0) + s.to - s.from)
    }
    expect(new Set(minutes.values())).toEqual(new Set([510]))
  })
  it('days off are left out, and short ones end early', () => {
    const hours = { ...USUAL_HOURS, off: [{ on: '2026-12-02' }, { on: '2026-12-03', to: 10 * 3600 }] }
    expect(works('2026-12-01T07:00', { hours }).slice(0, 3)).toEqual([
      '2026-12-01',
      '2026-12-03',
      '2026-12-04',
    ])
    const late = one(shopOf({ now: momentOf('2026-12-03T09:00'), runs: [runOf(1)], shop: { hours } }), 'O-1')
    // An hour is left on that day: of set-up and 69 minutes the rest is printed on Friday.
    expect(isoOf(late.end).slice(0, 10)).toBe('2026-12-04')
  })
  it('what goes out days later is ready before', () => {
    const { shop } = shopOf({})
    expect(readyBy(runOf(1), shop)).toBe('2026-12-04')
    expect(readyBy(runOf(1), { ...shop, leadDays: 2 })).toBe('2026-12-02')
    expect(readyBy(runOf(1, { leadDays: 0, due: '2027-01-01' }), { ...shop, leadDays: 2 })).toBe('2027-01-01')
    expect(readyBy(runOf(1, { due: 'soon' }), shop)).toBe('soon')
  })
})

describe('what holds a run, and what is said of it', () => {
  it('screens that hang need no more than a check; none that hang take the whole set-up', () => {
    const key = 'O-1.P1'
    const hang = shopOf({ runs: [runOf(1)], screens: { [key]: [{ mesh: 4300, left: 0, hangsAt: 'a' }] } })
    const there = one(hang, 'O-1')
    expect(there.pressId).toBe('a')
    expect((there.start - there.setUp) / 60).toBe(5)
    const none = one(shopOf({ runs: [runOf(1)] }), 'O-1')
    expect((none.start - none.setUp) / 60).toBeCloseTo(30, -1)
    expect(none.waits).toBe('nothing')
  })
  it('screens that are not made go through the room; more than there are frames has no place, and says so', () => {
    const bare = Array.from({ length: 2 }, () => ({ mesh: 4300, left: undefined }))
    const made = one(shopOf({ runs: [runOf(1)], screens: { 'O-1.P1': bare } }), 'O-1')
    expect(made.waits).toBe('screens')
    expect(made.setUp - momentOf('2026-12-01T08:00')).toBeGreaterThan(2 * 3600)
    const many = Array.from({ length: 9 }, () => ({ mesh: 4300, left: undefined }))
    const { out, runs } = lanes(
      shopOf({ runs: [runOf(1), runOf(2)], screens: { 'O-1.P1': many, 'O-2.P1': [] } }),
    )
    expect(runs.map((r) => r.facts.orderId)).toEqual(['O-2'])
    expect(out.map((o) => message(o.why, 'metric'))).toEqual([
      'It wants 9 screens of 43 T/cm, and no more than 4 frames of that mesh can ever be free: other frames, or another mesh at its screens.',
    ])
  })
  it('garments that are not counted in are there after the next break or night', () => {
    const held = one(shopOf({ runs: [runOf(1)], garmentsIn: [], now: momentOf('2026-12-01T14:00') }), 'O-1')
    expect(isoOf(held.start)).toBe('2026-12-02T08:00')
    expect(held.waits).toBe('garments')
    expect(message(held.why[0] as never, 'metric')).toContain('Wed 2 Dec, 08:00')
  })
  it('screens that are on their way, and such as are still to make, are told apart', () => {
    const first = (left: number | undefined) => {
      const [reason] = one(
        shopOf({ runs: [runOf(1)], screens: { 'O-1.P1': [{ mesh: 4300, left }] } }),
        'O-1',
      ).why
      return reason ? message(reason, 'metric') : ''
    }
    expect(first(3600)).toBe('Its screens are on their way, and ready at Tue 1 Dec, 09:00.')
    expect(first(undefined)).toMatch(
      /^Its screens are ready at Tue 1 Dec, \d\d:\d\d: 1 to make, on 1, begun at Tue 1 Dec, 08:00, when the room and frames are free\.$/,
    )
  })
  it('garments are there when the shop opens on the day that they are expected; counted in they are there', () => {
    const later = runOf(1, { garmentsOn: '2026-12-03' })
    const held = one(shopOf({ runs: [later], garmentsIn: [] }), 'O-1')
    expect(isoOf(held.start)).toBe('2026-12-03T08:00')
    expect(message(held.why[0] as never, 'metric')).toBe(
      'Garments are expected on 3 Dec 2026, and not counted in: taken as there at Thu 3 Dec, 08:00.',
    )
    expect(isoOf(one(shopOf({ runs: [later] }), 'O-1').setUp)).toBe('2026-12-01T08:00')
    // On a Saturday nobody opens; what should have come yesterday comes after the next break.
    for (const [day, at] of [
      ['2026-12-05', '2026-12-07T08:00'],
      ['2026-11-30', '2026-12-01T12:30'],
      ['soon', '2026-12-01T12:30'],
    ] as const) {
      const asked = shopOf({ runs: [runOf(1, { garmentsOn: day })], garmentsIn: [] })
      expect(isoOf(one(asked, 'O-1').start)).toBe(at)
    }
  })
  it('inks that are still to be mixed hold the set-up back, break and all; what is printing has them', () => {
    const inkShort = { [runOf(1).runId]: ['Orange', 'Blue', 'White'] }
    const held = one(shopOf({ now: momentOf('2026-12-01T11:30'), runs: [runOf(1)], inkShort }), 'O-1')
    // An hour of mixing: half an hour before noon, half an hour after the break.
    expect(isoOf(held.setUp)).toBe('2026-12-01T13:00')
    expect(message(held.why[0] as never, 'metric')).toBe(
      '3 of its inks are still to be mixed, 20 min each, one after the other behind those of jobs before: ready at Tue 1 Dec, 13:00.',
    )
    const begun = [{ runId: runOf(1).runId, pressId: 'a', since: momentOf('2026-12-01T08:00'), left: 1 }]
    expect(one(shopOf({ runs: [runOf(1)], inkShort, begun }), 'O-1').isBegun).toBe(true)
  })
  it('one pair of hands mixes for all runs, and what two want once for both', () => {
    const runs = [runOf(1), runOf(2, { on: [on('b')] })]
    const begins = (first: string, second: string) =>
      lanes(shopOf({ runs, inkShort: { [runOf(1).runId]: [first], [runOf(2).runId]: [second] } })).runs.map(
        (r) => isoOf(r.setUp).slice(11),
      )
    expect(begins('Orange', 'Blue')).toEqual(['08:20', '08:40'])
    expect(begins('Orange', 'Orange')).toEqual(['08:20', '08:20'])
  })
  it('what dries in is printed in batches that fit between two breaks, not in one that waits for the longest span', () => {
    const found = one(shopOf({ runs: [runOf(1, { pot: 6 * 3600, on: [on('a', 20, 600)] })] }), 'O-1')
    expect(isoOf(found.start)).toBe('2026-12-01T08:20')
    // Three of 200 minutes: until 11:40, from 12:30, and the next morning.
    expect(isoOf(found.end)).toBe('2026-12-02T11:20')
    expect(found.why.find((r) => r.rule === 'DAY_BATCHES')?.inputs.count).toMatchObject({ value: 3 })
  })
  it('what dries in the air is in time where it is printed so many days before, and the next print waits for it', () => {
    const dries = runOf(1, { airDays: 2, due: '2026-12-03' })
    const next = runOf(1, { runId: 'R-1-P2-dark', print: 'P2', after: dries.runId, due: '2026-12-03' })
    const asked = shopOf({ runs: [dries, next] })
    const [first, second] = [dries, next].map((r) => lanes(asked).runs.find((x) => x.facts.runId === r.runId))
    expect(isoOf(first?.done ?? 0).slice(0, 10)).toBe('2026-12-03')
    expect(first?.late).toBe(0)
    expect(first?.why.map((r) => message(r, 'metric')).join(' ')).toContain('Its ink dries 48 h in the air')
    expect(second?.why.every((r) => r.rule !== 'DAY_DRIES')).toBe(true)
    expect(second?.start).toBeGreaterThanOrEqual((first?.end ?? 0) + 2 * 86_400)
  })
  it('what was counted in short is not printed with the others, and that is said; where nothing came it waits', () => {
    const run = (short?: number) => runOf(1, { pieces: 48, short, on: [on('a', 30, 96)] })
    const [all, most, none] = [undefined, 12, 48].map((short) => one(shopOf({ runs: [run(short)] }), 'O-1'))
    expect((all?.end ?? 0) - (all?.start ?? 0)).toBe(96 * 60)
    expect((most?.end ?? 0) - (most?.start ?? 0)).toBe(72 * 60)
    expect(most?.short).toBe(12)
    expect(most?.why.map((r) => message(r, 'metric')).join(' ')).toContain(
      '12 of 48 pieces were counted in short',
    )
    expect(none?.why[0]?.rule).toBe('WAITS_GARMENTS')
    // What nobody has counted in is expected whole.
    const later = one(shopOf({ runs: [run(12)], garmentsIn: [] }), 'O-1')
    expect([later.short, later.end - later.start]).toEqual([0, 96 * 60])
  })
  it('a house without frames makes no screens', () => {
    const asked = shopOf({
      ...{ runs: [runOf(1)], screens: { 'O-1.P1': [{ mesh: 4300, left: undefined }] } },
      shop: { frames: [] },
    })
    expect(lanes(asked).out.map((o) => message(o.why, 'metric'))[0]).toContain(
      'It wants 1 screen of 43 T/cm, and no more than 0 frames',
    )
  })
  it('the second print on the same garments waits for the first, and the order of rows does not matter', () => {
    const [front, label] = [
      runOf(1, { print: 'P1', runId: 'R-1-P1-dark', after: 'R-1-P2-dark' }),
      runOf(1, { print: 'P2', runId: 'R-1-P2-dark' }),
    ]
    for (const runs of [
      [front, label],
      [label, front],
    ]) {
      const found = lanes(shopOf({ runs })).runs
      const of = (id: string) => found.find((r) => r.facts.runId === id)
      expect(of('R-1-P1-dark')?.start).toBeGreaterThanOrEqual((of('R-1-P2-dark')?.end ?? 0) + 20 * 60)
    }
  })
  it('what is being printed stays on its press, with what is left of it; others wait', () => {
    const now = momentOf('2026-12-01T10:00')
    const asked = shopOf({
      now,
      runs: [runOf(1, { on: [on('a', 30, 100)] }), runOf(2, { on: [on('a')] })],
      begun: [{ runId: 'R-1-P1-dark', pressId: 'a', since: momentOf('2026-12-01T08:30'), left: 0.5 }],
    })
    const [first, second] = lanes(asked).runs
    expect(first).toMatchObject({ isBegun: true, setUp: momentOf('2026-12-01T08:30'), end: now + 50 * 60 })
    expect(second?.setUp).toBe(first?.end)
    expect(message(second?.why[0] as never, 'metric')).toBe('Press A prints Job 1 until Tue 1 Dec, 10:50.')
  })
  it('a press that is not the one of its order is said', () => {
    const both = { due: '2026-12-01', on: [on('a', 30, 150), on('b', 30, 150)] }
    const found = lanes(shopOf({ runs: [1, 2, 3].map((n) => runOf(n, both)) })).runs
    expect(new Set(found.map((r) => r.pressId))).toEqual(new Set(['a', 'b']))
    for (const r of found) expect(r.why.some((w) => w.rule === 'DAY_OTHER_PRESS')).toBe(r.pressId === 'b')
  })
  it('a chain of waits is told to its end', () => {
    const row = [1, 2, 3].map((n) => runOf(n, { on: [on('a', 30, 100)], due: `2026-12-0${n}` }))
    const bare = { 'O-1.P1': [{ mesh: 4300, left: undefined }] }
    const usual = shopOf({ runs: row })
    const [, , third] = lanes({
      ...usual,
      screens: { ...usual.screens, ...bare },
      pins: [{ runId: 'R-2-P1-dark', pressId: 'a', at: momentOf('2026-12-01T14:00') }],
    }).runs
    const said = third?.why.map((r) => message(r, 'metric')) ?? []
    expect(said.filter((s) => /begins at/.test(s)).length).toBeGreaterThan(0)
    expect(said.findLast((s) => /begins at/.test(s))).toMatch(/it waits for/)
  })
  it('late is said in hours, from two days on in days', () => {
    const late = one(shopOf({ runs: [runOf(1, { due: '2026-11-27' })] }), 'O-1')
    expect(late.late).toBeGreaterThan(3 * 86_400)
    const said = (due: string) =>
      one(shopOf({ runs: [runOf(1, { due })] }), 'O-1').why.map((r) => message(r, 'metric'))
    expect(said('2026-11-27')).toContain(
      'Ready at Tue 1 Dec, 09:31, 3 days late: it must be so by the end of 27 Nov 2026.',
    )
    expect(said('2026-11-30')).toContain(
      'Ready at Tue 1 Dec, 09:31, 9.5 h late: it must be so by the end of 30 Nov 2026.',
    )
  })
})

// More never makes less: facts of the trade, from memory.
describe('what helps never harms by much, what is more never takes less', () => {
  const week = Array.from({ length: 12 }, (_, i) =>
    runOf(i + 1, {
      due: `2026-12-0${(i % 4) + 1}`,
      on: [on('a', 30, 60 + 20 * i), on('b', 30, 60 + 20 * i)],
    }),
  )
  const cost = (asked: ShopDays) => firstPlan(daysOfShop(asked).problem).plan.cost
  it('one press less, twice the pieces, a day off: never cheaper', () => {
    const usual = cost(shopOf({ runs: week }))
    const twice = week.map((r) => ({ ...r, on: r.on.map((o) => ({ ...o, print: 2 * o.print })) }))
    expect(cost(shopOf({ runs: twice }))).toBeGreaterThan(usual)
    const chosen = week.map((r) => ({ ...r, on: r.on.slice(0, 1) }))
    expect(cost(shopOf({ runs: chosen }))).toBeGreaterThanOrEqual(usual)
    const off = { hours: { ...USUAL_HOURS, off: [{ on: '2026-12-02' }] } }
    expect(cost(shopOf({ runs: week, shop: off }))).toBeGreaterThanOrEqual(usual)
  })
  it('10,000 pieces, one piece, no hours at all, no day: nothing falls over, and what has no place says why', () => {
    const odd = [
      runOf(1, { pieces: 10_000, on: [on('a', 30, 10_000)] }),
      runOf(2, { pieces: 1, on: [on('a', 30, 1)] }),
      runOf(3, { due: 'never' }),
      runOf(4, { on: [] }),
      runOf(5, { on: [on('gone')] }),
      runOf(6, { after: 'R-6-P1-dark' }),
    ]
    const found = lanes(shopOf({ runs: odd }))
    expect(found.runs.length + found.out.length).toBe(6)
    expect(found.runs.map((r) => r.facts.orderId)).toEqual(expect.arrayContaining(['O-1', 'O-2', 'O-3']))
    for (const r of found.runs) expect(r.end).toBeGreaterThan(r.start)
    const closed = lanes(shopOf({ runs: odd, shop: { hours: { ...USUAL_HOURS, days: [] } } }))
    expect(closed.runs).toEqual([])
    expect(closed.out).toHaveLength(6)
    expect(lanes(shopOf({ runs: odd, shop: { presses: [] } })).out).toHaveLength(6)
  })
})

it('a plan is the same for the same facts', () => {
  const asked = shopOf({ runs: [runOf(1), runOf(2), runOf(3, { due: '2026-12-02' })] })
  expect(lanes(asked)).toEqual(lanes(structuredClone(asked)))
  const { problem } = daysOfShop(asked)
  expect(decode(problem, firstPlan(problem).choice)).toEqual(firstPlan(problem).plan)
})
