import { checkOrder, type Order } from '@/core/order'
import { readJob } from '@/formats'
import { database } from '@/store/database'
import { saveDecisions } from '@/store/decisions'
import { onceOnly } from '@/store/once'
import { addOrders, loadOrder, nextOrderId, orderIds } from '@/store/orders'
import { jobText, json, MOST, parsed, Refused, textOf, write } from '../../answer'

/**
 * Takes orders in, all or none: a list of orders in SI, or one job file (`?as=job`). With `Idempotency-Key` they are taken
 * in once, however often they are sent.
 */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const key = request.headers.get('idempotency-key')
    if (key !== null && !/^[\w-]{16,64}$/.test(key))
      throw new Refused(400, 'Idempotency-Key: 16 to 64 letters, digits or dashes.')
    const once = `import ${key ?? crypto.randomUUID()}`
    return new URL(request.url).searchParams.get('as') === 'job'
      ? importJob(await jobText(request), once)
      : importOrders(parsed(await textOf(request, MOST.orders)), once)
  })
}

/** Orders that are checked in one go; then others have their turn. */
const AT_ONCE = 20
const MOST_WRONG = 200

async function checkedOrders(list: readonly unknown[]): Promise<readonly Order[]> {
  const orders: Order[] = []
  const wrong: string[] = []
  for (const [i, given] of list.entries()) {
    const c = checkOrder(given)
    if (c.ok) orders.push(c.value)
    else wrong.push(...Object.entries(c.errors).map(([path, message]) => `[${i}].${path}: ${message}`))
    if (wrong.length > MOST_WRONG) break
    if (i % AT_ONCE === AT_ONCE - 1) await new Promise((resume) => setImmediate(resume))
  }
  const seen = new Set<string>()
  for (const { id } of orders) {
    if (seen.has(id)) wrong.push(`${id} stands in it twice.`)
    seen.add(id)
  }
  if (wrong.length > 0) throw new Refused(400, ...wrong)
  return orders
}

async function importOrders(given: unknown, once: string): Promise<Response> {
  if (!Array.isArray(given)) throw new Refused(400, 'A list of orders, please: [ … ].')
  const orders = await checkedOrders(given)
  const done = await onceOnly(await database(), once, new Date(), async (tx) => {
    const there = new Set(await orderIds(tx))
    const taken = orders.filter((o) => there.has(o.id)).map((o) => `${o.id} is taken already.`)
    if (taken.length > 0) return { ok: false as const, wrong: taken.slice(0, MOST_WRONG) }
    await addOrders(tx, orders)
    return { ok: true as const, ids: orders.map((o) => o.id) }
  })
  return done.ok ? json({ ids: done.ids }) : json({ wrong: done.wrong }, 409)
}

/** An order whose number is taken gets the next free one, and its runs with it. */
async function importJob(text: string, once: string): Promise<Response> {
  const read = readJob(text)
  if (!read.ok) return json({ wrong: read.wrong }, 400)
  const { order, decisions } = read.job
  const done = await onceOnly(await database(), once, new Date(), async (tx) => {
    const id = (await loadOrder(tx, order.id)) ? await nextOrderId(tx) : order.id
    await addOrders(tx, [{ ...order, id }])
    const runId = decisions.runId.replace(/^R-\d+/, `R-${id.slice(2)}`)
    await saveDecisions(tx, { ...decisions, runId }, 1)
    return { ids: [id] }
  })
  return json(done)
}
