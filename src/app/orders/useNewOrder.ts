'use client'

import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { act } from '../acts/act'
import { recordEdit } from '../edits/history'

/** Opens a new order; undo deletes it again. */
export function useNewOrder(): () => Promise<void> {
  const router = useRouter()
  return useCallback(async () => {
    const made = await act('newOrder', {})
    if (!made.ok) throw new Error(made.message)
    if (made.isNew)
      recordEdit({ kind: 'presence', id: made.id }, `New order ${made.id}`, [
        { path: ['deleted'], from: true, to: false },
      ])
    router.push(`/orders/${made.id}/order`)
  }, [router])
}
