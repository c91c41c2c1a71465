import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fold, type PressEvent, type Said } from '../record'
import { STARTING } from './book'
import { knowing, knownAt } from './known'
import { countKey, learned, type Outcome } from './learn'
import { openTry, outcomesOf, triedCall } from './outcomes'
import { withOwn } from './own'
import { callOf, shares } from './rank'
import { CAUSES, type CauseId } from './tables/causes'
import { REMEDIES, type RemedyId } from './tables/remedies'

const NOTHING = { z: {}, x: {}, flags: {}, has: {} }
const stuck = (more: Partial<Outcome> = {}): Outcome => ({
  symptom: 'sticks',
  also: [],
  notThere: [],
  answers: [{ ask: 'cool', answer: 'dry' }],
  remedy: 'coolLonger',
  believed: [
    { cause: 'hotFilm', share: 0.9 },
    { cause: 'underGel', share: 0.1 },
  ],
  came: 'worked',
  ...more,
})
const many = (n: number, o: Outcome) => Array.from({ length: n }, () => o)

describe('what outcomes teach', () => {
  it('nothing said leaves the tables as they come', () => {
    const now = learned([])
    for (const cause of Object.keys(CAUSES) as CauseId[])
      expect(now.base(cause), cause).toBeCloseTo(STARTING.base(cause), 9)
    expect(knownAt({}, [], 'twelve')).toEqual({ rows: {}, calls: {} })
  })

  // Equations of the model (section 7): Dirichlet over 40 pseudo-calls, Beta of 8.
  it('ten that worked move rate and remedy as far as the prior strength lets them', () => {
    const now = learned(many(10, stuck()))
    const total = (Object.keys(CAUSES) as CauseId[]).reduce((sum, c) => sum + STARTING.base(c), 0)
    const seen = Array.from({ length: 10 }, (_, i) => 0.995 ** i).reduce((a, b) => a + b)
    const start = STARTING.base('hotFilm')
    expect(now.base('hotFilm')).toBeCloseTo((((40 * start) / total + seen) * total) / (40 + seen), 4)
    expect(now.fixes('coolLonger', 'hotFilm')).toBeCloseTo((8 * 0.9 + seen) / (8 + seen), 6)
    // The cause was as good as certain, so its look is learnt too.
    expect(now.says('hotFilm', 'cool', 'dry')).toBeGreaterThan(STARTING.says('hotFilm', 'cool', 'dry') ?? 1)
    expect(now.counts[countKey.base('hotFilm')]).toBeCloseTo(10, 9)
  })

  it('what did not help makes the remedy weaker for what it was believed to be, and teaches no rate', () => {
    const now = learned(many(5, stuck({ came: 'same' })))
    expect(now.fixes('coolLonger', 'hotFilm')).toBeLessThan(0.9)
    expect(now.base('hotFilm')).toBeCloseTo(STARTING.base('hotFilm'), 9)
  })

  it('whatever is said, shares stay shares and rates stay above nothing', () => {
    const cause = fc.constantFrom(...(Object.keys(CAUSES) as CauseId[]))
    const outcome = fc.record({
      symptom: fc.constantFrom('sticks' as const, 'dull' as const, 'halo' as const),
      also: fc.constant([]),
      notThere: fc.constant([]),
      answers: fc.constant([]),
      remedy: fc.constantFrom(...(Object.keys(REMEDIES) as RemedyId[])),
      believed: fc.array(fc.record({ cause, share: fc.double({ min: 0, max: 1, noNaN: true }) }), {
        maxLength: 12,
      }),
      came: fc.constantFrom('worked' as const, 'same' as const, 'worse' as const),
    })
    fc.assert(
      fc.property(fc.array(outcome, { maxLength: 40 }), (outcomes) => {
        const now = learned(outcomes)
        for (const c of Object.keys(CAUSES) as CauseId[]) {
          expect(now.base(c)).toBeGreaterThan(0)
          const p = now.fixes(CAUSES[c].first, c)
          expect(p).toBeGreaterThan(0)
          expect(p).toBeLessThan(1)
        }
        const m = shares(
          knowing(
            knownAt(
              {},
              outcomes.map((o) => ({ press: 'a', outcome: o })),
              'a',
            ),
          ).book,
          NOTHING,
          callOf('sticks'),
        )
        expect(m.reduce((a, b) => a + b)).toBeCloseTo(1, 9)
      }),
      { numRuns: 40 },
    )
  })

  it('another press learns from the shop, its own calls weigh besides', () => {
    const outcomes = many(12, stuck()).map((outcome) => ({ press: 'here', outcome }))
    const rate = (press: string) => knowing(knownAt({}, outcomes, press)).numbers.base('hotFilm')
    expect(rate('there')).toBeGreaterThan(STARTING.base('hotFilm'))
    expect(rate('here')).toBeGreaterThan(rate('there'))
  })
})

describe('numbers of the shop’s own', () => {
  it('stand in place of the tables’, within what such a number can be', () => {
    const own = withOwn(
      { 'base underGel': 80, 'fixes flashLonger underGel': 7, 'seconds refit': Number.NaN },
      STARTING,
    )
    expect(own.base('underGel')).toBe(80)
    expect(own.fixes('flashLonger', 'underGel')).toBe(0.99)
    expect(own.seconds('refit')).toBe(STARTING.seconds('refit'))
  })
})

let seq = 0
const at = (what: Said, id = `event-of-the-test-${seq + 1}`): PressEvent => ({
  ...what,
  ...{ id, pad: 'a', seq: ++seq, at: new Date(Date.UTC(2026, 10, 30, 9, 0, seq)).toISOString() },
})
const tried = (id: string, remedy = 'coolLonger') =>
  at(
    {
      kind: 'tried',
      press: 'twelve',
      hit: 'yellow',
      symptom: 'sticks',
      also: ['bleed', 'unheard'],
      notThere: [],
      answers: [{ ask: 'cool', answer: 'dry' }],
      remedy,
      believed: [
        { cause: 'hotFilm', share: 0.9 },
        { cause: 'gremlins', share: 0.1 },
      ],
    },
    id,
  )

describe('outcomes out of what was said', () => {
  it('what was tried and answered, without words that the tables do not know', () => {
    const said = fold([
      tried('tried-one-0000000'),
      at({ kind: 'came', of: 'tried-one-0000000', how: 'worked' }),
    ]).said
    expect(outcomesOf(said)).toEqual([
      stuck({ also: ['bleed'], believed: [{ cause: 'hotFilm', share: 0.9 }] }),
    ])
    expect(openTry(said)).toBeUndefined()
  })

  it('two at once teach nothing; what nobody answered stays open; what was taken back was not', () => {
    const [one, two] = [tried('tried-two-0000000'), tried('tried-three-00000', 'flashShorter')]
    const came = at({ kind: 'came', of: two.id, how: 'worked' })
    expect(outcomesOf(fold([one, two, came]).said)).toEqual([])
    expect(openTry(fold([one, two]).said)?.id).toBe(two.id)
    expect(triedCall(openTry(fold([one]).said))).toMatchObject({
      remedy: 'coolLonger',
      call: { also: ['bleed'] },
    })
    const undone = at({ kind: 'undo', of: one.id })
    expect(outcomesOf(fold([one, undone, two, came]).said)).toHaveLength(1)
    expect(openTry(fold([one, undone]).said)).toBeUndefined()
  })

  it('a remedy no table has is no trouble of ours', () => {
    const odd = tried('tried-odd-0000000', 'pray')
    expect(triedCall(openTry(fold([odd]).said))).toBeUndefined()
    expect(outcomesOf(fold([odd, at({ kind: 'came', of: odd.id, how: 'same' })]).said)).toEqual([])
  })
})
