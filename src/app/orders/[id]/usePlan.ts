'use client'

import { type Remote, wrap } from 'comlink'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { Shop } from '@/core/equipment'
import type { Order } from '@/core/order'
import { type Decisions, type Move, type RunPlan, runOf, type Way } from '@/core/plan'
import type { Planner, Variants } from '@/workers/planner'

/** The planner is one for the tab; pages come and go. */
let remote: Remote<Planner> | undefined
function planner(): Remote<Planner> {
  remote ??= wrap<Planner>(
    new Worker(new URL('../../../workers/planner.ts', import.meta.url), { type: 'module' }),
  )
  return remote
}

/** The newest answer to a question that changes; while it is worked out the last one stays, older ones are dropped. */
function useLatest<T>(ask: (() => Promise<T>) | undefined, known?: T): T | undefined {
  const asked = useRef(0)
  const [answer, setAnswer] = useState(known)
  useEffect(() => {
    const number = ++asked.current
    if (!ask) return setAnswer(undefined)
    void ask().then((found) => {
      if (asked.current === number) setAnswer(found)
    })
  }, [ask])
  return answer
}

/**
 * The plan of a run, computed off the interface thread.
 *
 * @param known the plan as the server sent it, to begin with
 */
export function usePlan(
  order: Order,
  shop: Shop,
  decisions: Decisions | undefined,
  known: RunPlan | undefined,
): RunPlan | undefined {
  const ask = useMemo(() => {
    const run = decisions && runOf(order, decisions.runId)
    if (!decisions || !run || run.placement.inks.length === 0 || shop.presses.length === 0) return undefined
    return () => planner().plan(order, shop, decisions)
  }, [order, shop, decisions])
  const plan = useLatest(ask, known)
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
