import type { Metadata } from 'next'
import { headers } from 'next/headers'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { customerKey, type Order, splitOrder } from '@/core/order'
import { noDecisions } from '@/core/plan'
import { customerNames, customersNamed, ordersOf } from '@/store/customers'
import { changeStamp, type Database, database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { picturedPrints } from '@/store/films'
import { batchesFor } from '@/store/inkRoom'
import { loadOrder } from '@/store/orders'
import { latestRevisions } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { filmWarningsOf } from '../../films/filmWarnings'
import { plannedSoon } from '../../plannedSoon'
import { Seen } from '../../Seen'
import { OrderDesk } from './OrderDesk'
import type { CustomerFacts } from './orderContext'

interface Props {
  readonly params: Promise<{ id: string }>
  readonly children: ReactNode
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await params).id }
}

/** Names that are offered while one is typed, and orders that one is copied from. */
const NAMES = 200
const EARLIER = 5

async function customerFacts(db: Database, { id, customer }: Order): Promise<CustomerFacts> {
  const [names, known, all] = await Promise.all([
    customerNames(db, NAMES),
    customersNamed(db, [customer]),
    customer === '' ? [] : ordersOf(db, customer, EARLIER + 1),
  ])
  return {
    names,
    known: known.get(customerKey(customer)),
    earlier: all.filter((o) => o.id !== id).slice(0, EARLIER),
  }
}

export default async function OrderLayout({ params, children }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const [stored, shop, decisions, pictured, ofFilms] = await Promise.all([
    loadOrder(db, id),
    loadShop(db),
    loadDecisions(db, [id]),
    picturedPrints(db, [id]),
    filmWarningsOf(db, id),
  ])
  if (!stored) notFound()
  const released = await latestRevisions(db, [...decisions.keys()])
  const runs = splitOrder(stored.order).map((r) => r.id)
  const tubs = await batchesFor(db, runs)
  // A layout is not told the address; the server passes on which run it names.
  const asked = (await headers()).get('x-orvint-run')
  const run = runs.find((r) => r === asked) ?? runs[0]
  const known = run === undefined || stored.deletedAt ? undefined : await plannedSoon(db, run, stamp)
  const marks = [...released].map(([runId, { number, code, releasedAt }]) => [
    runId,
    { number, code, releasedAt },
  ])
  return (
    <OrderDesk
      key={id}
      stored={stored}
      shop={shop}
      decided={Object.fromEntries(decisions)}
      released={Object.fromEntries(marks)}
      tubs={tubs}
      known={
        known && {
          ...known,
          order: stored.order,
          decisions: decisions.get(known.plan.run.id)?.decisions ?? noDecisions(known.plan.run.id),
        }
      }
      ofFilms={ofFilms}
      customer={await customerFacts(db, stored.order)}
      pictured={[...(pictured.get(id) ?? [])]}
    >
      <Seen stamp={stamp} />
      {children}
    </OrderDesk>
  )
}
