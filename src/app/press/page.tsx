import { jobWords } from '@/core/plan'
import { changeStamp, database } from '@/store/database'
import { latestRevisions, releasedRuns } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { Seen } from '../Seen'
import { PressDoor } from './PressDoor'

export const metadata = { title: 'Press' }

/** So many runs are offered; older ones are found by their code. */
const MOST = 40

/** The way to the press side: the code on the sheet, or a run that is released. */
export default async function PressDoorPage() {
  const db = await database()
  const stamp = await changeStamp(db)
  const { shelf } = await loadShop(db)
  const runs = await releasedRuns(db, MOST, 'open')
  const revisions = await latestRevisions(
    db,
    runs.map((r) => r.runId),
  )
  return (
    <>
      <Seen stamp={stamp} />
      <PressDoor
        shopName={shelf.shop.name}
        runs={[...revisions.values()].map(({ runId, order, plan, number, code }) => ({
          ...{ runId, number, code, words: jobWords(order), press: plan.press.name },
          ...{ pieces: plan.run.quantity, due: order.due },
        }))}
      />
    </>
  )
}
