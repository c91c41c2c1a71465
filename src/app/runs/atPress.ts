import { format } from 'date-fns'
import type { Kysely } from 'kysely'
import { isOffPress, splitOrder } from '@/core/order'
import { keptGood, orderOfRun, settingsOf, withPressValues } from '@/core/plan'
import { fold, isUnderWay, type PressEvent, pressValues } from '@/core/record'
import type { Database } from '@/store/database'
import { loadOrders, markOrderAs } from '@/store/orders'
import { eventsAfter, takeEvents } from '@/store/pressEvents'
import { latestNumbers, latestRevisions } from '@/store/revisions'
import type { Tables } from '@/store/schema'
import { loadShop, putPart } from '@/store/shop'

/** The revision to work from: 0 for a run that was planned and never released, undefined for none at all. */
export async function revisionAtPress(db: Database, runId: string): Promise<number | undefined> {
  const released = (await latestNumbers(db, [runId])).get(runId)
  if (released !== undefined) return released
  const orderId = orderOfRun(runId)
  const [order] = orderId === undefined ? [] : await loadOrders(db, [orderId])
  return order && 0
}

/** Takes what was said at the press. A garment that was approved makes its settings the shop's own, as a good sample does. */
export const takeSaid = (
  db: Database,
  runId: string,
  events: readonly PressEvent[],
  now: Date,
): Promise<void> =>
  takeEvents(db, runId, events, async (tx, fresh) => {
    if (fresh.some((e) => e.kind === 'start' || e.kind === 'stop')) await tellOrder(tx, runId, now)
    if (fresh.some((e) => e.kind === 'sample' && e.verdict === 'approved' && e.of === 'garment'))
      await keepGood(tx, runId, now)
  })

/** The first run begun says that the order is printing, the last one ended that it is printed. */
async function tellOrder(tx: Kysely<Tables>, runId: string, now: Date): Promise<void> {
  const [stored] = await loadOrders(tx, [orderOfRun(runId) ?? ''])
  if (!stored || isOffPress(stored.state ?? 'open')) return
  const runs = splitOrder(stored.order)
  const stand = await Promise.all(
    runs.map(async ({ id }) => isUnderWay(fold((await eventsAfter(tx, id, 0)).events).said)),
  )
  if (stand.every((s) => s === 'new')) return
  await markOrderAs(tx, stored.order.id, stand.every((s) => s === 'ended') ? 'printed' : 'printing', now)
}

async function keepGood(tx: Kysely<Tables>, runId: string, now: Date): Promise<void> {
  const revision = (await latestRevisions(tx, [runId])).get(runId)
  if (!revision) return
  const { said } = fold((await eventsAfter(tx, runId, 0)).events)
  const plan = withPressValues(revision.plan, pressValues(said))
  const { shelf } = await loadShop(tx)
  const good = settingsOf(plan, revision.order, format(now, 'yyyy-MM-dd'))
  await putPart(tx, 'approved', { shop: { approved: keptGood(shelf.shop, good).approved } })
}
