import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Inputs, numberOf, type Reason } from '../advice'
import { dwellInGoes, dwellOn } from '../heat'
import { waiting } from '../heat/waiting.fixtures'
import { celsius, mm } from '../quantity'
import { heatOf, heatTried, plan, type Tried } from './index'
import { INKS, jobFor } from './plan.fixtures'

const job = jobFor({ inks: [INKS.white, INKS.red], press: 'manual', sizes: { M: 300 } })
const tried = (what: Tried, at = job) => {
  const { order, shop, decisions } = at
  const now = heatOf(plan(order, shop, decisions))
  if (!now) throw new Error('nothing is flashed')
  return { now, ...heatTried(order, shop, decisions, now, what) }
}
const rules = (list: readonly Reason[]) => list.map((r) => r.rule)
const told = (list: readonly Reason[], rule: string, name: string): number => {
  const input: Inputs[string] | undefined = list.find((r) => r.rule === rule)?.inputs[name]
  return typeof input === 'object' && 'value' in input ? input.value : Number.NaN
}

describe('what is tried', () => {
  it('a longer flash: a hotter film, warmer boards, and by how much', () => {
    const { now, heat, changes } = tried({ overrides: { 'dwell.base': 14 } })
    const [was, is] = [now, heat!].map((h) => h.laps.at(-1)!)
    expect(told(changes, 'TRY_FILM', 'was')).toBe(was!.flashes[0]!.peak)
    expect(told(changes, 'TRY_FILM', 'film')).toBe(is!.flashes[0]!.peak)
    expect(told(changes, 'TRY_FILM', 'film')).toBeGreaterThan(told(changes, 'TRY_FILM', 'was'))
    expect(told(changes, 'TRY_BOARDS', 'film')).toBeGreaterThan(told(changes, 'TRY_BOARDS', 'was'))
  })
  it('what it mends is told as no longer so', () => {
    const short = jobFor({
      inks: [INKS.white, INKS.red],
      press: 'manual',
      sizes: { M: 300 },
      overrides: { 'dwell.base': 4 },
    })
    const { now, ended } = tried({ overrides: { 'dwell.base': 8 } }, short)
    expect(rules(now.reasons)).toContain('RUN_UNDER_ALL')
    expect(rules(ended)).toContain('RUN_UNDER_ALL')
  })
  it('a panel farther off, a colder room, a slower pace, another board: each is seen in the boards', () => {
    const set = jobFor({
      inks: [INKS.white, INKS.red],
      press: 'manual',
      sizes: { M: 300 },
      overrides: { 'dwell.base': 8 },
    })
    const pace = numberOf(plan(job.order, job.shop, job.decisions).time!.rate)
    const boards = (what: Tried) => tried(what, set).heat!.laps.at(-1)!.board
    const now = tried({ overrides: {} }, set).now.laps.at(-1)!.board
    expect(boards({ overrides: { flashHeight: mm(120) } })).toBeLessThan(now - 1)
    expect(boards({ overrides: { air: celsius(8) } })).toBeLessThan(now - 5)
    expect(boards({ overrides: { rate: pace / 2 } })).toBeLessThan(now - 1)
    expect(Math.abs(boards({ overrides: {}, board: 'rubber-topped' }) - now)).toBeGreaterThan(1)
  })
  it('a dwell that is not set by hand follows what is tried, and that is told', () => {
    const { changes } = tried({ overrides: { flashHeight: mm(120) } })
    expect(told(changes, 'TRY_DWELL', 'dwell')).toBeGreaterThan(told(changes, 'TRY_DWELL', 'was'))
  })
  it('the same again changes nothing, and nothing is not the same as cannot', () => {
    expect(rules(tried({ overrides: {} }).changes)).toEqual(['TRY_SAME'])
    const bench = heatTried(
      job.order,
      { ...job.shop, flashes: [] },
      job.decisions,
      tried({ overrides: {} }).now,
      {
        overrides: {},
      },
    )
    expect(bench).toMatchObject({ heat: undefined, ended: [] })
    expect(rules(bench.changes)).toEqual(['TRY_NONE'])
  })
})

describe('a flash in several goes', () => {
  it('in one go it is one flash', () => {
    for (const kind of ['panel', 'quartz', 'air'] as const) {
      const one = dwellOn(waiting(kind), celsius(45))
      const same = dwellInGoes(waiting(kind), celsius(45), 1, 5)
      expect(same.needed).toBeCloseTo(one.needed!, 0)
      expect(same.limit).toBeCloseTo(one.limit!, 0)
    }
  })
  it('more goes are shorter each and longer together, the more so the longer the pause (energy balance: it cools between)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('panel' as const, 'quartz' as const, 'air' as const),
        fc.double({ min: 20, max: 70, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (kind, warm, pause) => {
          const one = dwellInGoes(waiting(kind), celsius(warm), 1, pause).needed!
          const two = dwellInGoes(waiting(kind), celsius(warm), 2, pause).needed!
          const slower = dwellInGoes(waiting(kind), celsius(warm), 2, pause + 10).needed!
          expect(two).toBeLessThan(one)
          expect(2 * two).toBeGreaterThan(one - 0.2)
          expect(slower).toBeGreaterThan(two - 0.1)
        },
      ),
      { numRuns: 15 },
    )
  })
})
