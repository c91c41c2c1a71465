import type { Kysely } from 'kysely'
import type { HeadLock } from '@/core/registration'
import type { Tables } from './schema'

/** Locks before these say nothing any more of how the heads of a press are now. */
const LOOKED_AT = 2000
/** Rows that fit into one statement. */
const AT_ONCE = 500

type Row = Omit<HeadLock, 'pressId'> & { readonly press_id: string }
const rowOf = ({ pressId, ...lock }: HeadLock): Row => ({ ...lock, press_id: pressId })
const lockOf = ({ press_id, head, at, dx, dy, turn }: Row): HeadLock => ({
  ...{ pressId: press_id, head, at, dx, dy, turn },
})

/** Locks of the heads of a press, oldest first. */
export async function loadLocks(db: Kysely<Tables>, pressId: string): Promise<readonly HeadLock[]> {
  const rows = await db
    .selectFrom('head_lock')
    .selectAll()
    .where('press_id', '=', pressId)
    .orderBy('id', 'desc')
    .limit(LOOKED_AT)
    .execute()
  return rows.reverse().map(lockOf)
}

export async function noteLock(tx: Kysely<Tables>, lock: HeadLock): Promise<void> {
  await tx.insertInto('head_lock').values(rowOf(lock)).execute()
}

/** Takes the last lock of a head back. @returns false where there is none */
export async function forgetLock(tx: Kysely<Tables>, pressId: string, head: number): Promise<boolean> {
  const last = await tx
    .selectFrom('head_lock')
    .select('id')
    .where('press_id', '=', pressId)
    .where('head', '=', head)
    .orderBy('id', 'desc')
    .executeTakeFirst()
  if (!last) return false
  await tx.deleteFrom('head_lock').where('id', '=', last.id).execute()
  return true
}

export async function everyLock(db: Kysely<Tables>): Promise<readonly HeadLock[]> {
  return (await db.selectFrom('head_lock').selectAll().orderBy('id').execute()).map(lockOf)
}

/** Puts others in place of all of them. */
export async function replaceLocks(tx: Kysely<Tables>, locks: readonly HeadLock[] = []): Promise<void> {
  await tx.deleteFrom('head_lock').execute()
  for (let from = 0; from < locks.length; from += AT_ONCE)
    await tx
      .insertInto('head_lock')
      .values(locks.slice(from, from + AT_ONCE).map(rowOf))
      .execute()
}
