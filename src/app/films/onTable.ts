import type { Database } from '@/store/database'
import { loadFilms, loadReading, type StoredFilm } from '@/store/films'
import type { Films, FilmsByPrint } from '../orders/[id]/stage/films/useFilms'
import { setOrderOf } from './setOrder'

/** Films of one print as they lie on the light table: what names them as a set, and what was read off them if it was. */
async function laid(
  db: Database,
  order: string,
  print: string,
  films: readonly StoredFilm[],
): Promise<Films> {
  const { key, dpi, width, height } = setOrderOf(films)
  return { films, set: { key, dpi, width, height }, reading: await loadReading(db, order, print, key) }
}

/** What is on the light table of a print; without films an empty one. */
export const filmsOn = async (db: Database, order: string, print: string): Promise<Films> =>
  laid(db, order, print, (await loadFilms(db, order))[print] ?? [])

/** What is on the light tables of an order, for each print that has films. */
export async function filmsOf(db: Database, order: string): Promise<FilmsByPrint> {
  const all = Object.entries(await loadFilms(db, order))
  return Object.fromEntries(
    await Promise.all(
      all.map(async ([print, films]) => [print, await laid(db, order, print, films)] as const),
    ),
  )
}
