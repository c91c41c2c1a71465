'use client'

import same from 'fast-deep-equal'
import { useSyncExternalStore } from 'react'
import { type Change, reversed } from '@/core/change'
import { act } from '../acts/act'
import type { Edited } from './edited'

interface Edit {
  readonly edited: Edited
  /** Said when it is taken back: `Customer`. */
  readonly label: string
  readonly changes: readonly Change[]
  /** Milliseconds since 1970. */
  readonly at: number
}

/** Edits of this session on this tab; those before `place` can be undone, the others redone. */
interface Session {
  readonly edits: readonly Edit[]
  readonly place: number
}

const STORE = 'orvint.edits'
const KEPT = 200
/** Typing goes on: one undo takes the whole word back. */
const BURST = 2000
const EMPTY: Session = { edits: [], place: 0 }

let session: Session | undefined
const listeners = new Set<() => void>()

/** The session outlives a reload of the page, not the tab. */
function current(): Session {
  session ??= JSON.parse(sessionStorage.getItem(STORE) ?? 'null') ?? EMPTY
  return session ?? EMPTY
}

function become(next: Session): void {
  session = next
  sessionStorage.setItem(STORE, JSON.stringify(next))
  for (const listener of listeners) listener()
}

const onePath = (e: Edit) => (e.changes.length === 1 ? e.changes[0]?.path : undefined)

/** Remembers an edit that was saved. What was undone before it can no longer be redone. */
export function recordEdit(edited: Edited, label: string, changes: readonly Change[]): void {
  if (changes.length === 0) return
  const { edits, place } = current()
  const kept = edits.slice(0, place)
  const edit: Edit = { edited, label, changes, at: Date.now() }
  const last = kept.at(-1)
  const path = onePath(edit)
  const goesOn =
    last && path && edit.at - last.at < BURST && same(last.edited, edited) && same(onePath(last), path)
  const joined = goesOn
    ? [
        ...kept.slice(0, -1),
        { ...edit, changes: [{ path, from: last.changes[0]?.from, to: changes[0]?.to }] },
      ]
    : [...kept, edit]
  const next = joined.slice(-KEPT)
  become({ edits: next, place: next.length })
}

/** Pages that hold unsaved input bring it to rest first; one that took something back itself says so. */
type Settle = () => Promise<'settled' | 'reverted'>
const pages = new Set<Settle>()
export function settleBeforeUndo(settle: Settle): () => void {
  pages.add(settle)
  return () => pages.delete(settle)
}

/** What happened, in words. */
export interface Notice {
  readonly ok: boolean
  readonly message: string
}

async function step(back: boolean): Promise<Notice> {
  for (const settle of pages) {
    if ((await settle()) === 'reverted') return { ok: true, message: 'Unfinished input taken back' }
  }
  const { edits, place } = current()
  const edit = edits[back ? place - 1 : place]
  if (!edit) return { ok: false, message: back ? 'Nothing to undo' : 'Nothing to redo' }
  const changes = [...(back ? reversed(edit.changes) : edit.changes)]
  const applied = await act('applyChanges', {
    edited: edit.edited,
    changes: changes.map((c) => ({ ...c, path: [...c.path] })),
  })
  if (!applied.ok) {
    // It would stand in the way of the edits before it.
    become({ edits: edits.filter((e) => e !== edit), place: back ? place - 1 : place })
    return { ok: false, message: `${edit.label}: ${applied.message}` }
  }
  become({ edits, place: place + (back ? -1 : 1) })
  return { ok: true, message: `${back ? 'Undone' : 'Done again'}: ${edit.label}` }
}

let turn: Promise<unknown> = Promise.resolve()
/** One after another, however fast the key repeats. */
const inTurn = (back: boolean): Promise<Notice> => {
  const next = turn.then(() => step(back))
  turn = next.catch(() => undefined)
  return next
}
export const undo = (): Promise<Notice> => inTurn(true)
export const redo = (): Promise<Notice> => inTurn(false)

/** What undo and redo would take next, in words. */
export function useHistory(): { readonly undo: string | undefined; readonly redo: string | undefined } {
  const { edits, place } = useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    current,
    () => EMPTY,
  )
  return { undo: edits[place - 1]?.label, redo: edits[place]?.label }
}
