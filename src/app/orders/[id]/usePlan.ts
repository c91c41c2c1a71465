'use client'

import { type Remote, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { Shop } from '@/core/equipment'
import type { Order } from '@/core/order'
import { type Decisions, type RunPlan, runOf } from '@/core/plan'
import type { Planner } from '@/workers/planner'

/**
 * The plan of a run, computed off the interface thread. While a newer one is computed the last one stays; answers to
 * older questions are dropped.
 */
export function usePlan(order: Order, shop: Shop, decisions: Decisions | undefined): RunPlan | undefined {
  const planner = useRef<Remote<Planner>>(undefined)
  const asked = useRef(0)
  const [plan, setPlan] = useState<RunPlan>()
  useEffect(() => {
    const worker = new Worker(new URL('../../../workers/planner.ts', import.meta.url), { type: 'module' })
    planner.current = wrap<Planner>(worker)
    return () => worker.terminate()
  }, [])
  useEffect(() => {
    const number = ++asked.current
    const run = decisions && runOf(order, decisions.runId)
    if (!decisions || !run || run.placement.inks.length === 0 || shop.presses.length === 0) {
      setPlan(undefined)
      return
    }
    void planner.current?.plan(order, shop, decisions).then((found) => {
      if (asked.current === number) setPlan(found)
    })
  }, [order, shop, decisions])
  return plan?.run.id === decisions?.runId ? plan : undefined
}
