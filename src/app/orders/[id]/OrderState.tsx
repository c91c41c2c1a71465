import { useState } from 'react'
import type { OrderState as State } from '@/store/schema'
import { Select } from '@/ui/Select'
import { act } from '../../acts/act'
import { useOrder } from './orderContext'
import { Reorder } from './Reorder'

const STATES: Readonly<Record<State, string>> = { open: 'Open', printing: 'Printing', done: 'Done' }

/** How far the order is; one that is done leaves Today and the rooms, and is kept for reorders. */
export function OrderState({ state }: { readonly state: State }) {
  const { order } = useOrder()
  const [problem, setProblem] = useState('')
  const mark = async (next: State) => {
    const done = await act('markOrder', { id: order.id, state: next })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <>
      <Select
        aria-label="How far the order is"
        value={state}
        fontSize="small"
        fontWeight={state === 'open' ? '400' : '700'}
        onChange={(e) => void mark(e.target.value as State)}
      >
        {Object.entries(STATES).map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </Select>
      {state === 'done' && <Reorder id={order.id} as="reorder" />}
      {problem && <span role="alert">{problem}</span>}
    </>
  )
}
