import { type DayFacts, type DayScreen, type Promised, screensKey } from '@/core/days'
import { customerKey, splitOrder } from '@/core/order'
import type { InkNeedLine, ScreenJob } from '@/core/plan'
import { customersNamed } from '@/store/customers'
import type { Database } from '@/store/database'
import { loadOrder } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { promised, summaryOf } from '../planning'
import { readFacts } from '../runs/readRun'
import { chosenFor, daysAhead, shortInks } from './ahead'

const bare = ({ screens }: ScreenJob): readonly DayScreen[] =>
  screens.map(({ mesh }) => ({ mesh, left: undefined }))

/**
 * By when an order can be promised among all that is planned; accepted or not.
 *
 * @returns 'no order', or 'no place' where nothing of it can be planned
 */
export async function promiseFor(
  db: Database,
  orderId: string,
  at: Date,
): Promise<Promised | 'no order' | 'no place'> {
  const stored = await loadOrder(db, orderId)
  if (!stored || stored.deletedAt !== undefined) return 'no order'
  const { asked, kept, needs } = await daysAhead(db, at)
  const customers = await customersNamed(db, [stored.order.customer])
  const leadDays = customers.get(customerKey(stored.order.customer))?.leadDays
  const runs: DayFacts[] = []
  const inks: InkNeedLine[] = []
  const screens: Record<string, readonly DayScreen[]> = {}
  for (const run of splitOrder(stored.order)) {
    const facts = await readFacts(db, run.id)
    const summary = facts && (await summaryOf(facts))
    const { day, job } = summary ?? {}
    if (!summary || !day || !job) return 'no place'
    inks.push(...summary.inks)
    runs.push({ ...chosenFor(day, kept), ...(leadDays !== undefined && { leadDays }) })
    // What is there of its screens already is known of orders that are accepted.
    screens[screensKey(day)] = asked.screens[screensKey(day)] ?? bare(job)
  }
  if (runs.length === 0) return 'no place'
  const others = asked.runs.filter((r) => r.orderId !== orderId)
  const { inkRoom } = (await loadShop(db)).shelf.shop
  // Orders that are accepted have their inks first.
  const before = needs.filter((n) => n.orderId !== orderId)
  const all = {
    ...asked,
    runs: [...others, ...runs],
    screens: { ...asked.screens, ...screens },
    inkShort: await shortInks(db, [...before, ...inks], inkRoom),
  }
  return (await promised(all, kept, orderId)) ?? 'no place'
}
