import { warnings } from '@/core/advice'
import type { DayFacts } from '@/core/days'
import type { Shop } from '@/core/equipment'
import {
  customerKey,
  groupLabel,
  isToPrint,
  type Order,
  type OrderState,
  type Run,
  type Said,
  splitOrder,
  WHERES,
} from '@/core/order'
import { type CureJob, type InkNeedLine, NO_SUMMARY, type RunSummary, type ScreenJob } from '@/core/plan'
import { messageOf } from '@/core/quantity'
import { customersNamed } from '@/store/customers'
import type { Database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { picturedPrints } from '@/store/films'
import { findOrders, type OrderQuery } from '@/store/orderSearch'
import { loadOrders, type StoredOrder } from '@/store/orders'
import { latestNumbers } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { keptSummaries } from '@/store/summaries'
import type { Pictured } from '@/ui/Swatch'
import { filmWarningsOf } from './films/filmWarnings'
import type { Missing } from './missing'
import { renewPlans, shopStampOf, summaryStamp } from './planning'
import { settledAt } from './settledAt'

/** A run as lists show it. */
export interface RunLine extends Omit<RunSummary, 'job' | 'inks' | 'cure' | 'day'> {
  readonly id: string
  readonly where: string
  readonly quantity: number
  readonly cloth: { readonly name: string; readonly hex: string } | undefined
  readonly inks: readonly { readonly name: string; readonly hex: string }[]
  /** None while the print has no films. */
  readonly picture: Pictured | undefined
  /** Number of the last revision; 0 for none. */
  readonly revision: number
  /** It is being planned: what is shown is of before, or nothing yet. */
  readonly planning: boolean
  /** Where its worst open point is settled. */
  readonly href: string
}

/** An order with its runs as lists show it. */
export interface OrderLine {
  readonly id: string
  readonly customer: string
  readonly title: string
  readonly due: string
  readonly pieces: number
  readonly deletedAt: string | undefined
  readonly state: OrderState
  readonly said: Said
  /** What is stored of it and cannot be, in one sentence; empty as a rule. */
  readonly wrong: string
  readonly runs: readonly RunLine[]
  /** What the order still misses before it makes a run. */
  readonly missing: Missing | undefined
  /** Where what it misses is settled. */
  readonly href: string
}

function missingIn(order: Order, runs: readonly Run[], shop: Shop): Missing | undefined {
  if (order.customer === '') return 'customer'
  if (order.placements.every((p) => p.inks.length === 0)) return 'colours'
  if (runs.length === 0) return 'quantities'
  return shop.presses.length === 0 ? 'press' : undefined
}

/** Orders with their runs, and what these ask of the screen room and the ink room. */
interface OrderLines {
  readonly lines: readonly OrderLine[]
  readonly jobs: readonly ScreenJob[]
  readonly needs: readonly InkNeedLine[]
  readonly cures: readonly CureJob[]
  readonly days: readonly DayFacts[]
  /** Orders whose plans are being renewed. */
  readonly planning: number
  readonly total: number
}

/** An order with its runs; one that is stored wrong has none and says why. */
interface Split {
  readonly stored: StoredOrder
  readonly runs: readonly Run[]
  readonly wrong: string
}

function splitOf(stored: StoredOrder): Split {
  const { order } = stored
  try {
    return { stored, runs: splitOrder(order), wrong: stored.wrong?.[0] ?? '' }
  } catch (error) {
    return { stored, runs: [], wrong: `It cannot be read as it is stored: ${messageOf(error)}.` }
  }
}

/**
 * A page of orders with their runs, by due date. Never waits for a plan: what was planned is shown, what is not of today's
 * facts and still to be printed says so and is renewed meanwhile.
 */
export async function orderLines(db: Database, query: OrderQuery): Promise<OrderLines> {
  const { ids, total } = await findOrders(db, query)
  return { ...(await linesOf(db, ids)), total }
}

/** Whether it is still to be printed: a list plans nothing else, and says of others what was known of them. */
const isAhead = ({ state = 'open', deletedAt }: StoredOrder) => isToPrint(state) && deletedAt === undefined

/** What stands against the films of orders that are still to be printed. */
const filmWarningsAhead = async (db: Database, orders: readonly StoredOrder[]) =>
  new Map(
    await Promise.all(
      orders
        .filter(isAhead)
        .map(async ({ order }) => [order.id, await filmWarningsOf(db, order.id)] as const),
    ),
  )

/** What customers want between printed and due, by order, where they want anything of their own. */
async function leadsOf(db: Database, orders: readonly StoredOrder[]) {
  const known = await customersNamed(
    db,
    orders.map((o) => o.order.customer),
  )
  return new Map(
    orders.flatMap(({ order }) => {
      const leadDays = known.get(customerKey(order.customer))?.leadDays
      return leadDays === undefined ? [] : [[order.id, { leadDays }] as const]
    }),
  )
}

/** These orders as lists show them. */
async function linesOf(db: Database, ids: readonly string[]): Promise<Omit<OrderLines, 'total'>> {
  const [orders, { shelf }, decided] = await Promise.all([
    loadOrders(db, ids),
    loadShop(db),
    loadDecisions(db, ids, 'versions'),
  ])
  const place = new Map(ids.map((id, i) => [id, i]))
  const split = [...orders]
    .sort((a, b) => (place.get(a.order.id) ?? 0) - (place.get(b.order.id) ?? 0))
    .map(splitOf)
  const runIds = split.flatMap((s) => s.runs.map((r) => r.id))
  const [pictured, numbers, kept, ofFilms] = await Promise.all([
    picturedPrints(db, ids),
    latestNumbers(db, runIds),
    keptSummaries<RunSummary>(db, runIds),
    filmWarningsAhead(db, orders),
  ])
  const shop = shopStampOf(shelf.shop)
  const stampOf = ({ stored }: Split, runId: string) =>
    summaryStamp(stored.version, decided.get(runId)?.version ?? 1, shop, numbers.get(runId) ?? 0)
  const isStale = (s: Split, runId: string) =>
    isAhead(s.stored) && kept.get(runId)?.stamp !== stampOf(s, runId)
  const stale = split.filter((s) => s.runs.some((r) => isStale(s, r.id)))
  void renewPlans(
    db,
    stale.map((s) => s.stored.order.id),
  )
  const facts = split.flatMap((s) => s.runs.flatMap((r) => kept.get(r.id)?.facts ?? []))
  const leads = await leadsOf(db, orders)
  return {
    jobs: facts.flatMap((f) => (f.job ? [{ ...f.job, ...leads.get(f.job.orderId) }] : [])),
    needs: facts.flatMap((f) => f.inks),
    cures: facts.flatMap((f) => f.cure ?? []),
    days: facts.flatMap((f) => (f.day ? [{ ...f.day, ...leads.get(f.day.orderId) }] : [])),
    planning: stale.length,
    lines: split.map((s) => {
      const line = lineOf(s, shelf.shop)
      return {
        ...line,
        href: settledAt(line, undefined),
        runs: s.runs.map((run) => {
          const facts = kept.get(run.id)?.facts ?? NO_SUMMARY
          const films = ofFilms.get(line.id)?.[run.placement.id] ?? []
          const own = runLine(run, { ...facts, open: warnings([...facts.open, ...films]) })
          return {
            ...own,
            href: settledAt(line, own),
            revision: numbers.get(run.id) ?? 0,
            planning: isStale(s, run.id),
            picture: pictured.get(line.id)?.has(run.placement.id)
              ? { orderId: line.id, print: run.placement.id, based: isBased(kept.get(run.id)?.facts) }
              : undefined,
          }
        }),
      }
    }),
  }
}

function lineOf({ stored, runs, wrong }: Split, shop: Shop): Omit<OrderLine, 'runs' | 'href'> {
  const { order, deletedAt, state = 'open', said = {} } = stored
  return {
    id: order.id,
    customer: order.customer,
    title: order.title,
    due: order.due,
    pieces: order.lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + s.quantity, 0),
    deletedAt,
    state,
    said,
    wrong,
    missing: missingIn(order, runs, shop),
  }
}

const runLine = (run: Run, { job: _, inks: __, cure: ___, day: ____, ...summary }: RunSummary) => ({
  ...summary,
  id: run.id,
  where: `${WHERES[run.placement.where] ?? run.placement.where}, ${groupLabel(run.group).toLowerCase()}`,
  quantity: run.quantity,
  cloth: run.lines[0]?.cloth,
  inks: run.placement.inks.map(({ name, hex }) => ({ name, hex })),
})

const isBased = (facts: RunSummary | undefined) => facts?.job?.screens.some((s) => s.hitId === 'base') ?? true

/** Open orders that the rooms look at, those due first: weeks of work for any shop. */
const HORIZON = 20

/** What open orders ask of the rooms. */
export interface Ahead {
  readonly jobs: readonly ScreenJob[]
  readonly needs: readonly InkNeedLine[]
  readonly cures: readonly CureJob[]
  readonly days: readonly DayFacts[]
  /** Orders of which garments are counted in. */
  readonly garmentsIn: readonly string[]
  /** Orders whose plans are being renewed. */
  readonly planning: number
  /** Open orders due later, which are not in it. */
  readonly later: number
}

/**
 * What the open orders due first ask of the screen room and the ink room, with those that have a
 * stencil already; `with` names one more order.
 */
export async function ahead(
  db: Database,
  also: { readonly with?: string; readonly orders?: number } = {},
): Promise<Ahead> {
  const open = { text: '', show: 'open', offset: 0, limit: also.orders ?? HORIZON } as const
  const [{ ids, total }, { shelf }] = await Promise.all([findOrders(db, open), loadShop(db)])
  const onFrames = shelf.shop.frames.flatMap((f) => f.stencil?.order ?? []).concat(also.with ?? [])
  const others = [...new Set(onFrames)].filter((id) => !ids.includes(id))
  const known = (await loadOrders(db, others)).filter(isAhead)
  const found = await linesOf(db, [...ids, ...known.map((o) => o.order.id)])
  return {
    jobs: found.jobs,
    needs: [...found.needs].sort((a, b) => a.due.localeCompare(b.due)),
    cures: found.cures,
    days: found.days,
    garmentsIn: found.lines.flatMap((l) => (l.said.garments ? [l.id] : [])),
    planning: found.planning,
    later: Math.max(0, total - ids.length),
  }
}

/** Every order that is not deleted, a page at a time so that others have their turn. */
export async function* everyOrderLine(db: Database): AsyncGenerator<OrderLine> {
  const limit = 50
  for (let offset = 0; ; offset += limit) {
    const page = await orderLines(db, { text: '', show: 'all', offset, limit })
    yield* page.lines
    if (offset + limit >= page.total) return
    await new Promise((resume) => setImmediate(resume))
  }
}
