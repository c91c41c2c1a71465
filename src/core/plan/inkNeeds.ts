import { numberOf } from '../advice'
import type { Hex } from '../color'
import type { Cloth, Order } from '../order'
import type { Mass } from '../quantity'
import { jobWords } from './hitPlans'
import type { RunPlan } from './runPlan'

/** Ink that a screen of a run wants. */
export interface InkNeedLine {
  readonly orderId: string
  readonly runId: string
  readonly hitId: string
  /** Customer and job. */
  readonly words: string
  /** ISO day. */
  readonly due: string
  readonly name: string
  readonly hex: Hex
  readonly system: string
  readonly mass: Mass
  /** It is to rise. */
  readonly expands: boolean
  readonly cloth: Cloth
}

/** What the screens of a plan want from the ink room. */
export const inkNeedsOf = (order: Order, plan: RunPlan): readonly InkNeedLine[] =>
  plan.hits.flatMap((h) =>
    h.ink
      ? [
          {
            orderId: order.id,
            runId: plan.run.id,
            hitId: h.hit.id,
            words: jobWords(order),
            due: order.due,
            name: h.hit.name,
            hex: h.hex,
            system: h.hit.system,
            mass: numberOf(h.ink),
            expands: plan.run.placement.inks.some((i) => i.id === h.hit.id && i.inkType === 'expanding'),
            cloth: plan.cloth,
          },
        ]
      : [],
  )
