'use server'

import { revalidatePath } from 'next/cache'
import { checkShelf, type Shop, type ShopAndShelf } from '@/core/equipment'
import { noDecisions, plan, planChanges, runOf } from '@/core/plan'
import { backUp, restore } from '@/store/backup'
import { type Database, database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrders } from '@/store/orders'
import { diskProblem } from '@/store/problems'
import { releasedRuns } from '@/store/revisions'
import { loadShop, saveShop } from '@/store/shop'
import type { Stored } from '../edits/useAutosave'

/** Released runs that are looked at after a change of the shop: those due last. */
const LOOKED_AT = 60

/** Released runs that would be planned otherwise in another shop. */
async function altered(db: Database, before: Shop, after: Shop): Promise<readonly string[]> {
  if (before.presses.length === 0 || after.presses.length === 0) return []
  const released = await releasedRuns(db, LOOKED_AT)
  const ids = [...new Set(released.map((r) => r.orderId))]
  const [orders, decided] = await Promise.all([loadOrders(db, ids), loadDecisions(db, ids)])
  return released
    .filter(({ runId, orderId }) => {
      const order = orders.find((o) => o.order.id === orderId)?.order
      const run = order && runOf(order, runId)
      if (!order || !run || run.placement.inks.length === 0) return false
      const decisions = decided.get(runId)?.decisions ?? noDecisions(runId)
      return planChanges(plan(order, before, decisions), plan(order, after, decisions)).length > 0
    })
    .map((r) => r.runId)
}

export type StoredShopAnswer = Stored<ShopAndShelf> & {
  /** Released runs whose plan is another one now; what was released is untouched. */
  readonly altered?: readonly string[]
}

/** Saves the shop seen at `version`. Bad input is refused with a message for each field. */
export async function storeShop(value: unknown, version: number): Promise<StoredShopAnswer> {
  const checked = checkShelf(value)
  if (!checked.ok) return checked
  try {
    const db = await database()
    const before = await loadShop(db)
    const saved = await saveShop(db, checked.value, version)
    if (!saved.ok) return { ok: false, now: { value: saved.now.shelf, version: saved.now.version } }
    const runs = await altered(db, before.shelf.shop, checked.value.shop)
    revalidatePath('/', 'layout')
    return { ...saved, altered: runs }
  } catch (error) {
    const problem = diskProblem(error)
    if (problem === undefined) throw error
    return { ok: false, problem }
  }
}

export type Done = { readonly ok: true } | { readonly ok: false; readonly message: string }

async function attempt(act: () => Promise<unknown>): Promise<Done> {
  try {
    await act()
    revalidatePath('/', 'layout')
    return { ok: true }
  } catch (error) {
    return { ok: false, message: diskProblem(error) ?? (error as Error).message }
  }
}

export async function backUpNow(): Promise<Done> {
  return attempt(async () => backUp(await database(), new Date()))
}

export async function restoreBackup(name: string): Promise<Done> {
  return attempt(async () => restore(await database(), name, new Date()))
}
