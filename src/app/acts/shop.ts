import { format } from 'date-fns'
import { isSetUp, partOf, TEMPLATES } from '@/core/equipment'
import { no, type Outcome } from '@/core/quantity'
import { loadShop, putPart, putShop } from '@/store/shop'
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
