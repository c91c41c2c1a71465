import { createWriteStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { ReadableStream as NodeStream } from 'node:stream/web'
import { boolean, mixed, number, object, string } from 'yup'
import { colourOfFile, TURNS, type Turn } from '@/core/artwork'
import type { Placement } from '@/core/order'
import { keysOf } from '@/core/quantity'
import { filmPlaces } from '@/formats/archiveSchema'
import { type FilmPage, MOST_BYTES } from '@/formats/film'
import { database } from '@/store/database'
import {
  addFilms,
  changeFilm,
  dropFile,
  incomingFile,
  keepFile,
  loadFilms,
  removeFilm,
  type StoredFilm,
} from '@/store/films'
import { loadOrder } from '@/store/orders'
import { pagesOf } from '../../../../../films/darkroom'
import { filmsOn } from '../../../../../films/onTable'
import { Cancelled, TooLong } from '../../../../../thread'
import { answered, brought, json, nothing, write } from '../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

/** The films of a print, what names them as a set, and what was read off them if it was. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id, print } = await params
    return json(await filmsOn(await database(), id, print))
  })
}

/** Corrects one film: its colour, its resolution, or that it is a negative. */
export async function PATCH(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id, print } = await params
    const db = await database()
    const film = new URL(request.url).searchParams.get('film') ?? ''
    const change = await brought(request, corrected)
    const own = (await loadFilms(db, id))[print]?.find((f) => f.id === film)
    if (!own) return nothing(`film ${film}`)
    const wrong = change.dpi === undefined ? undefined : wrongSize(own, change.dpi)
    if (wrong) return json({ wrong: [wrong] }, 400)
    const found = await changeFilm(db, id, print, film, change)
    return found ? json({}) : nothing(`film ${film}`)
  })
}

/** Takes one film off the print. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id, print } = await params
    await removeFilm(await database(), id, print, new URL(request.url).searchParams.get('film') ?? '')
    return json({})
  })
}

const corrected = object().shape({
  ink: string()
    .strict()
    .matches(/^[\w.-]{0,60}$/, 'A colour by its id.'),
  dpi: number().strict().positive('More than nothing.').max(2400, 'At most 2400 dpi.'),
  negative: boolean().strict().nullable(),
  opaque: boolean().strict().nullable(),
  screened: boolean().strict().nullable(),
  aside: boolean().strict().nullable(),
  turn: mixed<Turn>()
    .nullable()
    .oneOf([null, ...keysOf(TURNS)], `One of ${keysOf(TURNS).join(', ')}, or null.`),
  kept: filmPlaces.default(undefined),
})

/** A film of this many pixels an inch that cannot be. */
function wrongSize({ raster, across, down }: StoredFilm, dpi: number): string | undefined {
  if (raster) return dpi < 30 ? 'At least 30 dpi.' : undefined
  const mm = [across, down].map((side) => (side / dpi) * MM)
  return Math.min(...mm) < 2 || Math.max(...mm) > 2000 ? 'Between 2 mm and 2 m, please.' : undefined
}

/** Ends a stream that brings more than a film may have. */
const limited = () => {
  let bytes = 0
  return new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length
      done(bytes > MOST_BYTES ? new RangeError('too large') : null, chunk)
    },
  })
}

/** Takes in one file, streamed; its pages become films of the print, matched to its colours by name. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id, print } = await params
    const db = await database()
    const stored = await loadOrder(db, id)
    const placement = stored?.order.placements.find((p) => p.id === print)
    if (!placement || stored?.deletedAt !== undefined) return nothing(`print ${print} in order ${id}`)
    const name =
      new URL(request.url).searchParams
        .get('name')
        ?.replace(/[\p{Cc}\p{Cs}]/gu, ' ')
        .slice(0, 200) || 'film'
    if (!request.body) return json({ wrong: [`${name}: this file is empty.`] }, 400)
    const incoming = await incomingFile()
    const made = [incoming]
    try {
      await pipeline(
        Readable.fromWeb(request.body as unknown as NodeStream),
        limited(),
        createWriteStream(incoming),
      )
      if ((await stat(incoming)).size === 0) return json({ wrong: [`${name}: this file is empty.`] }, 400)
      const { pages, plates, problem } = await pagesOf(incoming)
      made.push(...plates.map((p) => p.path))
      if (problem) return json({ wrong: [`${name}: ${problem}`] }, 400)
      const films =
        plates.length > 0
          ? await platedFilms(name, pages[0] as FilmPage, plates, placement)
          : pagedFilms(name, pages, await keepFile(incoming), placement)
      const added = await addFilms(db, id, print, films)
      return added ? json({ films: films.length }) : nothing(`order ${id}`)
    } catch (error) {
      if (error instanceof TooLong || error instanceof Cancelled)
        return json(
          {
            wrong: [`${name}: looking into it took too long, so it was given up. Export it as plain shapes.`],
          },
          400,
        )
      if (error instanceof RangeError)
        return json(
          { wrong: [`${name}: more than ${MOST_BYTES / 1024 ** 2} MB. Export it at 300 dpi.`] },
          413,
        )
      throw error
    } finally {
      await Promise.all(made.map(dropFile))
    }
  })
}

type NewFilm = Omit<StoredFilm, 'id'>

/** A film for each plate of a composite, matched to its colour by the plate's name. */
async function platedFilms(
  name: string,
  page: FilmPage,
  plates: readonly { readonly name: string; readonly path: string }[],
  { inks }: Placement,
): Promise<readonly NewFilm[]> {
  const films: NewFilm[] = []
  for (const plate of plates)
    films.push({
      ink: colourOfFile(plate.name, inks),
      name: `${name}, ${plate.name}`,
      hash: await keepFile(plate.path),
      page: 0,
      ...unitsOf(page),
      raster: false,
    })
  return films
}

/** A film for each page: those of one document come in the order of the colours, a file by itself says its colour by its name. */
function pagedFilms(
  name: string,
  pages: readonly FilmPage[],
  hash: string,
  { inks }: Placement,
): readonly NewFilm[] {
  const several = pages.length > 1
  const first = pages.length > inks.length ? ['base'] : []
  const byPage = [...first, ...inks.map((i) => i.id)]
  return pages.map((p) => ({
    ink: several ? (byPage[p.page] ?? '') : colourOfFile(name, inks),
    name: several ? `${name}, page ${p.page + 1}` : name,
    hash,
    page: p.page,
    ...unitsOf(p),
    raster: p.pixels !== undefined,
  }))
}

const MM = 25.4

/** A drawing of known size counts in millimetres; one without in its own units, until someone says how large it is. */
function unitsOf({ pixels, dpi, size, shape, units }: FilmPage) {
  if (pixels) return { across: pixels.width, down: pixels.height, ...(dpi === undefined ? {} : { dpi }) }
  if (size) return { across: size.width, down: size.height, dpi: MM }
  return units ? { across: units.width, down: units.height } : { across: shape, down: 1 }
}
