import type { Kysely } from 'kysely'
import type { HeadLock, HeadTurn } from '@/core/registration'
import type { Tables } from './schema'

/** Notes before these say nothing any more of how the heads of a press are now. */
const LOOKED_AT = 2000
/** Rows that fit into one statement. */
const AT_ONCE = 500

/** What is noted of the heads of presses at the press, each kind in a table of its own. */
interface Notes {
  head_lock: HeadLock
  head_turn: HeadTurn
}

/** How notes of one kind are kept: a row is the note, its press by the name of the column. */
function notesIn<T extends keyof Notes>(table: T) {
  type Note = Notes[T]
  type Of = Kysely<Record<'notes', { id: number; press_id: string; head: number }>>
  // Both tables have these columns; what else they have is the note's own.
  const name = table as string as 'notes'
  const of = (db: Kysely<Tables>) => db as unknown as Of
  const rowOf = ({ pressId, ...note }: Note) =>
    ({ ...note, ...('back' in note && { back: note.back ? 1 : 0 }), press_id: pressId }) as never
  const noteOf = (row: object): Note => {
    const { id: _, press_id, ...note } = row as { id: number; press_id: string }
    return { ...note, ...('back' in note && { back: note.back === 1 }), pressId: press_id } as unknown as Note
  }
  return {
    /** Of the heads of a press, oldest first. */
    async of(db: Kysely<Tables>, pressId: string): Promise<readonly Note[]> {
      const rows = await of(db)
        .selectFrom(name)
        .selectAll()
        .where('press_id', '=', pressId)
        .orderBy('id', 'desc')
        .limit(LOOKED_AT)
        .execute()
      return rows.reverse().map(noteOf)
    },

    async note(tx: Kysely<Tables>, note: Note): Promise<void> {
      await of(tx).insertInto(name).values(rowOf(note)).execute()
    },

    /** Takes the last note of a head back. @returns false where there is none */
    async forget(tx: Kysely<Tables>, pressId: string, head: number): Promise<boolean> {
      const last = await of(tx)
        .selectFrom(name)
        .select('id')
        .where('press_id', '=', pressId)
        .where('head', '=', head)
        .orderBy('id', 'desc')
        .executeTakeFirst()
      if (!last) return false
      await of(tx).deleteFrom(name).where('id', '=', last.id).execute()
      return true
    },

    async every(db: Kysely<Tables>): Promise<readonly Note[]> {
      return (await of(db).selectFrom(name).selectAll().orderBy('id').execute()).map(noteOf)
    },

    /** Puts others in place of all of them. */
    async replace(tx: Kysely<Tables>, notes: readonly Note[] = []): Promise<void> {
      await of(tx).deleteFrom(name).execute()
      for (let from = 0; from < notes.length; from += AT_ONCE)
        await of(tx)
          .insertInto(name)
          .values(notes.slice(from, from + AT_ONCE).map(rowOf) as never)
          .execute()
    },
  }
}

/** How far screens moved when heads were locked. */
export const headLocks = notesIn('head_lock')
/** What turns of the knobs of heads did. */
export const headTurns = notesIn('head_turn')
