'use client'

import { format } from 'date-fns'
import { useEffect, useState } from 'react'
import { type Moment, momentOf } from '@/core/schedule'

/** This moment by the shop's own clock: `2026-11-24T08:30`. */
export const localNow = (): string => format(new Date(), "yyyy-MM-dd'T'HH:mm")

/** A moment as people say it. */
export const sayMoment = (moment: Moment, pattern = 'EEE d, HH:mm'): string => {
  // A time that is stored wrong: a list does not fall over it.
  if (!Number.isFinite(moment)) return 'no such time'
  const utc = new Date(moment * 1000)
  return format(
    new Date(
      utc.getUTCFullYear(),
      utc.getUTCMonth(),
      utc.getUTCDate(),
      utc.getUTCHours(),
      utc.getUTCMinutes(),
    ),
    pattern,
  )
}

/** Looks at the clock every so often; undefined on the server, whose clock may be another. */
export function useNow(every = 20_000): Moment | undefined {
  const [now, setNow] = useState<Moment>()
  useEffect(() => {
    const look = () => setNow(momentOf(localNow()))
    look()
    const timer = setInterval(look, every)
    return () => clearInterval(timer)
  }, [every])
  return now
}
