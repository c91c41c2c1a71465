import same from 'fast-deep-equal'
import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import { type Change, changes, fittedAll, overlaid } from '@/core/change'
import type { Edited } from './edited'
import { post } from './save'

const key = ({ kind, id }: Edited) => `orvint.left.${kind}.${id}`

/** What a page sent while it was left: the value it was made on, the value wanted, and when, ms. */
interface Left {
  readonly stored: unknown
  readonly value: unknown
  readonly at: number
}

/** After this it is stored or never will be, ms. */
const OVER = 30_000

function left(edited: Edited): Left | undefined {
  const noted = JSON.parse(sessionStorage.getItem(key(edited)) ?? 'null') as Left | null
  return noted && Date.now() - noted.at < OVER ? noted : undefined
}

/** What the last page of this tab sent while it was left, as long as it is not known to be stored. */
export const leftBehind = (edited: Edited): unknown => left(edited)?.value

/** What is edited here builds on `stored`: if that is what was sent, it need not be kept in mind any more. */
export function builtOn(edited: Edited, stored: unknown): void {
  if (same(leftBehind(edited), stored)) sessionStorage.removeItem(key(edited))
}

/**
 * What leads from the stored value to the one wanted. A page that was read before what the page before it sent was stored
 * goes by way of that: its own changes would find something else standing, which is this tab's own.
 */
export function leading(
  before: Pick<Left, 'stored' | 'value'> | undefined,
  stored: unknown,
  value: unknown,
): readonly Change[] {
  if (!before || same(before.value, stored)) return changes(stored, value)
  const own = changes(stored, value)
  return [...changes(before.stored, before.value), ...changes(before.value, overlaid(before.value, own))]
}

/**
 * Sends what is not known to be stored while the browser leaves the page, as differences: they may arrive before or
 * after a save that is still on its way, and make the same of it. Notes it: the next page may be read before it is stored.
 */
export function sendOnLeave(edited: Edited, stored: unknown, value: unknown): void {
  const list = leading(left(edited), stored, value)
  const noted: Left = { stored, value: fittedAll(stored, list), at: Date.now() }
  sessionStorage.setItem(key(edited), JSON.stringify(noted))
  void post(edited.kind, { id: edited.id, changes: list })
}

/** How long what was sent on leaving may take to be stored. */
const STORED = 400

/** Something that was read, by what it is. */
export interface Reading {
  readonly subject: Edited
  readonly value: unknown
}

/** Reads the page once more when it was read before what this tab sent on leaving the last one was stored. */
export function useReadAgain(readings: readonly Reading[]): void {
  const router = useRouter()
  const asked = useRef<readonly unknown[]>([])
  useEffect(() => {
    const late = readings.flatMap(({ subject, value }) => {
      const sent = leftBehind(subject)
      return sent === undefined || same(sent, value) || asked.current.some((a) => same(a, sent)) ? [] : [sent]
    })
    if (late.length === 0) return
    asked.current = [...asked.current, ...late]
    const later = setTimeout(() => router.refresh(), STORED)
    return () => clearTimeout(later)
  }, [readings, router])
}
