import type { Change } from '@/core/change'
import type { FieldErrors } from '@/core/order'
import type { Edited } from './edited'
import { recordEdit } from './history'
import { builtOn, leftBehind, sendOnLeave } from './leaving'
import type { Stored, Versioned } from './save'
import { begun, type Session, type SessionEvent, step, unsent } from './session'

/** Puts a write behind those that are under way; done when it is done. */
export type Enqueue = (write: () => Promise<void>) => Promise<void>

/** What a session needs around it. */
export interface Around<T> {
  readonly store: (value: T, version: number) => Promise<Stored<T>>
  readonly label: (changes: readonly Change[]) => string
  /** Something was stored. */
  readonly stored: () => void
  readonly show?: (value: T) => void
  readonly rebase?: (from: T, onto: T) => void
  readonly mark?: (errors: FieldErrors) => void
  readonly look?: () => void
}

/** Keeps one edited thing: holds its session and does what that asks for. */
export interface Keeper<T> {
  readonly subject: Edited
  readonly session: () => Session<T>
  readonly send: (event: SessionEvent<T>) => void
  /** Waits until everything wanted is stored, or cannot be; the version it then has. */
  readonly flush: () => Promise<number>
  /** Sends along with a page that is left what is not known to be stored. */
  readonly leave: (value: T) => void
  readonly subscribe: (listener: () => void) => () => void
}

export function keeper<T>(
  subject: Edited,
  acknowledged: Versioned<T>,
  around: () => Around<T>,
  enqueue: Enqueue,
  overlays = false,
): Keeper<T> {
  let session = begun(acknowledged)
  const listeners = new Set<() => void>()
  const store = async (value: T, version: number): Promise<void> => {
    try {
      const answer = await around().store(value, version)
      send({ kind: 'answered', answer, own: leftBehind(subject) })
    } catch {
      send({ kind: 'lost' })
    }
  }
  function send(event: SessionEvent<T>): void {
    const next = step(session, event, overlays)
    if (next.session === session && next.effects.length === 0) return
    if (session.acknowledged !== next.session.acknowledged)
      for (const { acknowledged } of [session, next.session]) builtOn(subject, acknowledged.value)
    session = next.session
    for (const effect of next.effects)
      switch (effect.do) {
        case 'store':
          void enqueue(() => store(effect.value, effect.version))
          break
        case 'record':
          recordEdit(subject, around().label(effect.changes), effect.changes)
          around().stored()
          break
        case 'show':
          around().show?.(effect.value)
          break
        case 'rebase':
          around().rebase?.(effect.from, effect.onto)
          break
        case 'mark':
          around().mark?.(effect.errors)
          break
        case 'look':
          around().look?.()
          break
        default:
          effect satisfies never
      }
    for (const listener of listeners) listener()
  }
  return {
    subject,
    session: () => session,
    send,
    flush: async () => {
      while (session.line.length > 0) await enqueue(async () => undefined)
      return session.acknowledged.version
    },
    leave: (value) => {
      if (unsent(session)) sendOnLeave(subject, session.acknowledged.value, value)
    },
    subscribe: (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}

/** An `Enqueue` of its own. */
export function inLine(): Enqueue {
  let last = Promise.resolve()
  return (write) => {
    last = last.then(write)
    return last
  }
}
