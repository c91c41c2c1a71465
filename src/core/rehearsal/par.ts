import {
  bookOf,
  type Call,
  type CauseId,
  callOf,
  nextLook,
  QUESTIONS,
  REMEDIES,
  shares,
  toTry,
} from '../trouble'
import { sessionFacts } from './facts'
import { lookAt } from './looks'
import { begin, printOne } from './session'
import type { TrialPlan } from './trialPlan'

/** Seconds where the list finds nothing, or nobody ever calls. */
const NOTHING_FOUND = 600
const MOST = 140
const CURES = 0.6

/** What the ranked list itself takes on this plan, seed and fault: looks, and remedies until one cures it, s. */
export function parOf(plan: TrialPlan, seed: number, faults: readonly CauseId[]): number {
  const session = begin(plan, seed, faults)
  const book = bookOf()
  for (let i = 0; i < Math.min(MOST, plan.pieces); i++) {
    const found = printOne(session).find((c) => !c.own)
    if (!found) continue
    const facts = sessionFacts(session, { gun: true, loupe: true, tension: false }, undefined)
    let call: Call = callOf(found.symptom)
    let seconds = 0
    for (let m = shares(book, facts, call); ; m = shares(book, facts, call)) {
      const asked = nextLook(book, facts, call, m)
      if (!asked) {
        for (const remedy of toTry(book, m, call)) {
          seconds += REMEDIES[remedy].seconds
          const cures: Readonly<Partial<Record<CauseId, number>>> = REMEDIES[remedy].fixes
          if (faults.some((c) => (cures[c] ?? 0) >= CURES)) return seconds
        }
        return seconds + NOTHING_FOUND
      }
      seconds += QUESTIONS[asked.ask].seconds
      const answer = lookAt(session.press, session.pieces, call.symptom, asked.ask, found.at)
      call = { ...call, answers: [...call.answers, { ask: asked.ask, answer }] }
    }
  }
  return NOTHING_FOUND
}
