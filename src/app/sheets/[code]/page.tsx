import { notFound } from 'next/navigation'
import { isOffPress } from '@/core/order'
import { changeStamp, database } from '@/store/database'
import { loadOrder } from '@/store/orders'
import { revisionByCode } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { readRun } from '../../runs/readRun'
import { standingOf } from '../../runs/standing'
import { Seen } from '../../Seen'
import { Answer } from './Answer'

export const metadata = { title: 'Is this sheet still good?' }

/** Answers the code on a printed sheet: against the last revision, and against what is planned now. */
export default async function SheetCodePage({ params }: { readonly params: Promise<{ code: string }> }) {
  const db = await database()
  const stamp = await changeStamp(db)
  const [found, { shelf }] = await Promise.all([revisionByCode(db, (await params).code), loadShop(db)])
  if (!found) notFound()
  const { revision, last } = found
  const { runId, order } = revision
  const [stored, read] = await Promise.all([loadOrder(db, order.id), readRun(db, runId)])
  return (
    <>
      <Seen stamp={stamp} />
      <Answer
        shopName={shelf.shop.name}
        sheet={{ code: revision.code, number: revision.number, releasedAt: revision.releasedAt }}
        order={order}
        runId={runId}
        last={last.number}
        standing={isOffPress(stored?.state ?? 'open') ? { is: 'printed' } : standingOf(read, revision)}
      />
    </>
  )
}
