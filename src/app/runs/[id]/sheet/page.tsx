import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { heatForSheet } from '../../../planning'
import { Seen } from '../../../Seen'
import { readRun } from '../../readRun'
import { type Standing, standingOf } from '../../standing'
import { Sheet } from './Sheet'

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<{ readonly revision?: string; readonly draft?: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Set-up sheet ${(await params).id}` }
}

/** In the sheet's own words whether it is what the crew should work from. */
function wordsOf(standing: Standing): string {
  switch (standing.is) {
    case 'good':
      return 'Released: the one to work from'
    case 'gone':
      return 'Released; the order makes no such run any more'
    case 'outOfDate':
      return `Out of date: revision ${standing.last} is the one to work from`
    case 'changed':
      return `Released; the plan has changed since (${standing.changes.length})`
    default:
      return standing satisfies never
  }
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
        <Sheet facts={facts} mark={wanted} standing={wordsOf(standingOf(read, wanted))} />
      ) : (
        <Sheet facts={facts} standing="Draft, not released" />
      )}
    </>
  )
}
