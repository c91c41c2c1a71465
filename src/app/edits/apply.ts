import { type Change, misfit, overlaid } from '@/core/change'
import { checkPart, isShopPart, partOf } from '@/core/equipment'
import { checkOrder } from '@/core/order'
import { checkDecisions, orderOfRun } from '@/core/plan'
import { database } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { bringBackOrder, deleteOrder, loadOrder, saveOrder } from '@/store/orders'
import { loadShop, savePart } from '@/store/shop'
import type { Edited } from './edited'

/** How often another write may come in between before it is given up. */
const TRIES = 5

/**
 * Makes changes to what they were made to, whatever else was stored since: other fields stay as they are now.
 *
 * @returns false when something else stands where the changes would be made: then none is
 */
export async function applied(edited: Edited, changes: readonly Change[]): Promise<boolean> {
  for (let left = TRIES; left > 0; left--) {
    const done = await once(edited, changes)
    if (done !== 'moved') return done === 'done'
  }
  return false
}

type Outcome = 'done' | 'misfit' | 'moved'

const stored = ({ ok }: { readonly ok: boolean }): Outcome => (ok ? 'done' : 'moved')

async function once({ kind, id }: Edited, changes: readonly Change[]): Promise<Outcome> {
  const db = await database()
  switch (kind) {
    case 'order': {
      const now = await loadOrder(db, id)
      if (!now || now.deletedAt !== undefined || misfit(now.order, changes)) return 'misfit'
      const checked = checkOrder(overlaid(now.order, changes))
      return checked.ok ? stored(await saveOrder(db, checked.value, now.version)) : 'misfit'
    }
    case 'decisions': {
      const order = orderOfRun(id)
      const now = order === undefined ? undefined : (await loadDecisions(db, [order])).get(id)
      if (!now || misfit(now.decisions, changes)) return 'misfit'
      const checked = checkDecisions(overlaid(now.decisions, changes))
      return checked.ok ? stored(await saveDecisions(db, checked.value, now.version)) : 'misfit'
    }
    case 'shop': {
      if (!isShopPart(id)) return 'misfit'
      const { shelf, versions } = await loadShop(db)
      const now = partOf(shelf, id)
      if (misfit(now, changes)) return 'misfit'
      const checked = checkPart(id, overlaid(now, changes))
      return checked.ok ? stored(await savePart(db, id, checked.value, versions[id])) : 'misfit'
    }
    case 'presence': {
      const gone = changes.at(-1)?.to === true
      const done = gone ? await deleteOrder(db, id, new Date()) : await bringBackOrder(db, id)
      return done ? 'done' : 'misfit'
    }
    default:
      return kind satisfies never
  }
}
