'use client'

import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { changes } from '@/core/change'
import type { Press, ShopAndShelf } from '@/core/equipment'
import type { StoredShop } from '@/store/shop'
import { editLabel } from '@/ui/changeWords'
import { recordEdit } from '../../edits/history'
import { save } from '../../edits/save'

const SHOP = { kind: 'shop', id: 'shop' } as const
const withPress = (shelf: ShopAndShelf, press: Press): ShopAndShelf => ({
  ...shelf,
  shop: { ...shelf.shop, presses: shelf.shop.presses.map((p) => (p.id === press.id ? press : p)) },
})

/** Stores a press of the shop from an order's desk; everyone's plans follow. One press over whatever else was changed since. */
export function usePress({ shelf, version }: StoredShop): (press: Press) => Promise<string> {
  const router = useRouter()
  return useCallback(
    async (press) => {
      const store = async (from: ShopAndShelf, at: number, again: boolean): Promise<string> => {
        const next = withPress(from, press)
        const saved = await save('shop', next, at)
        if (saved.ok) {
          const made = changes(from, next)
          recordEdit(
            SHOP,
            editLabel(made, () => undefined),
            made,
          )
          router.refresh()
          return ''
        }
        if ('now' in saved && saved.now && again) return store(saved.now.value, saved.now.version, false)
        return 'problem' in saved ? saved.problem : 'Not saved: the shop was changed meanwhile. Try again.'
      }
      return store(shelf, version, true)
    },
    [shelf, version, router],
  )
}
