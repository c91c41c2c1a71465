import { inDarkroom } from '../../../../../../films/darkroom'
import { printFilms } from '../../../../../../films/printFilms'
import { answered, json } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

/** Pixels of a side. */
const SIDE = 176

/** Ink of every film over the print, small, by the ink it is of: bytes as base64. Empty where there are no films to draw from. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id, print } = await params
    const { films, set } = await printFilms(id, print)
    const masks = films.length > 0 ? await inDarkroom((api) => api.masks(set, SIDE), 'later') : undefined
    return json({
      side: SIDE,
      masks: Object.fromEntries(
        (masks ?? []).flatMap((ink, i) => {
          const film = films[i]
          return film ? [[film.ink, Buffer.from(ink).toString('base64')]] : []
        }),
      ),
    })
  })
}
