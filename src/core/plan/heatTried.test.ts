import { describe, expect, it } from 'vitest'
import { type Inputs, numberOf, type Reason } from '../advice'
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
