import type { ShopAndShelf } from '@/core/equipment'
import type { Order } from '@/core/order'
import { type Decisions, isUndecided } from '@/core/plan'
import type { Database } from './database'
import { decisionRows, loadDecisions } from './decisions'
import { type InkBook, readInkBook, replaceInkBook } from './inkBook'
import { insertOrder, loadOrders } from './orders'
import { allRevisions, type Revision, revisionRow } from './revisions'
import { loadShop, writeShop } from './shop'

/** Everything a shop keeps in Orvint. */
export interface Archive {
  readonly shelf: ShopAndShelf
  readonly orders: readonly ArchivedOrder[]
  readonly decisions: readonly Decisions[]
  readonly revisions: readonly Revision[]
  /** None in archives from before there was an ink room. */
  readonly inkBook?: InkBook | undefined
}

export interface ArchivedOrder {
  readonly order: Order
  readonly deletedAt?: string
}

/** Reads everything, orders and runs by their numbers. */
export async function readArchive(db: Database): Promise<Archive> {
  const [{ shelf }, orders, decisions, revisions, inkBook] = await Promise.all([
    loadShop(db),
    loadOrders(db, 'every'),
    loadDecisions(db),
    allRevisions(db),
    readInkBook(db),
  ])
  return {
    shelf,
    orders: [...orders]
      .sort((a, b) => a.order.id.localeCompare(b.order.id))
      .map(({ order, deletedAt }) => (deletedAt === undefined ? { order } : { order, deletedAt })),
    decisions: [...decisions.values()]
      .map((d) => d.decisions)
      .filter((d) => !isUndecided(d))
      .sort((a, b) => a.runId.localeCompare(b.runId)),
    revisions,
    inkBook,
  }
}

/** Replaces everything, in one transaction. Versions go on counting, so that whoever still has an old page is told. */
export async function replaceAll(db: Database, archive: Archive): Promise<void> {
  await db.transaction().execute(async (tx) => {
    const { last } = await tx
      .selectFrom('customer_order')
      .select((e) => e.fn.max('version').as('last'))
      .executeTakeFirstOrThrow()
    const shop = await tx.selectFrom('shop').select('version').executeTakeFirst()
    const version = (last ?? 0) + 1
    await tx.deleteFrom('customer_order').execute()
    await writeShop(tx, archive.shelf, (shop?.version ?? 0) + 1)
    for (const stored of archive.orders) await insertOrder(tx, { ...stored, version })
    const known = new Set((await tx.selectFrom('run').select('id').execute()).map((r) => r.id))
    const orderOf = (runId: string) => `O-${/^R-(\d+)-/.exec(runId)?.[1]}`
    const named = [...archive.decisions.map((d) => d.runId), ...archive.revisions.map((r) => r.runId)]
    // Runs that a later change of the order dissolved still carry what was decided and released.
    for (const id of new Set(named))
      if (!known.has(id))
        await tx
          .insertInto('run')
          .values({ id, order_id: orderOf(id) })
          .execute()
    for (const d of archive.decisions)
      await tx
        .insertInto('decision')
        .values([...decisionRows(d)])
        .execute()
    for (const r of archive.revisions) await tx.insertInto('revision').values(revisionRow(r)).execute()
    await tx.updateTable('run').set({ version }).execute()
    await replaceInkBook(tx, archive.inkBook)
  })
}
