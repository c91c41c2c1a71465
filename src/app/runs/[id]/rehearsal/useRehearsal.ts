import { type Remote, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { TrialPlan } from '@/core/rehearsal'
import type { CauseId, QuestionId, RemedyId, SymptomId } from '@/core/trouble'
import type { Progress, RehearsalWorker } from '@/workers/rehearsal'
import { loadMasks } from './filmMasks'

/** How much faster than a press one may go. */
export const SPEEDS = [1, 10, 100] as const
export type Speed = (typeof SPEEDS)[number]
const TICK = 200
/** No more pieces at once, so that the drawing keeps up. */
const AT_ONCE = 25

export interface Drawing {
  readonly side: number
  readonly pixels: Uint8ClampedArray
}

export interface Rehearsing {
  readonly progress: Progress | undefined
  readonly drawing: Drawing | undefined
  readonly playing: boolean
  readonly speed: Speed
  readonly isDone: boolean
  readonly begin: (faults: readonly CauseId[], seed: number, pieces?: number) => Promise<void>
  readonly step: (pieces: number) => Promise<Progress | undefined>
  readonly play: () => void
  readonly pause: () => void
  readonly setSpeed: (speed: Speed) => void
  readonly look: (symptom: SymptomId, ask: QuestionId, at: number) => Promise<string>
  readonly turn: (remedy: RemedyId, at: number) => Promise<void>
  readonly remote: () => Remote<RehearsalWorker>
}

/** A rehearsal in a worker: printed piece by piece, drawn after each look. */
export function useRehearsal(
  trial: TrialPlan,
  of: { readonly order: string; readonly print: string },
): Rehearsing {
  const worker = useRef<Remote<RehearsalWorker>>(undefined)
  const thread = useRef<Worker>(undefined)
  const [progress, setProgress] = useState<Progress>()
  const [drawing, setDrawing] = useState<Drawing>()
  const [playing, setPlaying] = useState(false)
  const [speed, setSpeed] = useState<Speed>(10)
  const pieces = useRef(trial.pieces)
  const ready = useRef<Promise<unknown>>(Promise.resolve())
  const remote = useCallback(() => {
    if (!worker.current) {
      thread.current = new Worker(new URL('../../../../workers/rehearsal.ts', import.meta.url), {
        type: 'module',
      })
      worker.current = wrap<RehearsalWorker>(thread.current)
    }
    return worker.current
  }, [])
  useEffect(
    () => () => {
      thread.current?.terminate()
      worker.current = undefined
    },
    [],
  )
  const show = useCallback(
    async (next: Progress) => {
      setProgress(next)
      setDrawing(await remote().draw())
      return next
    },
    [remote],
  )
  const begin = useCallback(
    async (faults: readonly CauseId[], seed: number, most = trial.pieces) => {
      setPlaying(false)
      pieces.current = Math.min(most, trial.pieces)
      // Nothing is printed before the films are there: what is tapped meanwhile waits.
      const begun = loadMasks(of.order, of.print, trial).then((masks) =>
        remote().begin({ ...trial, pieces: pieces.current }, seed, faults, masks),
      )
      ready.current = begun
      setProgress(await begun)
      setDrawing(undefined)
    },
    [trial, of.order, of.print, remote],
  )
  const step = useCallback(
    async (count: number) => {
      await ready.current
      const next = await remote().run(count)
      if (next.called.length > 0 || next.pieces >= pieces.current) setPlaying(false)
      return show(next)
    },
    [remote, show],
  )
  useEffect(() => {
    if (!playing) return
    let owed = 0
    let busy = false
    const timer = setInterval(() => {
      owed += (TICK / 1000 / trial.pace) * speed
      if (busy || owed < 1) return
      const count = Math.min(AT_ONCE, Math.floor(owed))
      owed -= count
      busy = true
      void step(count).finally(() => {
        busy = false
      })
    }, TICK)
    return () => clearInterval(timer)
  }, [playing, speed, step, trial.pace])
  return {
    ...{ progress, drawing, playing, speed, begin, step, setSpeed, remote },
    isDone: (progress?.pieces ?? 0) >= pieces.current,
    play: () => setPlaying(true),
    pause: () => setPlaying(false),
    look: (symptom, ask, at) => remote().look(symptom, ask, at),
    turn: async (remedy, at) => {
      await ready.current
      await remote().turn(remedy, at)
    },
  }
}
