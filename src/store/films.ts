import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { mkdir, open, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { rollup } from 'd3-array'
import type { Kysely } from 'kysely'
import type { BroughtFilm, FilmOfPrint, SetFacts } from '@/core/artwork'
import { type Database, dataFolder } from './database'
import { type FilmChange, saidIn, saidOf } from './filmSaid'
import { inOne } from './once'
import type { Tables } from './schema'

export type { FilmChange }
export type StoredFilm = BroughtFilm

/** What was read off the films of a print. */
export interface Reading extends SetFacts {
  /** The films that the facts are of. */
  readonly films: readonly string[]
}

const folder = () => join(dataFolder(), 'films')

export const filmFile = (hash: string): string => join(folder(), hash)

/** A new place for a file that is still coming in. */
export async function incomingFile(): Promise<string> {
  await mkdir(folder(), { recursive: true })
  return join(folder(), `incoming-${crypto.randomUUID()}`)
}

/** Keeps a file that came in under the name of its content. */
export async function keepFile(incoming: string): Promise<string> {
  const hash = createHash('sha256')
  for await (const chunk of createReadStream(incoming)) hash.update(chunk)
  const name = hash.digest('hex')
  // Before its row says that it is there, it is on the disk.
  const handle = await open(incoming, 'r')
  await handle.sync().finally(() => handle.close())
  await rename(incoming, filmFile(name))
  const place = await open(folder(), 'r')
  await place.sync().finally(() => place.close())
  return name
}

export const dropFile = (path: string): Promise<void> => rm(path, { force: true })

const filmOf = (r: Tables['film']): StoredFilm => ({
  id: r.id,
  ink: r.ink,
  name: r.name,
  hash: r.hash,
  page: r.page,
  across: r.across,
  down: r.down,
  raster: r.raster === 1,
  ...(r.dpi === null ? {} : { dpi: r.dpi }),
  ...saidOf(r),
})

/** The films of one print, or of all prints of an order by print. */
export async function loadFilms(
  db: Kysely<Tables>,
  orderId: string,
): Promise<Readonly<Record<string, readonly StoredFilm[]>>> {
  const rows = await db
    .selectFrom('film')
    .selectAll()
    .where('order_id', '=', orderId)
    .orderBy('place')
    .execute()
  // Without a prototype: a print may be called `constructor`.
  const prints: Record<string, StoredFilm[]> = Object.create(null)
  for (const row of rows) {
    const films = prints[row.placement_id] ?? []
    films.push(filmOf(row))
    prints[row.placement_id] = films
  }
  return prints
}

/** Every film of every order, deleted ones too. */
export async function allFilms(db: Database): Promise<readonly FilmOfPrint[]> {
  const rows = await db
    .selectFrom('film')
    .selectAll()
    .orderBy('order_id')
    .orderBy('placement_id')
    .orderBy('place')
    .execute()
  return rows.map((r) => ({ orderId: r.order_id, print: r.placement_id, ...filmOf(r) }))
}

/** Puts a film with its own id at the end of a print. */
export async function putFilm(
  tx: Kysely<Tables>,
  orderId: string,
  placementId: string,
  { id, ink, name, hash, page, across, down, dpi, raster, ...said }: StoredFilm,
): Promise<void> {
  const { last } = await tx
    .selectFrom('film')
    .where('order_id', '=', orderId)
    .where('placement_id', '=', placementId)
    .select((e) => e.fn.max('place').as('last'))
    .executeTakeFirstOrThrow()
  await tx
    .insertInto('film')
    .values({
      order_id: orderId,
      placement_id: placementId,
      id,
      place: (last ?? -1) + 1,
      ink,
      name,
      hash,
      page,
      across,
      down,
      dpi: dpi ?? null,
      raster: Number(raster),
      ...saidIn(said),
    })
    .execute()
}

/**
 * Adds films at the end; a film of a colour that has one gets it, and the other stays without, since it may be another part of the
 * art; one of the same name is a newer state of it and takes its place. What is there already, same file, page and name, is not
 * added again: a device that got no answer sends it twice. Says whether the order is there.
 */
export async function addFilms(
  db: Database,
  orderId: string,
  placementId: string,
  films: readonly Omit<StoredFilm, 'id'>[],
): Promise<boolean> {
  return inOne(db, async (tx) => {
    const order = await tx
      .selectFrom('customer_order')
      .select('id')
      .where('id', '=', orderId)
      .where('deleted_at', 'is', null)
      .executeTakeFirst()
    if (!order) return false
    const there = (await loadFilms(tx, orderId))[placementId] ?? []
    const known = new Set(there.map((f) => `${f.hash} ${f.page} ${f.name}`))
    for (const film of films) {
      if (known.has(`${film.hash} ${film.page} ${film.name}`)) continue
      if (film.ink !== '') {
        await tx
          .deleteFrom('film')
          .where('order_id', '=', orderId)
          .where('placement_id', '=', placementId)
          .where('ink', '=', film.ink)
          .where('name', '=', film.name)
          .execute()
        await tx
          .updateTable('film')
          .where('order_id', '=', orderId)
          .where('placement_id', '=', placementId)
          .where('ink', '=', film.ink)
          .set({ ink: '' })
          .execute()
      }
      await putFilm(tx, orderId, placementId, { ...film, id: crypto.randomUUID().slice(0, 8) })
    }
    return true
  })
}

/** Prints of these orders that have films of known size: there is a picture of them. */
export async function picturedPrints(
  db: Database,
  orderIds: readonly string[],
): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  if (orderIds.length === 0) return new Map()
  const rows = await db
    .selectFrom('film')
    .select(['order_id', 'placement_id'])
    .where('order_id', 'in', orderIds)
    .where('ink', '!=', '')
    .where('dpi', 'is not', null)
    .distinct()
    .execute()
  return rollup(
    rows,
    (of) => new Set(of.map((r) => r.placement_id)),
    (r) => r.order_id,
  )
}

/** Corrects what a film is; a film that had its new colour has none from then on. Says whether it was there. */
export async function changeFilm(
  db: Database,
  orderId: string,
  placementId: string,
  id: string,
  change: FilmChange,
): Promise<boolean> {
  const { ink, dpi } = change
  return inOne(db, async (tx) => {
    const here = tx
      .updateTable('film')
      .where('order_id', '=', orderId)
      .where('placement_id', '=', placementId)
    const { numUpdatedRows } = await here
      .set({
        // The order stands in for nothing: a change may name no column at all.
        order_id: orderId,
        ...(ink === undefined ? {} : { ink }),
        ...(dpi === undefined ? {} : { dpi }),
        ...saidIn(change),
      })
      .where('id', '=', id)
      .executeTakeFirst()
    if (numUpdatedRows > 0n && ink)
      await here.set({ ink: '' }).where('ink', '=', ink).where('id', '!=', id).execute()
    return numUpdatedRows > 0n
  })
}

/** Puts a film in the place of others, which are set aside and lose their colour. */
export const replaceFilms = (
  db: Database,
  orderId: string,
  placementId: string,
  ids: readonly string[],
  film: Omit<StoredFilm, 'id'>,
): Promise<void> =>
  inOne(db, async (tx) => {
    await tx
      .updateTable('film')
      .where('order_id', '=', orderId)
      .where('placement_id', '=', placementId)
      .where('id', 'in', ids)
      .set({ ink: '', aside: 1 })
      .execute()
    await putFilm(tx, orderId, placementId, { ...film, id: crypto.randomUUID().slice(0, 8) })
  })

/** Takes a film off its print; the file stays, as another order may use it. */
export const removeFilm = async (
  db: Database,
  orderId: string,
  placementId: string,
  id: string,
): Promise<void> => {
  await db
    .deleteFrom('film')
    .where('order_id', '=', orderId)
    .where('placement_id', '=', placementId)
    .where('id', '=', id)
    .execute()
}

/** What was read, if it was read off just these films; what is stored and cannot be read is read off them again. */
export async function loadReading(
  db: Database,
  orderId: string,
  placementId: string,
  stamp: string,
): Promise<Reading | undefined> {
  const row = await db
    .selectFrom('film_reading')
    .select('facts')
    .where('order_id', '=', orderId)
    .where('placement_id', '=', placementId)
    .where('stamp', '=', stamp)
    .executeTakeFirst()
  if (!row) return undefined
  try {
    const reading = JSON.parse(row.facts) as Reading | null
    return Array.isArray(reading?.films) && Array.isArray(reading.facts) ? reading : undefined
  } catch {
    return undefined
  }
}

export async function saveReading(
  db: Database,
  orderId: string,
  placementId: string,
  stamp: string,
  reading: Reading,
): Promise<void> {
  const facts = JSON.stringify(reading)
  await db
    .insertInto('film_reading')
    .values({ order_id: orderId, placement_id: placementId, stamp, facts })
    .onConflict((c) => c.columns(['order_id', 'placement_id']).doUpdateSet({ stamp, facts }))
    .execute()
}
