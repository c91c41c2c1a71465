'use client'

import { useSyncExternalStore } from 'react'

const NEVER = () => () => undefined

/** False on the server and until the page listens. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    NEVER,
    () => true,
    () => false,
  )
