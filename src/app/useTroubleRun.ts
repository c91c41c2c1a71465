import { useEffect, useState } from 'react'
import type { RunPlan, TroubleRun } from '@/core/plan'
import { onNoPlanner, planner } from './planner'

/** What the models say, or that they cannot be had. */
type Answer = TroubleRun | { readonly heat: undefined; readonly sides: 'away' }
/** The line may be back, ms. */
const AGAIN = 15_000

/**
 * What the models say of a run's troubles, worked out beside the page, so that it is there when the line is not.
 *
 * @param isWanted not while nobody has told a trouble: it takes as long as a few plans, and plans are waited for
 */
export function useTroubleRun(plan: RunPlan, isWanted = true): Answer | undefined {
  const [answer, setAnswer] = useState<Answer>()
  useEffect(() => {
    if (!isWanted) return
    let current = true
    let again: ReturnType<typeof setTimeout> | undefined
    const ask = () =>
      void planner()
        .troubleRun(plan)
        .then((found) => {
          if (current) setAnswer(found)
        })
    const forget = onNoPlanner(() => {
      setAnswer({ heat: undefined, sides: 'away' })
      again = setTimeout(ask, AGAIN)
    })
    ask()
    return () => {
      current = false
      forget()
      clearTimeout(again)
    }
  }, [plan, isWanted])
  return answer
}
