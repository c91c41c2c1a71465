import { useEffect, useState } from 'react'
import type { BaseFacts, ExposureFacts, OpenedFacts, PeepingFacts } from '@/core/artwork'

export interface Measured {
  readonly opened: readonly OpenedFacts[]
  readonly exposed: readonly ExposureFacts[]
  readonly peeping?: PeepingFacts
  readonly base?: BaseFacts
}

/** Lets a hand that still moves finish first, in milliseconds. */
const PAUSE = 250

/** Asks the server to measure the films; asks again when the question changes. */
export function useMeasure(base: string, key: string, question: object | undefined): Measured | undefined {
  const [answer, setAnswer] = useState<{ readonly asked: string; readonly measured: Measured }>()
  const asked = question && JSON.stringify(question)
  // biome-ignore lint/correctness/useExhaustiveDependencies: other films are measured again
  useEffect(() => {
    if (asked === undefined) return
    const leave = new AbortController()
    const timer = setTimeout(async () => {
      // A question given up is no error, whether its answer was begun or not.
      const measured = await fetch(`${base}/measure`, { method: 'POST', body: asked, signal: leave.signal })
        .then((r) => (r.ok ? (r.json() as Promise<Measured>) : undefined))
        .catch(() => undefined)
      if (measured) setAnswer({ asked, measured })
    }, PAUSE)
    return () => {
      clearTimeout(timer)
      leave.abort()
    }
  }, [base, key, asked])
  return answer?.measured
}
