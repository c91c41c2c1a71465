import { notFound } from 'next/navigation'
import { database } from '@/store/database'
import { loadBatch, loadInkStock } from '@/store/inkRoom'
import { Bench } from './Bench'

export default async function BenchPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const db = await database()
  const { id } = await params
  const [batch, { cans, batches }] = await Promise.all([loadBatch(db, id), loadInkStock(db)])
  if (!batch) notFound()
  // The last other batch of that name that was accepted is the sample to come to.
  const approved = batches.find((b) => b.id !== id && b.name === batch.name && b.state === 'accepted')
  return <Bench key={id} batch={batch} approved={approved} cans={cans} />
}
