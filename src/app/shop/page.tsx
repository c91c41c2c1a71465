import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { ShopView } from './ShopView'

export const metadata = { title: 'Shop' }

export default async function ShopPage() {
  return <ShopView shelf={await loadShop(await database())} />
}
