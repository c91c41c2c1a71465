import type { RunPlan } from '@/core/plan'
import type { Database } from '@/store/database'
import { planRun } from './planning'
import { readFacts } from './runs/readRun'

/**
 * A page waits so long for a plan, milliseconds; after that it computes its own. Where there is none of before to show
 * meanwhile it waits longer: the hardest that was found takes two seconds.
 */
const PATIENCE = 300
const FIRST = 3000
const KEPT = 60

/** A plan that a page begins with; one of before says of when, ISO. */
export interface PlanSoon {
  readonly plan: RunPlan
  readonly asOf?: string
}

/** Plans of runs that were looked at last, by the data they follow from; and the newest that was ready of each run. */
const plans = new Map<string, Promise<RunPlan | undefined>>()
const newest = new Map<string, Required<PlanSoon>>()

function keep<V>(map: Map<string, V>, key: string, value: V): void {
  map.delete(key)
  map.set(key, value)
  const [oldest] = map.keys()
  if (map.size > KEPT && oldest !== undefined) map.delete(oldest)
}

/**
 * The plan of a run for a page that shows it: what is known, what comes soon, or else what it was before.
 *
 * @param stamp changes whenever anything was saved
 * @returns undefined when there is nothing to plan, or it takes too long and was never planned
 */
export async function plannedSoon(
  db: Database,
  runId: string,
  stamp: string,
  plan: typeof planRun = planRun,
): Promise<PlanSoon | undefined> {
  const key = `${runId} ${stamp}`
  let found = plans.get(key)
  if (!found) {
    found = readFacts(db, runId).then((facts) => facts && plan(facts))
    found.then(
      (ready) => ready && keep(newest, runId, { plan: ready, asOf: new Date().toISOString() }),
      // What failed is tried again by the page itself, which says why.
      () => plans.delete(key),
    )
    keep(plans, key, found)
  }
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<PlanSoon | undefined>((resolve) => {
    timer = setTimeout(() => resolve(newest.get(runId)), newest.has(runId) ? PATIENCE : FIRST)
  })
  const soon = found.then(
    (ready) => ready && { plan: ready },
    () => newest.get(runId),
  )
  return Promise.race([soon, late]).finally(() => clearTimeout(timer))
}
