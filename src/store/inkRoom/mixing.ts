import type { Part } from '@/core/equipment'
import type { Batch, Drawdown } from '@/core/ink'
import { no, type Outcome } from '@/core/quantity'
import type { Database } from '../database'
import { inOne } from '../once'
import { loadBatch, writeParts } from './batches'
import { withMass } from './cans'
import { write } from './ledger'

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
): Promise<Outcome> {
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
    await write(tx, { at, tub: canId, kind: 'poured', mass: -mass, batch: batchId })
    await write(tx, { at, tub: batchId, kind: 'mixed', mass, batch: batchId, code: row.code })
    if (row.opened === null) await tx.updateTable('can').set({ opened: at }).where('id', '=', canId).execute()
    return { ok: true }
  })
}

/** Takes the last pour of a batch back, by entries of their own. */
export async function undoPour(db: Database, batchId: string, at: string): Promise<Outcome> {
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
        tub: e.tub,
        kind: 'corrected',
        mass: -e.mass,
        batch: batchId,
        corrects: e.id,
        note: 'pour taken back',
        code: e.code,
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
): Promise<Outcome> =>
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
): Promise<Outcome> {
  return inOne(db, async (tx) => {
    const batch = await loadBatch(tx, batchId)
    if (!batch || batch.state === 'gone') return no('The batch is gone.')
    if (kind === 'returned' ? !(mass > 0) : !(mass < 0))
      return no(kind === 'returned' ? 'What comes back is more than nothing.' : 'Nothing was taken out.')
    if (batch.mass + mass > MOST_IN_TUB) return no(`No tub holds more than ${MOST_IN_TUB} kg.`)
    if (batch.mass + mass < -1e-9) return no(`${batchId} holds only ${Math.round(batch.mass * 1000)} g.`)
    await write(tx, { at, tub: batchId, kind, mass, batch: batchId, note })
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
): Promise<Outcome> =>
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
export const addDrawdown = (db: Database, batchId: string, d: Drawdown): Promise<Outcome> =>
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
