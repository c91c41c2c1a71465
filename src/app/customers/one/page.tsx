import { notFound } from 'next/navigation'
import { customerKey, usualInks, usualPrints } from '@/core/order'
import { customerNames, customersNamed, ordersOf } from '@/store/customers'
import { changeStamp, database } from '@/store/database'
import { loadOrders } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { Seen } from '../../Seen'
import { CustomerDesk } from './CustomerDesk'

export const metadata = { title: 'Customer' }

/** Orders that say what is usual, and names to choose from. */
const LOOKED_AT = 40
const NAMES = 500

interface Props {
  readonly searchParams: Promise<{ readonly name?: string | readonly string[] }>
}

export default async function CustomerPage({ searchParams }: Props) {
  const { name } = await searchParams
  if (typeof name !== 'string' || name === '') notFound()
  const db = await database()
  const stamp = await changeStamp(db)
  const lines = await ordersOf(db, name, LOOKED_AT)
  if (lines.length === 0) notFound()
  const [stored, known, names, { shelf }] = await Promise.all([
    loadOrders(
      db,
      lines.map((l) => l.id),
    ),
    customersNamed(db, [name]),
    customerNames(db, NAMES),
    loadShop(db),
  ])
  const orders = stored.map((s) => s.order)
  return (
    <>
      <Seen stamp={stamp} />
      <CustomerDesk
        key={name}
        shopName={shelf.shop.name}
        shopLead={shelf.shop.leadDays ?? 0}
        customer={{ ...(known.get(customerKey(name)) ?? { rules: '' }), name }}
        orders={lines.map(({ id, title, due }) => ({
          ...{ id, title, due },
          state: stored.find((s) => s.order.id === id)?.state ?? 'open',
        }))}
        prints={usualPrints(orders)}
        inks={usualInks(orders)}
        others={names.filter((n) => n !== name)}
      />
    </>
  )
}
