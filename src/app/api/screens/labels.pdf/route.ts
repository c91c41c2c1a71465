import { roomLines } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { labelsPdf } from '@/formats/labelsPdf'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { ahead } from '../../../today'
import { answered, file, nothing, printed } from '../../answer'

/** Labels for every screen that is not mounted yet and has its frame. `?units=inch`, `?paper=letter`, `?order=O-1001`. */
export async function GET(request: Request): Promise<Response> {
  return answered(async () => {
    const db = await database()
    const [{ jobs }, { shelf }] = await Promise.all([ahead(db), loadShop(db)])
    const { units, paper } = printed(request)
    const order = new URL(request.url).searchParams.get('order')
    const lines = roomLines(jobs, shelf.shop).filter(
      (l) => l.frame && l.next && (order === null || l.job.orderId === order),
    )
    if (lines.length === 0) return nothing('screen that wants a label')
    const labels = lines.map(({ frame, screen, job }) => ({
      frame: frame?.id ?? '',
      colour: screen.name,
      job: job.words,
      order: `${job.orderId} ${job.print}`,
      mesh: writeQuantity('meshCount', screen.mesh, units),
      stencil: [
        shelf.shop.screens.emulsions.find((e) => e.id === screen.emulsionId)?.name ?? '',
        `${screen.coats} coats`,
        ...(screen.expose ? [writeQuantity('duration', Math.round(screen.expose.time), units)] : []),
      ].join(', '),
      due: job.due.slice(5),
    }))
    return file(await labelsPdf(labels, paper), 'application/pdf', 'screen-labels.pdf')
  })
}
