import type { BaseInk, Part } from '../equipment'
import type { Mass } from '../quantity'
import { LEFT } from './quantity'

/** What a run was computed to want of an ink, and what was used of it by the scale. */
export interface WeighBack {
  readonly needed: Mass
  readonly used: Mass
}

/** What weigh-backs say of the computation: the ink laid is this many times what comes out of it. */
export interface Learnt {
  readonly factor: number
  /** From so many runs. */
  readonly runs: number
}

/** Fewer runs say nothing. */
const ENOUGH = 3
const FARTHEST = [0.5, 2] as const

/**
 * The median of what was laid against what was computed; what stays in screen and tub comes back and is left out of both.
 * None from fewer than three runs.
 *
 * @param held the multiple that the plans computed with
 */
export function learntFrom(runs: readonly WeighBack[], held: number): Learnt | undefined {
  const ratios = runs
    .filter((r) => r.needed > LEFT.usual && r.used > 0)
    .map((r) => (held * r.used) / (r.needed - LEFT.usual))
    .sort((a, b) => a - b)
  if (ratios.length < ENOUGH) return undefined
  const middle = ratios[ratios.length >> 1] ?? 1
  return { factor: Math.min(FARTHEST[1], Math.max(FARTHEST[0], middle)), runs: ratios.length }
}

/** Inks of another system among the parts: ink on oil and ink on water never go into one tub. */
export const strangersIn = (
  parts: readonly Part[],
  system: string,
  rack: readonly BaseInk[],
): readonly BaseInk[] => rack.filter((i) => i.system !== system && parts.some((p) => p.code === i.code))
