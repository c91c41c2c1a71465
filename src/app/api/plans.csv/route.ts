import { splitOrder } from '@/core/order'
import { noDecisions, plan, type RunPlan } from '@/core/plan'
import { plansCsv } from '@/formats'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrders } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { file } from '../answer'

/** The screens of every run that can be planned. */
export async function GET(): Promise<Response> {
  const db = await database()
  const [orders, { shelf }, decisions] = await Promise.all([loadOrders(db), loadShop(db), loadDecisions(db)])
  const ready = shelf.shop.presses.length > 0 ? orders : []
  const runs = ready.flatMap(({ order }) =>
    splitOrder(order)
      .filter((r) => r.placement.inks.length > 0)
      .map((r) => ({ order, id: r.id })),
  )
  const plans: RunPlan[] = []
  for (const [i, { order, id }] of runs.entries()) {
    plans.push(plan(order, shelf.shop, decisions.get(id)?.decisions ?? noDecisions(id)))
    // Others have their turn.
    if (i % 20 === 19) await new Promise((resume) => setImmediate(resume))
  }
  return file(plansCsv(plans), 'text/csv; charset=utf-8', 'plans.csv')
}
