'use client'

import { startTransition, useCallback, useMemo, useState } from 'react'
import type { Asked, How } from './desk'
import { useKeys } from './keys'

/** What the panel beside the work shows: an answer, or the list of what is open in the run. */
export type Shown = Asked | { readonly kind: 'open' }

/** Whether something is shown beside the work, and on a small screen whether it is unfolded or one line. */
export interface Answer {
  readonly shown: Shown | undefined
  readonly unfolded: boolean
  readonly ask: (asked: Asked, how?: How) => void
  /** Shows what is open in the run, or puts it away. */
  readonly toggleOpen: () => void
  readonly fold: () => void
  readonly close: () => void
  /** Back to what is shown without a question: another stage or run is looked at. */
  readonly reset: () => void
}

/**
 * The panel beside the work, and what it shows. A question asked for opens it; a value that is touched to change it opens one
 * line of it where room is short; one that only has the focus is explained while the panel is open anyway.
 *
 * @param begin what is shown at first
 */
export function useAnswer(begin?: Shown): Answer {
  const [shown, setShown] = useState<Shown | undefined>(begin)
  const [unfolded, setUnfolded] = useState(false)
  // What was touched answers at once; the panel, which lays the page out anew, follows.
  const ask = useCallback((asked: Asked, how: How = 'asked') => {
    startTransition(() => {
      if (how === 'passing') setShown((before) => before && asked)
      else setShown(asked)
      if (how === 'asked') setUnfolded(true)
    })
  }, [])
  const close = useCallback(() => {
    setShown(undefined)
    setUnfolded(false)
  }, [])
  const fold = useCallback(() => setUnfolded((before) => !before), [])
  const reset = useCallback(() => {
    setShown((before) => (before?.kind === 'open' ? before : undefined))
    setUnfolded(false)
  }, [])
  const toggleOpen = useCallback(() => {
    setShown((before) => (before?.kind === 'open' ? undefined : { kind: 'open' }))
    setUnfolded(true)
  }, [])
  const open = shown !== undefined
  useKeys(
    useMemo(() => (open ? [{ keys: 'Escape', label: 'Close the answer', act: close }] : []), [open, close]),
  )
  return useMemo(
    () => ({ shown, unfolded, ask, toggleOpen, fold, close, reset }),
    [shown, unfolded, ask, toggleOpen, fold, close, reset],
  )
}
