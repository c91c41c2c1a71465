import { createHash } from 'node:crypto'
import { type Reason, settled } from '@/core/advice'
import type { Shop } from '@/core/equipment'
import { groupLabel, type Order, type Run, splitOrder, WHERES } from '@/core/order'
import {
  type Decisions,
  type InkNeedLine,
  inkNeedsOf,
  noDecisions,
  plan,
  planChanges,
  planningFacts,
  type ScreenJob,
  screenJobOf,
  screensOf,
} from '@/core/plan'
import type { Database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { picturedPrints } from '@/store/films'
import { findOrders, loadOrders, type OrderQuery, type StoredOrder } from '@/store/orders'
import { diskProblem } from '@/store/problems'
import { latestNumbers, latestRevisions, type Revision } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { keepSummaries, keptSummaries } from '@/store/summaries'
import type { Pictured } from '@/ui/Swatch'

/** What a plan comes to, for lists. */
export interface RunSummary {
  readonly press: string
  /** Seconds, lowest and highest. */
  readonly time: readonly [number, number] | undefined
  readonly timeWhy: readonly Reason[]
  readonly screens: number
  readonly open: readonly Reason[]
  readonly job: ScreenJob | undefined
  readonly inks: readonly InkNeedLine[]
  /** How many settings differ from the last released revision; none when there is none. */
  readonly changed: number | undefined
}

/** A run as lists show it. */
export interface RunLine extends Omit<RunSummary, 'job' | 'inks'> {
  readonly id: string
  readonly where: string
  readonly quantity: number
  readonly cloth: { readonly name: string; readonly hex: string } | undefined
  readonly inks: readonly { readonly name: string; readonly hex: string }[]
  /** None while the print has no films. */
  readonly picture: Pictured | undefined
  /** Number of the last revision; 0 for none. */
  readonly revision: number
}

/** An order with its runs as lists show it. */
export interface OrderLine {
  readonly id: string
  readonly customer: string
  readonly title: string
  readonly due: string
  readonly pieces: number
  readonly deletedAt: string | undefined
  readonly runs: readonly RunLine[]
  /** What the order still misses before it makes a run; empty when nothing. */
  readonly missing: string
}

function missingIn(order: Order, runs: readonly Run[], shop: Shop): string {
  if (order.customer === '') return 'Customer is missing'
  if (order.placements.every((p) => p.inks.length === 0)) return 'No colours yet'
  if (runs.length === 0) return 'No quantities yet'
  return shop.presses.length === 0 ? 'The shop has no press' : ''
}

/** Goes up when a summary holds other facts than before: what was kept is computed anew. */
const FACTS = 4

const NOTHING: RunSummary = {
  press: '',
  time: undefined,
  timeWhy: [],
  screens: 0,
  open: [],
  job: undefined,
  inks: [],
  changed: undefined,
}

/** Plans a run for a list. */
export function summarize(
  order: Order,
  run: Run,
  shop: Shop,
  decisions: Decisions | undefined,
  last: Revision | undefined,
): RunSummary {
  if (run.placement.inks.length === 0 || shop.presses.length === 0) return NOTHING
  const p = plan(order, shop, decisions ?? noDecisions(run.id))
  return {
    press: p.pressAdvice.choices.find((c) => c.value === settled(p.pressAdvice))?.label ?? '',
    time: p.time?.total.range,
    timeWhy: p.time?.total.reasons ?? [],
    screens: screensOf(p),
    job: screenJobOf(order, p),
    inks: inkNeedsOf(order, p),
    open: p.warnings.filter((w) => w.severity !== 'Note'),
    changed: last && planChanges(last.plan, p).length,
  }
}

/** Orders with their runs, and what these ask of the screen room and the ink room. */
interface OrderLines {
  readonly lines: readonly OrderLine[]
  readonly jobs: readonly ScreenJob[]
  readonly needs: readonly InkNeedLine[]
  readonly total: number
}

/**
 * A page of orders with their runs, by due date. Plans are computed once for each state of order, decisions, shop and
 * revision, and kept for the next reader.
 */
export async function orderLines(db: Database, query: OrderQuery): Promise<OrderLines> {
  const { ids, total } = await findOrders(db, query)
  const [orders, { shelf }, decided] = await Promise.all([
    loadOrders(db, ids),
    loadShop(db),
    loadDecisions(db, ids),
  ])
  const split = new Map(orders.map((stored) => [stored, splitOrder(stored.order)]))
  const runs = orders.flatMap((stored) => (split.get(stored) ?? []).map((run) => ({ stored, run })))
  const pictured = await picturedPrints(db, ids)
  const numbers = await latestNumbers(
    db,
    runs.map((r) => r.run.id),
  )
  const shopStamp = createHash('sha1')
    .update(JSON.stringify(planningFacts(shelf.shop)))
    .digest('base64')
  const wanted = runs.map(({ stored, run }) => ({
    stored,
    run,
    runId: run.id,
    stamp: [
      FACTS,
      stored.version,
      decided.get(run.id)?.version ?? 1,
      shopStamp,
      numbers.get(run.id) ?? 0,
    ].join('.'),
  }))
  const kept = await keptSummaries<RunSummary>(db, wanted)
  const fresh = wanted.filter((w) => !kept.has(w.runId))
  const released = await latestRevisions(
    db,
    fresh.map((w) => w.runId),
  )
  const computed = fresh.map(({ stored, run, runId, stamp }) => ({
    runId,
    stamp,
    facts: summarize(stored.order, run, shelf.shop, decided.get(runId)?.decisions, released.get(runId)),
  }))
  // A disk that cannot be written still lets people read.
  await keepSummaries(db, computed).catch((error) => {
    if (diskProblem(error) === undefined) throw error
  })
  const facts = new Map([...kept, ...computed.map((c) => [c.runId, c.facts] as const)])
  return {
    total,
    jobs: [...facts.values()].flatMap((f) => f.job ?? []),
    needs: [...facts.values()].flatMap((f) => f.inks),
    lines: orders.map((stored) =>
      lineOf(stored, split.get(stored) ?? [], facts, numbers, pictured, shelf.shop),
    ),
  }
}

function lineOf(
  { order, deletedAt }: StoredOrder,
  runs: readonly Run[],
  facts: ReadonlyMap<string, RunSummary>,
  numbers: ReadonlyMap<string, number>,
  pictured: ReadonlyMap<string, ReadonlySet<string>>,
  shop: Shop,
): OrderLine {
  return {
    id: order.id,
    customer: order.customer,
    title: order.title,
    due: order.due,
    pieces: order.lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + s.quantity, 0),
    deletedAt,
    missing: missingIn(order, runs, shop),
    runs: runs.map((run) => ({
      ...forLists(facts.get(run.id) ?? NOTHING),
      id: run.id,
      where: `${WHERES[run.placement.where]}, ${groupLabel(run.group).toLowerCase()}`,
      quantity: run.quantity,
      cloth: run.lines[0]?.cloth,
      inks: run.placement.inks.map(({ name, hex }) => ({ name, hex })),
      revision: numbers.get(run.id) ?? 0,
      picture: pictured.get(order.id)?.has(run.placement.id)
        ? { orderId: order.id, print: run.placement.id, based: isBased(facts.get(run.id)) }
        : undefined,
    })),
  }
}

const isBased = (facts: RunSummary | undefined) => facts?.job?.screens.some((s) => s.hitId === 'base') ?? true

const forLists = ({ job: _, inks: __, ...summary }: RunSummary) => summary

/** Every order that is not deleted, a page at a time so that others have their turn. */
async function everyPage(db: Database): Promise<readonly OrderLines[]> {
  const limit = 100
  const pages: OrderLines[] = []
  for (let offset = 0; ; offset += limit) {
    const page = await orderLines(db, { text: '', deleted: false, offset, limit })
    pages.push(page)
    if (offset + limit >= page.total) return pages
    await new Promise((resume) => setImmediate(resume))
  }
}

export const everyOrderLine = async (db: Database): Promise<readonly OrderLine[]> =>
  (await everyPage(db)).flatMap((p) => p.lines)

/** What every order asks of the screen room. */
export const everyScreenJob = async (db: Database): Promise<readonly ScreenJob[]> =>
  (await everyPage(db)).flatMap((p) => p.jobs)

/** What every order asks of the ink room, by due date. */
export const everyInkNeed = async (db: Database): Promise<readonly InkNeedLine[]> =>
  (await everyPage(db)).flatMap((p) => p.needs).sort((a, b) => a.due.localeCompare(b.due))
