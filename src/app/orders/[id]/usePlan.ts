'use client'

import same from 'fast-deep-equal'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { Dryer, FlashUnit, Shop } from '@/core/equipment'
import type { Lap } from '@/core/heat'
import type { Order } from '@/core/order'
import {
  type CureHeat,
  type Decisions,
  type HeatTried,
  type LapTrace,
  type Move,
  type PanelCure,
  type RunHeat,
  type RunPlan,
  runOf,
  type Tried,
  type Way,
} from '@/core/plan'
import type { Variants } from '@/workers/planner'
import { planner } from '../../planner'
import { useOrder } from './orderContext'

/**
 * The newest answer to a question that changes; while it is worked out the last one stays, older ones are dropped.
 *
 * @param known the answer where there is nothing to ask
 * @param begin what is shown until there is one
 */
function useLatest<T>(ask: (() => Promise<T>) | undefined, known?: T, begin = known): T | undefined {
  const asked = useRef(0)
  const [answer, setAnswer] = useState(begin)
  useEffect(() => {
    const number = ++asked.current
    if (!ask) return setAnswer(known)
    void ask().then((found) => {
      if (asked.current === number) setAnswer(found)
    })
  }, [ask, known])
  return answer
}

/** A plan that the server sent along, and what it follows from. */
export interface KnownPlan {
  readonly plan: RunPlan
  readonly order: Order
  readonly decisions: Decisions
  /** It is of then, ISO, and today's is not there yet. */
  readonly asOf?: string
}

/**
 * The plan of a run, computed off the interface thread.
 *
 * @param sent the plan as it came with the page: nothing is computed again until something changes
 */
export function usePlan(
  order: Order,
  shop: Shop,
  decisions: Decisions | undefined,
  sent: KnownPlan | undefined,
): RunPlan | undefined {
  // What is typed and not saved yet outlives a page: then the plan that was sent is not of what is shown.
  const [first] = useState(() =>
    sent && !sent.asOf && same(order, sent.order) && same(decisions, sent.decisions)
      ? { order, shop, decisions }
      : undefined,
  )
  const known =
    first && order === first.order && shop === first.shop && decisions === first.decisions
      ? sent?.plan
      : undefined
  const [begin] = useState(sent?.plan)
  const ask = useMemo(() => {
    if (known) return undefined
    const run = decisions && runOf(order, decisions.runId)
    if (!decisions || !run || run.placement.inks.length === 0 || shop.presses.length === 0) return undefined
    return () => planner().plan(order, shop, decisions)
  }, [order, shop, decisions, known])
  const plan = useLatest(ask, known, begin)
  return plan?.run.id === decisions?.runId ? plan : undefined
}

/** Other ways to print the run, computed off the interface thread. */
export function useWays(
  order: Order,
  shop: Shop,
  decisions: Decisions | undefined,
  now: RunPlan,
): readonly Way[] | undefined {
  const ask = useMemo(
    () => decisions && (() => planner().waysOf({ order, shop, decisions, now })),
    [order, shop, decisions, now],
  )
  return useLatest(ask)
}

/** What would follow from putting a screen at each place; nothing while none is carried. */
export function useMoves(
  order: Order,
  shop: Shop,
  decisions: Decisions | undefined,
  now: RunPlan,
  hitId: string | undefined,
): readonly Move[] | undefined {
  const ask = useMemo(
    () =>
      decisions && hitId !== undefined
        ? () => planner().movesOf(order, shop, decisions, now, hitId)
        : undefined,
    [order, shop, decisions, now, hitId],
  )
  return useLatest(ask)
}

/** Other ways to do the whole job, computed off the interface thread. */
export function useVariants(
  order: Order,
  shop: Shop,
  decisions: Decisions | undefined,
  now: RunPlan,
): Variants | undefined {
  const ask = useMemo(
    () => decisions && (() => planner().variants({ order, shop, decisions, now })),
    [order, shop, decisions, now],
  )
  return useLatest(ask)
}

/** Heat along the run, computed off the interface thread. */
export function useHeat(plan: RunPlan): RunHeat | undefined {
  const ask = useMemo(() => () => planner().heatOf(plan), [plan])
  return useLatest(ask)
}

/** Heat along the run with what is tried, computed off the interface thread; nothing while nothing is tried. */
export function useTried(now: RunHeat, tried: Tried | undefined): HeatTried | undefined {
  const { order, shelf, decisions } = useOrder()
  const { shop } = shelf
  const ask = useMemo(
    () => (decisions && tried ? () => planner().heatTried(order, shop, decisions, now, tried) : undefined),
    [order, shop, decisions, now, tried],
  )
  return useLatest(ask)
}

/** What a garment goes through on its lap. */
export function useLapTrace(heat: RunHeat | undefined, lap: Lap | undefined): LapTrace | undefined {
  const ask = useMemo(
    () => (heat && lap ? () => planner().lapTrace(heat.round, lap) : undefined),
    [heat, lap],
  )
  return useLatest(ask)
}

/** What curing under the panel of the press does to the print. */
export function usePanelCure(plan: RunPlan, flashes: readonly FlashUnit[]): PanelCure | undefined {
  const ask = useMemo(() => () => planner().panelCure(plan, flashes), [plan, flashes])
  return useLatest(ask)
}

/** What the dryer does to the print at the planned belt speed. */
export function useCure(plan: RunPlan, dryers: readonly Dryer[]): CureHeat | undefined {
  const ask = useMemo(() => () => planner().cureHeat(plan, dryers), [plan, dryers])
  return useLatest(ask)
}
