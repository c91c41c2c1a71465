import { notFound } from 'next/navigation'
import { database } from '@/store/database'
import { loadBatch, loadInkStock } from '@/store/inkRoom'
import { Bench } from './Bench'

export default async function BenchPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const db = await database()
  const { id } = await params
  const [batch, { cans }] = await Promise.all([loadBatch(db, id), loadInkStock(db)])
  if (!batch) notFound()
  return <Bench key={id} batch={batch} cans={cans} />
}
