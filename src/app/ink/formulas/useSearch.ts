'use client'

import { proxy, type Remote, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { BaseInk } from '@/core/equipment'
import type { Aim, Candidate } from '@/core/ink'
import type { Mixer } from '@/workers/mixer'

interface Search {
  readonly found: readonly Candidate[] | undefined
  /** 0..1 while it runs. */
  readonly done: number | undefined
  readonly search: (inks: readonly BaseInk[], aim: Aim) => void
  readonly stop: () => void
}

/** Searches formulas off the interface thread, with progress; a new search ends the one before. */
export function useSearch(): Search {
  const mixer = useRef<Remote<Mixer>>(undefined)
  const [found, setFound] = useState<readonly Candidate[]>()
  const [done, setDone] = useState<number>()
  useEffect(() => {
    const worker = new Worker(new URL('../../../workers/mixer.ts', import.meta.url), { type: 'module' })
    mixer.current = wrap<Mixer>(worker)
    return () => worker.terminate()
  }, [])
  const search = useCallback((inks: readonly BaseInk[], aim: Aim) => {
    setDone(0)
    setFound(undefined)
    void mixer.current?.search(inks, aim, proxy(setDone)).then((answer) => {
      if (!answer) return
      setFound(answer)
      setDone(undefined)
    })
  }, [])
  const stop = useCallback(() => {
    void mixer.current?.stop()
    setDone(undefined)
  }, [])
  return { found, done, search, stop }
}
