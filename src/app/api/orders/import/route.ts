import { checkOrder, type Order } from '@/core/order'
import { readJob } from '@/formats'
import { database } from '@/store/database'
import { saveDecisions } from '@/store/decisions'
import { addOrders, loadOrder, nextOrderId } from '@/store/orders'
import { json, write } from '../../answer'

/** Takes orders in, all or none: a list of orders in SI, or one job file. */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const text = await request.text()
    return new URL(request.url).searchParams.get('as') === 'job' ? importJob(text) : importOrders(text)
  })
}

async function importOrders(text: string): Promise<Response> {
  const checked = (JSON.parse(text) as unknown[]).map(checkOrder)
  const wrong = checked.flatMap((c, i) =>
    c.ok ? [] : Object.entries(c.errors).map(([path, message]) => `[${i}].${path}: ${message}`),
  )
  if (wrong.length > 0) return json({ wrong }, 400)
  const orders = checked.flatMap((c) => (c.ok ? [c.order] : []))
  await addOrders(await database(), orders)
  return json({ ids: orders.map((o) => o.id) })
}

/** An order whose number is taken gets the next free one, and its runs with it. */
async function importJob(text: string): Promise<Response> {
  const read = readJob(text)
  if (!read.ok) return json({ wrong: read.wrong }, 400)
  const db = await database()
  const { order, decisions } = read.job
  const id = (await loadOrder(db, order.id)) ? await nextOrderId(db) : order.id
  const renumbered: Order = { ...order, id }
  await addOrders(db, [renumbered])
  const runId = decisions.runId.replace(/^R-\d+/, `R-${id.slice(2)}`)
  await saveDecisions(db, { ...decisions, runId }, 1)
  return json({ ids: [id] })
}
