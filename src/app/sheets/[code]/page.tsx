import { notFound } from 'next/navigation'
import { planChanges } from '@/core/plan'
import { database } from '@/store/database'
import { revisionByCode } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { Answer } from './Answer'

export const metadata = { title: 'Is this sheet still good?' }

/** Answers the code on a printed sheet. */
export default async function SheetCodePage({ params }: { readonly params: Promise<{ code: string }> }) {
  const db = await database()
  const [found, { shelf }] = await Promise.all([revisionByCode(db, (await params).code), loadShop(db)])
  if (!found) notFound()
  const { revision, last } = found
  return (
    <Answer
      shopName={shelf.shop.name}
      sheet={{ code: revision.code, number: revision.number, releasedAt: revision.releasedAt }}
      order={revision.order}
      runId={revision.runId}
      last={last.number}
      changes={revision.number === last.number ? [] : planChanges(revision.plan, last.plan)}
    />
  )
}
