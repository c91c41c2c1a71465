import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { type Person, USUAL_HOURS } from '../equipment'
import { isoOf, momentOf } from '../schedule'
import { crewsOf } from './crews'
import { daysNow } from './decide'
import { decode } from './decode'
import type { ShopDays } from './facts'
import { firstPlan } from './firstPlan'
import { NOTHING_KEPT } from './kept'
import { daysOfShop, readyBy } from './shopDays'
import { on, runOf, shopOf } from './shopDays.fixtures'

const person = (id: string, presses: readonly string[] = [], away: Person['away'] = []): Person => ({
  ...{ id, name: id, presses, away },
})
const lanesIn = (asked: ShopDays) => daysNow(asked, NOTHING_KEPT).lanes
const begins = (asked: ShopDays) =>
  Object.fromEntries(lanesIn(asked).runs.map((r) => [r.facts.orderId, isoOf(r.setUp)]))

describe('people who can run some presses only', () => {
  const ids = ['a', 'b', 'c', 'd']
  /** Whether each running press can have somebody of its own: by trying all ways. */
  const canAll = (running: readonly string[], people: readonly Person[]): boolean => {
    const [first, ...rest] = running
    if (first === undefined) return true
    return people.some(
      (p, i) =>
        (p.presses.length === 0 || p.presses.includes(first)) &&
        canAll(
          rest,
          people.filter((_, k) => k !== i),
        ),
    )
  }
  it('may print together exactly when everybody can be given a press (all ways tried)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.subarray(ids), { minLength: 1, maxLength: 5 }),
        fc.subarray(ids, { minLength: 1 }),
        (skills, running) => {
          const people = skills.map((s, i) => person(`P${i}`, s))
          const { people: all, skilled } = crewsOf(people, ids, 0, 1440)
          const fits =
            running.length <= all &&
            skilled.every(
              (s) => running.filter((id) => s.presses.includes(ids.indexOf(id))).length <= s.people,
            )
          expect(fits).toBe(canAll(running, people))
        },
      ),
      { numRuns: 1000 },
    )
  })
  it('somebody away is counted out on these days, and on no others', () => {
    const first = momentOf('2026-12-01') / 86_400
    const away = [{ first: '2026-12-02', last: '2026-12-03' }]
    const { skilled } = crewsOf(
      [person('Ada', ['a'], away), person('Ben', ['b'])],
      ['a', 'b'],
      first,
      9 * 1440,
    )
    expect(skilled).toEqual([{ presses: [0], people: 1, away: [{ from: 1440, to: 4320, people: 1 }] }])
  })
  it('a press waits for the one who can run it, and says so', () => {
    const asked = (away: Person['away']) =>
      shopOf({
        runs: [runOf(1, { on: [on('a')] }), runOf(2, { on: [on('b')] })],
        shop: { people: [person('Ada', ['a'], away), person('Ben', ['b'])] },
      })
    expect(begins(asked([]))).toEqual({ 'O-1': '2026-12-01T08:00', 'O-2': '2026-12-01T08:00' })
    const ill = asked([{ first: '2026-12-01', last: '2026-12-02' }])
    expect(begins(ill)).toEqual({ 'O-1': '2026-12-03T08:00', 'O-2': '2026-12-01T08:00' })
    const waits = lanesIn(ill).runs.find((r) => r.facts.orderId === 'O-1')
    expect(waits?.why[0]?.rule).toBe('WAITS_PERSON')
  })
  it('one for two presses prints on one after the other; whom nobody names nobody waits for', () => {
    const runs = [runOf(1, { on: [on('a')] }), runOf(2, { on: [on('b')] })]
    const both = begins(shopOf({ runs, shop: { people: [person('Ada', ['a', 'b']), person('Ben', ['c'])] } }))
    expect(new Set(Object.values(both)).size).toBe(2)
    expect(new Set(Object.values(begins(shopOf({ runs })))).size).toBe(1)
  })
  it('a run wants the people of the press that it is printed on, and not of the others that could', () => {
    const two = { ...on('a'), people: 2 }
    const asked = (away: Person['away']) =>
      shopOf({
        runs: [runOf(1, { on: [two] }), runOf(2, { on: [on('b'), two], isChosen: true })],
        shop: { people: [person('Ada', [], away), person('Ben')] },
      })
    const ill = asked([{ first: '2026-12-01', last: '2026-12-01' }])
    expect(begins(ill)).toEqual({ 'O-1': '2026-12-02T08:00', 'O-2': '2026-12-01T08:00' })
    const alone = lanesIn(shopOf({ runs: [runOf(1, { on: [two] })], shop: { people: [person('Ben')] } }))
    expect(alone.out.map((o) => message(o.why, 'metric'))).toEqual([
      'It wants more people than there are: 2 at the least, and 1 in the shop. Its crew is chosen at Pace.',
    ])
  })
  it('a press that nobody can run prints nothing, and no run is lost without a word', () => {
    const { runs, out } = lanesIn(
      shopOf({ runs: [runOf(1, { on: [on('a')] })], shop: { people: [person('Ben', ['b'])] } }),
    )
    expect(runs).toEqual([])
    expect(out.map((o) => o.why.rule)).toEqual(['DAY_REFUSED_PRESS'])
  })
  it('more people make nothing later, on one press', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 6 }), (people, count) => {
        const runs = Array.from({ length: count }, (_, i) => runOf(i + 1, { on: [on('a', 10, 30 + 20 * i)] }))
        const ends = (n: number) => {
          const { problem } = daysOfShop(
            shopOf({ runs, shop: { people: Array.from({ length: n }, (_, i) => person(`P${i}`)) } }),
          )
          return decode(problem, firstPlan(problem).choice).booked.map((b) => b.done)
        }
        const [few, many] = [ends(people), ends(people + 1)]
        expect(Math.max(...many)).toBeLessThanOrEqual(Math.max(...few))
      }),
    )
  })
})

describe('hours of a press, and days on which goods leave', () => {
  it('a press with a late shift prints on where the others have closed', () => {
    const hours = { ...USUAL_HOURS, presses: [{ pressId: 'b', from: 14 * 3600, to: 22 * 3600 }] }
    const late = shopOf({
      now: momentOf('2026-12-01T13:00'),
      runs: [runOf(1, { on: [on('a', 30, 360)] }), runOf(2, { on: [on('b', 30, 360)] })],
      shop: { hours },
    })
    const ends = Object.fromEntries(lanesIn(late).runs.map((r) => [r.facts.orderId, isoOf(r.end)]))
    expect(ends['O-1']?.slice(0, 10)).toBe('2026-12-02')
    expect(ends['O-2']?.slice(0, 10)).toBe('2026-12-01')
  })
  // 4 December 2026 is a Friday (Gregorian calendar).
  it.each([
    [undefined, '2026-12-04'],
    [[5], '2026-12-04'],
    [[2], '2026-12-01'],
    [[2, 4], '2026-12-03'],
    [[6, 7], '2026-11-29'],
  ])('due on a Friday, goods leave on %j: printed by %s', (goesOut, by) => {
    expect(readyBy(runOf(1), shopOf({ shop: { goesOut } }).shop)).toBe(by)
    const withLead = shopOf({ shop: { goesOut, leadDays: 1 } }).shop
    expect(momentOf(readyBy(runOf(1), withLead))).toBe(momentOf(by) - 86_400)
  })
})
