import { format } from 'date-fns'
import { changeStamp, database } from '@/store/database'
import { doneSince, type Shown } from '@/store/orderSearch'
import { loadShop } from '@/store/shop'
import { offsetOf } from '../offsetOf'
import { Seen } from '../Seen'
import { orderLines } from '../today'
import { listPath, narrowed, narrowedBy } from './narrow'
import { OrderList } from './OrderList'

export const metadata = { title: 'Orders' }

/** Orders on one page of the list. */
const PAGE = 30

interface Props {
  readonly searchParams: Promise<{
    readonly from?: string
    readonly find?: string
    readonly show?: string
    readonly is?: string
    readonly press?: string
    readonly due?: string
  }>
}

export default async function OrdersPage({ searchParams }: Props) {
  const { from, find, show: asked, ...narrow } = await searchParams
  const by = narrowedBy(narrow)
  const text = typeof find === 'string' ? find.slice(0, 200) : ''
  const show: Shown = asked === 'deleted' || asked === 'done' ? asked : 'current'
  const db = await database()
  const stamp = await changeStamp(db)
  const offset = offsetOf(from)
  const [{ lines, total, planning }, { shelf }] = await Promise.all([
    orderLines(db, {
      ...{ text, show, offset, limit: PAGE, doneSince: doneSince(new Date()) },
      ...narrowed(by, format(new Date(), 'yyyy-MM-dd')),
    }),
    loadShop(db),
  ])
  return (
    <>
      <Seen stamp={stamp} />
      <OrderList
        shopName={shelf.shop.name}
        lines={lines}
        find={text}
        show={show}
        by={by}
        presses={shelf.shop.presses.map((p) => p.name)}
        planning={planning}
        page={{ offset, size: PAGE, total, path: listPath(text, show, by) }}
      />
    </>
  )
}
