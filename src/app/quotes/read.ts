import { readerOf } from '@/core/equipment'
import { type Order, splitOrder } from '@/core/order'
import type { QuoteTerms, RunPlan } from '@/core/plan'
import type { Reader, System } from '@/core/quantity'
import { type QuoteContent, quoteOf } from '@/formats/quote'
import type { Database } from '@/store/database'
import { loadOrder } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { readRun } from '../runs/readRun'

/** A quote as its address asks for it. */
export interface QuoteAsked extends QuoteTerms {
  /** Without prices it is a proof. */
  readonly priced: boolean
}

/** What is asked on top of the costs where nobody says otherwise (assumed). */
const USUAL_MARKUP = 0.6

const figure = (text: unknown, most: number): number | undefined => {
  const x = typeof text === 'string' && text !== '' ? Number(text) : Number.NaN
  return Number.isFinite(x) && x >= 0 && x <= most ? x : undefined
}

/** `?plus=60&garment=4.20&prices=no`; what makes no sense in it is as usual. */
export const quoteAsked = (asked: Readonly<Record<string, unknown>>): QuoteAsked => ({
  markup: (figure(asked.plus, 1000) ?? USUAL_MARKUP * 100) / 100,
  garment: figure(asked.garment, 10_000) ?? 0,
  priced: asked.prices !== 'no',
})

interface Quoted {
  readonly order: Order
  /** How the shop writes. */
  readonly reader: Reader
  readonly contentIn: (units: System) => QuoteContent
}

/** An order with the plans of its runs as they are now, to be quoted; undefined where there is no such order. */
export async function readQuote(db: Database, id: string, asked: QuoteAsked): Promise<Quoted | undefined> {
  const [stored, { shelf }] = await Promise.all([loadOrder(db, id), loadShop(db)])
  if (!stored || stored.deletedAt !== undefined) return undefined
  const plans: RunPlan[] = []
  for (const run of splitOrder(stored.order)) {
    const { now } = await readRun(db, run.id)
    if (now) plans.push(now.plan)
  }
  const { order } = stored
  return {
    order,
    reader: readerOf(shelf.shop),
    contentIn: (units) => quoteOf(order, plans, shelf.shop, asked, units),
  }
}
