import { choiceOf, numberOf } from '../advice'
import type { ApprovedSetting, Shop } from '../equipment'
import { driesInScreen, type Order, type Run, toneOf } from '../order'
import { screenOf } from './hitPlans'
import type { RunPlan } from './runPlan'

/**
 * What every screen of a plan is struck with, to be kept as the shop's own once a sample was good.
 *
 * @param on ISO day
 */
export function settingsOf(plan: RunPlan, order: Order, on: string): readonly ApprovedSetting[] {
  const darkCloth = toneOf(plan.cloth) === 'dark'
  return plan.hits.map(({ hit, strokeUse, mesh, stroke }): ApprovedSetting => {
    const { squeegee, edge, angle, pressure, gauge, time, strokes, flood } = stroke
    return {
      ...screenOf(order, plan.run, hit),
      on,
      fleece: plan.cloth.weave === 'fleece',
      pressId: plan.press.id,
      use: strokeUse,
      mesh: numberOf(mesh),
      darkCloth,
      driesInScreen: driesInScreen(hit.system),
      squeegee: choiceOf(squeegee),
      edge: choiceOf(edge),
      angle: numberOf(angle),
      pressure: choiceOf(pressure),
      ...(gauge && { gauge: numberOf(gauge) }),
      time: numberOf(time),
      strokes: numberOf(strokes),
      flood: choiceOf(flood),
      offContact: numberOf(plan.offContact),
    }
  })
}

/** What was approved with a run's own samples last, where they count most. */
export function ownLast(approved: readonly ApprovedSetting[], run: Run): readonly ApprovedSetting[] {
  const own = (p: ApprovedSetting) => Number(p.id.startsWith(`${run.id}.`))
  return [...approved].sort((a, b) => own(a) - own(b))
}

/** The shop with these settings as the newest that were approved; the same screens' earlier ones go. */
export const keptGood = (shop: Shop, good: readonly ApprovedSetting[]): Shop => ({
  ...shop,
  approved: [...shop.approved.filter((p) => !good.some((g) => g.id === p.id)), ...good],
})
