'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { TextButton } from '@/ui/Section'
import { act } from '../../acts/act'

/** The same design again, in one step: leads to the new order. */
export function Reorder({ id }: { readonly id: string }) {
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  const again = async () => {
    if (busy) return
    setBusy(true)
    const made = await act('reorder', { id })
    if (made.ok) router.push(`/orders/${made.id}/run`)
    else {
      setProblem(made.message)
      setBusy(false)
    }
  }
  return (
    <>
      <TextButton onClick={() => void again()}>Print {id} again</TextButton>
      {problem && <span role="alert">{problem}</span>}
    </>
  )
}
