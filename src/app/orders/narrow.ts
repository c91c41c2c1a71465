import { addDays, format, parseISO } from 'date-fns'
import { isReady, ORDER_STATES, type OrderState, READY, type Ready } from '@/core/order'
import type { Narrowed, Shown } from '@/store/orderSearch'

/** By what a list of orders is narrowed, as its address says it. */
export interface By {
  readonly is: OrderState | Ready | ''
  readonly press: string
  readonly due: keyof typeof DUE | ''
}

/** Days from today. */
export const DUE = { late: { words: 'late', days: -1 }, week: { words: 'within 7 days', days: 7 } } as const

/** What an order is, or waits for. */
export const IS = {
  ...ORDER_STATES,
  garments: `Waits: ${READY.garments.toLowerCase()}`,
  art: `Waits: ${READY.art.toLowerCase()}`,
}

/** What an address asks for; what makes no sense in it narrows nothing. */
export function narrowedBy(asked: Readonly<Record<string, unknown>>): By {
  const { is, press, due } = asked
  return {
    is: typeof is === 'string' && Object.hasOwn(IS, is) ? (is as keyof typeof IS) : '',
    press: typeof press === 'string' ? press.slice(0, 200) : '',
    due: typeof due === 'string' && Object.hasOwn(DUE, due) ? (due as keyof typeof DUE) : '',
  }
}

/** @param today `2026-11-24` */
export const narrowed = ({ is, press, due }: By, today: string): Narrowed => ({
  ...(is && (isReady(is) ? { waits: is } : { state: is })),
  ...(press && { press }),
  ...(due && { dueBy: format(addDays(parseISO(today), DUE[due].days), 'yyyy-MM-dd') }),
})

export function listPath(find: string, show: Shown, { is, press, due }: By): string {
  const query = new URLSearchParams({
    ...(find && { find }),
    ...(show !== 'current' && { show }),
    ...(is && { is }),
    ...(press && { press }),
    ...(due && { due }),
  })
  return `/orders${query.size > 0 ? `?${query}` : ''}`
}
