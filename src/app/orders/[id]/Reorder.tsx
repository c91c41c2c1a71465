'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { TextButton } from '@/ui/Section'
import { act } from '../../acts/act'
import { recordEdit } from '../../edits/history'

interface Props {
  readonly id: string
  /** The same design printed again, or another order like it. */
  readonly as: 'reorder' | 'duplicate'
}

/** A new order from an old one, in one step: leads to it; undo deletes it again. */
export function Reorder({ id, as }: Props) {
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  const make = async () => {
    if (busy) return
    setBusy(true)
    const made = await act(as, { id })
    if (!made.ok) {
      setProblem(made.message)
      return setBusy(false)
    }
    recordEdit({ kind: 'presence', id: made.id }, `New order ${made.id}`, [
      { path: ['deleted'], from: true, to: false },
    ])
    router.push(`/orders/${made.id}/${as === 'reorder' ? 'run' : 'order'}`)
  }
  return (
    <>
      <TextButton
        onClick={() => void make()}
        {...(as === 'duplicate' && { fontSize: 'small', color: 'soft', px: '0' })}
      >
        {as === 'reorder' ? `Print ${id} again` : 'Duplicate this order'}
      </TextButton>
      {problem && <span role="alert">{problem}</span>}
    </>
  )
}
