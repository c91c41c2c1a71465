import { copyFile, readFile } from 'node:fs/promises'
import { array, boolean, number, object, string } from 'yup'
import { writeQuantity } from '@/core/quantity'
import { dropFile, incomingFile, keepFile, replaceFilms, type StoredFilm } from '@/store/films'
import { inDarkroom } from '../../../../../../films/darkroom'
import { printFilms } from '../../../../../../films/printFilms'
import { answered, brought, json, nothing, write } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

const place = number().strict().integer().min(0).max(999)
const asked = object({
  /** The film that is mended, by its place in the set. */
  film: place.required(),
  by: number().strict().min(0).max(0.002).required(),
  /** A base is drawn in under these; another film is spread under `into`. */
  needing: array(place.required()).max(200).default(undefined),
  into: place,
  /** Puts the mended film in the place of the other, which is set aside. */
  use: boolean().strict(),
})

/** Mends the choke of a base, or spreads a colour under another; told by what is read back off the new film. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id, print } = await params
    const { use, ...question } = await brought(request, asked)
    const { db, films, set } = await printFilms(id, print)
    const { film, needing, into } = question
    const own = films[film]
    if (!own || [...(needing ?? []), into ?? 0].some((i) => i >= films.length))
      return nothing('such film in this print')
    if ((needing === undefined) === (into === undefined) || into === film || needing?.includes(film))
      return json({ wrong: ['Say what the base lies under, or which film to spread into.'] }, 400)
    const mended = await inDarkroom((api) => api.mend(set, question))
    if (!mended) return json({ wrong: ['The films cannot be read: see what is said of them.'] }, 400)
    if (use && mended.holds) {
      const incoming = await incomingFile()
      try {
        await copyFile(mended.path, incoming)
        const words = `${into === undefined ? 'choked' : 'spread'} ${writeQuantity('fine', question.by, 'metric')}`
        await replaceFilms(db, id, print, [own.id], {
          ink: own.ink,
          name: `${own.name.replace(/\.\w+$/, '')}, ${words}.tiff`,
          hash: await keepFile(incoming),
          page: 0,
          across: set.width,
          down: set.height,
          dpi: set.dpi,
          raster: true,
          negative: false,
        } satisfies Omit<StoredFilm, 'id'>)
      } finally {
        await dropFile(incoming)
      }
    }
    const { path: _, ...told } = mended
    return json(told)
  })
}

const token = string()
  .matches(/^[\da-f]{12}$/)
  .required()

/** A mended film as a TIFF of one bit at true scale; `?mirrored=1` for the side of the emulsion. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id, print } = await params
    const query = new URL(request.url).searchParams
    const { set } = await printFilms(id, print)
    const name = query.get('film') ?? ''
    const path = token.isValidSync(name) ? `${set.table}-mend-${name}.tiff` : ''
    const file = path && (await readFile(path).catch(() => undefined))
    if (!file) return nothing('mended film of these films')
    const out = query.get('mirrored') === '1' ? await inDarkroom((api) => api.mirrored(path, set.dpi)) : file
    return new Response(new Uint8Array(out), {
      headers: {
        'content-type': 'image/tiff',
        'content-disposition': `attachment; filename="${print}-${name}.tiff"`,
        'cache-control': 'no-store',
      },
    })
  })
}
