import { type Database, hush } from './database'
import { inOne } from './once'

/** A run's summary with the stamp of the facts it was computed from. */
export interface Summary<T> {
  readonly runId: string
  readonly stamp: string
  readonly facts: T
}

/** What was kept for these runs, with the stamp it was computed at: whoever reads sees whether it is of today. */
export async function keptSummaries<T>(
  db: Database,
  runIds: readonly string[],
): Promise<ReadonlyMap<string, Summary<T>>> {
  if (runIds.length === 0) return new Map()
  const rows = await db.selectFrom('run_summary').selectAll().where('run_id', 'in', runIds).execute()
  return new Map(
    rows.map(({ run_id, stamp, facts }) => [run_id, { runId: run_id, stamp, facts: JSON.parse(facts) as T }]),
  )
}

/** Keeps summaries for the next reader; those of runs that went meanwhile are dropped. No news for anyone. */
export async function keepSummaries<T>(db: Database, summaries: readonly Summary<T>[]): Promise<void> {
  if (summaries.length === 0) return
  const kept = await inOne(db, async (tx) => {
    const ids = summaries.map((s) => s.runId)
    const there = new Set(
      (await tx.selectFrom('run').select('id').where('id', 'in', ids).execute()).map((r) => r.id),
    )
    const rows = summaries
      .filter((s) => there.has(s.runId))
      .map((s) => ({ run_id: s.runId, stamp: s.stamp, facts: JSON.stringify(s.facts) }))
    if (rows.length === 0) return 0
    await tx
      .insertInto('run_summary')
      .values(rows)
      .onConflict((c) =>
        c
          .column('run_id')
          .doUpdateSet((e) => ({ stamp: e.ref('excluded.stamp'), facts: e.ref('excluded.facts') })),
      )
      .execute()
    return rows.length
  })
  hush(db, kept)
}
