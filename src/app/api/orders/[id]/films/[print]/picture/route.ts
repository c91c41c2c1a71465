import sharp from 'sharp'
import { loadOrder } from '@/store/orders'
import { pictureWanted } from '../../../../../../films/composed'
import { printFilms } from '../../../../../../films/printFilms'
import { answered, nothing } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

const LARGEST = 1200

/** Pictures that are being made, by their tag. */
const making = new Map<string, Promise<Uint8Array | undefined>>()
/**
 * Who asks waits so long, milliseconds: a browser has six lines to a server, and six pictures that are waited for leave none
 * for anything else.
 */
const PATIENCE = 250

/**
 * The print composed of its films on `?cloth=%23rrggbb`, without its base by `?base=none`; made once, then kept beside the
 * films. While it is being made the answer is one dot of the cloth: ask again.
 */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id, print } = await params
    const query = new URL(request.url).searchParams
    const own = await printFilms(id, print)
    const stored = await loadOrder(own.db, id)
    const placement = stored?.order.placements.find((p) => p.id === print)
    if (!placement) return nothing(`picture of print ${print} in order ${id}`)
    const width = Math.min(LARGEST, Math.max(16, Number(query.get('width')) || 320))
    const cloth = query.get('cloth') ?? ''
    const ground = /^#[\da-f]{6}$/i.test(cloth) ? cloth : '#808080'
    const { tag, kept, composed } = pictureWanted(own, placement, {
      ...{ ground, width },
      based: query.get('base') !== 'none',
    })
    const etag = `"${tag}"`
    if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304 })
    const png = (await kept()) ?? (await soon())
    if (png === 'coming')
      return new Response(new Uint8Array(await bare(1)), {
        headers: { 'content-type': 'image/png', 'cache-control': 'no-store' },
      })
    return new Response(new Uint8Array(png ?? (await bare(width))), {
      headers: {
        'content-type': 'image/png',
        'cache-control': 'private, no-cache',
        ...(png ? { etag } : {}),
      },
    })

    /** Nothing can be composed yet: the cloth alone. */
    function bare(side: number): Promise<Buffer> {
      return sharp({ create: { width: side, height: side, channels: 3, background: ground } })
        .png()
        .toBuffer()
    }

    async function soon(): Promise<Uint8Array | 'coming' | undefined> {
      const made = making.get(tag) ?? composed().finally(() => making.delete(tag))
      making.set(tag, made)
      let timer: ReturnType<typeof setTimeout> | undefined
      const late = new Promise<'coming'>((resolve) => {
        timer = setTimeout(() => resolve('coming'), PATIENCE)
      })
      // What fails after nobody waits for it any more is told to who asks next.
      made.catch(() => undefined)
      return Promise.race([made, late]).finally(() => clearTimeout(timer))
    }
  })
}
