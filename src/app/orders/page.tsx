import { changeStamp, database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { Seen } from '../Seen'
import { orderLines } from '../today'
import { OrderList } from './OrderList'

export const metadata = { title: 'Orders' }

/** Orders on one page of the list. */
const PAGE = 30

interface Props {
  readonly searchParams: Promise<{
    readonly from?: string
    readonly find?: string
    readonly deleted?: string
  }>
}

export default async function OrdersPage({ searchParams }: Props) {
  const { from, find = '', deleted } = await searchParams
  const db = await database()
  const stamp = await changeStamp(db)
  const offset = Math.max(0, Number(from) || 0)
  const [{ lines, total }, { shelf }] = await Promise.all([
    orderLines(db, { text: find, deleted: deleted !== undefined, offset, limit: PAGE }),
    loadShop(db),
  ])
  const query = new URLSearchParams({ ...(find && { find }), ...(deleted !== undefined && { deleted }) })
  return (
    <>
      <Seen stamp={stamp} />
      <OrderList
        shopName={shelf.shop.name}
        lines={lines}
        find={find}
        deleted={deleted !== undefined}
        page={{ offset, size: PAGE, total, path: `/orders${query.size > 0 ? `?${query}` : ''}` }}
      />
    </>
  )
}
