'use client'

import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { changes } from '@/core/change'
import type { Shop, ShopAndShelf } from '@/core/equipment'
import type { StoredShop } from '@/store/shop'
import { editLabel } from '@/ui/changeWords'
import { recordEdit } from '../../edits/history'
import { save } from '../../edits/save'

const SHOP = { kind: 'shop', id: 'shop' } as const

export type ShopChange = (shop: Shop) => Shop

/** Stores a change of the shop from an order's desk; everyone's plans follow. It is laid over whatever else was changed since. */
export function useShopChange({ shelf, version }: StoredShop): (change: ShopChange) => Promise<string> {
  const router = useRouter()
  return useCallback(
    async (change) => {
      const store = async (from: ShopAndShelf, at: number, again: boolean): Promise<string> => {
        const next = { ...from, shop: change(from.shop) }
        const saved = await save('shop', next, at)
        if (saved.ok) {
          const made = changes(from, next)
          recordEdit(SHOP, editLabel(made), made)
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
