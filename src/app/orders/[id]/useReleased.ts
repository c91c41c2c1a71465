'use client'

import { useEffect, useMemo, useState } from 'react'
import { type PlanChange, planChanges, type RunPlan } from '@/core/plan'
import type { Revision } from '@/store/revisions'
import { useOrder } from './orderContext'

/** How the plan in hand differs from the last released revision; undefined while that is not known. */
export function useReleased(): readonly PlanChange[] | undefined {
  const { plan, mark } = useOrder()
  const [frozen, setFrozen] = useState<{ readonly code: string; readonly plan: RunPlan }>()
  const code = mark?.code
  useEffect(() => {
    if (!code) return
    let wanted = true
    void fetch(`/api/sheets/${code}`)
      .then((r) => r.json() as Promise<Revision>)
      .then((revision) => wanted && setFrozen({ code, plan: revision.plan }))
      .catch(() => undefined)
    return () => {
      wanted = false
    }
  }, [code])
  return useMemo(
    () => (plan && frozen && frozen.code === code ? planChanges(frozen.plan, plan) : undefined),
    [plan, frozen, code],
  )
}
