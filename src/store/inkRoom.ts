import type { Kysely, Selectable } from 'kysely'
import type { Lab, Spectrum } from '@/core/color'
import type { Part } from '@/core/equipment'
import {
  type Batch,
  type Can,
  type Drawdown,
  ENTRY_KINDS,
  type Entry,
  type PastBatch,
  pailOf,
} from '@/core/ink'
import type { Database } from './database'
import { inOne } from './once'
import type { Tables } from './schema'

/** What a write to the stock answers: a sentence when it cannot be. */
export type StockDone<T = object> =
  | ({ readonly ok: true } & T)
  | { readonly ok: false; readonly message: string }

const no = (message: string) => ({ ok: false, message }) as const

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

async function withMass(
  db: Kysely<Tables>,
  cans: readonly Selectable<Tables['can']>[],
): Promise<readonly Can[]> {
  const sums = await db
    .selectFrom('stock_entry')
    .select(['vessel', (e) => e.fn.sum<number>('mass').as('mass')])
    .groupBy('vessel')
    .execute()
  const massOf = new Map(sums.map((s) => [s.vessel, s.mass]))
  return cans.map((c) => ({ ...c, opened: c.opened ?? undefined, mass: tidy(massOf.get(c.id) ?? 0) }))
}

/** Sums of grams carry binary dust. */
const tidy = (kg: number) => Number(kg.toFixed(7))

const drawdownOf = (d: Selectable<Tables['drawdown']>): Drawdown => ({
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
    entriesOfBatch(db, id),
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
    poured: pailOf(entries),
    mass: tidy(entries.reduce((sum, e) => sum + e.mass, 0)),
    drawdowns: drawdowns.map(drawdownOf),
  }
}

/** Entries of the tub itself, with the code of what went in; what was taken back takes its code with it. */
async function entriesOfBatch(db: Kysely<Tables>, id: string) {
  const rows = await db.selectFrom('stock_entry').selectAll().where('vessel', '=', id).orderBy('id').execute()
  return rows.map((e) => ({ code: e.note.startsWith('of ') ? e.note.slice(3) : undefined, mass: e.mass }))
}

const nextId = async (db: Kysely<Tables>, table: 'can' | 'batch', letter: string): Promise<string> => {
  const { last } = await db
    .selectFrom(table)
    .select((e) => e.fn.max('id').as('last'))
    .executeTakeFirstOrThrow()
  return `${letter}-${String(Number((last ?? '').slice(2) || 0) + 1).padStart(4, '0')}`
}

export interface NewCan {
  readonly code: string
  readonly lot: string
  /** kg, above 0 */
  readonly mass: number
  readonly opened?: string | undefined
}

/** Puts cans on the rack, all or none. @returns their ids */
export const receiveCans = (db: Database, cans: readonly NewCan[], at: string): Promise<readonly string[]> =>
  inOne(db, async (tx) => {
    const ids: string[] = []
    for (const { code, lot, mass, opened } of cans) {
      const id = await nextId(tx, 'can', 'C')
      await tx
        .insertInto('can')
        .values({ id, code, lot, received: at.slice(0, 10), opened: opened ?? null })
        .execute()
      await write(tx, { at, vessel: id, kind: 'received', mass })
      ids.push(id)
    }
    return ids
  })

interface NewEntry {
  readonly at: string
  readonly vessel: string
  readonly kind: Entry['kind']
  readonly mass: number
  readonly batch?: string
  readonly corrects?: number
  readonly note?: string
}

const write = (db: Kysely<Tables>, e: NewEntry) =>
  db
    .insertInto('stock_entry')
    .values({
      at: e.at,
      vessel: e.vessel,
      kind: e.kind,
      mass: e.mass,
      batch_id: e.batch ?? '',
      corrects: e.corrects ?? null,
      note: e.note ?? '',
    })
    .execute()

const writeParts = (db: Kysely<Tables>, batchId: string, parts: readonly Part[]) =>
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

/** No tub of this trade holds more, kg. */
const MOST_IN_TUB = 200

/** States in which something may still be poured into a batch: mixed ones are mended. */
const OPEN: readonly Batch['state'][] = ['mixing', 'mixed']
const closed = (batch: Batch) =>
  batch.state === 'gone'
    ? `${batch.id} was thrown away or used up.`
    : `${batch.id} was accepted: what is poured into it now would make another ink. Begin a new one.`

/** Pours from a can into a batch: out of the one, into the other, or neither. @param mass kg, above 0 */
export async function pour(
  db: Database,
  { batchId, canId, mass }: { readonly batchId: string; readonly canId: string; readonly mass: number },
  at: string,
): Promise<StockDone> {
  if (!(mass > 0)) return no('Nothing was poured.')
  return inOne(db, async (tx) => {
    const row = await tx.selectFrom('can').selectAll().where('id', '=', canId).executeTakeFirst()
    const batch = await loadBatch(tx, batchId)
    if (!row || !batch) return no('The can or the batch is gone.')
    if (!OPEN.includes(batch.state)) return no(closed(batch))
    if (batch.mass + mass > MOST_IN_TUB) return no(`No tub holds more than ${MOST_IN_TUB} kg.`)
    const [can] = await withMass(tx, [row])
    if (!can || can.mass < mass - 1e-9)
      return no(
        `${canId} holds ${Math.round((can?.mass ?? 0) * 1000)} g by the book, less than was poured: someone else took from it, or it was never booked in full. Correct its stock first.`,
      )
    await write(tx, { at, vessel: canId, kind: 'poured', mass: -mass, batch: batchId })
    await write(tx, { at, vessel: batchId, kind: 'mixed', mass, batch: batchId, note: `of ${row.code}` })
    if (row.opened === null) await tx.updateTable('can').set({ opened: at }).where('id', '=', canId).execute()
    return { ok: true }
  })
}

/** Takes the last pour of a batch back, by entries of their own. */
export async function undoPour(db: Database, batchId: string, at: string): Promise<StockDone> {
  return inOne(db, async (tx) => {
    const undone = tx.selectFrom('stock_entry').select('corrects').where('corrects', 'is not', null)
    const last = await tx
      .selectFrom('stock_entry')
      .selectAll()
      .where('batch_id', '=', batchId)
      .where('kind', 'in', ['poured', 'mixed'])
      .where('id', 'not in', undone as never)
      .orderBy('id', 'desc')
      .limit(2)
      .execute()
    if (last.length < 2) return no('Nothing is poured yet.')
    const tub = await loadBatch(tx, batchId)
    if (!tub || !OPEN.includes(tub.state)) return no(tub ? closed(tub) : 'The batch is gone.')
    if (last.some((e) => e.mass > tub.mass + 1e-9))
      return no('Part of it has left the tub since; book what comes back instead.')
    for (const e of last)
      await write(tx, {
        at,
        vessel: e.vessel,
        kind: 'corrected',
        mass: -e.mass,
        batch: batchId,
        corrects: e.id,
        note: e.note || 'pour taken back',
      })
    return { ok: true }
  })
}

/**
 * An over-pour is put right: the batch grows, after a stirred share was taken out where the tub is too small.
 *
 * @param wanted kg in all, above 0
 * @param out kg taken out, 0 or more
 */
export const restoreBatch = (
  db: Database,
  batchId: string,
  wanted: number,
  out: number,
  at: string,
): Promise<StockDone> =>
  inOne(db, async (tx) => {
    const batch = await loadBatch(tx, batchId)
    if (batch?.state !== 'mixing') return no('Only a batch on the bench is put right so.')
    if (!(wanted > 0 && wanted <= MOST_IN_TUB))
      return no(`A batch is more than nothing and at most ${MOST_IN_TUB} kg.`)
    if (!(out >= 0)) return no('What is taken out is not less than nothing.')
    if (out > 0) {
      const note = 'taken out to make room'
      const done = await moveInk(tx, { batchId, mass: -out, kind: 'discarded', note }, at)
      if (!done.ok) return done
    }
    await tx.updateTable('batch').set({ wanted }).where('id', '=', batchId).execute()
    return { ok: true }
  })

/** Other parts for a batch on the bench: an additive came in or went. */
export const setParts = (db: Database, batchId: string, parts: readonly Part[]): Promise<void> =>
  inOne(db, async (tx) => {
    await tx.deleteFrom('batch_part').where('batch_id', '=', batchId).execute()
    await writeParts(tx, batchId, parts)
  })

/** Takes ink out of a tub, or brings it back. @param mass kg, below 0 for out */
export async function moveInk(
  db: Database,
  {
    batchId,
    mass,
    kind,
    note,
  }: {
    readonly batchId: string
    readonly mass: number
    readonly kind: 'used' | 'returned' | 'discarded'
    readonly note: string
  },
  at: string,
): Promise<StockDone> {
  return inOne(db, async (tx) => {
    const batch = await loadBatch(tx, batchId)
    if (!batch || batch.state === 'gone') return no('The batch is gone.')
    if (kind === 'returned' ? !(mass > 0) : !(mass < 0))
      return no(kind === 'returned' ? 'What comes back is more than nothing.' : 'Nothing was taken out.')
    if (batch.mass + mass > MOST_IN_TUB) return no(`No tub holds more than ${MOST_IN_TUB} kg.`)
    if (batch.mass + mass < -1e-9) return no(`${batchId} holds only ${Math.round(batch.mass * 1000)} g.`)
    await write(tx, { at, vessel: batchId, kind, mass, batch: batchId, note })
    if (batch.state !== 'mixing' && batch.mass + mass < 1e-6)
      await tx.updateTable('batch').set({ state: 'gone' }).where('id', '=', batchId).execute()
    return { ok: true }
  })
}

/** All parts are in. @param expires ISO time; none for ink that keeps */
export const finishMix = (
  db: Database,
  batchId: string,
  at: string,
  expires: string | undefined,
): Promise<StockDone> =>
  inOne(db, async (tx) => {
    const batch = await loadBatch(tx, batchId)
    if (batch?.state !== 'mixing') return no('It is not on the bench any more.')
    if (!(batch.mass > 0)) return no('Nothing is poured yet.')
    await tx
      .updateTable('batch')
      .set({ state: 'mixed', mixed: at, expires: expires ?? null })
      .where('id', '=', batchId)
      .execute()
    return { ok: true }
  })

/** Writes down a drawdown of a mixed batch; an accepted one accepts it. An accepted tub may be read again, not judged. */
export const addDrawdown = (db: Database, batchId: string, d: Drawdown): Promise<StockDone> =>
  inOne(db, async (tx) => {
    const batch = await loadBatch(tx, batchId)
    if (!batch || batch.state === 'gone') return no('The batch is gone.')
    if (batch.state === 'mixing') return no('It is not mixed yet.')
    if (batch.state === 'accepted' && d.verdict !== 'read') return no('It was accepted already.')
    await tx
      .insertInto('drawdown')
      .values({
        batch_id: batchId,
        at: d.at,
        on_white: JSON.stringify(d.onWhite),
        on_black: JSON.stringify(d.onBlack),
        difference: d.difference,
        verdict: d.verdict,
        who: d.who,
      })
      .execute()
    if (d.verdict === 'accepted')
      await tx.updateTable('batch').set({ state: 'accepted' }).where('id', '=', batchId).execute()
    return { ok: true }
  })

/** The ledger, newest first. */
export async function ledger(db: Database, limit: number): Promise<readonly Entry[]> {
  const rows = await db.selectFrom('stock_entry').selectAll().orderBy('id', 'desc').limit(limit).execute()
  return rows.map(({ batch_id, corrects, ...e }) => ({
    ...e,
    batchId: batch_id,
    corrects: corrects ?? undefined,
  }))
}

/** Lots that went into batches, as `W1 L7`, by batch. */
export async function lotsOf(
  db: Database,
  batchIds: readonly string[],
): Promise<ReadonlyMap<string, readonly string[]>> {
  const rows = await db
    .selectFrom('stock_entry')
    .innerJoin('can', 'can.id', 'stock_entry.vessel')
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
      .select(['vessel', 'kind', (e) => e.fn.sum<number>('mass').as('mass')])
      .where('vessel', 'in', ids)
      .groupBy(['vessel', 'kind'])
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
      tidy(sums.filter((s) => s.vessel === id && kinds.includes(s.kind)).reduce((sum, s) => sum + s.mass, 0))
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
    .innerJoin('batch', 'batch.id', 'stock_entry.vessel')
    .select(['batch.run_id', 'batch.hit_id', (e) => e.fn.sum<number>('stock_entry.mass').as('mass')])
    .where('stock_entry.kind', 'in', ['used', 'returned'])
    .where('batch.run_id', '!=', '')
    .groupBy(['batch.run_id', 'batch.hit_id'])
    .execute()
  return rows.map((r) => ({ runId: r.run_id, hitId: r.hit_id, used: -r.mass }))
}
