'use client'

import { useEffect, useSyncExternalStore } from 'react'

/** A computed setting of what is in hand, and the page that shows it. */
export interface Findable {
  readonly key: string
  readonly label: string
  readonly href: string
}

const NONE: readonly Findable[] = []
let here = NONE
const listeners = new Set<() => void>()
const become = (list: readonly Findable[]) => {
  here = list
  for (const listener of listeners) listener()
}

/** Lets settings be found as long as the page is there. */
export function useFindable(list: readonly Findable[]): void {
  useEffect(() => {
    become(list)
    return () => become(NONE)
  }, [list])
}

export const useFindables = (): readonly Findable[] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => here,
    () => NONE,
  )
