import type { WhiteLook } from '@/core/order'
import { customerKey } from '@/core/order'
import { no, type Outcome } from '@/core/quantity'
import { customersNamed, mergeCustomers, putCustomer } from '@/store/customers'
import type { At } from './kinds'

interface Said {
  readonly name: string
  readonly leadDays?: number | null | undefined
  readonly whiteLook?: WhiteLook | '' | undefined
  readonly rules?: string | undefined
}

/** Says one thing or more of a customer; what is not named stays as it is. */
export const sayOfCustomer = (said: Said, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { name, leadDays, whiteLook, rules } = said
    const known = (await customersNamed(tx, [name])).get(customerKey(name)) ?? { name, rules: '' }
    const { leadDays: lead, whiteLook: look, ...rest } = known
    const days = leadDays === undefined ? lead : (leadDays ?? undefined)
    const white = whiteLook === undefined ? look : whiteLook || undefined
    await putCustomer(tx, {
      ...rest,
      rules: rules ?? known.rules,
      ...(days !== undefined && { leadDays: days }),
      ...(white && { whiteLook: white }),
    })
    return { ok: true }
  })

/** One customer who was typed in two ways. */
export const mergeCustomer = (
  { from, to }: { readonly from: string; readonly to: string },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (from === to) return no('That is the same name.')
    return (await mergeCustomers(tx, from, to)) > 0 ? { ok: true } : no(`There is no order of ${from}.`)
  })
