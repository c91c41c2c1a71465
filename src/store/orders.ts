import { group } from 'd3-array'
import { format } from 'date-fns'
import { type Kysely, sql } from 'kysely'
import {
  isReady,
  type Order,
  type OrderState,
  type Progress,
  type Said,
  saidAlso,
  stateBefore,
  WHITE_LOOKS,
  type WhiteLook,
} from '@/core/order'
import { isDay } from '@/core/quantity'
import type { Database } from './database'
import { forgetNotesOfNone } from './notes'
import { inOne, type Saved } from './once'
import { lineOf, mendInto, placementOf, writeParts } from './orderRows'
import type { Tables } from './schema'

/** An order with the version it was read at. */
export interface StoredOrder {
  readonly order: Order
  readonly version: number
  /** ISO time when it was deleted, if it was. */
  readonly deletedAt?: string
  readonly state?: OrderState
  /** What was said of how far it is, and when. */
  readonly said?: Said
  /** ISO time since when it is gone, if it is. */
  readonly endedAt?: string
  /** What is stored of it and cannot be, a sentence each; something else stands in for it. */
  readonly wrong?: readonly string[]
}

/** These orders, or all that are not deleted (`live`), or really all, complete, by due date. */
export async function loadOrders(
  db: Database,
  which: readonly string[] | 'live' | 'every' = 'live',
): Promise<readonly StoredOrder[]> {
  const ids = typeof which === 'string' ? undefined : which
  if (ids?.length === 0) return []
  const of = <T extends 'garment_line' | 'size_quantity' | 'placement' | 'placement_ink' | 'ink_relation'>(
    table: T,
  ) => {
    const query = db
      .selectFrom(table as 'placement')
      .selectAll()
      .orderBy('place')
    return (ids === undefined ? query : query.where('order_id', 'in', ids)).execute() as unknown as Promise<
      Tables[T][]
    >
  }
  const heads = db.selectFrom('customer_order').selectAll().orderBy('due').orderBy('id')
  const said = db.selectFrom('order_said').selectAll()
  const [orders, lines, sizes, placements, inks, relations, marks] = await Promise.all([
    (ids
      ? heads.where('id', 'in', ids)
      : which === 'every'
        ? heads
        : heads.where('deleted_at', 'is', null)
    ).execute(),
    of('garment_line'),
    of('size_quantity'),
    of('placement'),
    of('placement_ink'),
    of('ink_relation'),
    (ids ? said.where('order_id', 'in', ids) : said).execute(),
  ])
  const by = <T extends { order_id: string }>(rows: readonly T[]) => group(rows, (r) => r.order_id)
  const [marksBy, linesBy, sizesBy, placementsBy, inksBy, relationsBy] = [
    by(marks),
    by(lines),
    by(sizes),
    by(placements),
    by(inks),
    by(relations),
  ]
  return orders.map(
    ({
      version,
      deleted_at,
      state,
      ended_at,
      id,
      customer,
      title,
      due,
      notes,
      white_look,
      reorder_of,
      pvc_free,
      garments_on,
    }) => {
      const wrong = isDay(due) ? [] : [`Due on ${due || 'no day'}: there is no such day.`]
      const mend = mendInto(wrong)
      const look = mend<WhiteLook>(
        white_look,
        (x) => Object.hasOwn(WHITE_LOOKS, x),
        'bright',
        'The look of white',
      )
      const order: Order = {
        id,
        customer,
        title,
        due,
        notes,
        ...(look === 'bright' ? {} : { whiteLook: look }),
        ...(reorder_of !== null && { reorderOf: reorder_of }),
        ...(pvc_free === 1 && { pvcFree: true }),
        ...(garments_on !== null && isDay(garments_on) && { garmentsOn: garments_on }),
        lines: (linesBy.get(id) ?? []).map((l) => lineOf(l, sizesBy.get(id) ?? [], mend)),
        placements: (placementsBy.get(id) ?? []).map((p) =>
          placementOf(p, inksBy.get(id) ?? [], relationsBy.get(id) ?? [], mend),
        ),
      }
      const said = marksBy.get(id)
      return {
        version,
        state,
        ...(said && { said: Object.fromEntries(said.map((m) => [m.mark, m.at])) }),
        ...(deleted_at === null ? {} : { deletedAt: deleted_at }),
        ...(ended_at === null ? {} : { endedAt: ended_at }),
        ...(wrong.length === 0 ? {} : { wrong }),
        order,
      }
    },
  )
}

export const loadOrder = async (db: Database, id: string): Promise<StoredOrder | undefined> =>
  (await loadOrders(db, [id]))[0]

/** Every order that is not deleted, or really every one, read a few at a time so that others have their turn. */
export async function* everyOrder(
  db: Database,
  which: 'live' | 'every' = 'live',
): AsyncGenerator<StoredOrder> {
  const limit = 50
  for (let after: readonly [string, string] = ['', '']; ; ) {
    const { rows } = await sql<{ id: string; due: string }>`
      SELECT id, due FROM customer_order WHERE (due, id) > (${after[0]}, ${after[1]})
      AND ${which === 'live' ? sql`deleted_at IS NULL` : sql`1`} ORDER BY due, id LIMIT ${limit}`.execute(db)
    yield* await loadOrders(
      db,
      rows.map((r) => r.id),
    )
    const last = rows.at(-1)
    if (!last) return
    after = [last.due, last.id]
    await new Promise((resume) => setImmediate(resume))
  }
}

/** Every order number there is, those of deleted orders too. */
export const orderIds = async (db: Database): Promise<readonly string[]> =>
  (await db.selectFrom('customer_order').select('id').execute()).map((r) => r.id)

/** The next free order number. */
export async function nextOrderId(db: Database): Promise<string> {
  const { last } = await db
    .selectFrom('customer_order')
    .select(sql<number | null>`max(cast(substr(id, 3) AS INTEGER))`.as('last'))
    .executeTakeFirstOrThrow()
  return `O-${Math.max(1000, last ?? 0) + 1}`
}

/** Adds a new order at version 1. */
export async function addOrder(db: Database, order: Order): Promise<void> {
  await inOne(db, (tx) => insertOrder(tx, { order, version: 1 }))
}

/** Adds orders, all or none. Lets others have a turn now and then: it may be thousands. */
export async function addOrders(db: Database, orders: readonly Order[]): Promise<void> {
  await inOne(db, async (tx) => {
    for (const [i, order] of orders.entries()) {
      await insertOrder(tx, { order, version: 1 })
      if (i % 50 === 49) await new Promise((resume) => setImmediate(resume))
    }
  })
}

export async function insertOrder(tx: Kysely<Tables>, stored: StoredOrder): Promise<void> {
  const {
    id,
    customer,
    title,
    due,
    notes,
    whiteLook = 'bright',
    reorderOf,
    pvcFree,
    garmentsOn,
  } = stored.order
  const { version, deletedAt, state = 'open', endedAt, said = {} } = stored
  await tx
    .insertInto('customer_order')
    .values({
      ...{ id, customer, title, due, notes, version, state },
      ...{ white_look: whiteLook, reorder_of: reorderOf ?? null, pvc_free: Number(pvcFree ?? false) },
      garments_on: garmentsOn ?? null,
      ...{ ended_at: endedAt ?? null, deleted_at: deletedAt ?? null },
    })
    .execute()
  await writeSaid(tx, id, said)
  await writeParts(tx, stored.order)
}

async function writeSaid(tx: Kysely<Tables>, order_id: string, said: Said): Promise<void> {
  await tx.deleteFrom('order_said').where('order_id', '=', order_id).execute()
  const rows = Object.entries(said).map(([mark, at]) => ({ order_id, mark: mark as Progress, at }))
  if (rows.length > 0) await tx.insertInto('order_said').values(rows).execute()
}

/** Replaces an order if it is still at `version`; a stale write changes nothing and returns what is there. */
export async function saveOrder(db: Database, order: Order, version: number): Promise<Saved<StoredOrder>> {
  const done = await inOne(db, async (tx) => {
    const { id, customer, title, due, notes, whiteLook = 'bright', reorderOf = null } = order
    const { pvcFree, garmentsOn } = order
    const { numUpdatedRows } = await tx
      .updateTable('customer_order')
      .set({
        ...{ customer, title, due, notes, white_look: whiteLook, reorder_of: reorderOf },
        pvc_free: Number(pvcFree ?? false),
        garments_on: garmentsOn ?? null,
        version: version + 1,
      })
      .where('id', '=', id)
      .where('version', '=', version)
      .where('deleted_at', 'is', null)
      .executeTakeFirst()
    if (numUpdatedRows === 0n) return false
    for (const table of ['garment_line', 'placement'] as const)
      await tx.deleteFrom(table).where('order_id', '=', id).execute()
    await writeParts(tx, order)
    return true
  })
  return done ? { ok: true, version: version + 1 } : { ok: false, now: await loadOrder(db, order.id) }
}

/** Deletes an order so that it can be brought back. Says whether it was there. */
export const deleteOrder = async (db: Database, id: string, now: Date): Promise<boolean> =>
  mark(db, id, now.toISOString())

export const bringBackOrder = async (db: Database, id: string): Promise<boolean> => mark(db, id, null)

async function mark(db: Database, id: string, deleted_at: string | null): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('customer_order')
    .set((e) => ({ deleted_at, deleted_days: 0, version: e('version', '+', 1) }))
    .where('id', '=', id)
    .where('deleted_at', deleted_at === null ? 'is not' : 'is', null)
    .executeTakeFirst()
  return numUpdatedRows > 0n
}

/** Says how far an order is, or takes that back. Says whether it was there. */
export async function markOrderAs(
  tx: Kysely<Tables>,
  id: string,
  mark: Progress,
  now: Date,
  is = true,
): Promise<boolean> {
  const at = now.toISOString()
  const rows = await tx.selectFrom('order_said').selectAll().where('order_id', '=', id).execute()
  const said = saidAlso(Object.fromEntries(rows.map((r) => [r.mark, r.at])), mark, is, at)
  const state = isReady(mark) ? undefined : is ? mark : stateBefore(mark)
  const { numUpdatedRows } = await tx
    .updateTable('customer_order')
    .set({
      ...(state ? { state, ended_at: state === 'done' ? at : null } : { state: (e) => e.ref('state') }),
    })
    .where('id', '=', id)
    .where('deleted_at', 'is', null)
    .executeTakeFirst()
  if (numUpdatedRows === 0n) return false
  await writeSaid(tx, id, said)
  return true
}

/** How long a deleted order can be brought back. */
export const DELETED_DAYS = 30

/**
 * Forgets orders that were found deleted on more than thirty days. Days are counted as they come, not reckoned from the
 * clock: one that jumps ahead counts as one day.
 */
export const forgetDeleted = (db: Database, now: Date): Promise<void> =>
  inOne(db, async (tx) => {
    const today = format(now, 'yyyy-MM-dd')
    const last = await tx.selectFrom('tidied').select('on_day').executeTakeFirst()
    if (last?.on_day === today) return
    if (!last) await tx.insertInto('tidied').values({ id: 1, on_day: today }).execute()
    await tx.updateTable('tidied').set({ on_day: today }).execute()
    await tx
      .updateTable('customer_order')
      .set((e) => ({ deleted_days: e('deleted_days', '+', 1) }))
      .where('deleted_at', 'is not', null)
      .execute()
    await tx
      .deleteFrom('customer_order')
      .where('deleted_at', 'is not', null)
      .where('deleted_days', '>', DELETED_DAYS)
      .execute()
    await forgetNotesOfNone(tx)
  })
