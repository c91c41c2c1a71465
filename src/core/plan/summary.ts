import { type Reason, settled } from '../advice'
import type { DayFacts } from '../days'
import type { Shop } from '../equipment'
import type { Order } from '../order'
import { messageOf } from '../quantity'
import { dayFactsOf } from './dayFacts'
import { type CureJob, cureJobOf } from './dryerDesk'
import { type InkNeedLine, inkNeedsOf } from './inkNeeds'
import { runOf } from './ordering'
import { plan } from './plan'
import { planChanges } from './planChanges'
import { type Decisions, noDecisions, type RunPlan, screensOf } from './runPlan'
import { type ScreenJob, screenJobOf } from './screenRoom'

/** What a plan comes to, for lists. */
export interface RunSummary {
  readonly press: string
  /** Seconds, lowest and highest. */
  readonly time: readonly [number, number] | undefined
  readonly timeWhy: readonly Reason[]
  readonly screens: number
  readonly open: readonly Reason[]
  readonly job: ScreenJob | undefined
  readonly inks: readonly InkNeedLine[]
  readonly cure: CureJob | undefined
  /** None where no press prints it. */
  readonly day: DayFacts | undefined
  /** How many settings differ from the last released revision; none when there is none. */
  readonly changed: number | undefined
  /** Why no plan could be made of what is stored, in one sentence; empty as a rule. */
  readonly wrong: string
}

/** Goes up when a summary holds other facts than before: what was kept is computed anew. */
export const SUMMARY_FACTS = 17

export const NO_SUMMARY: RunSummary = {
  press: '',
  time: undefined,
  timeWhy: [],
  screens: 0,
  open: [],
  job: undefined,
  inks: [],
  cure: undefined,
  day: undefined,
  changed: undefined,
  wrong: '',
}

/** One run to be summed up. */
export interface RunAsk {
  readonly order: Order
  readonly runId: string
  readonly decisions: Decisions | undefined
  /** The plan of the last released revision. */
  readonly last: RunPlan | undefined
}

/** Plans a run for a list. What cannot be planned says so: one bad row takes no list down. */
export function summarize({ order, runId, decisions, last }: RunAsk, shop: Shop): RunSummary {
  try {
    const run = runOf(order, runId)
    if (!run || run.placement.inks.length === 0 || shop.presses.length === 0) return NO_SUMMARY
    const p = plan(order, shop, decisions ?? noDecisions(runId))
    return {
      ...NO_SUMMARY,
      press: p.pressAdvice.choices.find((c) => c.value === settled(p.pressAdvice))?.label ?? '',
      time: p.time?.total.range,
      timeWhy: p.time?.total.reasons ?? [],
      screens: screensOf(p),
      job: screenJobOf(order, p),
      inks: inkNeedsOf(order, p),
      cure: cureJobOf(order, p),
      day: dayFactsOf(order, p, shop, decisions ?? noDecisions(runId)),
      open: p.warnings.filter((w) => w.severity !== 'Note'),
      changed: last && planChanges(last, p).length,
    }
  } catch (error) {
    return { ...NO_SUMMARY, wrong: `It cannot be planned as it is stored: ${messageOf(error)}.` }
  }
}
