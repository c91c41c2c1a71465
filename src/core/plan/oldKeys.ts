import type { NumberAdvice, Overrides } from '../advice'
import { panelTemperature, shopAir } from '../heat'
import { roundsFor } from '../record'
import type { RunPlan } from './runPlan'

/**
 * Choices of a flash were once kept by its place in the order, `dwell.1`; now by the hit that it stands behind.
 *
 * @returns the key of today; the same one where it is of today, or the plan has no such flash
 */
export function keyToday(key: string, { sequence, hits }: Pick<RunPlan, 'sequence' | 'hits'>): string {
  const place = /^dwell\.(\d+)$/.exec(key)?.[1]
  if (place === undefined || hits.some((h) => h.hit.id === place)) return key
  const flash = sequence.cells.findIndex((c) => c.kind === 'flash' && c.flash === Number(place) - 1)
  const behind = sequence.cells.slice(0, Math.max(0, flash)).findLast((c) => c.kind === 'print')
  return behind ? `dwell.${behind.hitId}` : key
}

/** The lead's choices under the keys of today; what was chosen under one of those already stands. */
export const keysToday = (overrides: Overrides, plan: RunPlan | undefined): Overrides =>
  plan
    ? {
        ...Object.fromEntries(Object.entries(overrides).map(([k, v]) => [keyToday(k, plan), v])),
        ...ofToday(overrides, plan),
      }
    : overrides

const ofToday = (overrides: Overrides, plan: RunPlan) =>
  Object.fromEntries(Object.entries(overrides).filter(([key]) => keyToday(key, plan) === key))

type Placed = RunPlan['placement'] & { readonly side?: NumberAdvice }

/**
 * A plan that was kept by an older program, with what plans have today: then no one said how warm the shop or its panels were,
 * all sizes lay equally far from the centre line, nothing came round while it was printed, and only colours were low-cure.
 */
export function planToday(kept: RunPlan): RunPlan {
  const ambient = kept.ambient ?? shopAir(undefined, {})
  // What is no whole plan is not made one.
  if (!kept.placement || !kept.flashes || !kept.hits) return { ...kept, ambient }
  const { side, ...placement } = kept.placement as Placed
  const units = kept.flashes.flatMap((f) => f.unit ?? [])
  const lowCure = new Set(kept.run.placement.inks.filter((i) => i.lowCure).map((i) => i.id))
  return {
    ...kept,
    ambient,
    rounds: kept.rounds ?? roundsFor(kept.run, kept.press, {}),
    panelTemperature: kept.panelTemperature ?? panelTemperature(units, {}),
    hits: kept.hits.map((h) => ({ ...h, lowCure: h.lowCure ?? lowCure.has(h.hit.id) })),
    placement: side
      ? { ...placement, groups: placement.groups.map((g) => ({ ...g, side: g.side ?? side })) }
      : kept.placement,
  }
}
