import { parentPort } from 'node:worker_threads'
import { expose } from 'comlink'
import nodeEndpoint, { type NodeEndpoint } from 'comlink/dist/esm/node-adapter.mjs'
import { type DaysKept, daysNow, type Lanes, type Promised, promiseOf, type ShopDays } from '@/core/days'
import type { Shop } from '@/core/equipment'
import type { Order } from '@/core/order'
import {
  type Decisions,
  dayScreens,
  plan,
  planChanges,
  planWithBesides,
  type RunAsk,
  type RunPlan,
  type RunSummary,
  sharedBelt,
  sheetHeatOf,
  summarize,
} from '@/core/plan'

/** The shop of the last `learn`, so that it need not be sent with every run. */
let shop: Shop | undefined

/** Plans on the server, off its main thread. */
const office = {
  learn: (known: Shop): void => {
    shop = known
  },
  summarize: (asks: readonly RunAsk[]): readonly RunSummary[] => {
    if (!shop) throw new Error('the office knows no shop')
    const known = shop
    return asks.map((ask) => summarize(ask, known))
  },
  plan: (order: Order, of: Shop, decisions: Decisions): RunPlan => plan(order, of, decisions),
  planWithBesides,
  sheetHeatOf,
  sharedBelt,
  lanes: (asked: ShopDays, kept: DaysKept): Lanes => daysNow(asked, kept).lanes,
  dayScreens,
  sum: (ask: RunAsk, of: Shop): RunSummary => summarize(ask, of),
  promise: (asked: ShopDays, kept: DaysKept, orderId: string): Promised | undefined =>
    promiseOf(asked, kept, orderId),
  /** How many settings of a run another shop would change. */
  altered: (order: Order, before: Shop, after: Shop, decisions: Decisions): number =>
    planChanges(plan(order, before, decisions), plan(order, after, decisions)).length,
}

export type Office = typeof office

const adapt = nodeEndpoint as unknown as (port: NodeEndpoint) => Parameters<typeof expose>[1]
if (parentPort) expose(office, adapt(parentPort as unknown as NodeEndpoint))
