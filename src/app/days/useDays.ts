import { proxy, type Remote, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { DaysKept, DaysNow, Happened, MovePrice, Over, Proposal, Put, Rescue } from '@/core/days'
import { messageOf } from '@/core/quantity'
import type { DaysWorker } from '@/workers/days'
import { ACTED, act } from '../acts/act'
import type { DaysAhead } from './ahead'

let remote: Remote<DaysWorker> | undefined
/** One for the tab: it knows the days as they stand. */
const worker = (): Remote<DaysWorker> => {
  remote ??= wrap<DaysWorker>(
    new Worker(new URL('../../workers/days.ts', import.meta.url), { type: 'module' }),
  )
  return remote
}

/** One of several things that can be done. */
export interface Option {
  readonly price: MovePrice | 'none'
  readonly proposal: Proposal
}

/** What is offered beside the days as they stand. */
export type Offer =
  | { readonly kind: 'put'; readonly where: Put; readonly proposal: Proposal }
  | {
      readonly kind: 'plan'
      readonly price: MovePrice
      readonly share: number
      readonly isPaused: boolean
      readonly proposal?: Proposal
    }
  | { readonly kind: 'happened'; readonly first: { readonly kind: Happened['kind']; readonly id?: string } }
  | {
      readonly kind: 'rescue'
      readonly orderId: string
      readonly share: number
      readonly ways: readonly Rescue[]
    }
  | { readonly kind: 'replan'; readonly share: number; readonly options: readonly Option[] }

/**
 * The shop's days: as they stand, what is offered, and what is decided. Everything is worked out beside the page.
 *
 * @param stamp changes whenever anything was saved
 */
export function useDays(stamp: string) {
  const [ahead, setAhead] = useState<DaysAhead>()
  const [now, setNow] = useState<DaysNow>()
  const [offer, setOffer] = useState<Offer>()
  const [wrong, setWrong] = useState('')
  const [before, setBefore] = useState<readonly DaysKept[]>([])
  const asking = useRef(0)

  const load = useCallback(async () => {
    const own = ++asking.current
    try {
      const response = await fetch('/api/days')
      if (!response.ok) throw new Error('The days could not be read: try again.')
      const found = (await response.json()) as DaysAhead
      const days = await worker().stand(found.asked, found.kept)
      if (own !== asking.current) return
      setAhead(found)
      setNow(days)
      setWrong('')
    } catch (error) {
      if (own === asking.current) setWrong(messageOf(error))
    }
  }, [])
  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever was saved changes the days
  useEffect(() => {
    void load()
  }, [load, stamp])
  useEffect(() => {
    const again = () => void load()
    window.addEventListener(ACTED, again)
    return () => window.removeEventListener(ACTED, again)
  }, [load])

  const keep = useCallback(
    async (kept: DaysKept, isUndo = false) => {
      if (!ahead) return
      const was = ahead.kept
      const said = await act('keepDays', { kept, seen: ahead.version })
      setOffer(undefined)
      if (!said.ok) setWrong(said.message)
      else setBefore((b) => (isUndo ? b.slice(0, -1) : [...b, was]))
      // ACTED is not told of what was refused.
      if (!said.ok) void load()
    },
    [ahead, load],
  )

  const trying = useRef<Promise<Proposal>>(undefined)
  /** Works out what putting a run somewhere comes to; the last place that was asked for stays. */
  const tryPut = useCallback((where: Put) => {
    const own = worker().put(where)
    trying.current = own
    own.then(
      (proposal) => trying.current === own && setOffer({ kind: 'put', where, proposal }),
      (error) => setWrong(messageOf(error)),
    )
    return own
  }, [])

  /** Takes the place that was tried last, as soon as it is worked out. */
  const takePut = useCallback(async () => {
    const proposal = await trying.current?.catch(() => undefined)
    trying.current = undefined
    if (proposal) await keep(proposal.kept)
  }, [keep])

  /** Counts up with whatever is asked for: answers to what was left are heard no more. */
  const turn = useRef(0)
  const search = useCallback(async (price: MovePrice) => {
    const own = ++turn.current
    setOffer({ kind: 'plan', price, share: 0, isPaused: false })
    const tell = proxy(
      ({ share, proposal }: { readonly share: number; readonly proposal: Proposal | undefined }) =>
        setOffer((o) =>
          o?.kind === 'plan' && own === turn.current ? { ...o, share, ...(proposal && { proposal }) } : o,
        ),
    )
    try {
      const proposal = await worker().search(price, tell)
      setOffer((o) => (o?.kind === 'plan' && own === turn.current ? { ...o, share: 1, proposal } : o))
    } catch (error) {
      setWrong(messageOf(error))
    }
  }, [])
  const pause = useCallback((is: boolean) => {
    void worker().pause(is)
    setOffer((o) => (o?.kind === 'plan' ? { ...o, isPaused: is } : o))
  }, [])
  const leave = useCallback(() => {
    turn.current++
    void worker().stop()
    trying.current = undefined
    setOffer(undefined)
  }, [])

  const replan = useCallback(async (what: Happened) => {
    const own = ++turn.current
    setOffer({ kind: 'replan', share: 0, options: [] })
    const tell = proxy((share: number) =>
      setOffer((o) => (o?.kind === 'replan' && own === turn.current ? { ...o, share } : o)),
    )
    try {
      const options = await worker().replan(what, tell)
      setOffer((o) => (o?.kind === 'replan' && own === turn.current ? { ...o, share: 1, options } : o))
    } catch (error) {
      setWrong(messageOf(error))
    }
  }, [])

  const rescue = useCallback(async (orderId: string) => {
    const own = ++turn.current
    setOffer({ kind: 'rescue', orderId, share: 0, ways: [] })
    const tell = proxy((share: number) =>
      setOffer((o) => (o?.kind === 'rescue' && own === turn.current ? { ...o, share } : o)),
    )
    try {
      const ways = await worker().rescue(orderId, tell)
      setOffer((o) => (o?.kind === 'rescue' && own === turn.current ? { ...o, share: 1, ways } : o))
    } catch (error) {
      setWrong(messageOf(error))
    }
  }, [])

  return {
    ahead,
    now,
    offer,
    wrong,
    keep,
    tryPut,
    takePut,
    search,
    pause,
    leave,
    replan,
    rescue,
    askHappened: useCallback(
      (kind: Happened['kind'], id?: string) =>
        setOffer({ kind: 'happened', first: { kind, ...(id !== undefined && { id }) } }),
      [],
    ),
    letGo: useCallback(async (runId: string) => keep((await worker().letGo(runId)).kept), [keep]),
    afterAll: useCallback(async (what: Over) => keep((await worker().afterAll(what)).kept), [keep]),
    undo: before.length > 0 ? () => void keep(before.at(-1) as DaysKept, true) : undefined,
  }
}
