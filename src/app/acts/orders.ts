import { addDays, format } from 'date-fns'
import { isOffPress, type Order, type Progress } from '@/core/order'
import { isUndecided, orderOfRun } from '@/core/plan'
import { no, type Outcome } from '@/core/quantity'
import type { Database } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { loadFilms, putFilm } from '@/store/films'
import { findOrders } from '@/store/orderSearch'
import {
  addOrder,
  bringBackOrder,
  deleteOrder,
  loadOrders,
  markOrderAs,
  nextOrderId,
  saveOrder,
} from '@/store/orders'
import { release } from '@/store/revisions'
import { loadShop, putPart } from '@/store/shop'
import { planRun } from '../planning'
import { readFacts } from '../runs/readRun'
import type { At } from './kinds'

const TWO_WEEKS = 14
type Made = Outcome<{ readonly id: string; readonly isNew: boolean }>

/** Opens a new order, due in two weeks, with one garment line and one print to fill in. An unused one is used again. */
export const newOrder = (_: object, { once, now }: At): Promise<Made> =>
  once<Made>(async (tx) => {
    const { ids } = await findOrders(tx, { text: '', show: 'open', nameless: true, offset: 0, limit: 1 })
    const [unused] = (await loadOrders(tx, ids)).filter((o) => o.version === 1)
    if (unused) return { ok: true as const, id: unused.order.id, isNew: false }
    const id = await nextOrderId(tx)
    const { shelf } = await loadShop(tx)
    const cloth = shelf.cloths[0] ?? {
      name: 'White',
      hex: '#f6f6f6',
      weave: 'jersey' as const,
      cotton: 1,
      polyester: 0,
      weight: 0.18,
    }
    const sizes = ['S', 'M', 'L', 'XL'].map((size) => ({ size, quantity: 0 }))
    await addOrder(tx, {
      id,
      customer: '',
      title: '',
      due: format(addDays(now, TWO_WEEKS), 'yyyy-MM-dd'),
      notes: '',
      lines: [{ id: 'G1', style: 'Classic tee', cloth, sizes, group: '' }],
      placements: [
        { id: 'P1', where: 'front', width: 0.28, height: 0.33, sizes: 'all', inks: [], relations: [] },
      ],
    })
    return { ok: true as const, id, isNew: true }
  })

interface Named {
  readonly id: string
}

/** Nothing of another order came in yet. */
const withoutCounted = ({ garmentsOn: _, ...order }: Order): Order => ({
  ...order,
  lines: order.lines.map((l) => ({ ...l, sizes: l.sizes.map(({ received: _, ...s }) => s) })),
})

/** A new order with the garments, prints, films and choices of an old one, due in two weeks; its number. */
async function copied(tx: Database, old: Order, now: Date, reorderOf?: string): Promise<string> {
  const next = await nextOrderId(tx)
  const due = format(addDays(now, TWO_WEEKS), 'yyyy-MM-dd')
  const { reorderOf: _, ...order } = withoutCounted(old)
  await addOrder(tx, { ...order, id: next, due, ...(reorderOf && { reorderOf }) })
  await copyBesides(tx, old, next)
  return next
}

/** Films and choices of an order, for another that has the same prints. */
async function copyBesides(tx: Database, old: Order, next: string): Promise<void> {
  for (const [print, films] of Object.entries(await loadFilms(tx, old.id)))
    for (const film of films) await putFilm(tx, next, print, film)
  const fresh = await loadDecisions(tx, [next])
  for (const { decisions } of (await loadDecisions(tx, [old.id])).values()) {
    const runId = decisions.runId.replace(/^R-\d+/, next.replace('O', 'R'))
    const version = fresh.get(runId)?.version
    if (version !== undefined && !isUndecided(decisions))
      await saveDecisions(tx, { ...decisions, runId }, version)
  }
}

/** An order that was only begun becomes like an earlier one; customer, job and day stay as they were typed. */
export const copyFrom = ({ id, from }: Named & { readonly from: string }, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const [now, old] = await Promise.all([there(tx, id), there(tx, from)])
    if (!now || !old) return no(GONE)
    if (now.order.placements.some((p) => p.inks.length > 0))
      return no('This order has colours already: only one that was just begun is filled from another.')
    const { lines, placements, whiteLook, notes } = withoutCounted(old.order)
    const { customer, title, due } = now.order
    const next: Order = {
      ...{ id, due, lines, placements },
      ...(whiteLook && { whiteLook }),
      customer: customer || old.order.customer,
      title: title || old.order.title,
      notes: now.order.notes || notes,
    }
    await saveOrder(tx, next, now.version)
    await copyBesides(tx, old.order, id)
    return { ok: true }
  })

/** The order that is there under this number, if it is not deleted. */
const there = async (tx: Database, id: string) =>
  (await loadOrders(tx, [id])).find((o) => o.deletedAt === undefined)
const GONE = 'There is no such order any more.'

/** Another order like this one. */
export const duplicate = ({ id }: Named, { once, now }: At): Promise<Made> =>
  once<Made>(async (tx) => {
    const old = await there(tx, id)
    return old ? { ok: true as const, id: await copied(tx, old.order, now), isNew: true } : no(GONE)
  })

/** The same design again, known as such. Its screens that still stand in the rack or hang are the new one's from now on. */
export const reorder = ({ id }: Named, { once, now }: At): Promise<Made> =>
  once<Made>(async (tx) => {
    const old = await there(tx, id)
    if (!old) return no(GONE)
    const next = await copied(tx, old.order, now, old.order.reorderOf ?? id)
    const { frames } = (await loadShop(tx)).shelf.shop
    const carries = (f: (typeof frames)[number]) => isOffPress(old.state ?? 'open') && f.stencil?.order === id
    if (frames.some(carries))
      await putPart(tx, 'frames', {
        shop: {
          frames: frames.map((f) =>
            f.stencil && carries(f) ? { ...f, stencil: { ...f.stencil, order: next } } : f,
          ),
        },
      })
    return { ok: true as const, id: next, isNew: true }
  })

/** Deletes an order; it can be brought back for thirty days. */
export const removeOrder = ({ id }: Named, { once, now }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) =>
    (await deleteOrder(tx, id, now)) ? { ok: true } : no(`There is no order ${id} any more.`),
  )

export const restoreOrder = ({ id }: Named, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) =>
    (await bringBackOrder(tx, id)) ? { ok: true } : no(`${id} was not deleted, or is gone for good.`),
  )

/** Says how far an order is, or takes it back. */
export const markOrder = (
  { id, mark, is }: Named & { readonly mark: Progress; readonly is: boolean },
  { once, now }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) =>
    (await markOrderAs(tx, id, mark, now, is)) ? { ok: true } : no(`There is no order ${id} any more.`),
  )

/** What the lead saw when they released. */
export interface Seen {
  readonly order: number
  readonly decisions: number
  readonly shop: number
  /** The last revision; 0 for none. */
  readonly revision: number
}
const CHANGED = 'Something changed while you looked, so nothing was released. Look at the plan again.'
type Released = Outcome<{ readonly number: number }>

/** Freezes the plan of a run as its next revision, if it still is what the lead saw. */
export async function releaseRun(
  { runId, seen }: { readonly runId: string; readonly seen: Seen },
  { db, once, now }: At,
): Promise<Released> {
  const orderId = orderOfRun(runId)
  if (orderId === undefined) return no(`There is no run ${runId}.`)
  // Planned before the transaction: others go on meanwhile.
  const before = await readFacts(db, runId)
  const plan = before && (await planRun(before))
  return once<Released>(async (tx) => {
    const facts = await readFacts(tx, runId)
    const same =
      facts !== undefined &&
      before !== undefined &&
      [facts, before].every(
        (f) =>
          f.versions.order === seen.order &&
          f.versions.shop === seen.shop &&
          f.versions.decisions === seen.decisions,
      )
    if (!same || !plan) return no(CHANGED)
    const frozen = { order: facts.order, plan, shopName: facts.shop.name }
    const revision = await release(tx, frozen, seen.revision, now)
    return revision ? { ok: true as const, number: revision.number } : no(CHANGED)
  })
}
