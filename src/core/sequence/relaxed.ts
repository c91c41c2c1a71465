import type { Event } from './hit'
import { COST, compactWet, FORBIDDEN, flashAllowed, printCost, smoothingDue, type Tables } from './tables'

/** A next event and where it leads. */
interface Step {
  readonly events: readonly Event[]
  readonly cost: number
  readonly mask: number
  readonly wet: number
}

/**
 * Every way on from (mask, wet) when stations do not matter. The smoothing screen works on hot film only, so it comes
 * as one step with its flash.
 */
function steps(t: Tables, mask: number, wet: number): Step[] {
  const out: Step[] = []
  for (let j = 0; j < t.n; j++) {
    if (t.smoothing & (1 << j)) continue
    const cost = printCost(t, j, mask, wet)
    if (cost >= FORBIDDEN) continue
    const next = mask | (1 << j)
    out.push({
      events: [{ kind: 'print', hit: j }],
      cost,
      mask: next,
      wet: compactWet(t, next, wet | (1 << j)),
    })
  }
  if (!flashAllowed(t, mask)) return out
  if (wet) out.push({ events: [{ kind: 'flash' }], cost: COST.flash, mask, wet: 0 })
  if (smoothingDue(t, mask)) {
    const events: Event[] = [{ kind: 'flash' }, { kind: 'print', hit: 31 - Math.clz32(t.smoothing) }]
    out.push({ events, cost: COST.flash, mask: mask | t.smoothing, wet: 0 })
  }
  return out
}

/** Cheapest completion from any (mask, wet), stations left aside: exact there, a lower bound for the ring. */
export interface Relaxed {
  readonly cost: (mask: number, wet: number) => number
  /** One cheapest completion; ties go to the hit listed first. */
  readonly path: (mask: number, wet: number) => readonly Event[]
}

/**
 * Memoised recursion over (printed, wet), one Int32 cell for each of the 3^n states that can be.
 */
export function relax(t: Tables): Relaxed {
  const weight = Array.from({ length: t.n }, (_, i) => 3 ** i)
  const sum = Int32Array.from({ length: 1 << t.n }, () => 0)
  for (let m = 1; m < 1 << t.n; m++)
    sum[m] = (sum[m & (m - 1)] as number) + (weight[31 - Math.clz32(m & -m)] as number)
  const memo = new Int32Array(3 ** t.n).fill(-1)

  const cost = (mask: number, wet: number): number => {
    if (mask === t.full) return 0
    const cell = (sum[mask] as number) + (sum[wet] as number)
    const known = memo[cell] as number
    if (known >= 0) return known
    let best: number = FORBIDDEN
    for (const s of steps(t, mask, wet)) best = Math.min(best, s.cost + cost(s.mask, s.wet))
    memo[cell] = best
    return best
  }
  const path = (mask: number, wet: number): readonly Event[] => {
    if (mask === t.full) return []
    const goal = cost(mask, wet)
    const step = steps(t, mask, wet).find((s) => s.cost + cost(s.mask, s.wet) === goal)
    return step && goal < FORBIDDEN ? [...step.events, ...path(step.mask, step.wet)] : []
  }
  return { cost, path }
}
