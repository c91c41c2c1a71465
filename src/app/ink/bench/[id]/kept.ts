'use client'

import { useCallback, useEffect, useState } from 'react'
import type { Mass } from '@/core/quantity'

/** What the bench remembers on this device of a batch, so that a closed page loses nothing. */
interface Kept {
  /** Codes whose over-pour was accepted. */
  readonly over: readonly string[]
  /** A pour that is in the tub but not booked yet. */
  readonly pending: { readonly canId: string; readonly mass: Mass } | undefined
}

const NOTHING: Kept = { over: [], pending: undefined }
const key = (id: string) => `orvint.bench.${id}`

/** Reads it after the page listens, since the server knows nothing of it. */
export function useKept(
  id: string,
): readonly [kept: Kept | undefined, keep: (change: Partial<Kept>) => void] {
  const [kept, setKept] = useState<Kept>()
  useEffect(() => setKept(JSON.parse(localStorage.getItem(key(id)) ?? 'null') ?? NOTHING), [id])
  const keep = useCallback(
    (change: Partial<Kept>) =>
      setKept((now) => {
        const next = { ...(now ?? NOTHING), ...change }
        localStorage.setItem(key(id), JSON.stringify(next))
        return next
      }),
    [id],
  )
  return [kept, keep]
}
