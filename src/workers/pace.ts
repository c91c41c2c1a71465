import { expose } from 'comlink'
import type { Hours } from '@/core/equipment'
import { type RunNeed, type Spread, spreadOf } from '@/core/rate'

let asked = 0

const pace = {
  /** Times a run many times over; undefined when another was asked for, or it was stopped. */
  async spread(
    need: RunNeed,
    hours: Hours,
    start: number,
    many: { readonly runs: number; readonly seed: number },
    onProgress: (done: number) => void,
  ): Promise<Spread | undefined> {
    const mine = ++asked
    const steps = spreadOf(need, hours, start, many)
    for (;;) {
      const step = steps.next()
      if (step.done) return step.value
      onProgress(step.value.done)
      // Whoever wants to stop it has a turn.
      await new Promise((turn) => setTimeout(turn))
      if (mine !== asked) return undefined
    }
  },
  stop: () => void asked++,
}
export type Pace = typeof pace

expose(pace)
