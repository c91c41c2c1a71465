import { describe, expect, it } from 'vitest'
import { nextLook } from './ask'
import { bookOf } from './book'
import { type Call, callOf, multiplier, oddsOfRun, ranked, shares } from './rank'
import { linesOf, repair } from './repair'
import type { CauseId } from './tables/causes'
import { WORKED } from './worked.fixtures'

const book = bookOf()
const NOTHING = { z: {}, x: {}, flags: {}, has: {} }
const of = (m: Float64Array, cause: CauseId) => m[book.causes.indexOf(cause)] ?? Number.NaN

describe.each(WORKED)('$name (the model’s own worked figures: inside)', (w) => {
  it('odds of the run', () => {
    for (const [cause, odds] of Object.entries(w.odds))
      expect(oddsOfRun(cause as CauseId, w.facts), cause).toBeCloseTo(odds, 3)
  })
  it('shares, the next look, what repairing costs and in which order', () => {
    let call: Call = callOf(w.symptom)
    for (const step of w.steps) {
      if (step.told) call = { ...call, answers: [...call.answers, step.told] }
      const m = shares(book, w.facts, call)
      expect(m.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
      for (const [cause, share] of Object.entries(step.shares))
        expect(Math.abs(of(m, cause as CauseId) - share), cause).toBeLessThan(1e-3)
      const { seconds, steps } = repair(book, m)
      expect(Math.abs(seconds - step.seconds)).toBeLessThan(3)
      step.remedies.forEach(([remedy, helps], i) => {
        expect(steps[i]?.remedy).toBe(remedy)
        expect(Math.abs((steps[i]?.helps ?? 0) - helps)).toBeLessThan(2e-3)
      })
      const asked = nextLook(book, w.facts, call, m)
      expect(asked?.ask ?? `act: ${steps[0]?.remedy}`).toBe(step.next)
      expect(asked?.between !== undefined).toBe(step.isPair ?? false)
      if (step.saves !== undefined) expect(Math.abs((asked?.saves ?? 0) - step.saves)).toBeLessThan(1)
    }
    const end = linesOf(ranked(book, shares(book, w.facts, call)))
    w.lines.forEach((line, i) => {
      expect(end[i]).toMatchObject({ remedy: line.remedy, causes: line.causes })
      expect(Math.abs((end[i]?.share ?? 0) - line.share)).toBeLessThan(1e-3)
    })
  })
})

it('odds from a distance are the normal’s, held within what a reading and a foretold value may say (inside figures)', () => {
  const at = (z: number, predicted: boolean) =>
    multiplier({ z: 'board' }, { ...NOTHING, z: { board: z }, predicted: predicted ? ['board'] : [] })
  expect(at(1.2, false)).toBe(6)
  expect(at(-0.8, false)).toBeCloseTo(0.269, 3)
  expect(at(0.2, false)).toBeCloseTo(1.376, 2)
  expect(at(-1, false)).toBe(0.25)
  expect(at(-1, true)).toBe(0.35)
})

// Common practice, no source: let it cool; not tacky any more was too hot, still tacky is under-gelled.
it('a print that is still tacky when it has cooled is under-gelled, one that lets go was too hot', () => {
  const after = (answer: string) =>
    shares(book, NOTHING, { ...callOf('sticks'), answers: [{ ask: 'cool', answer }] })
  const [dry, tacky] = [after('dry'), after('still tacky')]
  expect(of(dry, 'hotFilm') + of(dry, 'hotBoards')).toBeGreaterThan(5 * of(dry, 'underGel'))
  expect(of(tacky, 'underGel')).toBeGreaterThan(3 * (of(tacky, 'hotFilm') + of(tacky, 'hotBoards')))
})

it('what the run lacks cannot be the cause; silence and a look that cannot be taken say nothing', () => {
  const dry = shares(book, { ...NOTHING, has: { flash: false, wet: false } }, callOf('sticks'))
  for (const cause of ['underGel', 'hotFilm', 'hotBoards', 'deadElement'] as const)
    expect(of(dry, cause)).toBe(0)
  const plain = shares(book, NOTHING, callOf('sticks'))
  const cannot = shares(book, NOTHING, { ...callOf('sticks'), cannot: ['cool', 'panel'] })
  expect([...cannot]).toEqual([...plain])
})

it('a look that could not be taken, and one that was answered, are not asked again; it ends after six', () => {
  let call = callOf('bleed')
  const seen = new Set<string>()
  for (let i = 0; i < 20; i++) {
    const asked = nextLook(book, NOTHING, call, shares(book, NOTHING, call))
    if (!asked) break
    expect(seen.has(asked.ask)).toBe(false)
    seen.add(asked.ask)
    const answer = book.looks.get(asked.ask)?.answers[0] ?? ''
    call =
      i % 2 === 0
        ? { ...call, answers: [...call.answers, { ask: asked.ask, answer }] }
        : { ...call, cannot: [...call.cannot, asked.ask] }
  }
  expect(call.answers.length).toBeGreaterThan(0)
  expect(call.answers.length).toBeLessThanOrEqual(6)
})

it('a remedy that did not help makes its causes less likely', () => {
  const before = shares(book, NOTHING, callOf('patchy'))
  const after = shares(book, NOTHING, { ...callOf('patchy'), tried: ['morePressure'] })
  expect(of(after, 'pressLow')).toBeLessThan(0.2 * of(before, 'pressLow'))
  expect(of(after, 'inkLow')).toBeGreaterThan(of(before, 'inkLow'))
})

it('an old check says less than a new one, and a very old one nothing', () => {
  const hot = (age: number) =>
    of(shares(book, { ...NOTHING, check: { age, printC: 71 } }, callOf('sticks')), 'hotFilm')
  const none = of(shares(book, NOTHING, callOf('sticks')), 'hotFilm')
  expect(hot(2)).toBeGreaterThan(hot(20))
  expect(hot(20)).toBeGreaterThan(none)
  expect(hot(90)).toBe(none)
})
