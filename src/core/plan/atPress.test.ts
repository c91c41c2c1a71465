import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { advicesIn, numberOf } from '../advice'
import { PROCEDURES, stepName } from '../craft'
import type { PressEvent, Said } from '../record'
import { SAFETY } from '../safety'
import { accountOf, jobKindOf, meanAgainst, timeSpent } from './account'
import { alarmFactsOf, craftListsOf, recordNames, withPressValues } from './atPress'
import { apart, nearest } from './nearest'
import { ink, jobFor, PRESSES, planFor } from './plan.fixtures'

const p = planFor()
const { order: ORDER } = jobFor()
const lists = craftListsOf(p)

describe('the lists of a job', () => {
  it('are made for each screen of the press, with the plan’s numbers', () => {
    const heads = lists.filter((l) => l.id === 'head')
    const own = p.hits.filter((h) => h.sameScreenAs === '')
    expect(heads.map((l) => l.subject.hit)).toEqual(own.map((h) => h.hit.id))
    const offContact = heads[0]?.steps.find((s) => s.key === 'head.offContact')
    expect(offContact?.figure).toBe(p.offContact)
    const dwell = lists.find((l) => l.id === 'flash')?.steps.find((s) => s.key === 'flash.dwell')
    expect(dwell?.figure).toBe(p.flashes.find((f) => f.unit)?.dwell)
  })
  it('name no caution that there is not, and no step twice', () => {
    for (const list of lists) if (list.caution) expect(Object.keys(SAFETY.rules)).toContain(list.caution)
    for (const list of lists)
      expect(new Set(list.steps.map((s) => s.key)).size, list.id).toBe(list.steps.length)
  })
  it('know the ink: what dries in the screen is misted and washed with water, plastisol is not', () => {
    const stepsOf = (system: 'plastisol' | 'waterBased') => {
      const plan = planFor({ inks: [ink('red', '#e0392f', { system })] })
      return craftListsOf(plan).flatMap((l) => l.steps.map((s) => s.key))
    }
    const [oil, water] = [stepsOf('plastisol'), stepsOf('waterBased')]
    expect(water).toEqual(expect.arrayContaining(['stand.minutes', 'cleanUp.water', 'finishScreen.harden']))
    expect(oil).not.toContain('cleanUp.water')
    expect(oil).toContain('cleanUp.solvent')
    expect(oil).not.toContain('stand.minutes')
  })
  it('know the press and the place: no knobs on a bench, no adhesive on the board under an all-over', () => {
    const keys = (asked: Parameters<typeof planFor>[0]) =>
      craftListsOf(planFor(asked)).flatMap((l) => l.steps.map((s) => s.key))
    expect(keys({ press: 'bench' })).not.toContain('head.zero')
    expect(keys({})).toContain('head.zero')
    const over = keys({ where: 'allOver', width: 0.7, height: 0.8 })
    expect(over).toContain('boards.inside')
    expect(over).not.toContain('boards.adhesive')
    expect(planFor({ where: 'allOver' }).rounds.tack).toBeUndefined()
    expect(keys({ where: 'offPallet' })).not.toContain('load.straight')
  })
  it('take the shop’s own words, leave out what it leaves out, and add its own steps last', () => {
    const own = [
      { step: 'head.level', name: '', good: 'three points, with the gauge', off: false },
      { step: 'head.tape', name: '', good: '', off: true },
      { step: 'head.own1', name: 'Photograph the head', good: 'for the next time', off: false },
    ]
    const head = craftListsOf(p, own).find((l) => l.id === 'head')
    expect(head?.steps.find((s) => s.key === 'head.level')).toMatchObject({
      good: 'three points, with the gauge',
      own: true,
    })
    expect(head?.steps.some((s) => s.key === 'head.tape')).toBe(false)
    expect(head?.steps.at(-1)).toMatchObject({ key: 'head.own1', name: 'Photograph the head' })
    expect([stepName('head.level'), stepName('head.own1', own), stepName('nowhere.step')]).toEqual([
      'Level',
      'Photograph the head',
      'nowhere.step',
    ])
  })
  it('hold every step of the trade’s set-up of a head, in its order (handbook order: common practice)', () => {
    expect(Object.keys(PROCEDURES.head.steps).slice(2, 10)).toEqual([
      'zero',
      'clamp',
      'level',
      'offContact',
      'register',
      'lock',
      'check',
      'tape',
    ])
  })
})

describe('what is set at the press', () => {
  it('is in force in the plan as if the lead had chosen it; the plan itself stays', () => {
    const before = JSON.stringify(p)
    const set = withPressValues(p, { [p.offContact.key]: 0.0042, nowhere: 3 })
    expect(numberOf(set.offContact)).toBe(0.0042)
    expect(JSON.stringify(p)).toBe(before)
    const others = (plan: typeof p) => advicesIn(plan).filter((a) => a.key !== p.offContact.key)
    expect(others(set)).toEqual(others(p))
  })
  it('is named and written as the plan does', () => {
    const names = recordNames(p, 'metric')
    expect(names.setting(p.offContact.key)).toBe('Off-contact')
    expect(names.value(p.offContact.key, 0.003)).toBe('3 mm')
    expect([names.hit(''), names.hit('gone'), names.step('head.level')]).toEqual(['', 'gone', 'level'])
  })
})

describe('what comes round', () => {
  it('is 25 to 50 pieces between two looks, and five garments a spray on every board (common practice)', () => {
    for (const press of Object.keys(PRESSES) as (keyof typeof PRESSES)[]) {
      const plan = planFor({ press })
      const { check, tack } = plan.rounds
      expect(numberOf(check)).toBeGreaterThanOrEqual(25)
      expect(numberOf(check)).toBeLessThanOrEqual(50)
      const boards = press === 'manual' ? 6 : press === 'automatic' ? 12 : 1
      expect(tack && numberOf(tack)).toBe(5 * boards)
      expect(alarmFactsOf(plan, []).rounds.map((r) => r.id)).toEqual(['check', 'ink', 'tack'])
    }
  })
})

const START = Date.parse('2026-11-30T08:00:00.000Z')
const told = (list: readonly (readonly [number, Said])[]): readonly PressEvent[] =>
  list.map(([minute, said], seq) => ({
    ...{ id: `event-${`${seq}`.padStart(12, '0')}`, pad: 'A', seq, by: 'Mara' },
    at: new Date(START + minute * 60_000).toISOString(),
    ...said,
  }))
const line = p.run.lines[0]?.id ?? ''
const size = p.run.lines[0]?.sizes[0]?.size ?? ''
const count = (n: number): Said => ({ kind: 'count', line, size, n })

describe('the account of a run', () => {
  const lived = told([
    [0, { kind: 'start' }],
    [20, { kind: 'spoil', line, size, n: 2, cause: 'first' }],
    [30, count(18)],
    [40, { kind: 'spoil', line, size, n: 1, cause: 'lint' }],
    [50, count(40)],
    [51, { kind: 'stop' }],
  ])
  const account = accountOf({ order: ORDER, plan: p, number: 1 }, lived)
  it('adds up: good, spoiled, causes, and where in the run', () => {
    expect([account.good, account.spoiled]).toEqual([58, 3])
    expect(account.causes).toEqual({ first: 2, lint: 1 })
    expect(account.spoiledWhen.reduce((a, b) => a + b, 0)).toBe(account.spoiled)
    expect(account.people).toEqual(['Mara'])
    expect(account.ended).toBe(true)
  })
  it('pace is what went through over the time of printing, whatever is planned', () => {
    // 59 pieces in the 30 min after the first two: those took their share before.
    expect((account.pace?.was ?? 0) * 3600).toBeCloseTo(118, 5)
    expect(account.pace?.planned).toBe(p.time && numberOf(p.time.rate))
    expect(account.printing && account.pace && account.printing.was * account.pace.was).toBeCloseTo(61, 6)
  })
  it('time spent is that of its parts; the mean of twice and half is as planned', () => {
    const spent = timeSpent([account, account])
    expect(spent.reduce((s, x) => s + x.seconds, 0)).toBeCloseTo(
      2 * ((account.setup?.was ?? 0) + (account.printing?.was ?? 0) + account.paused),
      6,
    )
    const twice = { planned: 1, range: [1, 1], was: 2 } as const
    expect(meanAgainst([twice, { ...twice, was: 0.5 }, undefined])).toBeCloseTo(1, 12)
    expect(meanAgainst([undefined])).toBeUndefined()
  })
  it('of nothing said it tells nothing, and breaks nothing', () => {
    expect(accountOf({ order: ORDER, plan: p, number: 1 }, [])).toMatchObject({
      on: '',
      good: 0,
      pace: undefined,
    })
  })
})

describe('runs alike', () => {
  const kind = jobKindOf(ORDER, p)
  it('are as far apart as the worked example of the model says (an inside figure)', () => {
    const [job, past] = [
      { ...kind, screens: 4, pieces: 120 },
      { ...kind, screens: 5, pieces: 72 },
    ]
    expect(apart(job, past, 30)?.distance).toBeCloseTo(0.659, 3)
  })
  it('oil and water are never compared; the same job is no way apart, and never nearer than itself (property)', () => {
    expect(apart(kind, { ...kind, water: !kind.water }, 0)).toBeUndefined()
    expect(apart(kind, kind, 0)).toEqual({ distance: 0, because: [] })
    fc.assert(
      fc.property(
        fc.record({
          pressId: fc.constantFrom(kind.pressId, 'other'),
          pressKind: fc.constantFrom('manual' as const, 'automatic' as const),
          weave: fc.constantFrom(kind.weave, 'fleece'),
          dark: fc.boolean(),
          mesh: fc.double({ min: 1000, max: 15_000, noNaN: true }),
          screens: fc.integer({ min: 1, max: 12 }),
          pieces: fc.integer({ min: 1, max: 10_000 }),
        }),
        fc.nat(1000),
        (other, ago) => {
          const found = apart(kind, { ...kind, ...other }, ago)
          expect(found?.distance).toBeGreaterThanOrEqual(0)
          expect(found?.distance).toBeLessThanOrEqual(3 + 2 + 2 + 2 + 3 + 2 + 1.5 + 1 + 1)
        },
      ),
    )
  })
  it('the same design comes first, then the nearest; what is far is left out', () => {
    const run = (name: string, more: Partial<typeof kind>) => ({ name, kind: { ...kind, ...more } })
    const found = nearest(kind, [
      run('far', { design: 'x', pressId: 'y', pressKind: 'automatic', dark: !kind.dark }),
      run('near', { design: 'x', pieces: kind.pieces * 2 }),
      run('same', { pieces: kind.pieces * 8, weave: 'canvas', cloth: 'Rust' }),
      run('nearer', { design: 'x' }),
    ])
    expect(found.map((n) => n.run.name)).toEqual(['same', 'nearer', 'near'])
  })
})
