import { type Book, bookOf, type Numbers, STARTING } from './book'
import { learned, type Outcome } from './learn'
import { differences, type OwnNumbers, withOwn } from './own'

/** What the shop has set itself and learnt: rows that are other than the tables', and from how many calls. Plain data. */
export interface Known {
  readonly rows: OwnNumbers
  readonly calls: Readonly<Record<string, number>>
}

export const NOTHING_KNOWN: Known = { rows: {}, calls: {} }

/** The tables as this press has them, worked out once. */
export interface Knowledge {
  readonly numbers: Numbers
  readonly book: Book
  /** Calls that corrected a number; 0 where it stands as it comes. */
  readonly calls: (key: string) => number
}

/** @param piece seconds of press time that a piece at risk is worth */
export function knowing({ rows, calls }: Known = NOTHING_KNOWN, piece?: number): Knowledge {
  const numbers = withOwn(rows, STARTING)
  return { numbers, book: bookOf(numbers, piece), calls: (key) => calls[key] ?? 0 }
}

/**
 * What a press knows: the tables, the shop's own numbers in them, corrected by the shop's outcomes, and those by the press's.
 *
 * @param outcomes of the whole shop, oldest first, with the press of each
 */
export function knownAt(
  own: OwnNumbers,
  outcomes: readonly { readonly press: string; readonly outcome: Outcome }[],
  press: string,
): Known {
  const shop = learned(
    outcomes.map((o) => o.outcome),
    withOwn(own, STARTING),
  )
  const here = learned(
    outcomes.filter((o) => o.press === press).map((o) => o.outcome),
    shop,
  )
  return { rows: differences(here), calls: shop.counts }
}
