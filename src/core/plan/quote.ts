import { q, type Reason } from '../advice'
import type { Shop } from '../equipment'
import type { Share } from '../quantity'
import { costsOf } from './costs'
import { PLAN } from './definition'
import type { RunPlan } from './runPlan'

/** What a shop asks for. */
export interface QuoteTerms {
  /** On top of what printing costs, 0..10. */
  readonly markup: Share
  /** What is asked for a garment, 0 where the customer brings them. */
  readonly garment: number
}

export interface Asked {
  readonly pieces: number
  /** For printing a piece, whole cents. */
  readonly each: number
}

export interface QuotedRun extends Asked {
  readonly sum: number
  /** For other quantities. */
  readonly at: readonly Asked[]
  readonly reason: Reason
}

/** Never less than it comes to: to the next cent; what lies a hair above one, by the way computers reckon, is that one. */
const toCent = (money: number): number => Math.ceil(money * 100 - 1e-6) / 100

/**
 * What is asked for a run: what printing costs and the markup. A larger quantity is never dearer a piece: whoever orders more
 * gets the lowest price of those up to it.
 *
 * @param quantities others to tell a price for, at least 1
 * @returns none while no order of printing fits, or nothing is printed
 */
export function quoteRun(
  plan: RunPlan,
  shop: Shop,
  { markup }: QuoteTerms,
  quantities: readonly number[],
): QuotedRun | undefined {
  const { quantity } = plan.run
  const costs = costsOf(plan, shop)
  if (!costs) return undefined
  const dear = (n: number) => toCent((costsOf(plan, shop, n)?.piece ?? 0) * (1 + markup))
  const all = [...new Set([...quantities, quantity])].sort((a, b) => a - b)
  let lowest = Number.POSITIVE_INFINITY
  const asked = all.map((pieces): Asked => {
    lowest = Math.min(lowest, dear(pieces))
    return { pieces, each: lowest }
  })
  const each = asked.find((a) => a.pieces === quantity)?.each ?? dear(quantity)
  return {
    pieces: quantity,
    each,
    sum: toCent(each * quantity),
    at: quantities.map((n) => ({ pieces: n, each: asked.find((a) => a.pieces === n)?.each ?? dear(n) })),
    reason: PLAN.because('QUOTE_EACH', {
      each: q('money', each),
      cost: q('money', costs.piece),
      markup: q('share', markup),
      pieces: q('count', quantity),
    }),
  }
}
