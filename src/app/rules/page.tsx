import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { RuleBook } from './RuleBook'

export const metadata = { title: 'Rules' }

export default async function RulesPage() {
  const { shelf } = await loadShop(await database())
  return <RuleBook shopName={shelf.shop.name} method={shelf.shop.method} />
}
