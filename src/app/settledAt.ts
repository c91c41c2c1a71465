import { MISSING } from './missing'
import { stageOf } from './orders/[id]/stages'
import type { OrderLine, RunLine } from './today'

/** Where the worst open point of a run, or what its order misses, is settled. */
export function settledAt(
  order: Pick<OrderLine, 'id' | 'wrong' | 'missing'>,
  run: Pick<RunLine, 'id' | 'wrong' | 'inks' | 'open'> | undefined,
): string {
  const query = run ? `?run=${run.id}` : ''
  const link = (stage: string) => `/orders/${order.id}/${stage}${query}`
  if (order.wrong || run?.wrong) return link('order')
  if (run === undefined) return link(order.missing ? MISSING[order.missing].stage : 'order')
  if (run.inks.length === 0) return link('art')
  const [worst] = run.open
  return link(worst ? stageOf(worst) : 'run')
}
