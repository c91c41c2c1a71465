import type { Database } from './database'

/** A run's summary with the stamp of the facts it was computed from. */
export interface Summary<T> {
  readonly runId: string
  readonly stamp: string
  readonly facts: T
}

/** What was kept for these runs, as far as its stamp is still the given one. */
export async function keptSummaries<T>(
  db: Database,
  wanted: readonly Omit<Summary<T>, 'facts'>[],
): Promise<ReadonlyMap<string, T>> {
  if (wanted.length === 0) return new Map()
  const stamps = new Map(wanted.map((w) => [w.runId, w.stamp]))
  const rows = await db
    .selectFrom('run_summary')
    .selectAll()
    .where('run_id', 'in', [...stamps.keys()])
    .execute()
  return new Map(
    rows.filter((r) => r.stamp === stamps.get(r.run_id)).map((r) => [r.run_id, JSON.parse(r.facts) as T]),
  )
}

/** Keeps summaries for the next reader. */
export async function keepSummaries<T>(db: Database, summaries: readonly Summary<T>[]): Promise<void> {
  if (summaries.length === 0) return
  await db
    .insertInto('run_summary')
    .values(summaries.map((s) => ({ run_id: s.runId, stamp: s.stamp, facts: JSON.stringify(s.facts) })))
    .onConflict((c) =>
      c
        .column('run_id')
        .doUpdateSet((e) => ({ stamp: e.ref('excluded.stamp'), facts: e.ref('excluded.facts') })),
    )
    .execute()
}
