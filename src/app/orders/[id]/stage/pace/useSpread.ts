'use client'

import { proxy, type Remote, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Hours } from '@/core/equipment'
import type { RunNeed, Spread } from '@/core/rate'
import type { Pace } from '@/workers/pace'

/** Runs that are tried. */
const MANY = { runs: 10_000, seed: 1 } as const

/** How long a run takes when it is run many times, computed off the interface thread, with progress; it can be stopped. */
export function useSpread(need: RunNeed | undefined, hours: Hours) {
  const worker = useRef<Remote<Pace>>(undefined)
  const [spread, setSpread] = useState<Spread>()
  const [done, setDone] = useState<number>()
  useEffect(() => {
    const own = new Worker(new URL('../../../../../workers/pace.ts', import.meta.url), { type: 'module' })
    worker.current = wrap<Pace>(own)
    return () => own.terminate()
  }, [])
  useEffect(() => {
    if (!need) return setSpread(undefined)
    setDone(0)
    void worker.current?.spread(need, hours, hours.from, MANY, proxy(setDone)).then((answer) => {
      if (!answer) return
      setSpread(answer)
      setDone(undefined)
    })
  }, [need, hours])
  const stop = useCallback(() => {
    void worker.current?.stop()
    setDone(undefined)
  }, [])
  return { spread, done, stop }
}
