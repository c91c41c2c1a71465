import { type Database, database } from '@/store/database'
import { loadFilms, loadReading, type Reading, type StoredFilm, saveReading } from '@/store/films'
import type { Report } from '@/workers/films'
import type { Urgency } from '../thread'
import { readFilms } from './darkroom'
import { isSized, setOrderOf } from './setOrder'

/** The films of a print that can be laid on each other, and how they are drawn. */
export async function printFilms(orderId: string, print: string) {
  const db = await database()
  const films: readonly StoredFilm[] = ((await loadFilms(db, orderId))[print] ?? []).filter(isSized)
  return { db, orderId, print, films, set: setOrderOf(films) }
}

type PrintFilms = Awaited<ReturnType<typeof printFilms>> & { readonly db: Database }

/**
 * What was read off the films of a print; read now, and kept, when it was not before.
 *
 * @returns undefined when one of the films cannot be read: `report` was told which
 * @throws Cancelled when `signal` says so
 */
export async function readingOf(
  { db, orderId, print, films, set }: PrintFilms,
  report: (r: Report) => void,
  signal: AbortSignal,
  urgency: Urgency,
): Promise<Reading | undefined> {
  const before = await loadReading(db, orderId, print, set.key)
  if (before) return before
  const read = await readFilms(set, report, signal, urgency)
  if (!read) return undefined
  const reading: Reading = { films: films.map((f) => f.id), ...read }
  await saveReading(db, orderId, print, set.key, reading)
  return reading
}
