'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { Mass } from '@/core/quantity'
import type { Reading, Scale } from '@/devices/scale'
import { type Hand, simulatedScale } from '@/devices/simulatedScale'

/** An empty tub. */
export const TUB_MASS: Mass = 0.18

/** One scale a batch for as long as the tab lives: what stands on it stays there while someone looks elsewhere. */
const made = new Map<string, ReturnType<typeof simulatedScale>>()

export interface OnScale {
  readonly scale: Scale
  readonly hand: Hand
  /** None before the first one. */
  readonly reading: Reading | undefined
  /** The last weight it told, also when it tells none now. */
  readonly last: Mass
  readonly tare: () => void
}

/**
 * The scale with the tub of a batch on it.
 *
 * @param load kg that are in the tub already; undefined as long as that is not known
 */
export function useScale(batchId: string, load: Mass | undefined): OnScale {
  const first = useRef(load)
  first.current ??= load
  const known = load !== undefined
  const found = useMemo(() => {
    const there = made.get(batchId)
    if (there) return there
    const fresh = simulatedScale({
      seed: Number(batchId.slice(2)) || 1,
      load: TUB_MASS + (first.current ?? 0),
    })
    if (known) made.set(batchId, fresh)
    return fresh
  }, [batchId, known])
  const [reading, setReading] = useState<Reading>()
  const [last, setLast] = useState<Mass>(0)
  useEffect(
    () =>
      found.scale.listen((r) => {
        setReading(r)
        if (r.kind === 'weight') setLast(r.mass)
      }),
    [found],
  )
  const tare = useCallback(() => {
    found.scale.tare()
    // What it told before counts for nothing now.
    setReading(undefined)
    setLast(0)
  }, [found])
  return { ...found, reading, last, tare }
}
