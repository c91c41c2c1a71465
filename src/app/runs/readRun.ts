import { type Shop, versionOf } from '@/core/equipment'
import type { Order } from '@/core/order'
import { type Decisions, noDecisions, orderOfRun, runOf } from '@/core/plan'
import type { SheetFacts } from '@/formats/sheet'
import type { Database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrder } from '@/store/orders'
import { type Revision, revisionsOf } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { planRun } from '../planning'

/** A run as it would be planned now, and as it was released. */
export interface RunRead {
  /** None when the order no longer makes this run, or nothing can be planned. */
  readonly now: SheetFacts | undefined
  readonly revisions: readonly Revision[]
}

/** What a run is planned from, with the versions it was read at. */
interface RunFacts {
  readonly order: Order
  readonly shop: Shop
  readonly decisions: Decisions
  readonly versions: { readonly order: number; readonly shop: number; readonly decisions: number }
}

/** What a run is planned from; undefined when its order no longer makes it, or nothing can be planned. */
export async function readFacts(db: Database, runId: string): Promise<RunFacts | undefined> {
  const orderId = orderOfRun(runId)
  if (orderId === undefined) return undefined
  const [stored, { shelf, versions }, decided] = await Promise.all([
    loadOrder(db, orderId),
    loadShop(db),
    loadDecisions(db, [orderId]),
  ])
  const run = stored && stored.deletedAt === undefined ? runOf(stored.order, runId) : undefined
  if (!stored || !run || run.placement.inks.length === 0 || shelf.shop.presses.length === 0) return undefined
  const decisions = decided.get(runId)
  return {
    order: stored.order,
    shop: shelf.shop,
    decisions: decisions?.decisions ?? noDecisions(runId),
    versions: { order: stored.version, shop: versionOf(versions), decisions: decisions?.version ?? 1 },
  }
}

/** Reads a run by its number: `R-1002-P1-dark`. */
export async function readRun(db: Database, runId: string): Promise<RunRead> {
  const [facts, revisions] = await Promise.all([readFacts(db, runId), revisionsOf(db, runId)])
  if (!facts) return { now: undefined, revisions }
  return { now: { order: facts.order, plan: await planRun(facts), shopName: facts.shop.name }, revisions }
}
