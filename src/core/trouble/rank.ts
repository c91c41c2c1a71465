import jStat from 'jstat'
import type { Book } from './book'
import type { Count, Odds, RunFacts } from './facts'
import { USED } from './parameters'
import type { CauseRow } from './tables/causeRow'
import { CAUSES, type CauseId } from './tables/causes'
import type { QuestionId } from './tables/questions'
import type { RemedyId } from './tables/remedies'
import type { SymptomId } from './tables/symptoms'

/** What has been told of a trouble so far. Nothing is taken out of silence. */
export interface Call {
  readonly symptom: SymptomId
  /** Further symptoms that are there, and such that are not. */
  readonly also: readonly SymptomId[]
  readonly notThere: readonly SymptomId[]
  readonly answers: readonly { readonly ask: QuestionId; readonly answer: string }[]
  /** Looks that could not be taken. */
  readonly cannot: readonly QuestionId[]
  /** Remedies that did not help. */
  readonly tried: readonly RemedyId[]
}

export const callOf = (symptom: SymptomId): Call => ({
  symptom,
  ...{ also: [], notThere: [], answers: [], cannot: [], tried: [] },
})

/** A distance from a limit as odds, within what a reading or a foretold value may say. */
function oddsOf(z: number, foretold: boolean): number {
  const p = jStat.normal.cdf(z, 0, 1)
  return Math.min(USED.most, Math.max(foretold ? USED.leastForetold : USED.leastRead, p / (1 - p)))
}

/** What a fact of the run does to the odds of a cause. Nothing known does nothing. */
export function multiplier(odds: Odds, facts: RunFacts): number {
  if ('z' in odds) {
    const z = facts.z[odds.z]
    return z === undefined ? 1 : oddsOf(z, facts.predicted?.includes(odds.z) ?? false)
  }
  if ('x' in odds) {
    const x = facts.x[odds.x]
    if (x === undefined) return 1
    const holds = (odds.above === undefined || x > odds.above) && (odds.below === undefined || x < odds.below)
    return holds ? odds.times : 1
  }
  const flag = facts.flags[odds.flag]
  return flag === undefined ? 1 : flag ? odds.times : (odds.else ?? 1)
}

/** A recent check of the boards stands in place of what the plan foretells of them. */
function withCheck(facts: RunFacts): RunFacts {
  const { check } = facts
  if (check?.boardC === undefined || check.age > USED.checkReads) return facts
  const { board: _, ...z } = facts.z
  return { ...facts, z, x: { ...facts.x, boardC: check.boardC } satisfies Partial<Record<Count, number>> }
}

/** Odds of this run by cause: 0 where it lacks what the cause needs. */
export function oddsOfRun(cause: CauseId, facts: RunFacts): number {
  const { needs = [], odds = [] }: CauseRow = CAUSES[cause]
  if (needs.some((need) => facts.has[need] === false)) return 0
  const seen = withCheck(facts)
  return odds.reduce((product, o) => product * multiplier(o, seen), 1)
}

/** "First prints only" and "from the start" say the same while nothing but first prints was printed. */
const isEarly = (facts: RunFacts) => (facts.x.pieces ?? USED.early) < USED.early
const EARLY: readonly string[] = ['first prints only', 'from the start']

/** The answers a look can have in this run, each with how likely it is under each cause; answers that say the same are one. */
export function answersTo(
  book: Book,
  ask: QuestionId,
  facts: RunFacts,
): readonly { readonly answers: readonly string[]; readonly likely: Float64Array }[] {
  const look = book.looks.get(ask)
  if (!look) return []
  const each = look.answers.map((answer, i) => ({
    answers: [answer],
    likely: look.likely[i] as Float64Array,
  }))
  if (ask !== 'when' || !isEarly(facts)) return each
  const [one, two] = each.filter((e) => EARLY.includes(e.answers[0] as string))
  if (!one || !two) return each
  const both = {
    answers: [...one.answers, ...two.answers],
    likely: one.likely.map((p, c) => p + (two.likely[c] as number)),
  }
  return [both, ...each.filter((e) => e !== one && e !== two)]
}

const BANDS = {
  boardTemp: {
    of: 'boardC',
    bands: [
      [30, 'under 30 C'],
      [55, '30 to 55 C'],
    ],
    beyond: 'over 55 C',
  },
  filmTemp: {
    of: 'filmC',
    bands: [
      [107, 'below'],
      [134, 'in band'],
    ],
    beyond: 'above',
  },
  printTemp: { of: 'printC', bands: [[55, 'under 55 C']], beyond: 'over 55 C' },
} as const satisfies Readonly<
  Partial<
    Record<
      QuestionId,
      { readonly of: string; readonly bands: readonly (readonly [number, string])[]; readonly beyond: string }
    >
  >
>

/** What the last check of the gun answers, question by question. */
export function checkAnswers(
  facts: RunFacts,
): readonly { readonly ask: QuestionId; readonly answer: string }[] {
  const { check } = facts
  if (!check) return []
  return (Object.keys(BANDS) as (keyof typeof BANDS)[]).flatMap((ask) => {
    const { of, bands, beyond } = BANDS[ask]
    const read = check[of]
    if (read === undefined) return []
    return [{ ask, answer: bands.find(([limit]) => read < limit)?.[1] ?? beyond }]
  })
}

/** Multiplies what a check says into the shares: the older it is, the less it says. */
function weighCheck(book: Book, facts: RunFacts, weights: Float64Array, answered: ReadonlySet<string>): void {
  const trust = Math.exp(-(facts.check?.age ?? Number.POSITIVE_INFINITY) / USED.checkFades)
  if (trust < 0.1) return
  for (const { ask, answer } of checkAnswers(facts)) {
    const look = book.looks.get(ask)
    const at = look?.answers.indexOf(answer) ?? -1
    const likely = look?.likely[at]
    // What was read again is newer.
    if (!look || !likely || answered.has(ask)) continue
    const usual = look.usual[at] as number
    for (let c = 0; c < weights.length; c++)
      weights[c] = (weights[c] as number) * (trust * (likely[c] as number) + (1 - trust) * usual)
  }
}

export function normalised(weights: Float64Array): Float64Array {
  const sum = weights.reduce((a, b) => a + b, 0)
  return sum > 0 ? weights.map((w) => w / sum) : weights.map(() => 1 / weights.length)
}

/**
 * Shares of the causes, one cause at a time (model of trouble, sections 2 and 3): the rate of each, what this run says of it, how
 * often it shows as what was told, how the looks came out, and what did not help.
 *
 * @returns by cause in the order of the book; sums to 1
 */
export function shares(book: Book, facts: RunFacts, call: Call): Float64Array {
  const { causes, told } = book
  const weights = book.base.map((base, c) => base * oddsOfRun(causes[c] as CauseId, facts))
  const times = (factor: (cause: number) => number) => {
    for (let c = 0; c < weights.length; c++) weights[c] = (weights[c] as number) * factor(c)
  }
  for (const s of new Set([call.symptom, ...call.also])) times((c) => told[s][c] as number)
  for (const s of call.notThere) times((c) => 1 - 0.8 * (told[s][c] as number))
  weighCheck(book, facts, weights, new Set(call.answers.map((a) => a.ask)))
  for (const { ask, answer } of call.answers) {
    const likely = answersTo(book, ask, facts).find((a) => a.answers.includes(answer))?.likely
    if (likely) times((c) => likely[c] as number)
  }
  for (const id of call.tried) {
    const fixes = book.cures.find((cure) => cure.id === id)?.fixes
    for (const [c, share] of fixes ?? []) weights[c] = (weights[c] as number) * (1 - share)
  }
  return normalised(weights)
}

/** Causes with their share, the likeliest first. */
export const ranked = (
  book: Book,
  m: Float64Array,
): readonly { readonly cause: CauseId; readonly share: number }[] =>
  book.causes.map((cause, c) => ({ cause, share: m[c] as number })).sort((a, b) => b.share - a.share)
