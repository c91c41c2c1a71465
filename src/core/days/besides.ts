import type { Temperature } from '../quantity'
import type { Moment } from '../schedule'
import type { DayFacts } from './facts'
import type { Lanes } from './lanes'

/** A stretch of work beside the presses. */
export interface Beside {
  readonly from: Moment
  readonly to: Moment
  readonly of: readonly DayFacts[]
}

/** What the screen room makes, in the order in which it is begun. */
export const screenWork = ({ runs }: Lanes): readonly Beside[] =>
  runs
    .flatMap(({ screens, facts }) =>
      screens ? [{ from: screens.from, to: screens.ready, of: [facts] }] : [],
    )
    .sort((a, b) => a.from - b.from)

/** Inks that are wanted within so long of each other are mixed in one go, s. */
const TOGETHER = 900

/** By when inks are wanted that are neither in a tub nor in a can: when the set-up of runs that want any begins, those of one time as one. */
export const inkWork = (
  { runs }: Lanes,
  short: Readonly<Record<string, readonly string[]>>,
): readonly (Beside & { readonly inks: readonly string[] })[] => {
  const found: (Beside & { readonly inks: readonly string[] })[] = []
  for (const r of [...runs].sort((a, b) => a.setUp - b.setUp)) {
    const inks = r.isBegun ? [] : (short[r.facts.runId] ?? [])
    const last = found.at(-1)
    if (inks.length === 0) continue
    if (last && r.setUp - last.from < TOGETHER)
      found[found.length - 1] = {
        ...last,
        of: [...last.of, r.facts],
        inks: [...new Set([...last.inks, ...inks])],
      }
    else found.push({ from: r.setUp, to: r.setUp, of: [r.facts], inks })
  }
  return found
}

/** A dryer at one temperature. */
export interface DryerSpan extends Beside {
  readonly film: Temperature
}

/** What each dryer runs: stretches of one temperature, joined where they meet. */
export function dryerWork(
  { runs }: Lanes,
  dryers: readonly string[],
): readonly {
  readonly id: string
  readonly spans: readonly DryerSpan[]
}[] {
  return dryers.map((id) => {
    const own = runs
      .flatMap(({ facts, pressId, start, end }) => {
        const dryer = facts.on.find((o) => o.pressId === pressId)?.dryer
        return dryer?.id === id ? [{ from: start, to: end, film: Math.round(dryer.film), of: [facts] }] : []
      })
      .sort((a, b) => a.from - b.from)
    const spans: DryerSpan[] = []
    for (const next of own) {
      const last = spans.at(-1)
      // What is alike enough runs together, at the hotter of both.
      const isJoined = last && (last.film === next.film ? next.from <= last.to : next.from < last.to)
      if (last && isJoined)
        spans[spans.length - 1] = {
          ...{ from: last.from, to: Math.max(last.to, next.to), of: [...last.of, ...next.of] },
          film: Math.max(last.film, next.film),
        }
      else spans.push(next)
    }
    return { id, spans }
  })
}
