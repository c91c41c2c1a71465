import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { accountFor } from '@/store/accounts'
import { changeStamp, database } from '@/store/database'
import { eventsAfter } from '@/store/pressEvents'
import { latestRevisions } from '@/store/revisions'
import { Seen } from '../../../Seen'
import { RecordDesk } from './RecordDesk'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Record ${(await params).id}` }
}

/** What came of a run, beside what was planned. */
export default async function RecordPage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const revision = (await latestRevisions(db, [id])).get(id)
  if (!revision) notFound()
  const { plan, order, shopName } = revision
  return (
    <>
      <Seen stamp={stamp} />
      <RecordDesk
        facts={{ plan, order, shopName }}
        account={await accountFor(db, id)}
        events={(await eventsAfter(db, id, 0)).events}
      />
    </>
  )
}
