import type { RunPlan } from '@/core/plan'
import type { Database } from '@/store/database'
import { planRun } from './planning'
import { readFacts } from './runs/readRun'

/** A page waits so long for a plan, milliseconds; after that it computes its own. */
const PATIENCE = 300
const KEPT = 60

/** Plans of runs that were looked at last, by the data they follow from. */
const plans = new Map<string, Promise<RunPlan>>()

/**
 * The plan of a run for a page that shows it: what is known, or what comes soon.
 *
 * @param stamp changes whenever anything was saved
 * @returns undefined when there is nothing to plan, or it takes too long
 */
export async function plannedSoon(db: Database, runId: string, stamp: string): Promise<RunPlan | undefined> {
  const key = `${runId} ${stamp}`
  let found = plans.get(key)
  if (!found) {
    const facts = await readFacts(db, runId)
    if (!facts) return undefined
    found = planRun(facts)
    // What failed is tried again by the page itself, which says why.
    found.catch(() => plans.delete(key))
    plans.set(key, found)
    const [oldest] = plans.keys()
    if (plans.size > KEPT && oldest !== undefined) plans.delete(oldest)
  }
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), PATIENCE)
  })
  return Promise.race([found.catch(() => undefined), late]).finally(() => clearTimeout(timer))
}
