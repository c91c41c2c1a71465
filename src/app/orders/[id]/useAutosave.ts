'use client'

import { useEffect, useRef, useState } from 'react'
import type { FieldPath, UseFormReturn } from 'react-hook-form'
import { checkOrder, type Order } from '@/core/order'
import type { StoredOrder } from '@/store/orders'
import { storeOrder } from '../actions'

export type SaveState = 'saved' | 'saving' | 'incomplete' | 'conflict' | 'failed'

/** Puts a write behind those that are under way. */
export type Enqueue = (write: () => Promise<void>) => void

const PAUSE = 350

/**
 * Saves the form a moment after each change, as long as it is whole; half-typed input stays in the form with its
 * message at the field.
 *
 * @param onWhole gets every order that passed the check, at once, before it is stored
 * @param enqueue writes go one after another
 */
export function useAutosave(
  form: UseFormReturn<Order>,
  stored: StoredOrder,
  onWhole: (order: Order) => void,
  enqueue: Enqueue,
): SaveState {
  const [state, setState] = useState<SaveState>('saved')
  const version = useRef(stored.version)
  const pending = useRef<ReturnType<typeof setTimeout>>(undefined)
  const halted = useRef(false)

  useEffect(() => {
    const store = async (order: Order) => {
      if (halted.current) return
      setState('saving')
      try {
        const saved = await storeOrder(order, version.current)
        if (saved.ok) {
          version.current = saved.version
          setState((s) => (s === 'saving' ? 'saved' : s))
        } else if ('errors' in saved) {
          for (const [path, message] of Object.entries(saved.errors))
            form.setError(path as FieldPath<Order>, { message })
          setState('incomplete')
        } else {
          halted.current = true
          setState('conflict')
        }
      } catch {
        setState('failed')
      }
    }
    const settle = () => {
      pending.current = undefined
      const checked = checkOrder(form.getValues())
      if (!checked.ok) {
        void form.trigger()
        setState('incomplete')
        return
      }
      onWhole(checked.order)
      enqueue(() => store(checked.order))
    }
    const stop = form.watch(() => {
      clearTimeout(pending.current)
      if (!halted.current) setState('saving')
      pending.current = setTimeout(settle, PAUSE)
    })
    return () => {
      stop.unsubscribe()
      // Leaving the page does not wait for the pause to end.
      if (pending.current === undefined) return
      clearTimeout(pending.current)
      settle()
    }
  }, [form, onWhole, enqueue])
  useEffect(() => {
    // A write that was still under way when this page was read has arrived: nothing typed here is touched by it.
    if (stored.version <= version.current || state !== 'saved') return
    version.current = stored.version
    form.reset(stored.order as Order)
    onWhole(stored.order)
  }, [stored, state, form, onWhole])
  return state
}
