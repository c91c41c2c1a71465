import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { headLocks, headTurns } from '@/store/headNotes'
import { eventsAfter } from '@/store/pressEvents'
import { loadShop } from '@/store/shop'
import { Seen } from '../../../Seen'
import { readRun } from '../../readRun'
import { looksOf } from './looks'
import { RegisterDesk } from './RegisterDesk'

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<{ readonly hit?: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Register ${(await params).id}` }
}

/** Registering the screens of a run at the press: of the last revision, or of the draft while nothing is released. */
export default async function RegisterPage({ params, searchParams }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const { now, revisions } = await readRun(db, id)
  const facts = revisions.at(-1) ?? now
  if (!facts) notFound()
  return (
    <>
      <Seen stamp={stamp} />
      <RegisterDesk
        facts={facts}
        locks={await headLocks.of(db, facts.plan.press.id)}
        looks={await looksOf(db, facts)}
        turns={await headTurns.of(db, facts.plan.press.id)}
        told={{ ...(await eventsAfter(db, id, 0)), revision: revisions.at(-1)?.number ?? 0 }}
        own={(await loadShop(db)).shelf.shop.ownSteps ?? []}
        first={(await searchParams).hit}
      />
    </>
  )
}
