'use client'

import { useRouter } from 'next/navigation'
import { type RefObject, useCallback, useMemo, useRef, useState } from 'react'
import { changes } from '@/core/change'
import { type Decisions, noDecisions } from '@/core/plan'
import type { StoredDecisions } from '@/store/decisions'
import { editLabel, type Lookup } from '@/ui/changeWords'
import { recordEdit } from '../../edits/history'
import { save } from '../../edits/save'
import type { Conflict, Enqueue, SaveState } from '../../edits/useAutosave'

const NONE: Readonly<Record<string, StoredDecisions>> = {}

/** The decisions of the run in hand; each change is stored at once and can be undone. */
export function useDecisions(
  decided: Readonly<Record<string, StoredDecisions>>,
  runId: string | undefined,
  enqueue: Enqueue,
  names: RefObject<Lookup>,
) {
  /** What was decided here, over what was read. */
  const [own, setOwn] = useState(NONE)
  const router = useRouter()
  const held = useRef<Record<string, StoredDecisions>>({})
  const [state, setState] = useState<SaveState>()
  const [problem, setProblem] = useState('')
  const [conflict, setConflict] = useState<Conflict<Decisions>>()
  const read = runId === undefined ? undefined : decided[runId]
  const mine = runId === undefined ? undefined : own[runId]
  // What is read again and is newer than what was decided here holds that too.
  const newest = mine && mine.version >= (read?.version ?? 1) ? mine : read
  const decisions = useMemo(
    () => newest?.decisions ?? (runId === undefined ? undefined : noDecisions(runId)),
    [newest, runId],
  )
  const write = useCallback(
    (next: Decisions, base: StoredDecisions) =>
      enqueue(async () => {
        const known = held.current[next.runId]
        const from = known && known.version > base.version ? known : base
        try {
          const saved = await save('decisions', next, from.version)
          setProblem('problem' in saved ? saved.problem : '')
          if (saved.ok) {
            held.current[next.runId] = { decisions: next, version: saved.version }
            const made = changes(from.decisions, next)
            recordEdit({ kind: 'decisions', id: next.runId }, editLabel(made, names.current), made)
            setState(undefined)
            router.refresh()
          } else if (!('now' in saved)) setState('failed')
          else if (saved.now) {
            setConflict({
              base: from.decisions,
              mine: next,
              theirs: saved.now.value,
              version: saved.now.version,
            })
            setState('conflict')
          } else setState('gone')
        } catch {
          setState('failed')
        }
      }),
    [enqueue, names, router],
  )
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
