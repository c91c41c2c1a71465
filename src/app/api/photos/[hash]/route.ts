import { readFile } from 'node:fs/promises'
import { filmFile } from '@/store/films'
import { answered, nothing } from '../../answer'

interface Context {
  readonly params: Promise<{ hash: string }>
}

/** A picture of a sample, by what is in it: it never changes. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { hash } = await params
    if (!/^[0-9a-f]{64}$/.test(`${hash}`)) return nothing('such picture')
    const bytes = await readFile(filmFile(hash)).catch(() => undefined)
    // A film lies in the same place: only what a camera gave is shown here.
    if (bytes?.[0] !== 0xff || bytes[1] !== 0xd8) return nothing('such picture')
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
    })
  })
}
