import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { fold, type PressEvent, type Recorded, type Said } from '@/core/record'
import { keep, sent, waiting } from './queue'

/** How often it is looked whether others said something, and whether what waits can be sent, milliseconds. */
const EVERY = 2500
/** Events of one sending. */
const AT_ONCE = 200

interface Told {
  readonly events: readonly PressEvent[]
  readonly place: number
  readonly revision: number
}

export interface PressRecord {
  readonly recorded: Recorded
  /** Events kept on this tablet that the server has not. */
  readonly kept: number
  /** What stands in the way of sending them. */
  readonly problem: string
  /** The revision to work from by now. */
  readonly revision: number
  readonly say: (said: Said) => Promise<void>
}

/** What was said of a run, here and on other tablets. What is said is kept on this tablet first, then sent until the server has it. */
export function useRecord(runId: string, first: Told): PressRecord {
  const [known, setKnown] = useState<ReadonlyMap<string, PressEvent>>(
    () => new Map(first.events.map((e) => [e.id, e])),
  )
  const [own, setOwn] = useState<readonly PressEvent[]>([])
  const [problem, setProblem] = useState('')
  const [revision, setRevision] = useState(first.revision)
  const place = useRef(first.place)
  const busy = useRef(false)

  const exchange = useCallback(async () => {
    if (busy.current) return
    busy.current = true
    try {
      const open = await waiting(runId)
      setOwn(open)
      const events = open.slice(0, AT_ONCE)
      const path = `/api/runs/${encodeURIComponent(runId)}/record?after=${place.current}`
      const answer = await fetch(
        path,
        events.length > 0 ? { method: 'POST', body: JSON.stringify({ events }) } : undefined,
      )
      const told = (await answer.json()) as Told | { readonly wrong: readonly string[] }
      if ('wrong' in told) return setProblem(told.wrong.join(' '))
      await sent(events.map((e) => e.id))
      place.current = told.place
      setRevision(told.revision)
      const news = [...events, ...told.events]
      if (news.length > 0) setKnown((now) => new Map([...now, ...news.map((e) => [e.id, e] as const)]))
      setOwn(await waiting(runId))
      setProblem('')
    } catch (error) {
      setProblem(error instanceof TypeError ? 'No way to Orvint.' : 'This tablet can keep nothing.')
    } finally {
      busy.current = false
    }
  }, [runId])

  useEffect(() => {
    void exchange()
    const timer = setInterval(() => void exchange(), EVERY)
    const now = () => void exchange()
    window.addEventListener('online', now)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', now)
    }
  }, [exchange])

  const say = useCallback(
    async (said: Said) => {
      try {
        const event = await keep(runId, said)
        setOwn((now) => [...now, event])
      } catch {
        setProblem('This tablet can keep nothing: that tap is lost.')
      }
      void exchange()
    },
    [runId, exchange],
  )
  const recorded = useMemo(() => fold([...known.values(), ...own]), [known, own])
  return { recorded, kept: own.length, problem, revision, say }
}
