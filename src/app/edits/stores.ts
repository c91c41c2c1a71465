import same from 'fast-deep-equal'
import { checkPart, isShopPart, type Shop, type ShopPart, withPart } from '@/core/equipment'
import { checkOrder, type Order } from '@/core/order'
import { checkDecisions, type Decisions, noDecisions, planningFacts, runOf } from '@/core/plan'
import { no } from '@/core/quantity'
import { type Database, database } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { loadOrders, saveOrder } from '@/store/orders'
import { attempt } from '@/store/problems'
import { releasedRuns } from '@/store/revisions'
import { loadShop, savePart } from '@/store/shop'
import { alteredBy } from '../planning'
import type { Edited } from './edited'
import type { Stored, StoredPart } from './save'

/** Saves an order seen at `version`. Bad input is refused with a message for each field. */
async function storeOrder(id: string, value: unknown, version: number): Promise<Stored<Order>> {
  const checked = checkOrder(value)
  if (!checked.ok) return checked
  if (checked.value.id !== id) return no(`That is ${checked.value.id}, not ${id}.`)
  const saved = await saveOrder(await database(), checked.value, version)
  if (saved.ok) return saved
  const { now } = saved
  const there = now && now.deletedAt === undefined
  return { ok: false, now: there ? { value: now.order, version: now.version } : undefined }
}

/** Saves the decisions of a run seen at `version`. */
async function storeDecisions(id: string, value: unknown, version: number): Promise<Stored<Decisions>> {
  const checked = checkDecisions(value)
  if (!checked.ok) return checked
  if (checked.value.runId !== id) return no(`These are decisions for ${checked.value.runId}, not ${id}.`)
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

/** Saves a part of the shop seen at `version`. Bad input is refused with a message for each field. */
async function storePart(part: ShopPart, value: unknown, version: number): Promise<StoredPart> {
  const checked = checkPart(part, value)
  if (!checked.ok) return checked
  const db = await database()
  const { shelf } = await loadShop(db)
  const saved = await savePart(db, part, checked.value, version)
  if (!saved.ok) return saved
  const after = withPart(shelf, checked.value).shop
  const moved = !same(planningFacts(shelf.shop), planningFacts(after))
  return { ...saved, altered: moved ? await altered(db, shelf.shop, after) : [] }
}

/** Saves what someone edited, seen at `version`. What a disk can do comes back as a sentence. */
export const storeEdit = (
  { kind, id }: Edited,
  value: unknown,
  version: number,
): Promise<Stored<Order> | Stored<Decisions> | StoredPart> =>
  attempt(async () => {
    if (kind === 'order') return storeOrder(id, value, version)
    if (kind === 'decisions') return storeDecisions(id, value, version)
    return isShopPart(id) ? storePart(id, value, version) : no(`A shop has no part ${id}.`)
  })
