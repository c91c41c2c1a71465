import { type Kysely, sql } from 'kysely'
import { type Customer, customerKey, isWhiteLook } from '@/core/order'
import type { Database } from './database'
import type { Tables } from './schema'

/** A customer as the list shows them. */
export interface CustomerLine {
  readonly name: string
  readonly orders: number
  /** Orders that are in the house. */
  readonly open: number
  /** Day on which the last order is due. */
  readonly last: string
}

const customerOf = (row: Tables['customer']): Customer => ({
  name: row.name,
  rules: row.rules,
  ...(row.lead_days !== null && { leadDays: row.lead_days }),
  ...(isWhiteLook(row.white_look) && { whiteLook: row.white_look }),
})

/** What is known of these customers, by their key. */
export async function customersNamed(
  db: Kysely<Tables>,
  names: readonly string[],
): Promise<ReadonlyMap<string, Customer>> {
  const keys = [...new Set(names.map(customerKey))]
  if (keys.length === 0) return new Map()
  const rows = await db.selectFrom('customer').selectAll().where('key', 'in', keys).execute()
  return new Map(rows.map((row) => [row.key, customerOf(row)]))
}

/** Everyone that an order was typed for, those of the newest orders first, and how many there are. */
export async function listCustomers(
  db: Database,
  { text, offset, limit }: { readonly text: string; readonly offset: number; readonly limit: number },
): Promise<{ readonly lines: readonly CustomerLine[]; readonly total: number }> {
  const like = `%${text.replace(/[\\%_]/g, '\\$&')}%`
  const { rows } = await sql<CustomerLine & { total: number }>`
    SELECT customer AS name, count(*) AS orders, sum(state <> 'done') AS open, max(due) AS last,
      count(*) OVER () AS total
    FROM customer_order WHERE deleted_at IS NULL AND customer <> '' AND customer LIKE ${like} ESCAPE '\\'
    GROUP BY customer ORDER BY open DESC, last DESC, customer LIMIT ${limit} OFFSET ${offset}`.execute(db)
  return { lines: rows.map(({ total: _, ...line }) => line), total: Number(rows[0]?.total ?? 0) }
}

/** Names that may be meant while one is typed, those of the newest orders first. */
export const customerNames = async (db: Database, most: number): Promise<readonly string[]> =>
  (
    await sql<{ name: string }>`
      SELECT customer AS name FROM customer_order WHERE deleted_at IS NULL AND customer <> ''
      GROUP BY customer ORDER BY max(cast(substr(id, 3) AS INTEGER)) DESC LIMIT ${most}`.execute(db)
  ).rows.map((r) => r.name)

/** Orders of a customer, the newest first: their numbers. */
export const ordersOf = async (
  db: Database,
  name: string,
  most: number,
): Promise<readonly { readonly id: string; readonly title: string; readonly due: string }[]> =>
  db
    .selectFrom('customer_order')
    .select(['id', 'title', 'due'])
    .where('deleted_at', 'is', null)
    .where('customer', '=', name)
    .orderBy('due', 'desc')
    .orderBy('id', 'desc')
    .limit(most)
    .execute()

/** Keeps what is said of a customer; one of whom nothing is said is not kept. */
export async function putCustomer(tx: Kysely<Tables>, customer: Customer): Promise<void> {
  const { name, leadDays, whiteLook, rules } = customer
  await tx.deleteFrom('customer').where('key', '=', customerKey(name)).execute()
  if (leadDays === undefined && whiteLook === undefined && rules === '') return
  await tx
    .insertInto('customer')
    .values({
      ...{ key: customerKey(name), name, rules },
      ...{ lead_days: leadDays ?? null, white_look: whiteLook ?? null },
    })
    .execute()
}

/** Two names are one customer: orders of the one become the other's. @returns how many orders that were */
export async function mergeCustomers(tx: Kysely<Tables>, from: string, to: string): Promise<number> {
  const { numUpdatedRows } = await tx
    .updateTable('customer_order')
    .set((e) => ({ customer: to, version: e('version', '+', 1) }))
    .where('customer', '=', from)
    .executeTakeFirst()
  const known = await customersNamed(tx, [from, to])
  const [old, kept] = [known.get(customerKey(from)), known.get(customerKey(to))]
  if (old && customerKey(from) !== customerKey(to)) {
    await putCustomer(tx, { name: from, rules: '' })
    await putCustomer(tx, {
      ...old,
      ...kept,
      name: to,
      rules: [kept?.rules, old.rules].filter(Boolean).join('. '),
    })
  }
  return Number(numUpdatedRows)
}

export const everyCustomer = async (db: Kysely<Tables>): Promise<readonly Customer[]> =>
  (await db.selectFrom('customer').selectAll().orderBy('key').execute()).map(customerOf)

/** Puts others in place of all of them. */
export async function replaceCustomers(
  tx: Kysely<Tables>,
  customers: readonly Customer[] = [],
): Promise<void> {
  await tx.deleteFrom('customer').execute()
  for (const customer of customers) await putCustomer(tx, customer)
}
