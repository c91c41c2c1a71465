import { roomLines } from '@/core/plan'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { ahead } from '../../../../today'
import { answered, json } from '../../../answer'

/** Which frame the screen room gives to each screen of an order, among all orders, and why: `P1.base` names a screen. */
export async function GET(
  _request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const [{ jobs }, { shelf }] = await Promise.all([ahead(db, { with: id }), loadShop(db)])
    const own = roomLines(jobs, shelf.shop).filter((l) => l.job.orderId === id)
    return json(
      Object.fromEntries(
        own.map(({ job, screen, frame, frameWhy }) => [
          `${job.print}.${screen.hitId}`,
          { frame: frame?.id, why: frameWhy },
        ]),
      ),
    )
  })
}
