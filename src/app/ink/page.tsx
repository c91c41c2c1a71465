import { database } from '@/store/database'
import { loadInkStock } from '@/store/inkRoom'
import { everyInkNeed } from '../today'
import { InkRoom } from './InkRoom'

export default async function InkPage() {
  const db = await database()
  const [needs, { cans, batches }] = await Promise.all([everyInkNeed(db), loadInkStock(db)])
  return <InkRoom needs={needs} cans={cans} batches={batches} />
}
