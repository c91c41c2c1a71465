import { database } from '@/store/database'
import { loadInkStock, usedInRuns } from '@/store/inkRoom'
import { everyInkNeed } from '../today'
import { InkRoom } from './InkRoom'

export default async function InkPage() {
  const db = await database()
  const [needs, { cans, batches }, used] = await Promise.all([
    everyInkNeed(db),
    loadInkStock(db),
    usedInRuns(db),
  ])
  return <InkRoom needs={needs} cans={cans} batches={batches} used={used} />
}
