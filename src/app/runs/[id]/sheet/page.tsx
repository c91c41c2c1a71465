import { format } from 'date-fns'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { noDecisions, plan, runOf } from '@/core/plan'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrder } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { Sheet } from './Sheet'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Set-up sheet ${(await params).id}` }
}

export default async function SheetPage({ params }: Props) {
  const runId = (await params).id
  const orderId = /^R-(\d+)-/.exec(runId)?.[1]
  if (orderId === undefined) notFound()
  const db = await database()
  const [stored, { shop }, decisions] = await Promise.all([
    loadOrder(db, `O-${orderId}`),
    loadShop(db),
    loadDecisions(db, `O-${orderId}`),
  ])
  const run = stored && runOf(stored.order, runId)
  if (!run || run.placement.inks.length === 0 || shop.presses.length === 0) notFound()
  const found = plan(stored.order, shop, decisions.get(runId)?.decisions ?? noDecisions(runId))
  return (
    <Sheet
      order={stored.order}
      plan={found}
      shopName={shop.name}
      printed={format(new Date(), 'd MMM yyyy HH:mm')}
    />
  )
}
