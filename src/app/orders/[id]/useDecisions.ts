'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { type Decisions, type Names, noDecisions } from '@/core/plan'
import type { StoredDecisions } from '@/store/decisions'
import { editLabel } from '@/ui/changeWords'
import { settleBeforeUndo } from '../../edits/history'
import { type Enqueue, type Keeper, keeper } from '../../edits/keeper'
import { useReadAgain } from '../../edits/leaving'
import { type Stored, save, type Versioned } from '../../edits/save'

/** Runs without decisions have none, at the version that a run begins with. */
const readOf = (decided: Readonly<Record<string, StoredDecisions>>, runId: string): Versioned<Decisions> => {
  const read = decided[runId]
  return read ? { value: read.decisions, version: read.version } : { value: noDecisions(runId), version: 1 }
}

const subjectOf = (id: string) => ({ kind: 'decisions' as const, id })

/** The decisions of the run in hand; each change is stored at once and can be undone. */
export function useDecisions(
  decided: Readonly<Record<string, StoredDecisions>>,
  runId: string | undefined,
  enqueue: Enqueue,
  names: Names,
) {
  const router = useRouter()
  const namesNow = useRef(names)
  useEffect(() => {
    namesNow.current = names
  }, [names])
  /** One for each run that was in hand. */
  const [keepers] = useState(() => new Map<string, Keeper<Decisions>>())
  const keeperOf = (id: string): Keeper<Decisions> => {
    const known = keepers.get(id)
    if (known) return known
    const subject = subjectOf(id)
    const made = keeper(
      subject,
      readOf(decided, id),
      () => ({
        store: (value, version) => save<Stored<Decisions>>(subject, value, version),
        label: (made) => editLabel(made, namesNow.current),
        stored: () => router.refresh(),
      }),
      enqueue,
    )
    keepers.set(id, made)
    return made
  }
  const mine = runId === undefined ? undefined : keeperOf(runId)
  const session = useSyncExternalStore(
    mine?.subscribe ?? never,
    () => mine?.session(),
    () => mine?.session(),
  )
  useReadAgain(
    useMemo(
      () => (runId === undefined ? [] : [{ subject: subjectOf(runId), value: readOf(decided, runId).value }]),
      [decided, runId],
    ),
  )
  useEffect(() => {
    for (const [id, k] of keepers) k.send({ kind: 'read', read: readOf(decided, id), there: true })
  }, [decided, keepers])
  useEffect(() => {
    // The browser is leaving: a decision that still waits for its answer goes along with it.
    const leave = () => {
      for (const k of keepers.values()) k.leave(k.session().mine)
    }
    window.addEventListener('pagehide', leave)
    return () => window.removeEventListener('pagehide', leave)
  }, [keepers])
  const flush = useCallback(async () => {
    for (const k of keepers.values()) await k.flush()
  }, [keepers])
  useEffect(
    () =>
      settleBeforeUndo(async () => {
        await flush()
        return 'settled'
      }),
    [flush],
  )
  const decide = useCallback(
    (change: (d: Decisions) => Decisions) =>
      mine?.send({ kind: 'whole', value: change(mine.session().mine) }),
    [mine],
  )
  return {
    decisions: session?.mine,
    decide,
    state: session?.state ?? 'saved',
    problem: session?.problem ?? '',
    conflict: session?.conflict,
    agree: (value: Decisions) => mine?.send({ kind: 'agreed', value }),
    /** Waits until all is stored; the version it then has. */
    flush: useCallback(async () => (await mine?.flush()) ?? 1, [mine]),
  }
}

const never = () => () => undefined
