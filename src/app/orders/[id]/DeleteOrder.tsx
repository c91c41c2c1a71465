'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { AskFirst } from '@/ui/Dialog'
import { TextButton } from '@/ui/Section'
import { act } from '../../acts/act'
import { recordEdit } from '../../edits/history'
import { useOrder } from './orderContext'

/** Deletes the order in hand, after asking. */
export function DeleteOrder() {
  const { order } = useOrder()
  const router = useRouter()
  const [asking, setAsking] = useState(false)
  const [problem, setProblem] = useState('')
  const remove = async () => {
    const removed = await act('removeOrder', { id: order.id })
    if (!removed.ok) return setProblem(removed.message)
    recordEdit({ kind: 'presence', id: order.id }, `Delete ${order.id}`, [
      { path: ['deleted'], from: false, to: true },
    ])
    router.push('/orders')
  }
  return (
    <>
      <TextButton onClick={() => setAsking(true)} fontSize="small" color="soft" px="0">
        Delete this order
      </TextButton>
      {asking && (
        <AskFirst
          title={`Delete ${order.id}?`}
          yes="Delete"
          onYes={() => void remove()}
          onNo={() => setAsking(false)}
        >
          {problem ||
            `${order.customer || 'This order'} can be brought back for 30 days, at Orders, Deleted.`}
        </AskFirst>
      )}
    </>
  )
}
