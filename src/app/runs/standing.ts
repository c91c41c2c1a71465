import { type PlanChange, planChanges } from '@/core/plan'
import type { Revision } from '@/store/revisions'
import type { RunRead } from './readRun'

/**
 * Whether a released revision is what to work from: another came after it, the plan says otherwise by now, the order makes
 * no such run any more, or it stands.
 */
export type Standing =
  | { readonly is: 'good' }
  | { readonly is: 'gone' }
  | { readonly is: 'outOfDate'; readonly last: number; readonly changes: readonly PlanChange[] }
  | { readonly is: 'changed'; readonly changes: readonly PlanChange[] }

export function standingOf({ now, revisions }: RunRead, revision: Revision): Standing {
  const last = revisions.at(-1)
  if (last && last.number > revision.number)
    return { is: 'outOfDate', last: last.number, changes: planChanges(revision.plan, last.plan) }
  if (!now) return { is: 'gone' }
  const changes = planChanges(revision.plan, now.plan)
  return changes.length > 0 ? { is: 'changed', changes } : { is: 'good' }
}
