import { type Reason, warnings } from '@/core/advice'
import { filmFindings } from '@/core/artwork'
import type { Database } from '@/store/database'
import { loadFilms, loadReading, type StoredFilm } from '@/store/films'
import { setOrderOf } from './setOrder'

/** What was found on sets of films, by the names of the sets: films that lie there unchanged are not gone through again. */
const found = new Map<string, readonly Reason[]>()
/** Sets of a busy year; then it begins anew. */
const KEPT = 2000

async function warningsOn(
  db: Database,
  orderId: string,
  print: string,
  films: readonly StoredFilm[],
): Promise<readonly Reason[]> {
  const { key } = setOrderOf(films)
  const id = [orderId, print, key, ...films.map((f) => f.name)].join('\n')
  const known = found.get(id)
  if (known) return known
  const reading = await loadReading(db, orderId, print, key)
  if (!reading) return []
  const names = reading.films.map((film) => films.find((f) => f.id === film)?.name ?? film)
  const told = warnings(
    filmFindings(reading.facts, names, reading.pairs, reading.tiles).map((f) => f.reason),
  ).filter((r) => r.severity !== 'Note')
  if (found.size >= KEPT) found.clear()
  found.set(id, told)
  return told
}

/** What stands against the films of an order as they were read last, for each print: findings that warn, worst first. */
export async function filmWarningsOf(
  db: Database,
  orderId: string,
): Promise<Readonly<Record<string, readonly Reason[]>>> {
  const prints = Object.entries(await loadFilms(db, orderId))
  return Object.fromEntries(
    await Promise.all(
      prints.map(async ([print, films]) => [print, await warningsOn(db, orderId, print, films)] as const),
    ),
  )
}
