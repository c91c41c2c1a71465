import { database } from '@/store/database'
import { loadInkStock, usedInRuns } from '@/store/inkRoom'
import { ahead } from '../today'
import { InkRoom } from './InkRoom'

export default async function InkPage() {
  const db = await database()
  const [{ needs, planning, later }, { cans, batches }, used] = await Promise.all([
    ahead(db),
    loadInkStock(db),
    usedInRuns(db),
  ])
  return <InkRoom planning={planning} later={later} needs={needs} cans={cans} batches={batches} used={used} />
}
