import { ordersCsv } from '@/formats'
import { database } from '@/store/database'
import { loadOrders } from '@/store/orders'
import { file } from '../answer'

export async function GET(): Promise<Response> {
  const orders = await loadOrders(await database())
  return file(ordersCsv(orders.map((o) => o.order)), 'text/csv; charset=utf-8', 'orders.csv')
}
