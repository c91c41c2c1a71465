import { subDays } from 'date-fns'
import type { Kysely } from 'kysely'
import type { Database } from './database'
import type { Tables } from './schema'

/** What a save comes to: one that came too late carries what is there now, or that it is gone. */
export type Saved<T> =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly now: T | undefined }

/** Does something in the transaction that is under way, or in one of its own. */
export const inOne = <T>(db: Kysely<Tables>, act: (tx: Kysely<Tables>) => Promise<T>): Promise<T> =>
  db.isTransaction ? act(db) : db.transaction().execute(act)

/** Carries an answer that says no out of a transaction, which then leaves nothing behind. */
class Unmade extends Error {
  constructor(readonly answer: unknown) {
    super('nothing was done')
  }
}

/**
 * Does something once, however often it is asked for: whoever asks again with the same id gets the first answer. All in one
 * transaction; an answer that says no (`ok: false`) leaves nothing behind, and may be asked for again.
 */
export async function onceOnly<T extends object>(
  db: Database,
  id: string,
  now: Date,
  act: (tx: Kysely<Tables>) => Promise<T>,
): Promise<T> {
  try {
    return await db.transaction().execute(async (tx) => {
      const before = await tx.selectFrom('done').select('answer').where('id', '=', id).executeTakeFirst()
      if (before) return JSON.parse(before.answer) as T
      const answer = await act(tx)
      if ('ok' in answer && answer.ok === false) throw new Unmade(answer)
      await tx
        .insertInto('done')
        .values({ id, at: now.toISOString(), answer: JSON.stringify(answer) })
        .execute()
      return answer
    })
  } catch (error) {
    if (error instanceof Unmade) return error.answer as T
    throw error
  }
}

/** A device that was asleep may ask again days later. */
const REMEMBERED = 7

export async function forgetDone(db: Database, now: Date): Promise<void> {
  await db.deleteFrom('done').where('at', '<', subDays(now, REMEMBERED).toISOString()).execute()
}
