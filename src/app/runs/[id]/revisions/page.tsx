import { notFound } from 'next/navigation'
import { planChanges } from '@/core/plan'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { readRun } from '../../readRun'
import { Revisions } from './Revisions'

export const metadata = { title: 'Revisions' }

/** Every revision of a run with what changed from one to the next. */
export default async function RevisionsPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params
  const db = await database()
  const [{ revisions }, { shelf }] = await Promise.all([readRun(db, id), loadShop(db)])
  const [first] = revisions
  if (!first) notFound()
  return (
    <Revisions
      shopName={shelf.shop.name}
      runId={id}
      order={first.order}
      revisions={revisions
        .map(({ number, code, releasedAt, plan }, i) => {
          const before = revisions[i - 1]
          return { number, code, releasedAt, changes: before ? planChanges(before.plan, plan) : [] }
        })
        .reverse()}
    />
  )
}
