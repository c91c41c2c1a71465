import { cheapest, type Mark, markNumber, NO_MARK, type State } from './cheapest'
import type { Event } from './hit'
import {
  COST,
  compactWet,
  driedBefore,
  FORBIDDEN,
  flashAllowed,
  printCost,
  smoothingDue,
  type Tables,
} from './tables'

/** A next event, or a flash and the smoothing screen straight after it, and where it leads. */
export interface Step {
  readonly events: readonly Event[]
  readonly cost: number
  readonly mask: number
  readonly wet: number
}

/**
 * Every way on from (mask, wet) when stations do not matter. The smoothing screen works on hot film only, so it comes
 * as one step with its flash.
 */
export function steps(t: Tables, mask: number, wet: number): Step[] {
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
export type Relaxed = (mask: number, wet: number) => number

/** One order alone is possible: few states can be. */
const isChain = (t: Tables): boolean => {
  let pairs = 0
  for (const before of t.before) for (let rest = before; rest; rest &= rest - 1) pairs++
  return pairs === (t.n * (t.n - 1)) / 2
}

/** What is known of states: one Int32 cell for each of the 3^n that can be, or a few of them by name. */
function memoOf(t: Tables) {
  if (isChain(t)) {
    const known = new Map<number, number>()
    const key = (mask: number, wet: number) => mask * (t.full + 1) + wet
    return {
      get: (mask: number, wet: number) => known.get(key(mask, wet)) ?? -1,
      set: (mask: number, wet: number, cost: number) => known.set(key(mask, wet), cost),
    }
  }
  const weight = Array.from({ length: t.n }, (_, i) => 3 ** i)
  const sum = Int32Array.from({ length: 1 << t.n }, () => 0)
  for (let m = 1; m < 1 << t.n; m++) sum[m] = (sum[m & (m - 1)] ?? 0) + (weight[31 - Math.clz32(m & -m)] ?? 0)
  const cells = new Int32Array(3 ** t.n).fill(-1)
  const cell = (mask: number, wet: number) => (sum[mask] ?? 0) + (sum[wet] ?? 0)
  return {
    get: (mask: number, wet: number) => cells[cell(mask, wet)] ?? 0,
    set: (mask: number, wet: number, cost: number) => {
      cells[cell(mask, wet)] = cost
    },
  }
}

/** Memoised recursion over (printed, wet): the steps of `steps`, without a list of them, since this is where a search spends its time. */
export function relax(t: Tables): Relaxed {
  const memo = memoOf(t)
  const smoothing = t.smoothing === 0 ? -1 : 31 - Math.clz32(t.smoothing)
  const cost = (mask: number, wet: number): number => {
    if (mask === t.full) return 0
    const known = memo.get(mask, wet)
    if (known >= 0) return known
    let best: number = FORBIDDEN
    for (let j = 0; j < t.n; j++) {
      if (mask & (1 << j) || j === smoothing) continue
      const step = printCost(t, j, mask, wet)
      if (step >= best) continue
      const next = mask | (1 << j)
      best = Math.min(best, step + cost(next, compactWet(t, next, wet | (1 << j))))
    }
    if (COST.flash < best && flashAllowed(t, mask)) {
      if (wet) best = Math.min(best, COST.flash + cost(mask, 0))
      if (smoothingDue(t, mask)) best = Math.min(best, COST.flash + cost(mask | t.smoothing, 0))
    }
    memo.set(mask, wet, best)
    return best
  }
  return cost
}

/** An order of events and what it costs. */
export interface Ordered {
  readonly cost: number
  readonly events: readonly Event[]
  /** How much cheaper another might be, where the search was given up; none where it is proven the cheapest. */
  readonly gap?: number
}

interface Node extends State {
  readonly mask: number
  readonly wet: number
  readonly dried: Mark
  readonly cost: number
  readonly events: readonly Event[]
}

/**
 * The cheapest orders where stations do not matter, cheapest first; they differ in what is dried before what. Ties go to
 * the hit listed first.
 */
export function orders(t: Tables, relaxed: Relaxed, wanted: number): readonly Ordered[] {
  const node = (n: Pick<Node, 'mask' | 'wet' | 'dried' | 'cost' | 'events'>): Node | undefined => {
    const rest = relaxed(n.mask, n.wet)
    if (rest >= FORBIDDEN) return undefined
    const { mask, wet } = n
    return {
      ...n,
      key: mask * (t.full + 1) + wet,
      mark: markNumber(n.dried),
      bound: n.cost + rest,
      depth: n.events.length,
      done: mask === t.full,
    }
  }
  const start = node({ mask: 0, wet: 0, dried: NO_MARK, cost: 0, events: [] })
  const next = ({ mask, wet, dried, cost, events }: Node) =>
    steps(t, mask, wet).flatMap((s): Node[] => {
      const print = s.events.find((e) => e.kind === 'print')
      const flashed = s.events.some((e) => e.kind === 'flash') ? 0 : wet
      const on = node({
        mask: s.mask,
        wet: s.wet,
        dried: print ? driedBefore(t, mask, flashed, print.hit, dried) : dried,
        cost: cost + s.cost,
        events: [...events, ...s.events],
      })
      return on ? [on] : []
    })
  const { ways, floor } = cheapest(start, next, wanted)
  return ways.map((way) => ({ cost: way.cost, events: way.events, ...gapOf(way.bound, floor) }))
}

/** What is not proven of a way, if anything. */
export const gapOf = (bound: number, floor: number | undefined): { readonly gap?: number } =>
  floor === undefined ? {} : { gap: Math.max(0, bound - floor) }
