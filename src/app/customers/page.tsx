import { listCustomers } from '@/store/customers'
import { changeStamp, database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { offsetOf } from '../offsetOf'
import { Seen } from '../Seen'
import { CustomerList } from './CustomerList'

export const metadata = { title: 'Customers' }

/** Customers on one page of the list. */
const PAGE = 30

interface Props {
  readonly searchParams: Promise<{ readonly from?: string; readonly find?: string }>
}

export default async function CustomersPage({ searchParams }: Props) {
  const { from, find } = await searchParams
  const text = typeof find === 'string' ? find.slice(0, 200) : ''
  const offset = offsetOf(from)
  const db = await database()
  const stamp = await changeStamp(db)
  const [{ lines, total }, { shelf }] = await Promise.all([
    listCustomers(db, { text, offset, limit: PAGE }),
    loadShop(db),
  ])
  const query = text && `?${new URLSearchParams({ find: text })}`
  return (
    <>
      <Seen stamp={stamp} />
      <CustomerList
        shopName={shelf.shop.name}
        lines={lines}
        find={text}
        page={{ offset, size: PAGE, total, path: `/customers${query}` }}
      />
    </>
  )
}
