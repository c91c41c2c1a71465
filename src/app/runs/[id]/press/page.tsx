import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { batchesFor } from '@/store/inkRoom'
import { eventsAfter } from '@/store/pressEvents'
import { revisionsOf } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { heatForSheet } from '../../../planning'
import { Seen } from '../../../Seen'
import { troubleKnown } from '../../../trouble'
import { PressDesk } from './PressDesk'

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `At the press, ${(await params).id}` }
}

/** A run at the press, as it was released last. */
export default async function PressPage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const stamp = await changeStamp(db)
  const facts = (await revisionsOf(db, id)).at(-1)
  if (!facts) notFound()
  const { order, plan, shopName, number } = facts
  const { shelf } = await loadShop(db)
  const frames = shelf.shop.frames.flatMap(({ id: frame, stencil, mounted }) =>
    stencil && stencil.order === order.id && stencil.print === plan.run.placement.id
      ? [{ id: frame, words: stencil.words, mounted: mounted !== undefined }]
      : [],
  )
  return (
    <>
      <Seen stamp={stamp} />
      <PressDesk
        latest={{ order, plan, shopName, number, heat: await heatForSheet(plan) }}
        told={{ ...(await eventsAfter(db, id, 0)), revision: number }}
        tubs={await batchesFor(db, [id])}
        frames={frames}
        own={shelf.shop.ownSteps ?? []}
        known={await troubleKnown(db, shelf.shop.ownTrouble, plan.press.id)}
      />
    </>
  )
}
