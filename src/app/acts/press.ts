import type { Kysely } from 'kysely'
import { orderOfRun } from '@/core/plan'
import { no, type Outcome } from '@/core/quantity'
import type { HeadLock, HeadTurn, ScreenStep } from '@/core/registration'
import { headLocks, headTurns } from '@/store/headNotes'
import { loadOrders } from '@/store/orders'
import type { Tables } from '@/store/schema'
import * as setups from '@/store/setups'
import { loadShop } from '@/store/shop'
import type { At } from './kinds'

const isThere = async (tx: Kysely<Tables>, pressId: string): Promise<boolean> =>
  (await loadShop(tx)).shelf.shop.presses.some((p) => p.id === pressId)

/** Notes how far a screen moved when its head was locked. */
export const noteLock = (lock: HeadLock, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (!(await isThere(tx, lock.pressId))) return no('There is no such press any more.')
    await headLocks.note(tx, lock)
    return { ok: true }
  })

/** Notes what turns of the knobs of a head did. */
export const noteTurn = (turn: HeadTurn, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (!(await isThere(tx, turn.pressId))) return no('There is no such press any more.')
    await headTurns.note(tx, turn)
    return { ok: true }
  })

type OfHead = { readonly pressId: string; readonly head: number }

/** Takes the last note of a head back. */
const forgetIn =
  (notes: Pick<typeof headLocks | typeof headTurns, 'forget'>) =>
  ({ pressId, head }: OfHead, { once }: At): Promise<Outcome> =>
    once<Outcome>(async (tx) =>
      (await notes.forget(tx, pressId, head)) ? { ok: true } : no('Nothing is noted for this head.'),
    )
export const forgetLock = forgetIn(headLocks)
export const forgetTurn = forgetIn(headTurns)

/** A step of the set-up of a screen is done. */
export const doStep = (step: ScreenStep, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const id = orderOfRun(step.runId)
    const [order] = id === undefined ? [] : await loadOrders(tx, [id])
    if (!order) return no('There is no such run any more.')
    await setups.doStep(tx, step)
    return { ok: true }
  })

export const undoStep = (step: Omit<ScreenStep, 'at'>, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    await setups.undoStep(tx, step)
    return { ok: true }
  })
