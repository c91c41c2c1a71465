import { ENTRY_KINDS, type Entry, type PastBatch } from '@/core/ink'
import type { Database } from '../database'
import { drawdownOf } from './batches'
import { tidy } from './ledger'

/** The ledger, newest first. */
export async function ledger(db: Database, limit: number): Promise<readonly Entry[]> {
  const rows = await db.selectFrom('stock_entry').selectAll().orderBy('id', 'desc').limit(limit).execute()
  return rows.map(({ batch_id, corrects, code, ...e }) => ({
    ...e,
    batchId: batch_id,
    corrects: corrects ?? undefined,
    code: code ?? undefined,
  }))
}

/** Lots that went into batches, as `W1 L7`, by batch. */
export async function lotsOf(
  db: Database,
  batchIds: readonly string[],
): Promise<ReadonlyMap<string, readonly string[]>> {
  const rows = await db
    .selectFrom('stock_entry')
    .innerJoin('can', 'can.id', 'stock_entry.tub')
    .select([
      'stock_entry.batch_id',
      'can.code',
      'can.lot',
      (e) => e.fn.sum<number>('stock_entry.mass').as('mass'),
    ])
    .where('stock_entry.batch_id', 'in', batchIds)
    .groupBy(['stock_entry.batch_id', 'can.code', 'can.lot'])
    .orderBy('can.code')
    .execute()
  const lots = new Map<string, string[]>()
  for (const r of rows.filter((row) => row.mass < 0))
    lots.set(r.batch_id, [...(lots.get(r.batch_id) ?? []), `${r.code} ${r.lot}`])
  return lots
}

/** What was mixed, newest first, gone or not. */
export async function pastBatches(db: Database, limit: number): Promise<readonly PastBatch[]> {
  const rows = await db.selectFrom('batch').selectAll().orderBy('id', 'desc').limit(limit).execute()
  const ids = rows.map((b) => b.id)
  const [sums, accepted, lots] = await Promise.all([
    db
      .selectFrom('stock_entry')
      .select(['tub', 'kind', (e) => e.fn.sum<number>('mass').as('mass')])
      .where('tub', 'in', ids)
      .groupBy(['tub', 'kind'])
      .execute(),
    db
      .selectFrom('drawdown')
      .selectAll()
      .where('batch_id', 'in', ids)
      .where('verdict', '=', 'accepted')
      .orderBy('id')
      .execute(),
    lotsOf(db, ids),
  ])
  const last = new Map(accepted.map((d) => [d.batch_id, drawdownOf(d)]))
  return rows.map(({ id, name, system, l, a, b, run_id, begun, state }) => {
    const of = (kinds: readonly string[]) =>
      tidy(sums.filter((s) => s.tub === id && kinds.includes(s.kind)).reduce((sum, s) => sum + s.mass, 0))
    return {
      id,
      name,
      system,
      target: { l, a, b },
      runId: run_id,
      begun,
      state,
      made: of(['mixed', 'corrected']),
      used: of(['used', 'returned']) * -1 + 0,
      left: of(Object.keys(ENTRY_KINDS)),
      lots: lots.get(id) ?? [],
      accepted: last.get(id),
    }
  })
}

/** What was used of batches, by run and hit, once something was weighed back. kg. */
export async function usedInRuns(
  db: Database,
): Promise<readonly { readonly runId: string; readonly hitId: string; readonly used: number }[]> {
  const rows = await db
    .selectFrom('stock_entry')
    .innerJoin('batch', 'batch.id', 'stock_entry.tub')
    .select(['batch.run_id', 'batch.hit_id', (e) => e.fn.sum<number>('stock_entry.mass').as('mass')])
    .where('stock_entry.kind', 'in', ['used', 'returned'])
    .where('batch.run_id', '!=', '')
    .groupBy(['batch.run_id', 'batch.hit_id'])
    .execute()
  return rows.map((r) => ({ runId: r.run_id, hitId: r.hit_id, used: -r.mass }))
}
