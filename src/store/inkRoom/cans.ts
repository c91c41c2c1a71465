import type { Kysely, Selectable } from 'kysely'
import type { Can } from '@/core/ink'
import { no, type Outcome } from '@/core/quantity'
import type { Database } from '../database'
import { inOne } from '../once'
import type { Tables } from '../schema'
import { nextId, tidy, write } from './ledger'

/** Cans with what they hold by the book. */
export async function withMass(
  db: Kysely<Tables>,
  cans: readonly Selectable<Tables['can']>[],
): Promise<readonly Can[]> {
  const sums = await db
    .selectFrom('stock_entry')
    .select(['tub', (e) => e.fn.sum<number>('mass').as('mass')])
    .groupBy('tub')
    .execute()
  const massOf = new Map(sums.map((s) => [s.tub, s.mass]))
  return cans.map((c) => ({ ...c, opened: c.opened ?? undefined, mass: tidy(massOf.get(c.id) ?? 0) }))
}

export interface NewCan {
  readonly code: string
  readonly lot: string
  /** kg, above 0 */
  readonly mass: number
  readonly opened?: string | undefined
}

/**
 * What is in a can was looked at: the book follows, by an entry of its own. Nothing in it takes it off the rack.
 *
 * @param mass kg, 0 or more
 */
export const countCan = (db: Database, canId: string, mass: number, at: string): Promise<Outcome> =>
  inOne(db, async (tx) => {
    const row = await tx.selectFrom('can').selectAll().where('id', '=', canId).executeTakeFirst()
    const [can] = row ? await withMass(tx, [row]) : []
    if (!can) return no(`There is no can ${canId}.`)
    if (Math.abs(mass - can.mass) < 1e-7) return { ok: true }
    await write(tx, { at, tub: canId, kind: 'corrected', mass: tidy(mass - can.mass), note: 'counted' })
    return { ok: true }
  })

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
      await write(tx, { at, tub: id, kind: 'received', mass })
      ids.push(id)
    }
    return ids
  })
