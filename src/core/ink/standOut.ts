import type { Candidate } from './search'

/** Less than this no one sees or minds: CIEDE2000, share of hiding, share of the cost. From memory, common practice. */
const UNSEEN = { difference: 0.5, lamp: 0.5, hides: 0.03, cost: 0.05 } as const

/** Whether there is anything for which someone would take `a` and not `b`. */
const betterIn = (a: Candidate, b: Candidate): boolean =>
  a.difference < b.difference - UNSEEN.difference ||
  a.lamp < b.lamp - UNSEEN.lamp ||
  a.hides > b.hides + UNSEEN.hides ||
  a.cost < b.cost * (1 - UNSEEN.cost) ||
  a.opens.length < b.opens.length

/**
 * Formulas worth choosing between, and those that one of them equals in everything that is seen or paid.
 *
 * @param found best first
 * @returns both in the order of `found`; the first is always worth showing
 */
export function standOut(found: readonly Candidate[]): {
  readonly shown: readonly Candidate[]
  readonly alike: readonly Candidate[]
} {
  const shown: Candidate[] = []
  const alike: Candidate[] = []
  for (const c of found) (shown.every((s) => betterIn(c, s)) ? shown : alike).push(c)
  return { shown, alike }
}
