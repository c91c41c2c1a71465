import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { Seen } from '../../../Seen'
import { readRun } from '../../readRun'
import { RehearsalDesk } from './RehearsalDesk'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Rehearsal, ${(await params).id}` }
}

/** A run on a simulated press: the revision that was released last, or the draft while there is none. */
export default async function RehearsalPage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const read = await readRun(db, id)
  const shown = read.revisions.at(-1) ?? read.now
  if (!shown) notFound()
  return (
    <>
      <Seen stamp={stamp} />
      <RehearsalDesk
        plan={shown.plan}
        order={{ id: shown.order.id, customer: shown.order.customer }}
        shopName={shown.shopName}
        isDraft={read.revisions.length === 0}
      />
    </>
  )
}
