import { type Change, fittedAll, misfit, overlaid } from '@/core/change'
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
 * @param misfits what becomes of a change where something else stands by now: `refused` makes none of them; `skipped`, for
 *   what is sent while a page is left and nobody can be asked any more, makes the others
 * @returns whether they were made
 */
export async function applied(
  edited: Edited,
  changes: readonly Change[],
  misfits: 'refused' | 'skipped' = 'refused',
): Promise<boolean> {
  const lay: Lay = (now) => {
    if (misfits === 'skipped') return fittedAll(now, changes)
    return misfit(now, changes) ? undefined : overlaid(now, changes)
  }
  for (let left = TRIES; left > 0; left--) {
    const done = await once(edited, changes, lay)
    if (done !== 'moved') return done === 'done'
  }
  return false
}

/** What is stored now with the changes in it, if they can be made. */
type Lay = <T>(now: T) => T | undefined

type Outcome = 'done' | 'misfit' | 'moved'

const stored = ({ ok }: { readonly ok: boolean }): Outcome => (ok ? 'done' : 'moved')

async function once({ kind, id }: Edited, changes: readonly Change[], lay: Lay): Promise<Outcome> {
  const db = await database()
  switch (kind) {
    case 'order': {
      const now = await loadOrder(db, id)
      if (!now || now.deletedAt !== undefined) return 'misfit'
      const checked = checkOrder(lay(now.order))
      return checked.ok ? stored(await saveOrder(db, checked.value, now.version)) : 'misfit'
    }
    case 'decisions': {
      const order = orderOfRun(id)
      const now = order === undefined ? undefined : (await loadDecisions(db, [order])).get(id)
      if (!now) return 'misfit'
      const checked = checkDecisions(lay(now.decisions))
      return checked.ok ? stored(await saveDecisions(db, checked.value, now.version)) : 'misfit'
    }
    case 'shop': {
      if (!isShopPart(id)) return 'misfit'
      const { shelf, versions } = await loadShop(db)
      const checked = checkPart(id, lay(partOf(shelf, id)))
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
