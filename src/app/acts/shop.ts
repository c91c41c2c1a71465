import { format } from 'date-fns'
import { isSetUp, partOf, TEMPLATES } from '@/core/equipment'
import { jobWords, noDecisions, orderOfRun, runOf, type SharedBelt } from '@/core/plan'
import { no, type Outcome } from '@/core/quantity'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrders } from '@/store/orders'
import { loadShop, putPart, putShop } from '@/store/shop'
import { beltFor, planRun } from '../planning'
import type { At } from './kinds'

interface SaidAir {
  /** None: as usual. */
  readonly air?: { readonly temperature: number; readonly humidity: number } | undefined
}

/** Says how warm and damp the shop is today, for every plan of today. */
export const sayAir = ({ air }: SaidAir, { once, now }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { shelf, versions } = await loadShop(tx)
    if (!isSetUp(versions)) return no('There is no shop yet.')
    const { air: _, ...shop } = shelf.shop
    const said = air && { on: format(now, 'yyyy-MM-dd'), ...air }
    await putPart(
      tx,
      'settings',
      partOf({ ...shelf, shop: { ...shop, ...(said && { air: said }) } }, 'settings'),
    )
    return { ok: true }
  })

/** Plans with the set-up of a screen that the record shows; without one, with what is usual. */
export const planSetup = (
  { perScreen }: { readonly perScreen?: number | undefined },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { shelf, versions } = await loadShop(tx)
    if (!isSetUp(versions)) return no('There is no shop yet.')
    const shop = { ...shelf.shop, setupPerScreen: perScreen }
    await putPart(tx, 'settings', partOf({ ...shelf, shop }, 'settings'))
    return { ok: true }
  })

/** Sets a shop up from a template; only where there is none yet. */
export const setUpShop = (
  { template, name }: { readonly template: string; readonly name: string },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (isSetUp((await loadShop(tx)).versions))
      return no('Someone else set the shop up just now: load the page again.')
    const shelf = TEMPLATES.find((t) => t.id === template)?.shelf
    if (!shelf) return no(`There is no template ${template}.`)
    await putShop(tx, { ...shelf, shop: { ...shelf.shop, name } })
    return { ok: true }
  })

/** Whether garments of two runs can go through a tunnel at the same time. */
export const shareBelt = async (
  { runs, dryer: id }: { readonly runs: readonly string[]; readonly dryer: string },
  _: At,
): Promise<Outcome<{ shared: SharedBelt }>> => {
  const db = await database()
  const ids = runs.map(orderOfRun)
  if (ids.includes(undefined)) return no('There is no such run.')
  const orders = ids as readonly string[]
  const [{ shelf }, loaded, decided] = await Promise.all([
    loadShop(db),
    loadOrders(db, orders),
    loadDecisions(db, orders),
  ])
  const { shop } = shelf
  const dryer = shop.dryers.find((d) => d.id === id)
  if (!dryer) return no('There is no such tunnel any more.')
  const jobs = await Promise.all(
    runs.map(async (runId, i) => {
      const order = loaded.find((o) => o.order.id === orders[i])?.order
      if (!order || !runOf(order, runId)) return undefined
      const decisions = decided.get(runId)?.decisions ?? noDecisions(runId)
      return { words: jobWords(order), plan: await planRun({ order, shop, decisions }) }
    }),
  )
  const [one, two] = jobs
  if (!one || !two) return no('One of the runs is not there any more.')
  return { ok: true, shared: await beltFor([one, two], dryer) }
}
