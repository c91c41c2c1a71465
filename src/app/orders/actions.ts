'use server'

import { addDays, format } from 'date-fns'
import { revalidatePath } from 'next/cache'
import { redirect } from 'next/navigation'
import { checkOrder, type FieldErrors } from '@/core/order'
import type { Decisions } from '@/core/plan'
import { database } from '@/store/database'
import { type SavedDecisions, saveDecisions } from '@/store/decisions'
import { addOrder, loadOrders, nextOrderId, type Saved, saveOrder } from '@/store/orders'
import { loadShop } from '@/store/shop'

const TWO_WEEKS = 14

/** Opens a new order, due in two weeks, with one garment line and one print to fill in. An unused one is used again. */
export async function newOrder(): Promise<never> {
  const db = await database()
  const unused = (await loadOrders(db)).find(({ order, version }) => version === 1 && order.customer === '')
  const id = unused?.order.id ?? (await nextOrderId(db))
  if (!unused) {
    const { cloths } = await loadShop(db)
    const cloth = cloths[0] ?? {
      name: 'White',
      hex: '#f6f6f6',
      weave: 'jersey' as const,
      cotton: 1,
      polyester: 0,
      weight: 0.18,
    }
    const sizes = ['S', 'M', 'L', 'XL'].map((size) => ({ size, quantity: 0 }))
    await addOrder(db, {
      id,
      customer: '',
      title: '',
      due: format(addDays(new Date(), TWO_WEEKS), 'yyyy-MM-dd'),
      notes: '',
      lines: [{ id: 'G1', style: 'Classic tee', cloth, sizes, group: '' }],
      placements: [
        { id: 'P1', where: 'front', width: 0.28, height: 0.33, sizes: 'all', inks: [], relations: [] },
      ],
    })
  }
  redirect(`/orders/${id}/order`)
}

/** Saves an order seen at `version`. Bad input is refused with a message for each field. */
export async function storeOrder(
  value: unknown,
  version: number,
): Promise<Saved | { readonly ok: false; readonly errors: FieldErrors }> {
  const checked = checkOrder(value)
  if (!checked.ok) return checked
  const saved = await saveOrder(await database(), checked.order, version)
  revalidatePath('/', 'layout')
  return saved
}

/** Saves the decisions of a run seen at `version`. */
export async function storeDecisions(decisions: Decisions, version: number): Promise<SavedDecisions> {
  const saved = await saveDecisions(await database(), decisions, version)
  revalidatePath('/', 'layout')
  return saved
}
