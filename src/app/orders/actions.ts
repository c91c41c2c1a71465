'use server'

import { addDays, format } from 'date-fns'
import { revalidatePath } from 'next/cache'
import { noDecisions, plan, runOf } from '@/core/plan'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import {
  addOrder,
  bringBackOrder,
  deleteOrder,
  findOrders,
  loadOrder,
  loadOrders,
  nextOrderId,
} from '@/store/orders'
import { diskProblem } from '@/store/problems'
import { release } from '@/store/revisions'
import { loadShop } from '@/store/shop'

const TWO_WEEKS = 14

export type Problem = { readonly ok: false; readonly problem: string }

/** Does something with the database; what a disk can do comes back as a sentence. */
async function onDisk<T>(act: () => Promise<T>): Promise<T | Problem> {
  try {
    const done = await act()
    revalidatePath('/', 'layout')
    return done
  } catch (error) {
    const problem = diskProblem(error)
    if (problem === undefined) throw error
    return { ok: false, problem }
  }
}

/** Opens a new order, due in two weeks, with one garment line and one print to fill in. An unused one is used again. */
export async function newOrder(): Promise<
  { readonly ok: true; readonly id: string; readonly isNew: boolean } | Problem
> {
  return onDisk(async () => {
    const db = await database()
    const { ids } = await findOrders(db, { text: '', deleted: false, nameless: true, offset: 0, limit: 1 })
    const [unused] = (await loadOrders(db, ids)).filter((o) => o.version === 1)
    if (unused) return { ok: true as const, id: unused.order.id, isNew: false }
    const id = await nextOrderId(db)
    const { shelf } = await loadShop(db)
    const cloth = shelf.cloths[0] ?? {
      name: 'White',
      hex: '#f6f6f6',
      weave: 'jersey' as const,
      cotton: 1,
      polyester: 0,
      weight: 0.18,
    }
    const sizes = ['S', 'M', 'L', 'XL'].map((size) => ({ size, quantity: 0 }))
    await addOrder(db, {
      id,
      customer: '',
      title: '',
      due: format(addDays(new Date(), TWO_WEEKS), 'yyyy-MM-dd'),
      notes: '',
      lines: [{ id: 'G1', style: 'Classic tee', cloth, sizes, group: '' }],
      placements: [
        { id: 'P1', where: 'front', width: 0.28, height: 0.33, sizes: 'all', inks: [], relations: [] },
      ],
    })
    return { ok: true as const, id, isNew: true }
  })
}

/** Deletes an order; it can be brought back for thirty days. */
export async function removeOrder(id: string): Promise<{ readonly ok: true } | Problem> {
  return onDisk(async () => {
    await deleteOrder(await database(), id, new Date())
    return { ok: true as const }
  })
}

export async function restoreOrder(id: string): Promise<{ readonly ok: true } | Problem> {
  return onDisk(async () => {
    await bringBackOrder(await database(), id)
    return { ok: true as const }
  })
}

/** What the lead saw when they released. */
export interface Seen {
  readonly order: number
  readonly decisions: number
  readonly shop: number
  /** The last revision; 0 for none. */
  readonly revision: number
}

/** Freezes the plan of a run as its next revision, if it still is what the lead saw. */
export async function releaseRun(
  runId: string,
  seen: Seen,
): Promise<{ readonly ok: true; readonly number: number } | Problem> {
  return onDisk(async () => {
    const changed: Problem = {
      ok: false,
      problem: 'Something changed while you looked, so nothing was released. Look at the plan again.',
    }
    const db = await database()
    const orderId = `O-${/^R-(\d+)-/.exec(runId)?.[1]}`
    const [stored, shop, decided] = await Promise.all([
      loadOrder(db, orderId),
      loadShop(db),
      loadDecisions(db, [orderId]),
    ])
    const decisions = decided.get(runId)
    const same =
      stored?.version === seen.order &&
      shop.version === seen.shop &&
      (decisions?.version ?? 1) === seen.decisions
    if (!same || !stored || !runOf(stored.order, runId)) return changed
    const frozen = {
      order: stored.order,
      plan: plan(stored.order, shop.shelf.shop, decisions?.decisions ?? noDecisions(runId)),
      shopName: shop.shelf.shop.name,
    }
    const revision = await release(db, frozen, seen.revision, new Date())
    return revision ? { ok: true as const, number: revision.number } : changed
  })
}
