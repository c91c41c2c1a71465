import { group } from 'd3-array'
import { subDays } from 'date-fns'
import { sql, type Transaction } from 'kysely'
import type { ArtRelation, GarmentLine, InkColour, Order, Placement, Weave } from '@/core/order'
import { splitOrder } from '@/core/order'
import type { Database } from './database'
import type { Tables } from './schema'

/** An order with the version it was read at. */
export interface StoredOrder {
  readonly order: Order
  readonly version: number
  /** ISO time when it was deleted, if it was. */
  readonly deletedAt?: string
}

/** Which orders a list shows. */
export interface OrderQuery {
  /** Part of a customer, job or number; empty finds all. */
  readonly text: string
  readonly deleted: boolean
  /** Only orders without a customer. */
  readonly nameless?: boolean
  readonly offset: number
  readonly limit: number
}

/** A write that came too late carries what is there now. */
export type Saved =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly now: StoredOrder | undefined }

/** The orders a list shows, by due date, and how many there are in all. */
export async function findOrders(
  db: Database,
  { text, deleted, nameless, offset, limit }: OrderQuery,
): Promise<{ readonly ids: readonly string[]; readonly total: number }> {
  const like = `%${text.replace(/[\\%_]/g, '\\$&')}%`
  const all = db.selectFrom('customer_order').where('deleted_at', deleted ? 'is not' : 'is', null)
  const base = nameless ? all.where('customer', '=', '') : all
  const found = text
    ? base.where(
        sql<boolean>`(customer LIKE ${like} ESCAPE '\\' OR title LIKE ${like} ESCAPE '\\' OR id LIKE ${like} ESCAPE '\\')`,
      )
    : base
  const [rows, { total }] = await Promise.all([
    found.select('id').orderBy('due').orderBy('id').limit(limit).offset(offset).execute(),
    found.select((e) => e.fn.countAll<number>().as('total')).executeTakeFirstOrThrow(),
  ])
  return { ids: rows.map((r) => r.id), total: Number(total) }
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
  const [orders, lines, sizes, placements, inks, relations] = await Promise.all([
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
  ])
  const by = <T extends { order_id: string }>(rows: readonly T[]) => group(rows, (r) => r.order_id)
  const [linesBy, sizesBy, placementsBy, inksBy, relationsBy] = [
    by(lines),
    by(sizes),
    by(placements),
    by(inks),
    by(relations),
  ]
  return orders.map(({ version, deleted_at, ...head }) => ({
    version,
    ...(deleted_at === null ? {} : { deletedAt: deleted_at }),
    order: {
      ...head,
      lines: (linesBy.get(head.id) ?? []).map((l) => lineOf(l, sizesBy.get(head.id) ?? [])),
      placements: (placementsBy.get(head.id) ?? []).map((p) =>
        placementOf(p, inksBy.get(head.id) ?? [], relationsBy.get(head.id) ?? []),
      ),
    },
  }))
}

export const loadOrder = async (db: Database, id: string): Promise<StoredOrder | undefined> =>
  (await loadOrders(db, [id]))[0]

const lineOf = (l: Tables['garment_line'], sizes: readonly Tables['size_quantity'][]): GarmentLine => ({
  id: l.id,
  style: l.style,
  cloth: {
    name: l.cloth_name,
    hex: l.hex,
    weave: l.weave as Weave,
    cotton: l.cotton,
    polyester: l.polyester,
    weight: l.weight,
  },
  sizes: sizes.filter((s) => s.line_id === l.id).map(({ size, quantity }) => ({ size, quantity })),
  group: l.cloth_group,
})

const placementOf = (
  p: Tables['placement'],
  inks: readonly Tables['placement_ink'][],
  relations: readonly Tables['ink_relation'][],
): Placement => ({
  id: p.id,
  where: p.location as Placement['where'],
  width: p.width,
  height: p.height,
  sizes: p.sizes as Placement['sizes'],
  inks: inks
    .filter((i) => i.placement_id === p.id)
    .map((i) => ({
      id: i.id,
      name: i.name,
      hex: i.hex,
      character: i.character as InkColour['character'],
      opacity: i.opacity as InkColour['opacity'],
      coverage: i.coverage,
      ...(i.ruling === null ? {} : { ruling: i.ruling }),
      ...(i.angle === null ? {} : { angle: i.angle }),
      ...(i.line === null ? {} : { line: i.line }),
      ...(i.particle === null ? {} : { particle: i.particle }),
      ...(i.deposit === null ? {} : { deposit: i.deposit }),
      system: i.system as InkColour['system'],
      lowCure: i.low_cure === 1,
    })),
  relations: relations
    .filter((r) => r.placement_id === p.id)
    .map((r) => ({
      a: r.a,
      b: r.b,
      how: r.how as ArtRelation['how'],
      ...(r.width === null ? {} : { width: r.width }),
    })),
})

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
  await db.transaction().execute((tx) => insertOrder(tx, { order, version: 1 }))
}

/** Adds orders, all or none. Lets others have a turn now and then: it may be thousands. */
export async function addOrders(db: Database, orders: readonly Order[]): Promise<void> {
  await db.transaction().execute(async (tx) => {
    for (const [i, order] of orders.entries()) {
      await insertOrder(tx, { order, version: 1 })
      if (i % 50 === 49) await new Promise((resume) => setImmediate(resume))
    }
  })
}

export async function insertOrder(tx: Transaction<Tables>, stored: StoredOrder): Promise<void> {
  const { id, customer, title, due, notes } = stored.order
  const { version, deletedAt } = stored
  await tx
    .insertInto('customer_order')
    .values({ id, customer, title, due, notes, version, deleted_at: deletedAt ?? null })
    .execute()
  await writeParts(tx, stored.order)
}

/** Replaces an order if it is still at `version`; a stale write changes nothing and returns what is there. */
export async function saveOrder(db: Database, order: Order, version: number): Promise<Saved> {
  const done = await db.transaction().execute(async (tx) => {
    const { id, customer, title, due, notes } = order
    const { numUpdatedRows } = await tx
      .updateTable('customer_order')
      .set({ customer, title, due, notes, version: version + 1 })
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
    .set((e) => ({ deleted_at, version: e('version', '+', 1) }))
    .where('id', '=', id)
    .where('deleted_at', deleted_at === null ? 'is not' : 'is', null)
    .executeTakeFirst()
  return numUpdatedRows > 0n
}

/** How long a deleted order can be brought back. */
export const DELETED_DAYS = 30

/** Forgets orders deleted more than thirty days ago. */
export async function forgetDeleted(db: Database, now: Date): Promise<void> {
  const before = subDays(now, DELETED_DAYS).toISOString()
  await db.deleteFrom('customer_order').where('deleted_at', '<', before).execute()
}

/** Decisions of a run outlive a change that makes the run disappear for a moment. */
async function writeParts(tx: Transaction<Tables>, order: Order): Promise<void> {
  const order_id = order.id
  for (const [place, { id, style, cloth, sizes, group }] of order.lines.entries()) {
    const { name, ...fabric } = cloth
    await tx
      .insertInto('garment_line')
      .values({ order_id, id, place, style, cloth_name: name, ...fabric, cloth_group: group })
      .execute()
    const rows = sizes.map((s, at) => ({
      order_id,
      line_id: id,
      place: at,
      size: s.size,
      quantity: s.quantity,
    }))
    if (rows.length > 0) await tx.insertInto('size_quantity').values(rows).execute()
  }
  for (const [place, p] of order.placements.entries()) {
    const { id, where, width, height, sizes } = p
    await tx
      .insertInto('placement')
      .values({ order_id, id, place, location: where, width, height, sizes })
      .execute()
    const inks = p.inks.map(({ lowCure, ...i }, at) => ({
      order_id,
      placement_id: id,
      place: at,
      ...i,
      ruling: i.ruling ?? null,
      angle: i.angle ?? null,
      line: i.line ?? null,
      particle: i.particle ?? null,
      deposit: i.deposit ?? null,
      low_cure: Number(lowCure),
    }))
    if (inks.length > 0) await tx.insertInto('placement_ink').values(inks).execute()
    const relations = p.relations.map((r, at) => ({
      order_id,
      placement_id: id,
      place: at,
      ...r,
      width: r.width ?? null,
    }))
    if (relations.length > 0) await tx.insertInto('ink_relation').values(relations).execute()
  }
  const runs = splitOrder(order).map((r) => ({ id: r.id, order_id }))
  if (runs.length > 0)
    await tx
      .insertInto('run')
      .values(runs)
      .onConflict((c) => c.doNothing())
      .execute()
}
