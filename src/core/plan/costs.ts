import { numberOf } from '../advice'
import type { Shop } from '../equipment'
import { LEFT } from '../ink'
import { CREWS, MISPRINTS } from '../rate'
import { type RunPlan, screensOf } from './runPlan'

/** What a run costs, by what for. */
export interface Costs {
  readonly press: number
  readonly people: number
  readonly screens: number
  readonly ink: number
  readonly spoil: number
  readonly total: number
  readonly piece: number
  /** Seconds at the press. */
  readonly time: number
}

export const COST_PARTS = {
  press: 'Press',
  people: 'People',
  screens: 'Screens',
  ink: 'Ink',
  spoil: 'Spoiled',
} as const satisfies Partial<Record<keyof Costs, string>>

/** Money a kg of a hit's ink: by the formula of its name, else what the shop pays as a rule. */
function inkPrice(name: string, shop: Shop): number {
  const { formulas, rack } = shop.inkRoom
  const formula = formulas.find((f) => f.name.toLowerCase() === name.toLowerCase())
  const costs = formula?.parts.map((p) => (rack.find((i) => i.code === p.code)?.cost ?? Number.NaN) * p.share)
  const sum = costs?.reduce((a, b) => a + b, 0)
  return sum === undefined || Number.isNaN(sum) ? shop.prices.ink : sum
}

/**
 * What printing costs at the shop's prices: press and people by the hour, screens, ink, and garments spoiled; without the
 * garments that are sold.
 *
 * @param pieces as if so many were printed in the same way; the run's own number if left out
 * @returns none while no order of printing fits
 */
export function costsOf(plan: RunPlan, shop: Shop, pieces = plan.run.quantity): Costs | undefined {
  const { time, hits } = plan
  if (!time || pieces <= 0) return undefined
  const { prices } = shop
  const seconds = numberOf(time.setup) + (pieces + time.first) / numberOf(time.rate)
  const first = Math.max(1, time.first)
  const spoiled = (pieces * MISPRINTS) / (1 - MISPRINTS) + first
  const ink = hits.reduce((sum, h) => {
    if (!h.ink) return sum
    const own = numberOf(h.ink)
    const left = Math.min(own, LEFT.usual)
    const laid = ((own - left) * pieces) / plan.run.quantity
    return sum + laid * inkPrice(h.hit.name, shop)
  }, 0)
  const hours = seconds / 3600
  const parts = {
    press: hours * prices.pressHour,
    people: hours * CREWS[time.need.crew.size].people * prices.personHour,
    screens: screensOf(plan) * prices.screen,
    ink,
    spoil: spoiled * prices.garment,
  }
  const total = Object.values(parts).reduce((a, b) => a + b, 0)
  return { ...parts, total, piece: total / pieces, time: seconds }
}
