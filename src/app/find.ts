import { PRACTICES } from '@/core/advice'
import { CRAFT_ROOMS, type CraftStep, PROCEDURES } from '@/core/craft'
import { looksLikeSheetCode, ROOMS } from '@/core/plan'
import { database } from '@/store/database'
import { findOrders } from '@/store/orderSearch'
import { loadOrders } from '@/store/orders'
import { revisionByCode } from '@/store/revisions'
import { runsNamed } from '@/store/runs'
import { loadShop } from '@/store/shop'

/** Something that was found, and where it is. */
export interface Found {
  readonly kind:
    | 'Order'
    | 'Run'
    | 'Ink'
    | 'Cloth'
    | 'Frame'
    | 'Press'
    | 'Practice'
    | 'Sheet'
    | 'List'
    | 'Rule'
  readonly label: string
  readonly detail: string
  readonly href: string
}

const MOST = 8

/** Finds orders, runs, inks, cloths, frames, presses, practices, lists of the craft, rules, and the sheet with this code. */
export async function find(text: string): Promise<readonly Found[]> {
  const wanted = text.trim()
  if (wanted === '') return []
  const db = await database()
  const has = (...words: string[]) => words.some((w) => w.toLowerCase().includes(wanted.toLowerCase()))
  const [{ ids }, runs, { shelf }, sheet] = await Promise.all([
    findOrders(db, { text: wanted, show: 'current', offset: 0, limit: MOST }),
    runsNamed(db, wanted, MOST),
    loadShop(db),
    looksLikeSheetCode(wanted) ? revisionByCode(db, wanted) : undefined,
  ])
  const orders = await loadOrders(db, ids)
  const { shop, inks, cloths } = shelf
  return [
    ...(sheet
      ? [
          {
            kind: 'Sheet' as const,
            label: sheet.revision.code,
            detail: `${sheet.revision.runId}, revision ${sheet.revision.number} of ${sheet.last.number}`,
            href: `/sheets/${sheet.revision.code}`,
          },
        ]
      : []),
    ...orders.map(({ order }) => ({
      kind: 'Order' as const,
      label: `${order.id} ${order.customer}`,
      detail: order.title,
      href: `/orders/${order.id}/order`,
    })),
    ...runs.map((r) => ({
      kind: 'Run' as const,
      label: r.id,
      detail: r.customer,
      href: `/orders/${r.orderId}/run?run=${r.id}`,
    })),
    ...inks
      .filter((i) => has(i.name, i.id))
      .map((i) => ({ kind: 'Ink' as const, label: i.name, detail: i.system, href: '/shop/shelf' })),
    ...cloths
      .filter((c) => has(c.name))
      .map((c) => ({ kind: 'Cloth' as const, label: c.name, detail: '', href: '/shop/shelf' })),
    ...shop.frames
      .filter((f) => has(f.id))
      .map((f) => ({ kind: 'Frame' as const, label: f.id, detail: f.state, href: '/shop/stock' })),
    ...shop.presses
      .filter((p) => has(p.name))
      .map((p) => ({ kind: 'Press' as const, label: p.name, detail: p.kind, href: '/shop' })),
    ...Object.values(PRACTICES)
      .filter((s) => has(s.question))
      .map((s) => ({ kind: 'Practice' as const, label: s.question, detail: '', href: '/shop/method' })),
    ...Object.values(PROCEDURES)
      .filter((p) => has(p.title, ...Object.values<CraftStep>(p.steps).map((s) => s.name)))
      .map((p) => ({
        kind: 'List' as const,
        label: p.title,
        detail: CRAFT_ROOMS[p.room],
        href: '/shop/lists',
      })),
    ...rulesAbout(wanted),
  ].slice(0, 3 * MOST)
}

/** Shorter texts stand in half of the rules. */
const TELLING = 4
const MOST_RULES = 5

/** Rules that say every word of a text. */
function rulesAbout(text: string): readonly Found[] {
  const words = text.toLowerCase().split(/\s+/)
  if (text.length < TELLING) return []
  return ROOMS.flatMap((room) =>
    Object.entries<{ readonly says: string }>(room.rules)
      .filter(([, { says }]) => words.every((w) => says.toLowerCase().includes(w)))
      .map(([id, { says }]) => ({
        kind: 'Rule' as const,
        label: says,
        detail: room.title,
        href: `/rules#${id}`,
      })),
  ).slice(0, MOST_RULES)
}
