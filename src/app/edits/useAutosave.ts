'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import type { FieldPath, FieldValues, UseFormReturn } from 'react-hook-form'
import { changes, indexPath, isStructural, overlaid } from '@/core/change'
import type { Checked } from '@/core/order'
import { editLabel } from '@/ui/changeWords'
import type { Edited } from './edited'
import { settleBeforeUndo } from './history'
import { type Enqueue, type Keeper, keeper } from './keeper'
import { useReadAgain } from './leaving'
import type { Stored, Versioned } from './save'
import { type Conflict, halted, type SaveState, type Session } from './session'

/** A part of a form that is stored by itself; a form may be one part. */
export interface FormPart<T, P> {
  readonly subject: Edited
  readonly read: Versioned<P>
  readonly of: (value: T) => P
  readonly laid: (value: T, part: P) => T
  readonly check: (part: unknown) => Checked<P>
  readonly store: (part: P, version: number) => Promise<Stored<P>>
}

interface Autosave<T, P> {
  /** The last whole value, stored or not. */
  readonly value: T
  readonly state: SaveState
  /** What the disk said, when it said something. */
  readonly problem: string
  readonly conflicts: readonly { readonly conflict: Conflict<P>; readonly agree: (value: P) => void }[]
  /** Waits until everything typed is stored; the version it then has. */
  readonly flush: () => Promise<number>
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

/** What is said of several parts: the worst of them. */
const WORST: readonly SaveState[] = ['conflict', 'gone', 'failed', 'incomplete', 'saving', 'saved']

/** A form with what keeps its parts. */
interface Kept<T extends FieldValues, P> {
  readonly form: UseFormReturn<T>
  readonly keepers: readonly Keeper<P>[]
  /** The parts as they were rendered last. */
  readonly latest: { readonly current: readonly FormPart<T, P>[] }
  /** What is shown by the program is not typed. */
  readonly showing: { current: boolean }
}

/** Each part with its keeper and what the form holds of it. */
const looked = <T extends FieldValues, P>({ form, keepers, latest }: Kept<T, P>) => {
  const typed = copyOf(form)
  return latest.current.flatMap((part, i) => {
    const kept = keepers[i]
    return kept ? [{ kept, checked: part.check(part.of(typed)) }] : []
  })
}

/** A keeper for each part; they show and mark in the form. */
function useKeepers<T extends FieldValues, P>(
  form: UseFormReturn<T>,
  parts: readonly FormPart<T, P>[],
  enqueue: Enqueue,
  look: { readonly current: () => void },
): Kept<T, P> {
  const router = useRouter()
  const latest = useRef(parts)
  latest.current = parts
  const showing = useRef(false)
  const [keepers] = useState(() =>
    parts.map((first, i) => {
      const part = () => latest.current[i] ?? first
      const put = (value: T) => {
        showing.current = true
        show(form, value)
        showing.current = false
      }
      return keeper<P>(
        first.subject,
        first.read,
        () => ({
          store: part().store,
          label: editLabel,
          stored: () => router.refresh(),
          show: (value) => put(part().laid(copyOf(form), value)),
          rebase: (from, onto) => {
            const typed = copyOf(form)
            put(part().laid(typed, overlaid(onto, changes(from, part().of(typed)))))
          },
          mark: (errors) => {
            for (const [path, message] of Object.entries(errors))
              form.setError(path as FieldPath<T>, { message })
          },
          look: () => look.current(),
        }),
        enqueue,
      )
    }),
  )
  return useMemo(() => ({ form, keepers, latest, showing }), [form, keepers])
}

/** Looks at what was typed a moment after each change, and at once when the page is left. */
function useSettling<T extends FieldValues, P>(kept: Kept<T, P>, look: { current: () => void }) {
  const pending = useRef<ReturnType<typeof setTimeout>>(undefined)
  const settle = useCallback(() => {
    clearTimeout(pending.current)
    pending.current = undefined
    const parts = looked(kept)
    for (const { kept: k, checked } of parts)
      k.send(checked.ok ? { kind: 'whole', value: checked.value } : { kind: 'broken' })
    if (parts.some((p) => !p.checked.ok)) void kept.form.trigger()
  }, [kept])
  look.current = settle
  useEffect(() => {
    const stop = kept.form.watch(() => {
      if (kept.showing.current) return
      clearTimeout(pending.current)
      for (const k of kept.keepers) k.send({ kind: 'typed' })
      pending.current = setTimeout(settle, PAUSE)
    })
    // The browser is leaving: what was typed in the last moment goes along with it.
    const send = () => {
      for (const { kept: k, checked } of looked(kept)) if (checked.ok) k.leave(checked.value)
    }
    window.addEventListener('pagehide', send)
    return () => {
      stop.unsubscribe()
      window.removeEventListener('pagehide', send)
      // Going to another page does not wait for the pause to end.
      if (pending.current !== undefined) settle()
    }
  }, [kept, settle])
  const flush = useCallback(async () => {
    if (pending.current !== undefined) settle()
    const versions = await Promise.all(kept.keepers.map((k) => k.flush()))
    return versions.reduce((sum, v) => sum + v, 0)
  }, [kept, settle])
  useEffect(
    () =>
      settleBeforeUndo(async () => {
        const broken = looked(kept).filter(({ kept: k, checked }) => !checked.ok && !halted(k.session()))
        if (broken.length === 0) {
          await flush()
          return 'settled'
        }
        clearTimeout(pending.current)
        pending.current = undefined
        for (const { kept: k } of broken) k.send({ kind: 'reverted' })
        settle()
        return 'reverted'
      }),
    [kept, settle, flush],
  )
  return flush
}

/**
 * Saves a form a moment after each change, part by part as far as it is whole; half-typed input stays in the form with its
 * message at the field. Each saved edit can be undone.
 *
 * @param parts always the same ones in the same order
 * @param there false while the thing is deleted
 * @param enqueue writes go one after another
 */
export function useAutosave<T extends FieldValues, P>(
  form: UseFormReturn<T>,
  parts: readonly FormPart<T, P>[],
  there: boolean,
  enqueue: Enqueue,
): Autosave<T, P> {
  const look = useRef<() => void>(() => undefined)
  const kept = useKeepers(form, parts, enqueue, look)
  const flush = useSettling(kept, look)
  const { keepers } = kept
  useEffect(() => {
    for (const [i, k] of keepers.entries()) {
      const read = parts[i]?.read
      if (read) k.send({ kind: 'read', read, there })
    }
  }, [parts, keepers, there])
  useReadAgain(useMemo(() => parts.map((p) => ({ subject: p.subject, value: p.read.value })), [parts]))

  const sessions = useSessions(keepers)
  const mines = useSame(sessions.map((s) => s.mine))
  const value = useMemo(
    () => mines.reduce((whole: T, mine, i) => parts[i]?.laid(whole, mine) ?? whole, {} as T),
    [mines, parts],
  )
  return {
    value,
    state: WORST.find((state) => sessions.some((s) => s.state === state)) ?? 'saved',
    problem: sessions.find((s) => s.problem)?.problem ?? '',
    conflicts: keepers.flatMap((k, i) => {
      const conflict = sessions[i]?.conflict
      return conflict ? [{ conflict, agree: (value: P) => k.send({ kind: 'agreed', value }) }] : []
    }),
    flush,
  }
}

/** The same list again as long as it holds the same. */
function useSame<V>(list: readonly V[]): readonly V[] {
  const before = useRef(list)
  if (list.length !== before.current.length || list.some((v, i) => v !== before.current[i]))
    before.current = list
  return before.current
}

/** The sessions of several keepers; a new list when one of them moved. */
function useSessions<P>(keepers: readonly Keeper<P>[]): readonly Session<P>[] {
  const subscribe = useCallback(
    (listener: () => void) => {
      const stops = keepers.map((k) => k.subscribe(listener))
      return () => {
        for (const stop of stops) stop()
      }
    },
    [keepers],
  )
  const seen = useRef<readonly Session<P>[]>([])
  const now = useCallback(() => {
    const next = keepers.map((k) => k.session())
    if (next.some((s, i) => s !== seen.current[i])) seen.current = next
    return seen.current
  }, [keepers])
  return useSyncExternalStore(subscribe, now, now)
}
