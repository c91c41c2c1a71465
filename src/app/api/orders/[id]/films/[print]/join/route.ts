import { copyFile } from 'node:fs/promises'
import { number, object } from 'yup'
import { dropFile, incomingFile, keepFile, replaceFilms } from '@/store/films'
import { inDarkroom } from '../../../../../../films/darkroom'
import { printFilms } from '../../../../../../films/printFilms'
import { brought, json, nothing, write } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

const asked = object({
  /** The first of two tiles, by its place in the set. */
  film: number().strict().integer().min(0).max(999).required(),
})

/** Joins two tiles at their corner marks: one film in their place, and both set aside. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id, print } = await params
    const { film } = await brought(request, asked)
    const { db, films, set } = await printFilms(id, print)
    const whole = films.length > 1 ? await inDarkroom((api) => api.join(set, film)) : undefined
    if (!whole) return nothing('tile at such a place')
    const [a, b] = whole.films.map((i) => films[i])
    if (!a || !b) return nothing('such film in this print')
    const incoming = await incomingFile()
    try {
      await copyFile(whole.path, incoming)
      await replaceFilms(db, id, print, [a.id, b.id], {
        ink: a.ink || b.ink,
        name: `${a.name.replace(/\.\w+$/, '')} and ${b.name.replace(/\.\w+$/, '')}, joined.tiff`.slice(
          0,
          200,
        ),
        hash: await keepFile(incoming),
        page: 0,
        across: whole.width,
        down: whole.height,
        dpi: set.dpi,
        raster: true,
        negative: false,
      })
    } finally {
      await dropFile(incoming)
    }
    return json({})
  })
}
