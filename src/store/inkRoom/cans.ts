import type { Kysely, Selectable } from 'kysely'
import type { Can } from '@/core/ink'
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
