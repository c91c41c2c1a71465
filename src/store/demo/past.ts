import { addDays, format, isWeekend, parseISO } from 'date-fns'
import type { Order } from '@/core/order'
import { splitOrder } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import type { Database } from '../database'
import { insertOrder } from '../orders'
import { takeEvents } from '../pressEvents'
import { release } from '../revisions'
import { demoOrders } from './orders'
import { pastEvents } from './pastDays'
import { DEMO_SHOP } from './shop'

/** Earlier jobs of the same customers: how many times as many pieces, in turn. */
const TIMES = [1, 0.5, 1.5, 0.25, 2, 0.75]
const EIGHT_WEEKS = 56

/** The day, so many working days ago. */
function workingDay(today: string, ago: number): string {
  let day = parseISO(today)
  for (let left = ago; left > 0; ) {
    day = addDays(day, -1)
    if (!isWeekend(day)) left--
  }
  return format(day, 'yyyy-MM-dd')
}

/** An order as it was some time ago: done, with other quantities. */
function earlier(order: Order, id: string, times: number, due: string): Order {
  const lines = order.lines.map((line) => ({
    ...line,
    sizes: line.sizes.map((s) => ({
      ...s,
      quantity: s.quantity > 0 ? Math.max(1, Math.round(s.quantity * times)) : 0,
    })),
  }))
  return { ...order, id, title: `${order.title}, earlier`.slice(0, 80), due, lines }
}

/**
 * Runs of the last eight weeks, as the record has them: released, printed, said at the press. The newest last.
 *
 * @param count runs, at the most
 */
export async function seedPast(db: Database, today: string, count: number): Promise<void> {
  const templates = demoOrders(today)
  let made = 0
  for (let i = 0; made < count && i < 3 * count; i++) {
    const template = templates[i % templates.length]
    if (!template) return
    const ago = Math.max(1, Math.round(((1 - made / count) * EIGHT_WEEKS * 5) / 7))
    const day = workingDay(today, ago)
    const order = earlier(template, `O-${900 + i}`, TIMES[i % TIMES.length] ?? 1, day)
    const begins = parseISO(`${day}T08:00:00`).getTime()
    await insertOrder(db, { order, version: 2, state: 'done', endedAt: new Date(begins).toISOString() })
    let at = begins
    for (const run of splitOrder(order)) {
      if (made >= count || run.quantity === 0 || run.placement.inks.length === 0) continue
      const planned = plan(order, DEMO_SHOP, noDecisions(run.id))
      if (!planned.time) continue
      await db
        .insertInto('run')
        .values({ id: run.id, order_id: order.id })
        .onConflict((c) => c.doNothing())
        .execute()
      await release(db, { order, plan: planned, shopName: DEMO_SHOP.name }, 0, new Date(at - 3_600_000))
      const events = pastEvents(planned, at, 7000 + made)
      await takeEvents(db, run.id, events)
      at = Date.parse(events.at(-1)?.at ?? '') + 900_000
      made++
    }
  }
}
