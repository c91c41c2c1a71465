import { splitOrder } from '@/core/order'
import { noDecisions } from '@/core/plan'
import { plansCsv } from '@/formats'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { everyOrder } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { planRun } from '../../planning'
import { answered, streamed } from '../answer'

/** The screens of every run that can be planned, planned as they go out. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const db = await database()
    const { shop } = (await loadShop(db)).shelf
    async function* parts() {
      yield plansCsv([])
      if (shop.presses.length === 0) return
      for await (const { order } of everyOrder(db)) {
        const decided = await loadDecisions(db, [order.id])
        for (const { id, placement } of splitOrder(order)) {
          if (placement.inks.length === 0) continue
          const decisions = decided.get(id)?.decisions ?? noDecisions(id)
          const plan = await planRun({ order, shop, decisions }).catch(() => undefined)
          if (plan) yield withoutHead(plansCsv([plan]))
        }
      }
    }
    return streamed(parts(), 'text/csv; charset=utf-8', 'plans.csv')
  })
}

const withoutHead = (csv: string) => csv.slice(csv.indexOf('\n') + 1)
