import { database } from '@/store/database'
import { loadInkStock, usedInRuns } from '@/store/inkRoom'
import { lanesAhead } from '../days/out'
import { InkRoom } from './InkRoom'

export default async function InkPage() {
  const db = await database()
  const [{ lanes, needs, planning, later }, { cans, batches }, used] = await Promise.all([
    lanesAhead(db, new Date()),
    loadInkStock(db),
    usedInRuns(db),
  ])
  const begins = lanes.runs.map((r) => [r.facts.runId, r.setUp] as const)
  return <InkRoom {...{ planning, later, needs, cans, batches, used, begins }} now={lanes.now} />
}
