import { type Kysely, sql } from 'kysely'
import type { Order } from '@/core/order'
import { planToday, type RunPlan, sheetCode } from '@/core/plan'
import type { Database } from './database'
import { inOne } from './once'
import type { Tables } from './schema'

/** What was released, whole: the plan with the order it was made for. */
export interface Frozen {
  readonly order: Order
  readonly plan: RunPlan
  readonly shopName: string
}

/** A numbered revision that the crew works from. */
export interface Revision extends Frozen {
  readonly runId: string
  readonly number: number
  /** Printed on the sheet; the app answers whether that sheet is still good. */
  readonly code: string
  /** ISO time. */
  readonly releasedAt: string
}

function revisionOf(r: Tables['revision']): Revision {
  const frozen = JSON.parse(r.frozen) as Frozen
  return {
    ...frozen,
    plan: planToday(frozen.plan),
    runId: r.run_id,
    number: r.number,
    code: r.code,
    releasedAt: r.released_at,
  }
}

export const revisionRow = ({
  runId,
  number,
  code,
  releasedAt,
  ...frozen
}: Revision): Tables['revision'] => ({
  run_id: runId,
  number,
  code,
  released_at: releasedAt,
  frozen: JSON.stringify(frozen),
})

/** Every revision in the order of release, read a few at a time. */
export async function* everyRevision(db: Database): AsyncGenerator<Revision> {
  for (let after = 0; ; ) {
    const { rows } = await sql<Tables['revision'] & { rowid: number }>`
      SELECT rowid, * FROM revision WHERE rowid > ${after} ORDER BY rowid LIMIT 20`.execute(db)
    yield* rows.map(revisionOf)
    const last = rows.at(-1)
    if (!last) return
    after = last.rowid
    await new Promise((resume) => setImmediate(resume))
  }
}

/** Revisions of one run, the first first. */
export const revisionsOf = async (db: Database, runId: string): Promise<readonly Revision[]> =>
  (await db.selectFrom('revision').selectAll().where('run_id', '=', runId).orderBy('number').execute()).map(
    revisionOf,
  )

/** Number of the last revision of each of these runs that was released. */
export async function latestNumbers(
  db: Database,
  runIds: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  if (runIds.length === 0) return new Map()
  const rows = await db
    .selectFrom('revision')
    .select((e) => ['run_id', e.fn.max('number').as('number')])
    .where('run_id', 'in', runIds)
    .groupBy('run_id')
    .execute()
  return new Map(rows.map((r) => [r.run_id, r.number]))
}

/** The last revision of each of these runs. */
export async function latestRevisions(
  db: Kysely<Tables>,
  runIds: readonly string[],
): Promise<ReadonlyMap<string, Revision>> {
  if (runIds.length === 0) return new Map()
  const rows = await db
    .selectFrom('revision')
    .selectAll()
    .where('run_id', 'in', runIds)
    .orderBy('number')
    .execute()
  return new Map(rows.map((r) => [r.run_id, revisionOf(r)]))
}

/** Runs with a released revision, of orders that are not deleted, those due last first. */
export const releasedRuns = (
  db: Database,
  limit: number,
  of: 'every' | 'open' = 'every',
): Promise<readonly { readonly runId: string; readonly orderId: string }[]> =>
  db
    .selectFrom('run')
    .innerJoin('customer_order', 'customer_order.id', 'run.order_id')
    .select(['run.id as runId', 'run.order_id as orderId'])
    .where('customer_order.deleted_at', 'is', null)
    .$if(of === 'open', (q) => q.where('customer_order.state', '!=', 'done'))
    .where('run.id', 'in', (e) => e.selectFrom('revision').select('run_id'))
    .orderBy('customer_order.due', 'desc')
    .orderBy('run.id')
    .limit(limit)
    .execute()

/** The revision a code on a sheet stands for, with the number of the last one. */
export async function revisionByCode(
  db: Database,
  code: string,
): Promise<{ readonly revision: Revision; readonly last: Revision } | undefined> {
  const row = await db
    .selectFrom('revision')
    .selectAll()
    .where('code', '=', code.toUpperCase())
    .executeTakeFirst()
  if (!row) return undefined
  const last = (await revisionsOf(db, row.run_id)).at(-1)
  return { revision: revisionOf(row), last: last ?? revisionOf(row) }
}

/**
 * Freezes the next revision of a run. Refused (undefined) when someone else released meanwhile.
 *
 * @param last the number of the revision that was the last one when the lead decided; 0 for none
 */
export async function release(
  db: Database,
  frozen: Frozen,
  last: number,
  now: Date,
): Promise<Revision | undefined> {
  const run_id = frozen.plan.run.id
  return inOne(db, async (tx) => {
    const { newest } = await tx
      .selectFrom('revision')
      .select((e) => e.fn.max('number').as('newest'))
      .where('run_id', '=', run_id)
      .executeTakeFirstOrThrow()
    if ((newest ?? 0) !== last) return undefined
    const taken = async (code: string) =>
      (await tx.selectFrom('revision').select('code').where('code', '=', code).executeTakeFirst()) !==
      undefined
    let salt = 0
    let code = sheetCode(`${run_id} ${last + 1}`)
    while (await taken(code)) code = sheetCode(`${run_id} ${last + 1} ${++salt}`)
    const revision = { ...frozen, runId: run_id, number: last + 1, code, releasedAt: now.toISOString() }
    await tx.insertInto('revision').values(revisionRow(revision)).execute()
    return revision
  })
}
