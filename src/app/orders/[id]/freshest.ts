import { advicesIn } from '@/core/advice'
import type { RunPlan } from '@/core/plan'
import type { Shown } from '@/ui/answer'

/** What should be read before the run: it opens by itself. */
export const hasOpen = (plan: RunPlan | undefined) =>
  plan?.warnings.some((w) => w.severity !== 'Note') ?? false

/** After a change the panel explains the value as it is now. */
export const freshest = (shown: Shown | undefined, plan: RunPlan | undefined): Shown | undefined =>
  !shown || shown.kind === 'event' || shown.kind === 'open'
    ? shown
    : (advicesIn(plan).find((a) => a.key === shown.key) ?? shown)
