import { database } from '@/store/database'
import { loadInkStock } from '@/store/inkRoom'
import { Rack } from './Rack'

export default async function RackPage() {
  const { cans } = await loadInkStock(await database())
  return <Rack cans={cans} />
}
