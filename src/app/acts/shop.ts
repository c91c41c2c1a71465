import { isSetUp, TEMPLATES } from '@/core/equipment'
import { no, type Outcome } from '@/core/quantity'
import { loadShop, putShop } from '@/store/shop'
import type { At } from './kinds'

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
