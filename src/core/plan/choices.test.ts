import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { advicesIn, type NumberSetting, type Overrides, type Setting } from '../advice'
import { checkDecisions, choiceProblem, knownChoices, lostChoices, noDecisions, ROOMS } from './index'
import { planFor } from './plan.fixtures'

const problems = (overrides: Record<string, unknown>) => {
  const checked = checkDecisions({ ...noDecisions('R-1001-P1-dark'), overrides })
  return checked.ok ? [] : Object.values(checked.errors)
}

describe('what a lead can choose', () => {
  it.each([
    ['a number in its setting', { 'mesh.base': 6100, offContact: 0.003, 'strokes.I1': 2 }],
    ['options by their names', { 'base.I1': 'none', white: 'highlight', 'flood.I1': 'even', crew: 'alone' }],
    ['what is of this shop, whatever it is called', { press: 'six', 'emulsion.base': 'e-2', dryer: 'one' }],
    ['keys of once', { 'dwell.1': 7 }],
  ])('%s', (_, overrides) => expect(problems(overrides)).toEqual([]))
  it.each([
    [{ nothing: 1 }, 'There is no setting nothing.'],
    [{ constructor: 1 }, 'There is no setting constructor.'],
    // Each screen has its own mesh; the job has one off-contact.
    [{ mesh: 6100 }, 'There is no setting mesh.'],
    [{ 'offContact.base': 0.003 }, 'There is no setting offContact.base.'],
    [{ offContact: 'low' }, 'A number in SI.'],
    [{ offContact: 3 }, 'Between 0 mm and 50 mm, please.'],
    [{ 'strokes.I1': 1.5 }, 'A whole number.'],
    [{ 'strokes.I1': 0 }, 'Between 1 and 20, please.'],
    [{ cureFilm: 160 }, 'Between 27 °C and 327 °C, please.'],
    [{ white: 'nonsense' }, 'There is no option nonsense.'],
    [{ white: 'toString' }, 'There is no option toString.'],
    [{ white: 2 }, 'One of the options, by its name.'],
    [{ press: '' }, 'One of the options, by its name.'],
  ])('%j is refused', (overrides, message) => {
    expect(problems(overrides)).toEqual([expect.stringContaining(message)])
    expect(knownChoices(overrides)).toEqual({})
  })
  it('that was stored is told in words, by its screen and in the reader’s units', () => {
    const names = (id: string) => (id === 'I1' ? 'Bottle red' : id)
    const stored = { offContact: 0.1, 'strokes.I1': 1.5, mesh: 4300, 'nothing.I1': 'x' }
    expect(lostChoices(stored, names, 'inch')).toEqual([
      'Off-contact: your own 3 15/16 in is left out. Between 0 in and 1 15/16 in, please.',
      'Strokes, Bottle red: your own 1.5 is left out. A whole number.',
      expect.stringContaining('There is no setting mesh.'),
      'nothing.I1: your own x is left out. There is no setting nothing.I1.',
    ])
    expect(lostChoices({ offContact: 0.002 })).toEqual([])
  })
  it('is told in the reader’s units', () => {
    expect(choiceProblem('offContact', 3, 'inch')).toBe('Between 0 in and 1 15/16 in, please.')
  })
})

const numbers = ROOMS.flatMap((r) => Object.entries<Setting>(r.settings)).flatMap(([name, s]) =>
  s.kind === 'choice' ? [] : [[name, s as NumberSetting] as const],
)

describe('whatever a lead chooses of it (property)', () => {
  const plain = planFor()
  it('what is advised can be chosen', () => {
    for (const a of advicesIn(plain)) expect(choiceProblem(a.key, a.advised), a.key).toBeUndefined()
  })
  const keys = advicesIn(plain).flatMap((a) => (a.kind === 'choice' ? [] : [a.key]))
  const withinOf = (key: string) => numbers.find(([name]) => name === key.split('.')[0])?.[1].within ?? [0, 0]
  const chosen = fc
    .array(fc.tuple(fc.constantFrom(...keys), fc.double({ min: 0, max: 1, noNaN: true })), { maxLength: 6 })
    .map(
      (list): Overrides =>
        Object.fromEntries(
          list.map(([key, at]) => {
            const [low, high] = withinOf(key)
            const x = low + at * (high - low)
            return [key, choiceProblem(key, x) === undefined ? x : Math.max(1, Math.round(x))]
          }),
        ),
    )
  it('a plan is made, and every number in it is one', () => {
    fc.assert(
      fc.property(chosen, (overrides) => {
        expect(problems(overrides)).toEqual([])
        for (const a of advicesIn(planFor({ overrides })))
          if (a.kind !== 'choice')
            for (const x of [a.advised, ...a.range]) expect(Number.isFinite(x), `${a.key} ${x}`).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
