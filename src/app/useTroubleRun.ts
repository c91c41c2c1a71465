import { useEffect, useState } from 'react'
import type { RunPlan, TroubleRun } from '@/core/plan'
import { planner } from './planner'

/**
 * What the models say of a run's troubles, worked out beside the page, so that it is there when the line is not.
 *
 * @param isWanted not while nobody has told a trouble: it takes as long as a few plans, and plans are waited for
 */
export function useTroubleRun(plan: RunPlan, isWanted = true): TroubleRun | undefined {
  const [answer, setAnswer] = useState<TroubleRun>()
  useEffect(() => {
    if (!isWanted) return
    let current = true
    void planner()
      .troubleRun(plan)
      .then((found) => {
        if (current) setAnswer(found)
      })
    return () => {
      current = false
    }
  }, [plan, isWanted])
  return answer
}
