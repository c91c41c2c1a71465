'use client'

import same from 'fast-deep-equal'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { FieldPath, FieldValues, UseFormReturn } from 'react-hook-form'
import { changes, indexPath, isStructural, overlaid } from '@/core/change'
import { editLabel } from '@/ui/changeWords'
import type { Edited } from './edited'
import { recordEdit, settleBeforeUndo } from './history'
import { leaveBehind, leftBehind, useReadAgain } from './leaving'
import type { Stored, Versioned } from './save'

/** Two people changed the same thing: what it was, what each made of it. */
export interface Conflict<T> {
  readonly base: T
  readonly mine: T
  readonly theirs: T
  readonly version: number
}

export type SaveState = 'saved' | 'saving' | 'incomplete' | 'conflict' | 'gone' | 'failed'

/** Puts a write behind those that are under way; done when it is done. */
export type Enqueue = (write: () => Promise<void>) => Promise<void>

interface Autosave<T> {
  readonly state: SaveState
  /** What the disk said, when it said something. */
  readonly problem: string
  readonly conflict: Conflict<T> | undefined
  /** Ends a conflict with what both agree on. */
  readonly agree: (value: T) => void
  /** Waits until everything typed is stored; the version it then has. */
  readonly rest: () => Promise<number>
}

const PAUSE = 350

/** The form goes on changing its values in place; what is compared and stored must not. */
const copyOf = <T extends FieldValues>(form: UseFormReturn<T>): T => structuredClone(form.getValues())

/** Shows a value in the form, field by field where it can, so that nothing else on the page moves. */
function show<T extends FieldValues>(form: UseFormReturn<T>, value: T): void {
  const now = form.getValues()
  const list = changes(now, value)
  if (!list.some(isStructural)) {
    for (const c of list)
      form.setValue(indexPath(now, c.path) as FieldPath<T>, structuredClone(c.to) as never, {
        shouldValidate: true,
      })
    return
  }
  const name = document.activeElement?.getAttribute('name')
  form.reset(structuredClone(value))
  if (name)
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[name="${CSS.escape(name)}"]`)?.focus())
}

/**
 * Saves a form a moment after each change, as long as it is whole; half-typed input stays in the form with its message
 * at the field. Each saved edit can be undone.
 *
 * @param read what was last read from the server; what is newer than the form and meets no unsaved input is shown
 * @param there false while the thing is deleted
 * @param onWhole gets every value that passed the check, at once, before it is stored
 * @param enqueue writes go one after another
 */
export function useAutosave<T extends FieldValues>(
  form: UseFormReturn<T>,
  read: Versioned<T>,
  there: boolean,
  edited: Edited,
  check: (value: unknown) => { readonly ok: true; readonly value: T } | { readonly ok: false },
  store: (value: T, version: number) => Promise<Stored<T>>,
  onWhole: (value: T) => void,
  enqueue: Enqueue,
): Autosave<T> {
  const router = useRouter()
  const [state, setState] = useState<SaveState>('saved')
  const [problem, setProblem] = useState('')
  const [conflict, setConflict] = useState<Conflict<T>>()
  /** What the server is known to hold. */
  const held = useRef(read)
  const pending = useRef<ReturnType<typeof setTimeout>>(undefined)
  const halted = useRef(false)
  const showing = useRef(false)
  /** Writes asked for and not yet answered. */
  const waiting = useRef(0)
  /** What was sent last came back without an answer: browsers give up what is under way when they leave. */
  const unanswered = useRef(false)
  const subject = useMemo(() => ({ kind: edited.kind, id: edited.id }), [edited.kind, edited.id])

  useReadAgain(subject, read.value)

  const put = useCallback(
    (value: T) => {
      showing.current = true
      show(form, value)
      showing.current = false
    },
    [form],
  )
  const display = useCallback(
    (value: T) => {
      put(value)
      onWhole(value)
    },
    [put, onWhole],
  )
  const write = useCallback(
    async (value: T): Promise<void> => {
      if (halted.current) return setConflict((c) => c && { ...c, mine: value })
      const before = held.current
      if (same(before.value, value)) {
        if (waiting.current === 1 && pending.current === undefined) setState('saved')
        return
      }
      setState('saving')
      try {
        const saved = await store(value, before.version)
        unanswered.current = false
        setProblem('problem' in saved ? saved.problem : '')
        if (saved.ok) {
          held.current = { value, version: saved.version }
          router.refresh()
          const made = changes(before.value, value)
          recordEdit(subject, editLabel(made), made)
          // It is all saved only when nothing newer waits.
          if (waiting.current === 1 && pending.current === undefined)
            setState((s) => (s === 'saving' ? 'saved' : s))
        } else if ('errors' in saved) {
          for (const [path, message] of Object.entries(saved.errors))
            form.setError(path as FieldPath<T>, { message })
          setState('incomplete')
        } else if ('problem' in saved) {
          setState('failed')
        } else if (saved.now && same(saved.now.value, leftBehind(subject))) {
          // Not someone else: what this tab sent while it left the last page was stored after this page was read.
          const { now } = saved
          held.current = now
          const onTop = (mine: T) => overlaid(now.value, changes(before.value, mine))
          put(onTop(copyOf(form)))
          onWhole(onTop(value))
          return write(onTop(value))
        } else {
          halted.current = true
          const { now } = saved
          if (now) setConflict({ base: before.value, mine: value, theirs: now.value, version: now.version })
          setState(now ? 'conflict' : 'gone')
        }
      } catch {
        unanswered.current = true
        setState('failed')
      }
    },
    [form, store, subject, router, put, onWhole],
  )
  const settle = useCallback((): Promise<void> => {
    clearTimeout(pending.current)
    pending.current = undefined
    const checked = check(copyOf(form))
    if (!checked.ok) {
      void form.trigger()
      setState('incomplete')
      return Promise.resolve()
    }
    onWhole(checked.value)
    waiting.current++
    return enqueue(() => write(checked.value).finally(() => void waiting.current--))
  }, [form, check, onWhole, enqueue, write])

  useEffect(() => {
    const stop = form.watch(() => {
      if (showing.current) return
      clearTimeout(pending.current)
      if (!halted.current) setState('saving')
      pending.current = setTimeout(settle, PAUSE)
    })
    // The browser is leaving: what was typed in the last moment goes along with it.
    const send = () => {
      const checked = check(copyOf(form))
      if (!checked.ok || halted.current) return
      if (pending.current === undefined && waiting.current === 0 && !unanswered.current) return
      leaveBehind(subject, held.current.value, checked.value)
    }
    window.addEventListener('pagehide', send)
    return () => {
      stop.unsubscribe()
      window.removeEventListener('pagehide', send)
      // Going to another page does not wait for the pause to end.
      if (pending.current !== undefined) void settle()
    }
  }, [form, check, settle, subject])
  useEffect(
    () =>
      settleBeforeUndo(async () => {
        const whole = check(copyOf(form)).ok
        if (!whole && !halted.current) {
          clearTimeout(pending.current)
          pending.current = undefined
          display(held.current.value)
          setState('saved')
          return 'reverted'
        }
        if (pending.current !== undefined) await settle()
        else await enqueue(async () => undefined)
        return 'settled'
      }),
    [form, check, settle, display, enqueue],
  )
  useEffect(() => {
    // It was brought back: what was typed meanwhile can be saved after all.
    if (state !== 'gone' || read.version <= held.current.version || !there) return
    halted.current = false
    held.current = read
    void settle()
  }, [state, read, there, settle])
  useEffect(() => {
    // What others saved is shown as long as nothing typed here waits to be saved.
    if (!there || read.version <= held.current.version || state !== 'saved' || pending.current !== undefined)
      return
    held.current = read
    display(read.value)
  }, [read, there, state, display])
  const agree = (value: T) => {
    if (!conflict) return
    held.current = { value: conflict.theirs, version: conflict.version }
    halted.current = false
    setConflict(undefined)
    display(value)
    waiting.current++
    void enqueue(() => write(value).finally(() => void waiting.current--))
  }
  const rest = useCallback(async () => {
    if (pending.current !== undefined) await settle()
    else await enqueue(async () => undefined)
    return held.current.version
  }, [settle, enqueue])
  return { state, problem, conflict, agree, rest }
}
