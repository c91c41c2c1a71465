import { isLaid } from '@/core/artwork'
import { type Database, database } from '@/store/database'
import { loadFilms, loadReading, type Reading, type StoredFilm, saveReading } from '@/store/films'
import type { Outcome, Report } from '@/workers/films'
import type { Urgency } from '../thread'
import { readFilms } from './darkroom'
import { setOrderOf } from './setOrder'

/** The films of a print that can be laid on each other, and how they are drawn. */
export async function printFilms(orderId: string, print: string) {
  const db = await database()
  const films: readonly StoredFilm[] = ((await loadFilms(db, orderId))[print] ?? []).filter(isLaid)
  return { db, orderId, print, films, set: setOrderOf(films) }
}

export type PrintFilms = Awaited<ReturnType<typeof printFilms>> & { readonly db: Database }

/**
 * What was read off the films of a print; read now, and kept, when it was not before.
 *
 * @returns what is wrong with which films, when some cannot be read
 * @throws Cancelled when `signal` says so
 */
export async function readingOf(
  { db, orderId, print, films, set }: PrintFilms,
  report: (r: Report) => void,
  signal: AbortSignal,
  urgency: Urgency,
): Promise<Reading | Extract<Outcome, { ok: false }>> {
  const before = await loadReading(db, orderId, print, set.key)
  if (before) return before
  const read = await readFilms(set, report, signal, urgency)
  if (!read.ok) return read
  const { ok: _, ...facts } = read
  const reading: Reading = { films: films.map((f) => f.id), ...facts }
  await saveReading(db, orderId, print, set.key, reading)
  return reading
}
