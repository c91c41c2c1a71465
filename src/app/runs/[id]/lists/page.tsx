import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { eventsAfter } from '@/store/pressEvents'
import { loadShop } from '@/store/shop'
import { Seen } from '../../../Seen'
import { readRun } from '../../readRun'
import { RunLists } from './RunLists'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Lists ${(await params).id}` }
}

/** Every list of a run, from the coating of its screens to the boards after it: ticked here, or printed. */
export default async function ListsPage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const { now, revisions } = await readRun(db, id)
  const last = revisions.at(-1)
  const facts = last ?? now
  if (!facts) notFound()
  const { order, plan, shopName } = facts
  return (
    <>
      <Seen stamp={stamp} />
      <RunLists
        facts={{ order, plan, shopName }}
        told={{ ...(await eventsAfter(db, id, 0)), revision: last?.number ?? 0 }}
        own={(await loadShop(db)).shelf.shop.ownSteps ?? []}
      />
    </>
  )
}
