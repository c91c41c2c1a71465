import type { Reason } from '@/core/advice'
import { MISSING, type Missing } from './missing'
import { stageOf } from './orders/[id]/stages'

/** Where the worst open point of a run, or what its order misses, is settled. */
export function settledAt(
  order: { readonly id: string; readonly wrong: string; readonly missing: Missing | undefined },
  run:
    | {
        readonly id: string
        readonly wrong?: string | undefined
        readonly inks: readonly unknown[]
        readonly open: readonly Pick<Reason, 'rule' | 'inputs'>[]
      }
    | undefined,
): string {
  const query = run ? `?run=${run.id}` : ''
  const link = (stage: string) => `/orders/${order.id}/${stage}${query}`
  if (order.wrong || run?.wrong) return link('order')
  if (run === undefined) return link(order.missing ? MISSING[order.missing].stage : 'order')
  if (run.inks.length === 0) return link('art')
  const [worst] = run.open
  return link(worst ? stageOf(worst) : 'run')
}
