import { noDecisions, plan, runOf } from '@/core/plan'
import type { SheetFacts } from '@/formats/sheet'
import type { Database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrder } from '@/store/orders'
import { type Revision, revisionsOf } from '@/store/revisions'
import { loadShop } from '@/store/shop'

/** A run as it would be planned now, and as it was released. */
export interface RunRead {
  /** None when the order no longer makes this run, or nothing can be planned. */
  readonly now: SheetFacts | undefined
  readonly revisions: readonly Revision[]
}

/** Reads a run by its number: `R-1002-P1-dark`. */
export async function readRun(db: Database, runId: string): Promise<RunRead> {
  const orderId = `O-${/^R-(\d+)-/.exec(runId)?.[1]}`
  const [stored, { shelf }, decisions, revisions] = await Promise.all([
    loadOrder(db, orderId),
    loadShop(db),
    loadDecisions(db, [orderId]),
    revisionsOf(db, runId),
  ])
  const { shop } = shelf
  const run = stored && stored.deletedAt === undefined ? runOf(stored.order, runId) : undefined
  if (!stored || !run || run.placement.inks.length === 0 || shop.presses.length === 0)
    return { now: undefined, revisions }
  const found = plan(stored.order, shop, decisions.get(runId)?.decisions ?? noDecisions(runId))
  return { now: { order: stored.order, plan: found, shopName: shop.name }, revisions }
}
