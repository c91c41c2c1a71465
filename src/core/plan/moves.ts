import type { Reason } from '../advice'
import type { Shop } from '../equipment'
import type { Order } from '../order'
import { FLASH, wetPairs, wetRiskOf } from '../sequence'
import { ordered, type Parts, partsOf } from './ordering'
import type { Decisions, RunPlan } from './runPlan'

/** What would follow if a screen were put at one place of the order. */
export interface Move {
  /** Hit ids, with `FLASH` where the lead wants one. */
  readonly order: readonly string[]
  readonly fits: boolean
  /** What would break; where nothing does, the worst that is left of wet contact risk. */
  readonly why: readonly Reason[]
  readonly flashes: number
  readonly laps: 1 | 2
  /** Wet contact risk. */
  readonly wetRisk: number
}

/** The order of a plan as a list by hand: hits, with the flashes that the lead put there. */
export const handOrder = (now: RunPlan, decisions: Decisions): readonly string[] => {
  const printed = now.hits.map((h) => h.hit.id)
  const wanted = decisions.order.filter((id) => id === FLASH || printed.includes(id))
  return wanted.filter((id) => id !== FLASH).length === printed.length ? wanted : printed
}

/** A list with one hit put at another place among the hits, counted without it; flashes by hand stay behind what they follow. */
export function putAt(order: readonly string[], id: string, place: number): readonly string[] {
  const rest = order.filter((x) => x !== id)
  const hits = rest.flatMap((x, i) => (x === FLASH ? [] : [i]))
  const at = hits[place] ?? rest.length
  return [...rest.slice(0, at), id, ...rest.slice(at)]
}

/** A list with a flash behind a hit, or without the one that was there. */
export function flashBehind(order: readonly string[], id: string): readonly string[] {
  const at = order.indexOf(id) + 1
  return order[at] === FLASH
    ? [...order.slice(0, at), ...order.slice(at + 1)]
    : [...order.slice(0, at), FLASH, ...order.slice(at)]
}

/**
 * What would follow from putting a screen at each place of the order, from the first to the last: computed before it is
 * dropped.
 */
export function movesOf(
  order: Order,
  shop: Shop,
  decisions: Decisions,
  now: RunPlan,
  hitId: string,
): readonly Move[] {
  const by = handOrder(now, decisions)
  const parts = partsOf(order, shop, decisions)
  return now.hits.map((_, place) => consequences(parts, putAt(by, hitId, place)))
}

/** What would follow from one order by hand. */
function consequences(parts: Parts, byHand: readonly string[]): Move {
  const { job, solver, space, press } = ordered(parts, byHand)
  const found = solver(space, press.name, { laps: 2 })
  if (!found.fits) return { order: byHand, fits: false, why: found.reasons, flashes: 0, laps: 1, wetRisk: 0 }
  const { events } = found.best
  return {
    order: byHand,
    fits: true,
    why: wetPairs(job, found.tables, events),
    flashes: events.filter((e) => e.kind === 'flash').length,
    laps: found.laps,
    wetRisk: wetRiskOf(job, found.tables, events),
  }
}
