import type { Kysely } from 'kysely'
import type { Database } from './database'
import type { Tables } from './schema'

/** Runs whose number holds the text, of orders that are not deleted. */
export async function runsNamed(
  db: Database,
  text: string,
  limit: number,
): Promise<readonly { readonly id: string; readonly orderId: string; readonly customer: string }[]> {
  const rows = await db
    .selectFrom('run')
    .innerJoin('customer_order', 'customer_order.id', 'run.order_id')
    .select(['run.id', 'run.order_id as orderId', 'customer_order.customer'])
    .where('run.id', 'like', `%${text}%`)
    .where('customer_order.deleted_at', 'is', null)
    .orderBy('run.id')
    .limit(limit)
    .execute()
  return rows
}

/** The orders that these runs are of, each once. */
export async function ordersOfRuns(
  db: Kysely<Tables>,
  runIds: readonly string[],
): Promise<readonly string[]> {
  if (runIds.length === 0) return []
  const rows = await db.selectFrom('run').select('order_id').distinct().where('id', 'in', runIds).execute()
  return rows.map((r) => r.order_id)
}
