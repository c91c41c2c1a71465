import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { Seen } from '../../../Seen'
import { readRun } from '../../readRun'
import { StripSheet } from './StripSheet'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Lap strip ${(await params).id}` }
}

/** The lap strip on a page of its own: of the last revision, or of the draft while nothing is released. */
export default async function StripPage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const { now, revisions } = await readRun(db, id)
  const last = revisions.at(-1)
  const facts = last ?? now
  if (!facts) notFound()
  return (
    <>
      <Seen stamp={stamp} />
      <StripSheet facts={facts} standing={last ? `Revision ${last.number}` : 'Draft, not released'} />
    </>
  )
}
