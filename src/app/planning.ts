import { createHash } from 'node:crypto'
import { sql } from 'kysely'
import type { DaysKept, Lanes, Promised, ShopDays } from '@/core/days'
import type { Shop } from '@/core/equipment'
import { type Order, TO_PRINT } from '@/core/order'
import {
  type Decisions,
  NO_SUMMARY,
  planningFacts,
  type RunAsk,
  type RunPlan,
  type RunSummary,
  type ScreenJob,
  type SharedBelt,
  type SheetHeat,
  SUMMARY_FACTS,
  type sharedBelt,
} from '@/core/plan'
import { changeStamp, type Database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrders } from '@/store/orders'
import { diskProblem } from '@/store/problems'
import { latestRevisions } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { keepSummaries } from '@/store/summaries'
import type { Office } from '@/workers/office'
import { Cancelled, TooLong, threadOf } from './thread'

const office = threadOf<Office>('office.start.mjs')

/** One plan takes milliseconds; the hardest that was found takes two seconds. Milliseconds. */
const LIMIT = 15_000

interface PlanAsk {
  readonly order: Order
  readonly shop: Shop
  readonly decisions: Decisions
}

/** Plans a run off the main thread. @throws TooLong */
export const planRun = ({ order, shop, decisions }: PlanAsk): Promise<RunPlan> =>
  office.ask((api) => api.plan(order, shop, decisions), { limit: LIMIT })

/** The same with costs, finish times, other ways and the order of its prints. @throws TooLong */
export const planInFull = ({ order, shop, decisions }: PlanAsk) =>
  office.ask((api) => api.planWithBesides(order, shop, decisions), { limit: LIMIT })

/** What the sheet says of the heat of a plan; nothing of one that an older program released without what heat follows from. */
export const heatForSheet = (plan: RunPlan): Promise<readonly SheetHeat[]> =>
  office
    .ask((api) => api.sheetHeatOf(plan), { limit: LIMIT })
    .catch((error) => {
      if (error instanceof Cancelled || error instanceof TooLong) throw error
      return []
    })

/** One belt for two jobs. */
export const beltFor: (...asked: Parameters<typeof sharedBelt>) => Promise<SharedBelt> = (jobs, dryer) =>
  office.ask((api) => api.sharedBelt(jobs, dryer), { limit: LIMIT })

let lastLanes: { readonly of: string; readonly lanes: Promise<Lanes> } | undefined

/** The days as they stand; asked for again within the minute they are the same. */
export function lanesOf(asked: ShopDays, kept: DaysKept): Promise<Lanes> {
  const of = JSON.stringify([asked, kept])
  if (lastLanes?.of === of) return lastLanes.lanes
  const lanes = office.ask((api) => api.lanes(asked, kept), { limit: LIMIT })
  const own = { of, lanes }
  lastLanes = own
  // What failed is worked out anew.
  lanes.catch(() => {
    if (lastLanes === own) lastLanes = undefined
  })
  return lanes
}

/** How far the screens of every print are. */
export const screensAhead = (jobs: readonly ScreenJob[], shop: Shop): Promise<ShopDays['screens']> =>
  office.ask((api) => api.dayScreens(jobs, shop), { limit: LIMIT })

/** What lists say of a run, planned now. */
export const summaryOf = ({ order, shop, decisions }: PlanAsk): Promise<RunSummary> =>
  office.ask((api) => api.sum({ order, runId: decisions.runId, decisions, last: undefined }, shop), {
    limit: LIMIT,
  })

/** By when an order can be promised. */
export const promised = (asked: ShopDays, kept: DaysKept, orderId: string): Promise<Promised | undefined> =>
  office.ask((api) => api.promise(asked, kept, orderId), { limit: LIMIT })

/** How many settings of a run another shop would change. */
export const alteredBy = (order: Order, before: Shop, after: Shop, decisions: Decisions): Promise<number> =>
  office.ask((api) => api.altered(order, before, after, decisions), { urgency: 'later', limit: LIMIT })

/** Names what plans follow from in the shop. */
const stamps = new WeakMap<Shop, string>()
export function shopStampOf(shop: Shop): string {
  const known = stamps.get(shop)
  if (known !== undefined) return known
  const made = createHash('sha1')
    .update(JSON.stringify(planningFacts(shop)))
    .digest('base64')
  stamps.set(shop, made)
  return made
}

/** Names the facts that a summary was computed from. */
export const summaryStamp = (order: number, decisions: number, shop: string, revision: number): string =>
  [SUMMARY_FACTS, order, decisions, shop, revision].join('.')

interface Stale {
  readonly runId: string
  readonly orderId: string
  readonly stamp: string
}

/** Orders whose runs are looked at in one go, and runs that are planned in one go. */
const LOOKED = 60
const AT_ONCE = 12

interface Cursor {
  readonly due: string
  readonly id: string
}

/** Open runs after a cursor whose summary is not of today's facts, by due date; and where to look on. */
async function staleRuns(db: Database, shop: string, after: Cursor, looked: number) {
  const { rows: orders } = await sql<Cursor>`
    SELECT due, id FROM customer_order
    WHERE state IN (${sql.join(TO_PRINT)}) AND deleted_at IS NULL AND (due, id) > (${after.due}, ${after.id})
    ORDER BY due, id LIMIT ${looked}`.execute(db)
  const ids = orders.map((o) => o.id)
  const stale = await staleOf(db, shop, ids)
  return { stale, next: orders.at(-1) }
}

/** Runs of these orders whose summary is not of today's facts. */
async function staleOf(db: Database, shop: string, ids: readonly string[]): Promise<readonly Stale[]> {
  if (ids.length === 0) return []
  const { rows } = await sql<Stale>`
    SELECT runId, orderId, wanted.stamp AS stamp FROM (
      SELECT run.id AS runId, run.order_id AS orderId, o.due AS due,
        ${String(SUMMARY_FACTS)} || '.' || o.version || '.' || run.version || '.' || ${shop} || '.' ||
        (SELECT coalesce(max(number), 0) FROM revision WHERE run_id = run.id) AS stamp
      FROM run JOIN customer_order o ON o.id = run.order_id
      WHERE run.order_id IN (${sql.join(ids)})) AS wanted
    LEFT JOIN run_summary AS kept ON kept.run_id = wanted.runId
    WHERE kept.stamp IS NULL OR kept.stamp <> wanted.stamp
    ORDER BY due, orderId, runId`.execute(db)
  return rows
}

/** Plans these runs and keeps what they come to. */
async function planStale(db: Database, stale: readonly Stale[]): Promise<void> {
  const ids = [...new Set(stale.map((s) => s.orderId))]
  const [orders, decided, released, { shelf }] = await Promise.all([
    loadOrders(db, ids),
    loadDecisions(db, ids),
    latestRevisions(
      db,
      stale.map((s) => s.runId),
    ),
    loadShop(db),
  ])
  const byId = new Map(orders.map((o) => [o.order.id, o.order]))
  const asks = stale.flatMap(({ runId, orderId }): RunAsk[] => {
    const order = byId.get(orderId)
    return order
      ? [{ order, runId, decisions: decided.get(runId)?.decisions, last: released.get(runId)?.plan }]
      : []
  })
  const summaries = await summed(asks, shelf.shop)
  await keepSummaries(
    db,
    asks.map(({ runId }, i) => ({
      runId,
      stamp: stale.find((s) => s.runId === runId)?.stamp ?? '',
      facts: summaries[i] ?? NO_SUMMARY,
    })),
  )
}

const summed = async (asks: readonly RunAsk[], shop: Shop): Promise<readonly RunSummary[]> => {
  try {
    return await office.ask(
      async (api) => {
        await api.learn(shop)
        return api.summarize(asks)
      },
      { urgency: 'later', limit: LIMIT },
    )
  } catch (error) {
    if (error instanceof Cancelled || !(error instanceof TooLong)) throw error
    const [first, ...others] = asks
    if (!first) return []
    if (others.length === 0)
      return [{ ...NO_SUMMARY, wrong: 'Planning it was given up after 15 seconds: it has too many ways.' }]
    return [...(await summed([first], shop)), ...(await summed(others, shop))]
  }
}

/** One planner for the server: what was asked for goes first, then every open order by due date. */
interface Planner {
  readonly wanted: Set<string>
  running: Promise<void> | undefined
  /** The state of the data that was last gone through whole. */
  done: string
}
const shared = globalThis as { orvintPlanner?: WeakMap<Database, Planner> }

function plannerOf(db: Database): Planner {
  shared.orvintPlanner ??= new WeakMap()
  const found = shared.orvintPlanner.get(db) ?? { wanted: new Set<string>(), running: undefined, done: '' }
  shared.orvintPlanner.set(db, found)
  return found
}

/**
 * Sees to it that summaries of these orders, and then of every open one, are renewed; does not wait for it. What cannot be
 * kept because of the disk is planned again when someone asks.
 */
export function renewPlans(db: Database, orderIds: readonly string[] = []): Promise<void> {
  const planner = plannerOf(db)
  for (const id of orderIds) planner.wanted.add(id)
  planner.running ??= renew(db, planner)
    .catch((error) => {
      if (diskProblem(error) === undefined && !(error instanceof Cancelled)) console.error(error)
    })
    .finally(() => {
      planner.running = undefined
    })
  return planner.running
}

async function renew(db: Database, planner: Planner): Promise<void> {
  for (;;) {
    const stamp = await changeStamp(db)
    const shop = shopStampOf((await loadShop(db)).shelf.shop)
    await renewWanted(db, planner, shop)
    if (planner.done === stamp) return
    let cursor: Cursor | undefined = { due: '', id: '' }
    while (cursor) {
      const found: Awaited<ReturnType<typeof staleRuns>> = await staleRuns(db, shop, cursor, LOOKED)
      for (let i = 0; i < found.stale.length; i += AT_ONCE) {
        await planStale(db, found.stale.slice(i, i + AT_ONCE))
        await renewWanted(db, planner, shop)
      }
      cursor = found.next
      // Others have their turn.
      await new Promise((resume) => setImmediate(resume))
      if ((await changeStamp(db)) !== stamp) break
    }
    if (!cursor) planner.done = stamp
  }
}

async function renewWanted(db: Database, { wanted }: Planner, shop: string): Promise<void> {
  while (wanted.size > 0) {
    const ids = [...wanted].slice(0, LOOKED)
    for (const id of ids) wanted.delete(id)
    const stale = await staleOf(db, shop, ids)
    for (let i = 0; i < stale.length; i += AT_ONCE) await planStale(db, stale.slice(i, i + AT_ONCE))
  }
}
