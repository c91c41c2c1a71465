import type { RunPlan } from '@/core/plan'

/** What every stage that shows a plan gets. */
export interface PlanProps {
  readonly plan: RunPlan
}
