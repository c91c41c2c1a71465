import { ordersCsv } from '@/formats'
import { database } from '@/store/database'
import { everyOrder } from '@/store/orders'
import { answered, streamed } from '../answer'

/** Every order that is not deleted, one record a size. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const db = await database()
    async function* parts() {
      yield ordersCsv([])
      for await (const { order } of everyOrder(db)) {
        const csv = ordersCsv([order])
        yield csv.slice(csv.indexOf('\n') + 1)
      }
    }
    return streamed(parts(), 'text/csv; charset=utf-8', 'orders.csv')
  })
}
