import { type PointerEvent, useCallback, useEffect, useRef, useState } from 'react'
import type { LaneRun, Put } from '@/core/days'
import type { Moment } from '@/core/schedule'
import { momentAt, type Window } from './scale'

/** So long a finger rests on a run until it takes it up, ms. */
const STAYS = 350

interface Drag {
  readonly tracks: { readonly current: ReadonlyMap<string, HTMLDivElement> }
  readonly windows: readonly Window[]
  readonly now: Moment
  readonly onTry: (where: Put) => void
  readonly onTake: () => void
  readonly onLeave: () => void
}

/** Follows a pointer that holds a run: each place is tried as it goes, the last one is taken where it lets go. */
export function useDrag({ tracks, windows, now, onTry, onTake, onLeave }: Drag) {
  const [held, setHeld] = useState<{ readonly run: LaneRun; readonly x: number; readonly y: number }>()
  const last = useRef('')
  useEffect(() => {
    if (!held) return
    const place = (e: globalThis.PointerEvent) => {
      for (const [pressId, track] of tracks.current) {
        const box = track.getBoundingClientRect()
        if (e.clientY < box.top || e.clientY > box.bottom) continue
        if (!held.run.facts.on.some((o) => o.pressId === pressId)) return undefined
        const at = momentAt(windows, (e.clientX - box.left) / box.width)
        return at === undefined ? undefined : { runId: held.run.facts.runId, pressId, at: Math.max(now, at) }
      }
      return undefined
    }
    const move = (e: globalThis.PointerEvent) => {
      if (last.current === '' && Math.hypot(e.clientX - held.x, e.clientY - held.y) < 6) return
      const where = place(e)
      const key = where ? `${where.pressId} ${where.at}` : 'nowhere'
      if (key === last.current) return
      last.current = key
      if (where) onTry(where)
      else onLeave()
    }
    const up = () => {
      if (last.current !== '' && last.current !== 'nowhere') onTake()
      last.current = ''
      setHeld(undefined)
    }
    const cancel = () => {
      last.current = ''
      onLeave()
      setHeld(undefined)
    }
    const giveUp = (e: globalThis.KeyboardEvent) => e.key === 'Escape' && cancel()
    // A finger that holds a run no longer scrolls.
    const hold = (e: TouchEvent) => e.preventDefault()
    window.addEventListener('touchmove', hold, { passive: false })
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', up)
    window.addEventListener('pointercancel', cancel)
    window.addEventListener('keydown', giveUp)
    return () => {
      window.removeEventListener('touchmove', hold)
      window.removeEventListener('pointermove', move)
      window.removeEventListener('pointerup', up)
      window.removeEventListener('pointercancel', cancel)
      window.removeEventListener('keydown', giveUp)
    }
  }, [held, now, onLeave, onTake, onTry, tracks, windows])
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(waiting.current), [])
  return useCallback((e: PointerEvent, run: LaneRun) => {
    if (e.button !== 0 || run.isBegun) return
    const take = { run, x: e.clientX, y: e.clientY }
    if (e.pointerType !== 'touch') {
      setHeld(take)
      return
    }
    // A finger that stays takes the run up; one that moves on scrolls.
    waiting.current = setTimeout(() => setHeld(take), STAYS)
    const drop = () => clearTimeout(waiting.current)
    for (const end of ['pointerup', 'pointercancel'] as const)
      window.addEventListener(end, drop, { once: true })
  }, [])
}
