import { type Reason, settled } from '@/core/advice'
import type { Shop } from '@/core/equipment'
import { type Order, type Run, splitOrder } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import type { StoredDecisions } from '@/store/decisions'
import type { StoredOrder } from '@/store/orders'
import { stageOf } from './orders/[id]/stages'

/** A line of Today: a run with what is open, or an order that makes no run yet. */
export interface TodayLine {
  readonly order: Order
  readonly run: Run | undefined
  readonly press: string
  /** Seconds, lowest and highest. */
  readonly time: readonly [number, number] | undefined
  readonly screens: number
  readonly open: readonly Reason[]
  /** Where the worst open point is settled. */
  readonly href: string
  readonly missing: string
}

function missingIn(order: Order): string {
  if (order.customer === '') return 'Customer is missing'
  if (order.placements.every((p) => p.inks.length === 0)) return 'No colours yet'
  return splitOrder(order).length === 0 ? 'No quantities yet' : ''
}

function runLine(order: Order, run: Run, shop: Shop, decided: StoredDecisions | undefined): TodayLine {
  const base = { order, run }
  const link = (stage: string) => `/orders/${order.id}/${stage}?run=${run.id}`
  const empty = { ...base, press: '', time: undefined, screens: 0, open: [] }
  if (run.placement.inks.length === 0) return { ...empty, href: link('art'), missing: 'No colours yet' }
  if (shop.presses.length === 0) return { ...empty, href: link('order'), missing: 'The shop has no press' }
  const p = plan(order, shop, decided?.decisions ?? noDecisions(run.id))
  const open = p.warnings.filter((w) => w.severity !== 'Note')
  const [worst] = open
  return {
    ...base,
    press: p.pressAdvice.choices.find((c) => c.value === settled(p.pressAdvice))?.label ?? '',
    time: p.time?.total.range,
    screens: p.hits.filter((h) => h.sameScreenAs === '').length,
    open,
    href: link(worst ? stageOf(worst.rule) : 'run'),
    missing: '',
  }
}

/** Every run of every order by due date, with what is open; computed afresh from facts and decisions. */
export function todayLines(
  orders: readonly StoredOrder[],
  shop: Shop,
  decisions: ReadonlyMap<string, StoredDecisions>,
): readonly TodayLine[] {
  return orders.flatMap(({ order }) => {
    const missing = missingIn(order)
    if (missing) {
      const href = `/orders/${order.id}/${missing === 'No colours yet' ? 'art' : 'order'}`
      return [{ order, run: undefined, press: '', time: undefined, screens: 0, open: [], href, missing }]
    }
    return splitOrder(order).map((run) => runLine(order, run, shop, decisions.get(run.id)))
  })
}
