'use client'

import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { recordEdit } from '../edits/history'
import { newOrder } from './actions'

/** Opens a new order; undo deletes it again. */
export function useNewOrder(): () => Promise<void> {
  const router = useRouter()
  return useCallback(async () => {
    const made = await newOrder()
    if (!made.ok) throw new Error(made.problem)
    if (made.isNew)
      recordEdit({ kind: 'presence', id: made.id }, `New order ${made.id}`, [
        { path: ['deleted'], from: true, to: false },
      ])
    router.push(`/orders/${made.id}/order`)
  }, [router])
}
