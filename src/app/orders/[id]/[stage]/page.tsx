import { notFound } from 'next/navigation'
import { knownHeads } from '@/core/registration'
import { database } from '@/store/database'
import { headLocks } from '@/store/headNotes'
import { filmsOf } from '../../../films/onTable'
import { Stage } from '../Stage'
import { isStage } from '../stages'

export default async function StagePage({
  params,
}: {
  readonly params: Promise<{ id: string; stage: string }>
}) {
  const { id, stage } = await params
  if (!isStage(stage)) notFound()
  const films = stage === 'art' ? await filmsOf(await database(), id) : undefined
  const heads = stage === 'sequence' ? knownHeads(await headLocks.every(await database())) : []
  return <Stage stage={stage} films={films} heads={heads} />
}
