import { addDays, format } from 'date-fns'
import type { Order } from '../src/core/order'
import { demoOrders } from '../src/store/demo'

/** Prints of each order; with one cloth group each is a run. */
export const RUNS_EACH = 5

/** Orders as a busy shop has them over the years: the demo's garments and art, five prints each. */
export function manyOrders(count: number, today: Date): readonly Order[] {
  const models = demoOrders(format(today, 'yyyy-MM-dd'))
  return Array.from({ length: count }, (_, i): Order => {
    const model = models[i % models.length]
    const [line] = model?.lines ?? []
    const [print] = model?.placements ?? []
    if (!model || !line || !print) throw new Error('the demo has no orders')
    return {
      ...model,
      id: `O-${2000 + i}`,
      customer: `${model.customer} ${i}`,
      due: format(addDays(today, (i % 400) - 40), 'yyyy-MM-dd'),
      lines: [line],
      placements: Array.from({ length: RUNS_EACH }, (_, p) => ({
        ...print,
        id: `P${p + 1}`,
        sizes: 'all' as const,
      })),
    }
  })
}
