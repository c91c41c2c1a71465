import { format } from 'date-fns'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrders } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { TodayBoard } from './TodayBoard'
import { todayLines } from './today'

export const metadata = { title: 'Today' }

export default async function TodayPage() {
  const db = await database()
  const [orders, { shop }, decisions] = await Promise.all([loadOrders(db), loadShop(db), loadDecisions(db)])
  return (
    <TodayBoard
      shopName={shop.name}
      today={format(new Date(), 'yyyy-MM-dd')}
      lines={todayLines(orders, shop, decisions)}
    />
  )
}
