import type { Database } from './database'

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
