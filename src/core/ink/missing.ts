import type { Part } from '../equipment'
import type { Mass } from '../quantity'
import type { Can } from './stock'

/** An ink of a formula of which less is booked in than a mix takes. */
export interface Missing {
  readonly code: string
  /** kg. */
  readonly short: Mass
}

/** What of a mix is not on the rack by the book. @param mass of the mix, kg */
export function missingFor(
  parts: readonly Part[],
  mass: Mass,
  cans: readonly Pick<Can, 'code' | 'mass'>[],
): readonly Missing[] {
  return parts.flatMap(({ code, share }) => {
    const there = cans.filter((c) => c.code === code).reduce((sum, c) => sum + Math.max(0, c.mass), 0)
    const short = share * mass - there
    // A tenth of a gram is what a scale tells.
    return short > 1e-4 ? [{ code, short }] : []
  })
}
