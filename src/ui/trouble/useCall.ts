import { useCallback, useEffect, useState } from 'react'
import {
  type Call,
  callOf,
  QUESTIONS,
  type QuestionId,
  REMEDIES,
  type RemedyId,
  SYMPTOMS,
  type SymptomId,
} from '@/core/trouble'

/** What one has tapped so far; the one before it stays, to go back to. */
export interface CallState {
  readonly call: Call | undefined
  readonly begin: (symptom: SymptomId) => void
  readonly also: (symptom: SymptomId, there: boolean) => void
  readonly answer: (ask: QuestionId, answer: string) => void
  readonly cannot: (ask: QuestionId) => void
  readonly tried: (remedy: RemedyId, from?: Call) => void
  readonly end: () => void
  /** Takes back the last tap; nothing where there is none. */
  readonly undo: (() => void) | undefined
}

const isSymptom = (s: unknown): boolean => typeof s === 'string' && Object.hasOwn(SYMPTOMS, s)
const isLook = (q: unknown): boolean => typeof q === 'string' && Object.hasOwn(QUESTIONS, q)
const all = (list: unknown, is: (x: unknown) => boolean): boolean => Array.isArray(list) && list.every(is)

/** A call that was kept is taken up again only where it is one, of tables as they are now. */
function isCall(value: unknown): value is Call {
  if (typeof value !== 'object' || value === null) return false
  const { symptom, also, notThere, answers, cannot, tried } = value as {
    readonly [K in keyof Call]?: unknown
  }
  return (
    isSymptom(symptom) &&
    all(also, isSymptom) &&
    all(notThere, isSymptom) &&
    all(cannot, isLook) &&
    all(tried, (r) => typeof r === 'string' && Object.hasOwn(REMEDIES, r)) &&
    all(answers, (a) => isLook((a as { readonly ask?: unknown } | null)?.ask))
  )
}

function kept(key: string): readonly (Call | undefined)[] {
  try {
    const stored: unknown = JSON.parse(sessionStorage.getItem(key) ?? '[]')
    return Array.isArray(stored) ? stored.map((c: unknown) => (isCall(c) ? c : undefined)) : []
  } catch {
    return []
  }
}

/** A trouble as it is told tap by tap; it stays over a reload of the page. @param key of what it is kept under */
export function useCall(key: string): CallState {
  const [past, setPast] = useState<readonly (Call | undefined)[]>([undefined])
  useEffect(() => {
    const before = kept(key)
    if (before.length > 0) setPast(before)
  }, [key])
  const put = useCallback(
    (next: readonly (Call | undefined)[]) => {
      setPast(next)
      try {
        sessionStorage.setItem(key, JSON.stringify(next.map((c) => c ?? null)))
      } catch {
        // A device that can keep nothing loses it with the page, nothing else.
      }
    },
    [key],
  )
  const call = past.at(-1)
  const to = (next: Call | undefined) => put([...past, next])
  return {
    call,
    begin: (symptom) => to(callOf(symptom)),
    also: (symptom, there) => {
      if (!call) return
      to(
        there
          ? { ...call, also: [...call.also, symptom] }
          : { ...call, also: call.also.filter((s) => s !== symptom) },
      )
    },
    answer: (ask, answer) => call && to({ ...call, answers: [...call.answers, { ask, answer }] }),
    cannot: (ask) => call && to({ ...call, cannot: [...call.cannot, ask] }),
    tried: (remedy, from) => {
      const of = call ?? from
      if (of) to({ ...of, tried: [...of.tried, remedy] })
    },
    end: () => put([undefined]),
    undo: past.length > 1 ? () => put(past.slice(0, -1)) : undefined,
  }
}
