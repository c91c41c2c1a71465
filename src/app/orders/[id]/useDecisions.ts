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
  const held = runId === undefined ? undefined : keeperOf(runId)
  const session = useSyncExternalStore(
    held?.subscribe ?? never,
    () => held?.session(),
    () => held?.session(),
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
  const rest = useCallback(async () => {
    for (const k of keepers.values()) await k.rest()
  }, [keepers])
  useEffect(
    () =>
      settleBeforeUndo(async () => {
        await rest()
        return 'settled'
      }),
    [rest],
  )
  const decide = useCallback(
    (change: (d: Decisions) => Decisions) =>
      held?.send({ kind: 'whole', value: change(held.session().mine) }),
    [held],
  )
  return {
    decisions: session?.mine,
    decide,
    state: session?.state ?? 'saved',
    problem: session?.problem ?? '',
    conflict: session?.conflict,
    agree: (value: Decisions) => held?.send({ kind: 'agreed', value }),
    /** Waits until all is stored; the version it then has. */
    rest: useCallback(async () => (await held?.rest()) ?? 1, [held]),
  }
}

const never = () => () => undefined
