import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { eventsAfter } from '@/store/pressEvents'
import { revisionsOf } from '@/store/revisions'
import { Seen } from '../../../Seen'
import { PressDesk } from './PressDesk'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `At the press, ${(await params).id}` }
}

/** A run at the press, as it was released last. */
export default async function PressPage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const facts = (await revisionsOf(db, id)).at(-1)
  if (!facts) notFound()
  return (
    <>
      <Seen stamp={stamp} />
      <PressDesk latest={facts} said={await eventsAfter(db, id, 0)} />
    </>
  )
}
