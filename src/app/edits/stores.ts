import same from 'fast-deep-equal'
import { checkShelf, type Shop } from '@/core/equipment'
import { checkOrder, type Order } from '@/core/order'
import { checkDecisions, type Decisions, noDecisions, planningFacts, runOf } from '@/core/plan'
import { type Database, database } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { loadOrders, saveOrder } from '@/store/orders'
import { diskProblem } from '@/store/problems'
import { releasedRuns } from '@/store/revisions'
import { loadShop, saveShop } from '@/store/shop'
import { alteredBy } from '../planning'
import type { Stored, StoredShop } from './save'

/** Saves an order seen at `version`. Bad input is refused with a message for each field. */
async function storeOrder(value: unknown, version: number): Promise<Stored<Order>> {
  const checked = checkOrder(value)
  if (!checked.ok) return checked
  const saved = await saveOrder(await database(), checked.order, version)
  if (saved.ok) return saved
  const { now } = saved
  const there = now && now.deletedAt === undefined
  return { ok: false, now: there ? { value: now.order, version: now.version } : undefined }
}

/** Saves the decisions of a run seen at `version`. */
async function storeDecisions(value: unknown, version: number): Promise<Stored<Decisions>> {
  const checked = checkDecisions(value)
  if (!checked.ok) return checked
  const saved = await saveDecisions(await database(), checked.value, version)
  if (saved.ok) return saved
  const { now } = saved
  return { ok: false, now: now && { value: now.decisions, version: now.version } }
}

/** Released runs that are looked at after a change of the shop: those due last. */
const LOOKED_AT = 60

/** Released runs that would be planned otherwise in another shop. */
async function altered(db: Database, before: Shop, after: Shop): Promise<readonly string[]> {
  if (before.presses.length === 0 || after.presses.length === 0) return []
  const released = await releasedRuns(db, LOOKED_AT)
  const ids = [...new Set(released.map((r) => r.orderId))]
  const [orders, decided] = await Promise.all([loadOrders(db, ids), loadDecisions(db, ids)])
  const looked = await Promise.all(
    released.map(async ({ runId, orderId }) => {
      const order = orders.find((o) => o.order.id === orderId)?.order
      const run = order && runOf(order, runId)
      if (!order || !run || run.placement.inks.length === 0) return []
      const decisions = decided.get(runId)?.decisions ?? noDecisions(runId)
      // A run that cannot be planned is told where it is listed.
      const moved = await alteredBy(order, before, after, decisions).catch(() => 0)
      return moved > 0 ? [runId] : []
    }),
  )
  return looked.flat()
}

/** Saves the shop seen at `version`. Bad input is refused with a message for each field. */
async function storeShop(value: unknown, version: number): Promise<StoredShop> {
  const checked = checkShelf(value)
  if (!checked.ok) return checked
  const db = await database()
  const before = await loadShop(db)
  const saved = await saveShop(db, checked.value, version)
  if (!saved.ok) return { ok: false, now: { value: saved.now.shelf, version: saved.now.version } }
  const [was, is] = [before.shelf.shop, checked.value.shop]
  const moved = !same(planningFacts(was), planningFacts(is))
  return { ...saved, altered: moved ? await altered(db, was, is) : [] }
}

const STORES = { order: storeOrder, decisions: storeDecisions, shop: storeShop } as const

export const isStored = (kind: string): kind is keyof typeof STORES => Object.hasOwn(STORES, kind)

/** Saves what someone edited. What a disk can do comes back as a sentence. */
export async function storeEdit(
  kind: keyof typeof STORES,
  value: unknown,
  version: number,
): Promise<Stored<Order> | Stored<Decisions> | StoredShop> {
  try {
    return await STORES[kind](value, version)
  } catch (error) {
    const problem = diskProblem(error)
    if (problem === undefined) throw error
    return { ok: false, problem }
  }
}
