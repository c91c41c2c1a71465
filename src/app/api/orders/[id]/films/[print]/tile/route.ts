import { SMALLEST } from '@/core/artwork'
import { inDarkroom } from '../../../../../../films/darkroom'
import { printFilms } from '../../../../../../films/printFilms'
import { answered, json, nothing } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

/** Ink of a tile of a film, 256 x 256 bytes; no content where it prints nothing. Kept by the browser: the key names the films. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id, print } = await params
    const query = new URL(request.url).searchParams
    const [level, x, y] = ['level', 'x', 'y'].map((name) => Number(query.get(name) ?? Number.NaN))
    if (
      !Number.isInteger(level) ||
      !Number.isInteger(x) ||
      !Number.isInteger(y) ||
      (level as number) > SMALLEST
    )
      return json({ wrong: ['level, x and y must be whole numbers.'] }, 400)
    const { films, set } = await printFilms(id, print)
    // Of films as they were a moment ago: whoever asks will ask for the new ones.
    if (query.get('key') !== set.key)
      return new Response(null, { status: 204, headers: { 'cache-control': 'no-store' } })
    const film = films.findIndex((f) => f.id === query.get('film'))
    if (film < 0) return nothing('such film')
    const tile = await inDarkroom((api) => api.tile(set, film, level as number, x as number, y as number))
    const headers = { 'cache-control': 'private, max-age=31536000, immutable' }
    return tile
      ? new Response(new Uint8Array(tile), {
          headers: { ...headers, 'content-type': 'application/octet-stream' },
        })
      : new Response(null, { status: 204, headers })
  })
}
