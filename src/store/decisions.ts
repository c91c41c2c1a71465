import { group } from 'd3-array'
import { knownPractices } from '@/core/advice'
import { type Decisions, knownChoices } from '@/core/plan'
import type { Database } from './database'
import { inOne, type Saved } from './once'
import type { Tables } from './schema'

/** What the lead decided for a run, with the version it was read at. */
export interface StoredDecisions {
  readonly decisions: Decisions
  readonly version: number
  /** What was stored and cannot be: it is left out, and gone with the next choice. */
  readonly lost?: Readonly<Record<string, number | string>>
}

function decisionsOf(runId: string, rows: readonly Tables['decision'][]): Omit<StoredDecisions, 'version'> {
  const of = (kind: string) => rows.filter((r) => r.kind === kind)
  const all = Object.fromEntries(of('override').map((r) => [r.key, r.number ?? r.word ?? '']))
  const overrides = knownChoices(all)
  const lost = Object.fromEntries(Object.entries(all).filter(([key]) => !(key in overrides)))
  return {
    decisions: {
      runId,
      method: knownPractices(Object.fromEntries(of('practice').map((r) => [r.key, r.word]))),
      overrides,
      order: of('order').flatMap((r) => (r.word ?? '').split(',').filter(Boolean)),
    },
    ...(Object.keys(lost).length > 0 && { lost }),
  }
}

/** Decisions of every run, or of the runs of these orders, by run id; `versions` leaves out what was decided. */
export async function loadDecisions(
  db: Database,
  orderIds?: readonly string[],
  of: 'whole' | 'versions' = 'whole',
): Promise<ReadonlyMap<string, StoredDecisions>> {
  if (orderIds?.length === 0) return new Map()
  const runs = db.selectFrom('run').select(['id', 'version'])
  const rows = db.selectFrom('decision').innerJoin('run', 'run.id', 'decision.run_id').selectAll('decision')
  const [found, decided] = await Promise.all([
    (orderIds === undefined ? runs : runs.where('order_id', 'in', orderIds)).execute(),
    of === 'versions'
      ? []
      : (orderIds === undefined ? rows : rows.where('run.order_id', 'in', orderIds)).execute(),
  ])
  const byRun = group(decided, (r) => r.run_id)
  return new Map(found.map(({ id, version }) => [id, { ...decisionsOf(id, byRun.get(id) ?? []), version }]))
}

/** Replaces the decisions of a run if they are still at `version`. */
export async function saveDecisions(
  db: Database,
  decisions: Decisions,
  version: number,
): Promise<Saved<StoredDecisions>> {
  const { runId } = decisions
  const rows = decisionRows(decisions)
  const done = await inOne(db, async (tx) => {
    const { numUpdatedRows } = await tx
      .updateTable('run')
      .set({ version: version + 1 })
      .where('id', '=', runId)
      .where('version', '=', version)
      .where('order_id', 'in', (e) =>
        e.selectFrom('customer_order').select('id').where('deleted_at', 'is', null),
      )
      .executeTakeFirst()
    if (numUpdatedRows === 0n) return false
    await tx.deleteFrom('decision').where('run_id', '=', runId).execute()
    if (rows.length > 0)
      await tx
        .insertInto('decision')
        .values([...rows])
        .execute()
    return true
  })
  if (done) return { ok: true, version: version + 1 }
  const run = await db.selectFrom('run').select('order_id').where('id', '=', runId).executeTakeFirst()
  return { ok: false, now: run && (await loadDecisions(db, [run.order_id])).get(runId) }
}

/** Decisions as rows of the table. */
export function decisionRows({ runId, method, overrides, order }: Decisions): readonly Tables['decision'][] {
  return [
    ...Object.entries(overrides).map(([key, value]) => ({
      run_id: runId,
      kind: 'override' as const,
      key,
      number: typeof value === 'number' ? value : null,
      word: typeof value === 'string' ? value : null,
    })),
    ...Object.entries(method).map(([key, word]) => ({
      run_id: runId,
      kind: 'practice' as const,
      key,
      number: null,
      word,
    })),
    ...(order.length > 0
      ? [{ run_id: runId, kind: 'order' as const, key: 'order', number: null, word: order.join(',') }]
      : []),
  ]
}
