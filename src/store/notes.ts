import { type Kysely, type Selectable, sql } from 'kysely'
import type { Tables } from './schema'

/** What a note may be about. */
export type About = Tables['note']['about']
export const ABOUT: readonly About[] = ['order', 'print', 'press', 'frame', 'customer']

/** A thing that notes are about: an order's number, `O-1001.P1`, the id of a press or frame, a customer as one name. */
export interface Subject {
  readonly about: About
  readonly of: string
}

export interface Note extends Subject {
  readonly id: number
  /** ISO time. */
  readonly at: string
  readonly words: string
  /** Names of pictures: by what is in them. */
  readonly photos: readonly string[]
}

const noteOf = ({ photos, ...row }: Selectable<Tables['note']>): Note => ({
  ...row,
  photos: JSON.parse(photos) as string[],
})
const rowOf = ({ about, of, at, words, photos }: Omit<Note, 'id'>) => ({
  ...{ about, of, at, words },
  photos: JSON.stringify(photos),
})

/** Notes about one thing, the newest first. */
export const notesAbout = async (db: Kysely<Tables>, { about, of }: Subject): Promise<readonly Note[]> =>
  (
    await db
      .selectFrom('note')
      .selectAll()
      .where('about', '=', about)
      .where('of', '=', of)
      .orderBy('id', 'desc')
      .execute()
  ).map(noteOf)

export async function addNote(tx: Kysely<Tables>, note: Omit<Note, 'id'>): Promise<void> {
  await tx.insertInto('note').values(rowOf(note)).execute()
}

/** Takes a note away. @returns false where there is none */
export async function removeNote(tx: Kysely<Tables>, id: number): Promise<boolean> {
  const { numDeletedRows } = await tx.deleteFrom('note').where('id', '=', id).executeTakeFirst()
  return numDeletedRows > 0n
}

/** What was noted on orders that are gone for good goes with them: a number may come again. */
export const forgetNotesOfNone = (tx: Kysely<Tables>): Promise<unknown> =>
  sql`DELETE FROM note WHERE about IN ('order', 'print')
    AND substr(of, 1, instr(of || '.', '.') - 1) NOT IN (SELECT id FROM customer_order)`.execute(tx)

export const everyNote = async (db: Kysely<Tables>): Promise<readonly Note[]> =>
  (await db.selectFrom('note').selectAll().orderBy('id').execute()).map(noteOf)

/** Puts others in place of all of them. */
export async function replaceNotes(
  tx: Kysely<Tables>,
  notes: readonly Omit<Note, 'id'>[] = [],
): Promise<void> {
  await tx.deleteFrom('note').execute()
  for (const note of notes) await addNote(tx, note)
}

/** Names of the pictures that are on notes. */
export const photosNoted = async (db: Kysely<Tables>): Promise<readonly string[]> =>
  (await db.selectFrom('note').selectAll().where('photos', '!=', '[]').execute())
    .map(noteOf)
    .flatMap((n) => n.photos)
