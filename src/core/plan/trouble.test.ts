import { describe, expect, it } from 'vitest'
import { message, numberOf } from '../advice'
import type { PressEvent, Said } from '../record'
import { fold } from '../record'
import { callOf, consult, knowing, likelyGroups, REMEDIES, type RemedyId } from '../trouble'
import { changeFor, heatOf, pressNow, showsOn, troubleFacts, troubleRun } from './index'
import { CLOTHS, INKS, planFor, rulesOf, sequenceOf } from './plan.fixtures'

const known = knowing()

describe('what a run says of its own troubles', () => {
  // Handbook of the trade: an aluminium board heated lap after lap makes films stick.
  it('boards that get hot by the end of a run make heated boards likelier than at its beginning', () => {
    const plan = planFor({ press: 'automatic', sizes: { M: 2000 }, overrides: { 'dwell.base': 7 } })
    const heat = heatOf(plan)
    const share = (pieces: number) =>
      consult(known, troubleFacts(plan, heat, { pieces }), callOf('sticks')).believed.find(
        (b) => b.cause === 'hotBoards',
      )?.share ?? 0
    expect(share(1500)).toBeGreaterThan(2 * share(14))
  })

  it('a plan without a flash has nothing that a flash does', () => {
    const plan = planFor({ cloth: CLOTHS.white, inks: [INKS.red, INKS.black] })
    const facts = troubleFacts(plan, heatOf(plan))
    expect(facts.has.flash).toBe(false)
    const told = consult(known, facts, callOf('sticks'))
    expect(told.believed.map((b) => b.cause)).not.toContain('hotFilm')
    expect(told.look?.ask).not.toBe('panel')
  })

  it('the words that go with a distance say the figures it is made of', () => {
    const plan = planFor()
    const { words, z } = troubleFacts(plan, heatOf(plan), { pieces: 30, sinceTack: 14, sinceInk: 50 })
    expect(Object.keys(words ?? {})).toEqual(expect.arrayContaining(Object.keys(z)))
    for (const reason of Object.values(words ?? {}))
      expect(message(reason, 'metric')).not.toMatch(/[{}]|NaN|undefined/)
    expect(words?.sinceTack && message(words.sinceTack, 'metric')).toContain('14')
  })

  it('expander that is flashed, black and white wet, flakes: told by what is printed', () => {
    const raised = planFor({ inks: [INKS.white, INKS.raised], method: {} })
    expect(troubleFacts(raised, undefined).has.puff).toBe(true)
    expect(troubleFacts(raised, undefined).flags.special).toBe(true)
    const inks = [{ ...INKS.copper, particle: 0.00006 }, INKS.white]
    expect(troubleFacts(planFor({ inks }), undefined).z.particle).toBeDefined()
    const wet = planFor({ cloth: CLOTHS.golden, inks: [INKS.black, INKS.white] })
    const groups = sequenceOf(wet).split('FLASH')
    expect(troubleFacts(wet, undefined).flags.blackWhiteWet).toBe(
      groups.some((g) => g.includes('black') && /white|base/.test(g)),
    )
    // A yellow is as light as white, and no white.
    const process = planFor({ cloth: CLOTHS.white, inks: [INKS.yellow, INKS.black] })
    expect(troubleFacts(process, undefined).flags.blackWhiteWet).toBe(false)
  })
  // Facts of the trade: nothing is printed on a single screen's film, and one colour cannot be out of register with itself.
  it('one screen has no next one: what needs two is not offered', () => {
    const one = troubleFacts(planFor({ cloth: CLOTHS.white, inks: [INKS.black] }), undefined)
    const offered = likelyGroups(knowing(), one).flatMap((g) => g.symptoms)
    for (const symptom of ['sticks', 'pickup', 'shift', 'turned', 'halo'] as const)
      expect(offered).not.toContain(symptom)
    expect(offered).toEqual(expect.arrayContaining(['offPlace', 'patchy', 'washes']))
  })
  it('before anything is printed there is no approved sample to lay it beside', () => {
    const plan = planFor({})
    expect(troubleFacts(plan, undefined, { pieces: 0 }).has.sample).toBe(false)
    expect(troubleFacts(plan, undefined, { pieces: 30 }).has.sample).toBe(true)
  })
  it('raised ink and flakes each show on their own screen', () => {
    const both = planFor({ cloth: CLOTHS.hood, inks: [INKS.raised, INKS.copper] })
    expect(showsOn(both, 'flat', undefined)).toBe('raised')
    expect(showsOn(both, 'noShimmer', undefined)).toBe('copper')
  })
})

describe('what a remedy changes, and breaks', () => {
  const plan = planFor({ press: 'automatic', sizes: { M: 2000 } })
  const run = troubleRun(plan)
  const screen = showsOn(plan, 'sticks', run.heat)
  const sides = run.sides[screen] ?? {}

  // Physics, by the heat model: a longer flash warms boards and the film that the next screen meets.
  it('a longer flash: boards and the next print get hotter, told in figures, with the garment from which it sticks', () => {
    expect(rulesOf(sides.flashLonger ?? [])).toEqual(
      expect.arrayContaining(['TROUBLE_FROM_TO', 'SIDE_BOARDS', 'SIDE_NEXT']),
    )
    const boards = sides.flashLonger?.find((r) => r.rule === 'SIDE_BOARDS')?.inputs
    const value = (x: unknown) => (x as { readonly value: number }).value
    expect(value(boards?.to)).toBeGreaterThan(value(boards?.from))
  })

  it('a shorter flash says whether the coldest boards still gel', () => {
    expect(rulesOf(sides.flashShorter ?? []).some((r) => r === 'SIDE_NEED' || r === 'SIDE_UNDER')).toBe(true)
  })

  it('a slower belt is set against what the press makes', () => {
    expect(rulesOf(sides.beltSlower ?? []).some((r) => r.startsWith('SIDE_BELT'))).toBe(true)
  })

  it('every remedy of every screen can be read; a change is of a setting that the plan has, and really another', () => {
    const keys = new Map<string, unknown>()
    JSON.stringify(plan, (_, part) => {
      if (part && typeof part === 'object' && 'key' in part && 'advised' in part) keys.set(part.key, part)
      return part
    })
    for (const { hit } of plan.hits)
      for (const remedy of Object.keys(REMEDIES) as RemedyId[]) {
        for (const reason of run.sides[hit.id]?.[remedy] ?? [])
          expect(message(reason, 'inch'), remedy).not.toMatch(/[{}]|NaN|undefined|Infinity/)
        const change = changeFor(plan, remedy, hit.id)
        if (!change) continue
        expect(keys.has(change.key), change.key).toBe(true)
        if (typeof change.value === 'number') expect(change.value).toBeGreaterThanOrEqual(0)
      }
  })

  it('one stroke cannot become none, light no lighter; then the plan’s own figure is told', () => {
    const single = plan.hits.find((h) => numberOf(h.stroke.strokes) === 1)
    if (!single) throw new Error('no single stroke')
    expect(changeFor(plan, 'fewerStrokes', single.hit.id)).toBeUndefined()
    expect(rulesOf(run.sides[single.hit.id]?.fewerStrokes ?? [])).toContain('TROUBLE_PLANNED')
  })
})

describe('where a run stands, out of the record', () => {
  let seq = 0
  const minute = (m: number, what: Said): PressEvent => ({
    ...what,
    id: `event-of-this-test-${++seq}`,
    ...{ pad: 'a', seq, at: new Date(Date.UTC(2026, 10, 30, 9, m)).toISOString() },
  })
  const count = (n: number): Said => ({ kind: 'count', line: 'G1', size: 'M', n })
  const plan = planFor()

  it('pieces, adhesive by board, ink, the age of a check', () => {
    const { said } = fold([
      minute(0, { kind: 'start' }),
      minute(5, count(20)),
      minute(6, { kind: 'heard', alarm: 'tack', pieces: 20 }),
      minute(7, { kind: 'ink', hit: 'red', mass: 0 }),
      minute(8, { kind: 'read', what: 'pallet', value: 273.15 + 61, hit: '' }),
      minute(9, count(12)),
      minute(20, { kind: 'spoil', line: 'G1', size: 'M', n: 1, cause: 'stuck' }),
    ])
    const now = pressNow(plan, said, Date.UTC(2026, 10, 30, 9, 21) / 1000)
    expect(now).toMatchObject({ pieces: 33, sinceTack: 2, sinceInk: 13, stood: 660 })
    expect(now.check).toEqual({ age: 13, boardC: expect.closeTo(61, 6) })
  })

  it('nothing said: nothing printed, nothing read', () => {
    expect(pressNow(plan, [], 0)).toEqual({ pieces: 0, sinceTack: 0, sinceInk: 0, stood: 0 })
  })
})
