import type { Kysely, Selectable } from 'kysely'
import type { Lab, Spectrum } from '@/core/color'
import type { Part } from '@/core/equipment'
import { type Batch, type Can, type Drawdown, tubContents } from '@/core/ink'
import type { Database } from '../database'
import { inOne } from '../once'
import type { Tables } from '../schema'
import { withMass } from './cans'
import { nextId, tidy } from './ledger'

/** All cans that hold something, and all batches that are not gone. */
export async function loadInkStock(
  db: Database,
): Promise<{ readonly cans: readonly Can[]; readonly batches: readonly Batch[] }> {
  const [cans, rows] = await Promise.all([
    db.selectFrom('can').selectAll().orderBy('id').execute(),
    db.selectFrom('batch').selectAll().where('state', '!=', 'gone').orderBy('id', 'desc').execute(),
  ])
  const ids = rows.map((b) => b.id)
  return {
    cans: await withMass(db, cans),
    batches: await loadBatches(db, ids),
  }
}

const loadBatches = (db: Database, ids: readonly string[]): Promise<readonly Batch[]> =>
  Promise.all(ids.map((id) => loadBatch(db, id))).then((all) => all.flatMap((b) => b ?? []))

/** Ink in tubs that does not keep, that first which runs out first. */
export async function limitedInk(
  db: Database,
): Promise<readonly { readonly id: string; readonly name: string; readonly expires: string }[]> {
  const rows = await db
    .selectFrom('batch')
    .select(['id', 'name', 'expires'])
    .where('state', '!=', 'gone')
    .where('expires', 'is not', null)
    .orderBy('expires')
    .execute()
  return rows.map((r) => ({ ...r, expires: r.expires ?? '' }))
}

/** Batches mixed for these runs that are not gone. */
export async function batchesFor(db: Database, runIds: readonly string[]): Promise<readonly Batch[]> {
  const rows = await db
    .selectFrom('batch')
    .select('id')
    .where('run_id', 'in', runIds)
    .where('state', '!=', 'gone')
    .orderBy('id')
    .execute()
  return loadBatches(
    db,
    rows.map((b) => b.id),
  )
}

export const drawdownOf = (d: Selectable<Tables['drawdown']>): Drawdown => ({
  at: d.at,
  onWhite: JSON.parse(d.on_white) as Spectrum,
  onBlack: JSON.parse(d.on_black) as Spectrum,
  difference: d.difference,
  verdict: d.verdict,
  who: d.who,
})

/** One batch with all that is known of it; undefined when there is none. */
export async function loadBatch(db: Kysely<Tables>, id: string): Promise<Batch | undefined> {
  const row = await db.selectFrom('batch').selectAll().where('id', '=', id).executeTakeFirst()
  if (!row) return undefined
  const [parts, entries, drawdowns] = await Promise.all([
    db.selectFrom('batch_part').selectAll().where('batch_id', '=', id).orderBy('place').execute(),
    db.selectFrom('stock_entry').selectAll().where('tub', '=', id).orderBy('id').execute(),
    db.selectFrom('drawdown').selectAll().where('batch_id', '=', id).orderBy('id').execute(),
  ])
  const { l, a, b, run_id, hit_id, mixed, expires, ...rest } = row
  return {
    ...rest,
    target: { l, a, b },
    runId: run_id,
    hitId: hit_id,
    mixed: mixed ?? undefined,
    expires: expires ?? undefined,
    parts: parts.map(({ code, share }) => ({ code, share })),
    poured: tubContents(entries.map((e) => ({ code: e.code ?? undefined, mass: e.mass }))),
    mass: tidy(entries.reduce((sum, e) => sum + e.mass, 0)),
    drawdowns: drawdowns.map(drawdownOf),
  }
}

export const writeParts = (db: Kysely<Tables>, batchId: string, parts: readonly Part[]) =>
  db
    .insertInto('batch_part')
    .values(parts.map((p, place) => ({ batch_id: batchId, place, ...p })))
    .execute()

export interface NewBatch {
  readonly name: string
  readonly system: string
  readonly target: Lab
  readonly parts: readonly Part[]
  readonly runId: string
  readonly hitId: string
  readonly wanted: number
}

/** Begins a batch. */
export async function beginBatch(
  db: Database,
  { target, parts, runId, hitId, ...batch }: NewBatch,
  at: string,
): Promise<string> {
  return inOne(db, async (tx) => {
    const id = await nextId(tx, 'batch', 'B')
    await tx
      .insertInto('batch')
      .values({
        ...batch,
        ...target,
        id,
        run_id: runId,
        hit_id: hitId,
        begun: at,
        mixed: null,
        expires: null,
        state: 'mixing',
      })
      .execute()
    await writeParts(tx, id, parts)
    return id
  })
}
