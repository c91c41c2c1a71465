'use client'

import same from 'fast-deep-equal'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { changes, overlaid } from '@/core/change'
import { type Decisions, type Names, noDecisions } from '@/core/plan'
import type { StoredDecisions } from '@/store/decisions'
import { editLabel } from '@/ui/changeWords'
import { recordEdit } from '../../edits/history'
import { leaveBehind, leftBehind, useReadAgain } from '../../edits/leaving'
import { save } from '../../edits/save'
import type { Conflict, Enqueue, SaveState } from '../../edits/useAutosave'

const editOf = ({ runId }: { readonly runId: string }) => ({ kind: 'decisions' as const, id: runId })

const NONE: Readonly<Record<string, StoredDecisions>> = {}

/** The decisions of the run in hand; each change is stored at once and can be undone. */
export function useDecisions(
  decided: Readonly<Record<string, StoredDecisions>>,
  runId: string | undefined,
  enqueue: Enqueue,
  names: Names,
) {
  /** What was decided here, over what was read. */
  const [own, setOwn] = useState(NONE)
  const router = useRouter()
  const held = useRef<Record<string, StoredDecisions>>({})
  /** The last decision not yet answered for, and what it was made on. */
  const last = useRef<{ readonly next: Decisions; readonly base: StoredDecisions }>(undefined)
  const [state, setState] = useState<SaveState>()
  const [problem, setProblem] = useState('')
  const [conflict, setConflict] = useState<Conflict<Decisions>>()
  const read = runId === undefined ? undefined : decided[runId]
  const mine = runId === undefined ? undefined : own[runId]
  const subject = useMemo(() => (runId === undefined ? undefined : editOf({ runId })), [runId])
  useReadAgain(subject, read?.decisions)
  // What is read again and is newer than what was decided here holds that too.
  const newest = mine && mine.version >= (read?.version ?? 1) ? mine : read
  const decisions = useMemo(
    () => newest?.decisions ?? (runId === undefined ? undefined : noDecisions(runId)),
    [newest, runId],
  )
  /** What a decision is stored over: the newest that is known. */
  const baseOf = useCallback((next: Decisions, base: StoredDecisions) => {
    const known = held.current[next.runId]
    return known && known.version > base.version ? known : base
  }, [])
  const write = useCallback(
    (next: Decisions, base: StoredDecisions) => {
      const store = async (value: Decisions, from: StoredDecisions): Promise<void> => {
        const saved = await save('decisions', value, from.version)
        setProblem('problem' in saved ? saved.problem : '')
        if (saved.ok) {
          held.current[value.runId] = { decisions: value, version: saved.version }
          const made = changes(from.decisions, value)
          recordEdit(editOf(value), editLabel(made, names), made)
          setState(undefined)
          router.refresh()
        } else if (!('now' in saved)) setState('failed')
        else if (saved.now && same(saved.now.value, leftBehind(editOf(value)))) {
          // Not someone else: what this tab sent while it left the last page.
          const now = { decisions: saved.now.value, version: saved.now.version }
          held.current[value.runId] = now
          const onTop = overlaid(now.decisions, changes(from.decisions, value))
          setOwn((d) => ({ ...d, [value.runId]: { decisions: onTop, version: now.version + 1 } }))
          return store(onTop, now)
        } else if (saved.now) {
          const { value: theirs, version } = saved.now
          setConflict({ base: from.decisions, mine: value, theirs, version })
          setState('conflict')
        } else setState('gone')
      }
      const asked = { next, base }
      last.current = asked
      return enqueue(async () => {
        try {
          await store(next, baseOf(next, base))
          if (last.current === asked) last.current = undefined
        } catch {
          // It is still to be answered for: the browser gives up what is under way when it leaves.
          setState('failed')
        }
      })
    },
    [enqueue, names, router, baseOf],
  )
  useEffect(() => {
    // The browser is leaving: a decision that still waits for its answer goes along with it.
    const send = () => {
      if (!last.current) return
      const { next, base } = last.current
      leaveBehind(editOf(next), baseOf(next, base).decisions, next)
    }
    window.addEventListener('pagehide', send)
    return () => window.removeEventListener('pagehide', send)
  }, [baseOf])
  const decide = useCallback(
    (change: (d: Decisions) => Decisions) => {
      if (!decisions) return
      const next = change(decisions)
      setOwn((d) => ({ ...d, [next.runId]: { decisions: next, version: (newest?.version ?? 1) + 1 } }))
      if (conflict) setConflict({ ...conflict, mine: next })
      else void write(next, read ?? { decisions: noDecisions(next.runId), version: 1 })
    },
    [decisions, newest, read, conflict, write],
  )
  const agree = (next: Decisions) => {
    if (!conflict) return
    const theirs = { decisions: conflict.theirs, version: conflict.version }
    setConflict(undefined)
    setOwn((d) => ({ ...d, [next.runId]: { decisions: next, version: conflict.version + 1 } }))
    void write(next, theirs)
  }
  /** The version of what is stored, once writes are at rest. */
  const version = useCallback(
    () => Math.max((runId && held.current[runId]?.version) || 1, read?.version ?? 1),
    [runId, read],
  )
  return { decisions, decide, state, problem, conflict, agree, version }
}
