import { orderOfRun } from '@/core/plan'
import { no, type Outcome } from '@/core/quantity'
import type { HeadLock, ScreenStep } from '@/core/registration'
import * as locks from '@/store/locks'
import { loadOrders } from '@/store/orders'
import * as setups from '@/store/setups'
import { loadShop } from '@/store/shop'
import type { At } from './kinds'

/** Notes how far a screen moved when its head was locked. */
export const noteLock = (lock: HeadLock, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { presses } = (await loadShop(tx)).shelf.shop
    if (!presses.some((p) => p.id === lock.pressId)) return no('There is no such press any more.')
    await locks.noteLock(tx, lock)
    return { ok: true }
  })

/** Takes the last lock of a head back. */
export const forgetLock = (
  { pressId, head }: { readonly pressId: string; readonly head: number },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) =>
    (await locks.forgetLock(tx, pressId, head)) ? { ok: true } : no('Nothing is noted for this head.'),
  )

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
