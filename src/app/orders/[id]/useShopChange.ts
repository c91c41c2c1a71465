'use client'

import same from 'fast-deep-equal'
import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { type AnyPart, partOf, SHOP_PARTS, type Shop } from '@/core/equipment'
import type { StoredShop } from '@/store/shop'
import { editLabel } from '@/ui/changeWords'
import { settleBeforeUndo } from '../../edits/history'
import { inLine, keeper } from '../../edits/keeper'
import { type StoredPart, save } from '../../edits/save'
import { SAVE_WORDS } from '../../edits/saveWords'

export type ShopChange = (shop: Shop) => Shop

/** Stores a change of the shop from an order's desk; everyone's plans follow. It is laid over whatever else was changed since. */
export function useShopChange({ shelf, versions }: StoredShop): (change: ShopChange) => Promise<string> {
  const router = useRouter()
  return useCallback(
    async (change) => {
      const next = { ...shelf, shop: change(shelf.shop) }
      const changed = SHOP_PARTS.filter((part) => !same(partOf(shelf, part), partOf(next, part)))
      const saving = Promise.all(
        changed.map(async (part) => {
          const subject = { kind: 'shop', id: part } as const
          const kept = keeper<AnyPart>(
            subject,
            { value: partOf(shelf, part), version: versions[part] },
            () => ({
              store: (value, version) => save<StoredPart>(subject, value, version),
              label: editLabel,
              stored: () => router.refresh(),
            }),
            inLine(),
            true,
          )
          kept.send({ kind: 'whole', value: partOf(next, part) })
          await kept.flush()
          const { state, problem } = kept.session()
          return state === 'saved' ? '' : problem || SAVE_WORDS[state]
        }),
      )
      // Others hear of it, and so does this page, before the answer is here: whoever undoes it then waits for that.
      const isSettled = settleBeforeUndo(() => saving.then(() => 'settled' as const))
      try {
        return (await saving).find((p) => p !== '') ?? ''
      } finally {
        isSettled()
      }
    },
    [shelf, versions, router],
  )
}
