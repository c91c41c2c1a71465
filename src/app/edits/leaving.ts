import same from 'fast-deep-equal'
import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import { changes } from '@/core/change'
import type { Edited } from './edited'
import { post } from './save'

const key = ({ kind, id }: Edited) => `orvint.left.${kind}.${id}`

/**
 * Sends what is not known to be stored while the browser leaves the page, as differences: they may arrive before or
 * after a save that is still on its way, and make the same of it. Notes it: the next page may be read before it is stored.
 */
export function sendOnLeave({ kind, id }: Edited, stored: unknown, value: unknown): void {
  sessionStorage.setItem(key({ kind, id }), JSON.stringify(value))
  void post(kind, { id, changes: changes(stored, value) })
}

/** What the last page of this tab sent while it was left, if anything. */
export const leftBehind = (edited: Edited): unknown =>
  JSON.parse(sessionStorage.getItem(key(edited)) ?? 'null') ?? undefined

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
      const left = leftBehind(subject)
      return left === undefined || same(left, value) || asked.current.some((a) => same(a, left)) ? [] : [left]
    })
    if (late.length === 0) return
    asked.current = [...asked.current, ...late]
    const later = setTimeout(() => router.refresh(), STORED)
    return () => clearTimeout(later)
  }, [readings, router])
}
