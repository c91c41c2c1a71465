import { database } from '@/store/database'
import { nextOrderId, orderIds } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { ImportDesk } from './ImportDesk'

export const metadata = { title: 'Import orders' }

export default async function ImportPage() {
  const db = await database()
  const [{ shelf }, taken, next] = await Promise.all([loadShop(db), orderIds(db), nextOrderId(db)])
  return (
    <ImportDesk shopName={shelf.shop.name} cloths={shelf.cloths} taken={taken} next={Number(next.slice(2))} />
  )
}
