import { notFound } from 'next/navigation'
import { byColour } from '@/core/ink'
import { database } from '@/store/database'
import { loadBatch, loadInkStock, pastBatches } from '@/store/inkRoom'
import { Bench } from './Bench'

/** Batches among which the sample of a colour is looked for. */
const LOOKED_BACK = 1000

export default async function BenchPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const db = await database()
  const { id } = await params
  const [batch, { cans }, past] = await Promise.all([
    loadBatch(db, id),
    loadInkStock(db),
    pastBatches(db, LOOKED_BACK),
  ])
  if (!batch) notFound()
  // The first batch of that name that was accepted is the sample to come to.
  const { sample } = byColour(past.filter((b) => b.name === batch.name && b.system === batch.system))[0] ?? {}
  return <Bench key={id} batch={batch} sample={sample?.id === id ? undefined : sample} cans={cans} />
}
