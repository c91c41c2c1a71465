import { keysOf } from '../quantity'
import { type Numbers, STARTING } from './book'
import { USED } from './parameters'
import type { CauseId } from './tables/causes'
import { CAUSES } from './tables/causes'
import type { QuestionId } from './tables/questions'
import type { RemedyId } from './tables/remedies'
import type { SymptomId } from './tables/symptoms'

/** What came of a remedy at the press. */
export interface Outcome {
  readonly symptom: SymptomId
  readonly also: readonly SymptomId[]
  readonly notThere: readonly SymptomId[]
  readonly answers: readonly { readonly ask: QuestionId; readonly answer: string }[]
  readonly remedy: RemedyId
  /** Shares of the causes as they stood when it was tried; those left out had hardly any. */
  readonly believed: readonly { readonly cause: CauseId; readonly share: number }[]
  readonly came: 'worked' | 'same' | 'worse'
}

/** A cause is taken as found from here on. */
const CONFIRMED = 0.7

/** Numbers as outcomes have moved them, and from how many calls each is. */
export interface Learned extends Numbers {
  /** Calls that came into a rate, a share of a remedy, a symptom or a look, by its key; nothing forgotten. */
  readonly counts: Readonly<Record<string, number>>
}

/** Under what a count of outcomes is kept. */
export const countKey = {
  base: (cause: CauseId) => `base ${cause}`,
  fixes: (remedy: RemedyId, cause: CauseId) => `fixes ${remedy} ${cause}`,
  sees: (cause: CauseId, symptom: SymptomId) => `sees ${cause} ${symptom}`,
  says: (cause: CauseId, ask: QuestionId) => `says ${cause} ${ask}`,
} as const

/** Sums that fade, and what came into them. */
class Fading {
  private readonly sums = new Map<string, number>()
  private readonly counts = new Map<string, number>()

  fade(): void {
    for (const [key, sum] of this.sums) this.sums.set(key, sum * USED.forget)
  }

  add(key: string, by: number): void {
    this.sums.set(key, (this.sums.get(key) ?? 0) + by)
    this.counts.set(key, (this.counts.get(key) ?? 0) + by)
  }

  sum = (key: string): number => this.sums.get(key) ?? 0

  /** By key, however they came out. */
  totals(): Readonly<Record<string, number>> {
    const out: Record<string, number> = {}
    for (const [key, count] of this.counts) {
      const of = key.replace(/ (yes|no|all)$/, '')
      out[of] = (out[of] ?? 0) + count
    }
    return out
  }
}

/**
 * What the outcomes of a shop teach (model of trouble, section 7): soft counts with what each cause was believed at, against
 * starting numbers that weigh as much as 40 calls. Never from a rehearsal.
 *
 * @param outcomes oldest first
 * @param from what they correct: the tables, or what the whole shop has learnt for one press
 */
export function learned(outcomes: readonly Outcome[], from: Numbers = STARTING): Learned {
  const kept = new Fading()
  for (const outcome of outcomes) {
    kept.fade()
    take(outcome, from, kept)
  }
  const causes = keysOf(CAUSES)
  const starting = causes.reduce((sum, c) => sum + from.base(c), 0)
  const found = causes.reduce((sum, c) => sum + kept.sum(countKey.base(c)), 0)
  const beta = (key: string, start: number, weight: number) => {
    const [yes, no] = [kept.sum(`${key} yes`), kept.sum(`${key} no`)]
    return (weight * start + yes) / (weight + yes + no)
  }
  return {
    // In the tables' own scale: rates are compared with each other only.
    base: (c) =>
      ((USED.priorCalls * from.base(c)) / starting + kept.sum(countKey.base(c))) *
      (starting / (USED.priorCalls + found)),
    fixes: (r, c) => {
      const start = from.fixes(r, c)
      return start === 0 ? 0 : beta(countKey.fixes(r, c), start, USED.priorRemedy)
    },
    sees: (c, s) => beta(countKey.sees(c, s), from.sees(c, s), USED.priorSees),
    says: (c, ask, answer) => {
      const start = from.says(c, ask, answer)
      if (start === undefined) return undefined
      const key = countKey.says(c, ask)
      return (
        (USED.priorAnswer * start + kept.sum(`${key} ${answer}`)) /
        (USED.priorAnswer + kept.sum(`${key} all`))
      )
    },
    seconds: from.seconds,
    spoils: from.spoils,
    counts: kept.totals(),
  }
}

function take(outcome: Outcome, from: Numbers, kept: Fading): void {
  const { remedy, believed, came } = outcome
  const weighed = believed.map(({ cause, share }) => {
    const fixes = from.fixes(remedy, cause)
    return { cause, weight: share * (came === 'worked' ? fixes : 1 - fixes) }
  })
  const sum = weighed.reduce((total, w) => total + w.weight, 0)
  if (sum <= 0) return
  for (const { cause, weight } of weighed) {
    const share = weight / sum
    kept.add(`${countKey.fixes(remedy, cause)} ${came === 'worked' ? 'yes' : 'no'}`, share)
    if (came !== 'worked') continue
    kept.add(countKey.base(cause), share)
    if (share >= CONFIRMED) confirm(outcome, cause, kept)
  }
}

/** What is known of a cause that was found: as what it showed, and how the looks came out. */
function confirm({ symptom, also, notThere, answers }: Outcome, cause: CauseId, kept: Fading): void {
  for (const s of [symptom, ...also]) kept.add(`${countKey.sees(cause, s)} yes`, 1)
  for (const s of notThere) kept.add(`${countKey.sees(cause, s)} no`, 1)
  for (const { ask, answer } of answers) {
    kept.add(`${countKey.says(cause, ask)} all`, 1)
    kept.add(`${countKey.says(cause, ask)} ${answer}`, 1)
  }
}
