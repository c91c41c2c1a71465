import { group } from 'd3-array'
import { type Kysely, sql } from 'kysely'
import type { PressEvent } from '@/core/record'
import { type Database, hush } from './database'
import type { Tables } from './schema'

/** Rows that fit into one statement. */
const AT_ONCE = 500

/** An event with the run it belongs to, as it is archived. */
export interface RunEvent {
  readonly runId: string
  readonly event: PressEvent
}

type Row = Omit<Tables['press_event'], 'place'>

const rowOf = ({ runId, event: { id, pad, seq, at, ...said } }: RunEvent): Row => ({
  ...{ id, pad, seq, at },
  run_id: runId,
  said: JSON.stringify(said),
})
const eventOf = ({ id, pad, seq, at, said }: Row): PressEvent =>
  ({
    ...{ id, pad, seq, at },
    ...(JSON.parse(said) as object),
  }) as PressEvent

/** @returns how many were not there yet */
async function put(tx: Kysely<Tables>, events: readonly RunEvent[]): Promise<number> {
  let fresh = 0
  for (let from = 0; from < events.length; from += AT_ONCE) {
    const { numInsertedOrUpdatedRows } = await tx
      .insertInto('press_event')
      .values(events.slice(from, from + AT_ONCE).map(rowOf))
      .onConflict((c) => c.column('id').doNothing())
      .executeTakeFirstOrThrow()
    fresh += Number(numInsertedOrUpdatedRows ?? 0)
  }
  return fresh
}

/** Which of these ids are not there yet. */
async function newIds(tx: Kysely<Tables>, ids: readonly string[]): Promise<ReadonlySet<string>> {
  if (ids.length === 0) return new Set()
  const there = await tx.selectFrom('press_event').select('id').where('id', 'in', ids).execute()
  const known = new Set(there.map((row) => row.id))
  return new Set(ids.filter((id) => !known.has(id)))
}

/**
 * Takes events in, each once however often it is sent; all of them or none. Pages that plan are not told: nothing of theirs
 * changes but what comes with it.
 *
 * @param besides what else is written with those that were not there yet, in the same transaction
 */
export async function takeEvents(
  db: Database,
  runId: string,
  events: readonly PressEvent[],
  besides: (tx: Kysely<Tables>, fresh: readonly PressEvent[]) => Promise<void> = async () => {},
): Promise<void> {
  const written = await db.transaction().execute(async (tx) => {
    const ids = await newIds(
      tx,
      events.map((e) => e.id),
    )
    const fresh = events.filter((e) => ids.has(e.id))
    const rows = await put(
      tx,
      fresh.map((event) => ({ runId, event })),
    )
    await besides(tx, fresh)
    return rows
  })
  hush(db, written)
}

/** Events of a run that came after a place, in the order they came, and the place of the last. */
export async function eventsAfter(
  db: Kysely<Tables>,
  runId: string,
  after: number,
): Promise<{ readonly events: readonly PressEvent[]; readonly place: number }> {
  const rows = await db
    .selectFrom('press_event')
    .selectAll()
    .where('run_id', '=', runId)
    .where('place', '>', after)
    .orderBy('place')
    .execute()
  return { events: rows.map(eventOf), place: rows.at(-1)?.place ?? after }
}

/** What was tried and what came of it, with what took it back: a list for each run where something came of something. */
export async function triesByRun(db: Kysely<Tables>): Promise<readonly (readonly PressEvent[])[]> {
  const kind = sql<string>`json_extract(said, '$.kind')`
  const rows = await db
    .selectFrom('press_event')
    .selectAll()
    .where(kind, 'in', ['tried', 'came', 'undo'])
    .where('run_id', 'in', (q) => q.selectFrom('press_event').select('run_id').where(kind, '=', 'came'))
    .orderBy('place')
    .execute()
  const byRun = group(rows, (row) => row.run_id)
  return [...byRun.values()].map((of) => of.map(eventOf))
}

export const everyEvent = async (db: Kysely<Tables>): Promise<readonly RunEvent[]> =>
  (await db.selectFrom('press_event').selectAll().orderBy('place').execute()).map((row) => ({
    runId: row.run_id,
    event: eventOf(row),
  }))

/** Puts others in place of all of them. */
export async function replaceEvents(tx: Kysely<Tables>, events: readonly RunEvent[] = []): Promise<void> {
  await tx.deleteFrom('press_event').execute()
  await tx.deleteFrom('run_account').execute()
  await put(tx, events)
}

/** Names of the pictures that samples were taken with. */
export async function photosSaid(db: Kysely<Tables>): Promise<readonly string[]> {
  const rows = await db
    .selectFrom('press_event')
    .selectAll()
    .where('said', 'like', '%"kind":"sample"%')
    .execute()
  return rows.map(eventOf).flatMap((e) => (e.kind === 'sample' ? e.photos : []))
}

/** Which of these runs something was said of at the press. */
export async function runsSaidOf(
  db: Kysely<Tables>,
  runIds: readonly string[],
): Promise<ReadonlySet<string>> {
  if (runIds.length === 0) return new Set()
  const rows = await db
    .selectFrom('press_event')
    .select('run_id')
    .distinct()
    .where('run_id', 'in', runIds)
    .execute()
  return new Set(rows.map((r) => r.run_id))
}
