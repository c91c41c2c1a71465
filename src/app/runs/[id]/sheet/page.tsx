import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { planChanges } from '@/core/plan'
import { changeStamp, database } from '@/store/database'
import { heatForSheet } from '../../../planning'
import { Seen } from '../../../Seen'
import { type RunRead, readRun } from '../../readRun'
import { Sheet } from './Sheet'

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<{ readonly revision?: string; readonly draft?: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Set-up sheet ${(await params).id}` }
}

/** Whether a revision is what the crew should work from. */
function standingOf({ now, revisions }: RunRead, number: number): string {
  const last = revisions.at(-1)
  if (last && last.number > number) return `Out of date: revision ${last.number} is the one to work from`
  const moved = last && now ? planChanges(last.plan, now.plan).length : 0
  return moved > 0 ? `Released; the plan has changed since (${moved})` : 'Released: the one to work from'
}

/** The last released revision, another one, or the draft while nothing is released. */
export default async function SheetPage({ params, searchParams }: Props) {
  const { id } = await params
  const { revision, draft } = await searchParams
  const db = await database()
  const stamp = await changeStamp(db)
  const read = await readRun(db, id)
  const wanted = draft
    ? undefined
    : revision
      ? read.revisions.find((r) => r.number === Number(revision))
      : read.revisions.at(-1)
  const now = revision ? undefined : read.now
  const shown = wanted ?? now
  if (!shown) notFound()
  const facts = { ...shown, heat: await heatForSheet(shown.plan) }
  return (
    <>
      <Seen stamp={stamp} />
      {wanted ? (
        <Sheet facts={facts} mark={wanted} standing={standingOf(read, wanted.number)} />
      ) : (
        <Sheet facts={facts} standing="Draft, not released" />
      )}
    </>
  )
}
