import { format } from 'date-fns'
import { quotePdf } from '@/formats/quotePdf'
import { database } from '@/store/database'
import { pictureWanted } from '../../../../films/composed'
import { printFilms } from '../../../../films/printFilms'
import { quoteAsked, readQuote } from '../../../../quotes/read'
import { answered, file, nothing, printed } from '../../../answer'

/** Pixels of a print. */
const WIDTH = 700

/** Quote and proof as a PDF. `?plus=60` on top of costs, `?garment=4.20`, `?prices=no`, `?units=inch`, `?paper=letter`. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const { units, paper } = printed(request)
    const asked = quoteAsked(Object.fromEntries(new URL(request.url).searchParams))
    const read = await readQuote(await database(), id, asked)
    if (!read) return nothing(`order ${id}`)
    const { order } = read
    const content = read.contentIn(units)
    const pictures = new Map<string, Buffer>()
    for (const { runId, print, based, drawing } of content.prints) {
      const placement = order.placements.find((p) => p.id === print)
      if (!placement) continue
      const ground = drawing?.hex ?? '#808080'
      const wanted = pictureWanted(await printFilms(id, print), placement, { ground, width: WIDTH, based })
      const png = (await wanted.kept()) ?? (await wanted.composed())
      if (png) pictures.set(runId, Buffer.from(png))
    }
    const on = format(new Date(), 'yyyy-MM-dd')
    const pdf = await quotePdf({ content, pictures, priced: asked.priced, on, paper, units })
    return file(pdf, 'application/pdf', `${id}-${asked.priced ? 'quote' : 'proof'}.pdf`)
  })
}
