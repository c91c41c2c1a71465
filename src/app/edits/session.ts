import same from 'fast-deep-equal'
import { type Change, changes, meet, misfit, overlaid } from '@/core/change'
import type { FieldErrors } from '@/core/order'
import type { Stored, Versioned } from './save'

/** Two people changed the same thing: what it was, what each made of it. */
export interface Conflict<T> {
  readonly base: T
  readonly mine: T
  readonly theirs: T
  readonly version: number
}

export type SaveState = 'saved' | 'saving' | 'incomplete' | 'conflict' | 'gone' | 'failed'

/** How what is edited here stands to what the server holds. */
export interface Session<T> {
  /** What the server is known to hold. */
  readonly acknowledged: Versioned<T>
  /** The last whole value that is wanted here, stored or not. */
  readonly mine: T
  /** Whole values to be stored one after another; the first is under way. */
  readonly line: readonly T[]
  /** Something was typed since, and not looked at yet. */
  readonly typing: boolean
  /** What was sent last came back without an answer, so it may be stored or not: browsers give up what is under way. */
  readonly unanswered: T | undefined
  readonly state: SaveState
  /** What the disk said, when it said something. */
  readonly problem: string
  readonly conflict: Conflict<T> | undefined
}

export type SessionEvent<T> =
  | { readonly kind: 'typed' }
  /** What was typed passes no check yet. */
  | { readonly kind: 'broken' }
  | { readonly kind: 'whole'; readonly value: T }
  /** `own` is what this tab sent while it left the last page, if anything. */
  | { readonly kind: 'answered'; readonly answer: Stored<T>; readonly own: unknown }
  | { readonly kind: 'lost' }
  /** Read again; `there` is false while the thing is deleted. */
  | { readonly kind: 'read'; readonly read: Versioned<T>; readonly there: boolean }
  | { readonly kind: 'agreed'; readonly value: T }
  /** Unfinished input is given up. */
  | { readonly kind: 'reverted' }

/** What is to be done around a session. */
export type Effect<T> =
  | { readonly do: 'store'; readonly value: T; readonly version: number }
  | { readonly do: 'show'; readonly value: T }
  /** Lays what is typed on another state than the one it was typed over. */
  | { readonly do: 'rebase'; readonly from: T; readonly onto: T }
  | { readonly do: 'record'; readonly changes: readonly Change[] }
  | { readonly do: 'mark'; readonly errors: FieldErrors }
  /** Looks once more whether what is typed is whole. */
  | { readonly do: 'look' }

interface Step<T> {
  readonly session: Session<T>
  readonly effects: readonly Effect<T>[]
}

export const begun = <T>(acknowledged: Versioned<T>): Session<T> => ({
  acknowledged,
  mine: acknowledged.value,
  line: [],
  typing: false,
  unanswered: undefined,
  state: 'saved',
  problem: '',
  conflict: undefined,
})

/** Nothing is stored until people agree, or the thing is back. */
export const halted = <T>({ state }: Session<T>): boolean => state === 'conflict' || state === 'gone'

/** Whether something here is not known to be stored. */
export const unsent = <T>(s: Session<T>): boolean =>
  !halted(s) && (s.typing || s.line.length > 0 || s.unanswered !== undefined)

const still = <T>(session: Session<T>): Step<T> => ({ session, effects: [] })

/** Stores the first of the line, or says how it stands when there is none. */
function onward<T>(session: Session<T>, before: readonly Effect<T>[] = []): Step<T> {
  const [first] = session.line
  if (first === undefined)
    return {
      session: session.state === 'saving' && !session.typing ? { ...session, state: 'saved' } : session,
      effects: before,
    }
  return {
    session: { ...session, state: 'saving' },
    effects: [...before, { do: 'store', value: first, version: session.acknowledged.version }],
  }
}

function wanted<T>(session: Session<T>, value: T): Step<T> {
  const s = { ...session, typing: false, mine: value }
  if (s.conflict) return still({ ...s, conflict: { ...s.conflict, mine: value } })
  if (halted(s)) return still(s)
  if (s.unanswered === undefined && same(s.line.at(-1) ?? s.acknowledged.value, value))
    return still({ ...s, state: s.line.length > 0 ? 'saving' : 'saved' })
  const next = { ...s, state: 'saving' as const, line: [...s.line, value] }
  return s.line.length > 0 ? still(next) : onward(next)
}

/** Whether two people who began at the same state touched no field both, or made the same of it: then both stay. */
function apart<T>(base: T, mine: T, theirs: T): boolean {
  const [own, others] = [changes(base, mine), changes(base, theirs)]
  const clash = (a: Change, b: Change) => meet(a, b) && !same(a, b)
  return misfit(theirs, own) === undefined && !own.some((a) => others.some((b) => clash(a, b)))
}

function answered<T>(session: Session<T>, answer: Stored<T>, own: unknown, overlays: boolean): Step<T> {
  const [sent, ...line] = session.line
  const s = { ...session, unanswered: undefined, problem: 'message' in answer ? answer.message : '' }
  const { acknowledged } = s
  if (sent === undefined) return still(s)
  if (answer.ok)
    return onward({ ...s, line, acknowledged: { value: sent, version: answer.version } }, [
      { do: 'record', changes: changes(acknowledged.value, sent) },
    ])
  if ('errors' in answer)
    return onward({ ...s, line, state: 'incomplete' }, [{ do: 'mark', errors: answer.errors }])
  if ('message' in answer) return onward({ ...s, line, state: 'failed' })
  const { now } = answer
  if (!now) return still({ ...s, line: [], state: 'gone' })
  // It had arrived after all; what is wanted now was made knowing of it.
  if (same(now.value, session.unanswered)) return onward({ ...s, acknowledged: now })
  // `own`: not someone else either, but made before this page was read.
  if (overlays || same(now.value, own) || apart(acknowledged.value, s.mine, now.value)) {
    const laid = (value: T): T => overlaid(now.value, changes(acknowledged.value, value))
    return onward({ ...s, acknowledged: now, line: s.line.map(laid), mine: laid(s.mine) }, [
      { do: 'rebase', from: acknowledged.value, onto: now.value },
    ])
  }
  const conflict = { base: acknowledged.value, mine: s.mine, theirs: now.value, version: now.version }
  return still({ ...s, line: [], state: 'conflict', conflict })
}

function read<T>(session: Session<T>, now: Versioned<T>, there: boolean): Step<T> {
  const { acknowledged, state, typing, line } = session
  if (!there || now.version <= acknowledged.version) return still(session)
  // It was brought back: what was typed meanwhile can be saved after all.
  if (state === 'gone')
    return { session: { ...session, acknowledged: now, state: 'saving' }, effects: [{ do: 'look' }] }
  // What others saved is shown as long as nothing typed here waits to be saved.
  if (state !== 'saved' || typing || line.length > 0) return still(session)
  return {
    session: { ...session, acknowledged: now, mine: now.value },
    effects: [{ do: 'show', value: now.value }],
  }
}

/**
 * One edited thing, one step further. Pure: timers, fields and the network are around it.
 *
 * @param overlays what others saved meanwhile is no conflict: the edit is laid on it
 */
export function step<T>(session: Session<T>, event: SessionEvent<T>, overlays = false): Step<T> {
  switch (event.kind) {
    case 'typed':
      if (session.typing) return still(session)
      return still({ ...session, typing: true, state: halted(session) ? session.state : 'saving' })
    case 'broken':
      return still({ ...session, typing: false, state: halted(session) ? session.state : 'incomplete' })
    case 'whole':
      return wanted(session, event.value)
    case 'answered':
      return answered(session, event.answer, event.own, overlays)
    case 'lost':
      return onward({
        ...session,
        line: session.line.slice(1),
        unanswered: session.line[0],
        state: 'failed',
      })
    case 'read':
      return read(session, event.read, event.there)
    case 'agreed': {
      const { conflict } = session
      if (!conflict) return still(session)
      const acknowledged = { value: conflict.theirs, version: conflict.version }
      const { session: s, effects } = wanted(
        { ...session, acknowledged, conflict: undefined, state: 'saving' },
        event.value,
      )
      return { session: s, effects: [{ do: 'show', value: event.value }, ...effects] }
    }
    case 'reverted': {
      const { value } = session.acknowledged
      return {
        session: { ...session, mine: value, typing: false, state: 'saved' },
        effects: [{ do: 'show', value }],
      }
    }
    default:
      return event satisfies never
  }
}
