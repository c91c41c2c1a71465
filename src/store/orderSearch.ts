import { subDays } from 'date-fns'
import { type ExpressionBuilder, sql } from 'kysely'
import { isOffPress, ORDER_STATES, type OrderState, type Ready, TO_PRINT } from '@/core/order'
import type { Database } from './database'
import type { Tables } from './schema'

/**
 * Which orders a list shows: those to print, those in the house before those gone lately, all that are gone, deleted ones,
 * or all but those.
 */
export type Shown = 'open' | 'current' | 'done' | 'deleted' | 'all'

/** What else an order in a list must be. */
export interface Narrowed {
  readonly state?: OrderState
  /** Still to print and this was not said yet. */
  readonly waits?: Ready
  /** Name of the press that one of its runs is planned on. */
  readonly press?: string
  /** Due no later than this day. */
  readonly dueBy?: string
}

export interface OrderQuery extends Narrowed {
  /** Part of a customer, job or number; empty finds all. Whoever looks for something finds what is gone long ago too. */
  readonly text: string
  readonly show: Shown
  /** Only orders without a customer. */
  readonly nameless?: boolean
  readonly offset: number
  readonly limit: number
  /** Until when gone ones count as gone lately; ISO time. */
  readonly doneSince?: string
}

/** So long a gone order stays in the list of current ones before it is archived. */
const LATELY_DAYS = 14
export const doneSince = (now: Date): string => subDays(now, LATELY_DAYS).toISOString()

const IN_HOUSE = (Object.keys(ORDER_STATES) as OrderState[]).filter((s) => s !== 'done')
const LAST = (Object.keys(ORDER_STATES) as OrderState[]).filter(isOffPress)

type Of = ExpressionBuilder<Tables, 'customer_order'>

/** One that was opened and left as it was is no order yet; the next new one takes its place. */
const isTouched = (e: Of) =>
  e.or([
    e('version', '>', 1),
    e('customer', '!=', ''),
    e('title', '!=', ''),
    e.exists(
      e
        .selectFrom('size_quantity')
        .select('order_id')
        .whereRef('order_id', '=', 'customer_order.id')
        .where('quantity', '>', 0),
    ),
  ])

/** The orders a list shows, by due date, and how many there are in all. */
export async function findOrders(
  db: Database,
  query: OrderQuery,
): Promise<{ readonly ids: readonly string[]; readonly total: number }> {
  const { text, show, nameless, offset, limit, doneSince = '', state, waits, press, dueBy } = query
  const like = `%${text.replace(/[\\%_]/g, '\\$&')}%`
  const all = db
    .selectFrom('customer_order')
    .where('deleted_at', show === 'deleted' ? 'is not' : 'is', null)
    .$if(nameless === true, (q) => q.where('customer', '=', ''))
    .$if(!nameless && show !== 'deleted', (q) => q.where(isTouched))
    .$if(show === 'open', (q) => q.where('state', 'in', TO_PRINT))
    .$if(show === 'done', (q) => q.where('state', '=', 'done'))
    .$if(show === 'current' && text === '', (q) =>
      q.where((e) => e.or([e('state', 'in', IN_HOUSE), e('ended_at', '>', doneSince)])),
    )
    .$if(state !== undefined, (q) => q.where('state', '=', state ?? 'open'))
    .$if(waits !== undefined, (q) =>
      q.where('state', 'in', TO_PRINT).where((e) =>
        e.not(
          e.exists(
            e
              .selectFrom('order_said')
              .select('mark')
              .whereRef('order_id', '=', 'customer_order.id')
              .where('mark', '=', waits ?? 'art'),
          ),
        ),
      ),
    )
    .$if(press !== undefined, (q) =>
      q.where((e) =>
        e.exists(
          e
            .selectFrom('run')
            .innerJoin('run_summary', 'run_summary.run_id', 'run.id')
            .select('run.id')
            .whereRef('run.order_id', '=', 'customer_order.id')
            .where(sql`json_extract(facts, '$.press')`, '=', press ?? ''),
        ),
      ),
    )
    .$if(dueBy !== undefined, (q) => q.where('due', '<=', dueBy ?? ''))
    .$if(text !== '', (q) =>
      q.where(
        sql<boolean>`(customer LIKE ${like} ESCAPE '\\' OR title LIKE ${like} ESCAPE '\\' OR id LIKE ${like} ESCAPE '\\')`,
      ),
    )
  // What is sought in words walks through the whole book: once, for both. The rest is counted by index.
  const walks = text !== ''
  const named = all.select(['id', (walks ? sql<number>`count(*) OVER ()` : sql<number>`NULL`).as('total')])
  const sorted =
    show === 'done'
      ? named.orderBy('ended_at', 'desc').orderBy('id')
      : (show === 'current' ? named.orderBy((e) => e('state', 'in', LAST)) : named)
          .orderBy('due')
          .orderBy('id')
  const rows = await sorted.limit(limit).offset(offset).execute()
  const total =
    rows[0]?.total ??
    // Behind the last page of what was found there is no row that could tell.
    (walks && offset === 0
      ? 0
      : (await all.select((e) => e.fn.countAll<number>().as('total')).executeTakeFirstOrThrow()).total)
  return { ids: rows.map((r) => r.id), total: Number(total) }
}
