import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { fold, type PressEvent, type Recorded, type Said } from '@/core/record'
import { keep, notePad, padNow, refused, sent, waiting } from './queue'

/** How often it is looked whether others said something, and whether what waits can be sent, milliseconds. */
const EVERY = 2500
/** Events of one sending. */
const AT_ONCE = 200
/** A clock that is off by so much is told, ms. */
const CLOCK_OFF = 60_000
/** A round trip longer than the best one of this time says less about the clock, ms. */
const HOUR = 3_600_000

export interface Told {
  readonly events: readonly PressEvent[]
  readonly place: number
  readonly revision: number
}
type Answer = (Told & { readonly now: number }) | { readonly wrong: readonly string[] }

export interface PressRecord {
  readonly recorded: Recorded
  /** Events kept on this tablet that the server has not. */
  readonly kept: number
  /** What stands in the way of sending them. */
  readonly problem: string
  /** The revision to work from by now. */
  readonly revision: number
  /** How far this tablet's clock is off where that is worth telling, ms; times are put right. */
  readonly clock: number | undefined
  readonly say: (said: Said) => Promise<void>
}

const send = async (runId: string, place: number, events: readonly PressEvent[]): Promise<Answer> => {
  const path = `/api/runs/${encodeURIComponent(runId)}/record?after=${place}`
  const answer = await fetch(
    path,
    events.length > 0 ? { method: 'POST', body: JSON.stringify({ events }) } : undefined,
  )
  const told = (await answer.json()) as Answer
  // What the server cannot do now is tried again; what it does not take is not.
  if ('wrong' in told && answer.status !== 400) throw new Error(told.wrong.join(' '))
  return told
}

/** Nothing again is no news: the page is not drawn anew. */
const unlessEmpty = (next: readonly PressEvent[]) => (now: readonly PressEvent[]) =>
  now.length === 0 && next.length === 0 ? now : next

/** @returns those that were taken; of the others it is noted why not */
async function oneByOne(runId: string, place: number, events: readonly PressEvent[]) {
  const taken: PressEvent[] = []
  for (const event of events) {
    const told = await send(runId, place, [event])
    if ('wrong' in told) await refused(event.id, told.wrong.join(' '))
    else taken.push(event)
  }
  return taken
}

/** What was said of a run, here and on other tablets. What is said is kept on this tablet first, then sent until the server has it. */
export function useRecord(runId: string, first: Told): PressRecord {
  const [known, setKnown] = useState<ReadonlyMap<string, PressEvent>>(
    () => new Map(first.events.map((e) => [e.id, e])),
  )
  const [own, setOwn] = useState<readonly PressEvent[]>([])
  const [problem, setProblem] = useState('')
  const [revision, setRevision] = useState(first.revision)
  const [clock, setClock] = useState<number>()
  const place = useRef(first.place)
  const busy = useRef(false)
  const trip = useRef({ took: Number.POSITIVE_INFINITY, at: 0 })

  const exchange = useCallback(async () => {
    if (busy.current) return
    busy.current = true
    try {
      const open = await waiting(runId)
      setOwn(unlessEmpty(open.map((w) => w.event)))
      const events = open.flatMap((w) => (w.refused === undefined ? [w.event] : [])).slice(0, AT_ONCE)
      const began = Date.now()
      let told = await send(runId, place.current, events)
      let taken = events
      if ('wrong' in told && events.length > 0) {
        // Something in it is not taken: one by one, so that it holds up no other.
        taken = await oneByOne(runId, place.current, events)
        told = await send(runId, place.current, [])
      }
      if ('wrong' in told) return setProblem(told.wrong.join(' '))
      await sent(taken.map((e) => e.id))
      await tellClock(told.now, began)
      place.current = told.place
      setRevision(told.revision)
      const news = [...taken, ...told.events]
      if (news.length > 0) setKnown((now) => new Map([...now, ...news.map((e) => [e.id, e] as const)]))
      const left = await waiting(runId)
      setOwn(unlessEmpty(left.map((w) => w.event)))
      setProblem(left.find((w) => w.refused)?.refused ?? '')
    } catch (error) {
      if (error instanceof TypeError) setProblem('No way to Orvint.')
      else if (error instanceof DOMException) setProblem('This tablet can keep nothing.')
      else setProblem(error instanceof Error ? error.message : 'Orvint does not answer.')
    } finally {
      busy.current = false
    }

    async function tellClock(server: number, began: number) {
      const took = Date.now() - began
      if (took > trip.current.took && began - trip.current.at < HOUR) return
      trip.current = { took, at: began }
      const offset = Math.round(server - (began + took / 2))
      const before = (await padNow()).offset ?? 0
      // A trip of a second says nothing about half of one.
      if (Math.abs(before - offset) > Math.max(500, took)) await notePad({ offset, last: 0 })
      setClock(Math.abs(offset) > CLOCK_OFF ? -offset : undefined)
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
  return { recorded, kept: own.length, problem, revision, clock, say }
}
