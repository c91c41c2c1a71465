'use server'

import { revalidatePath } from 'next/cache'
import { type Change, misfit, overlaid } from '@/core/change'
import { checkShelf, type ShopAndShelf } from '@/core/equipment'
import { checkOrder } from '@/core/order'
import type { Decisions } from '@/core/plan'
import { database } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { bringBackOrder, deleteOrder, loadOrder, saveOrder } from '@/store/orders'
import { diskProblem } from '@/store/problems'
import { loadShop, saveShop } from '@/store/shop'
import type { Edited } from './edited'

export type Applied = { readonly ok: true } | { readonly ok: false; readonly message: string }

const MOVED_ON: Applied = {
  ok: false,
  message: 'Someone else has changed this since, so it stays as it is now.',
}
const done = (ok: boolean): Applied => (ok ? { ok } : MOVED_ON)

/** Makes changes to what they were made to before: for undo and redo. What has moved on since is left alone. */
export async function applyChanges(edited: Edited, changes: readonly Change[]): Promise<Applied> {
  try {
    const applied = await apply(edited, changes)
    revalidatePath('/', 'layout')
    return applied
  } catch (error) {
    const message = diskProblem(error)
    if (message === undefined) throw error
    return { ok: false, message }
  }
}

async function apply({ kind, id }: Edited, changes: readonly Change[]): Promise<Applied> {
  const db = await database()
  switch (kind) {
    case 'order': {
      const stored = await loadOrder(db, id)
      if (!stored || misfit(stored.order, changes)) return MOVED_ON
      const checked = checkOrder(overlaid(stored.order, changes))
      if (!checked.ok) return MOVED_ON
      return done((await saveOrder(db, checked.order, stored.version)).ok)
    }
    case 'decisions': {
      const order = `O-${/^R-(\d+)-/.exec(id)?.[1]}`
      const stored = (await loadDecisions(db, [order])).get(id)
      if (!stored || misfit(stored.decisions, changes)) return MOVED_ON
      const next: Decisions = overlaid(stored.decisions, changes)
      return done((await saveDecisions(db, next, stored.version)).ok)
    }
    case 'shop': {
      const stored = await loadShop(db)
      if (misfit(stored.shelf, changes)) return MOVED_ON
      const checked = checkShelf(overlaid<ShopAndShelf>(stored.shelf, changes))
      return checked.ok ? done((await saveShop(db, checked.value, stored.version)).ok) : MOVED_ON
    }
    case 'presence': {
      const gone = changes.at(-1)?.to === true
      return done(gone ? await deleteOrder(db, id, new Date()) : await bringBackOrder(db, id))
    }
    default:
      return kind satisfies never
  }
}
