import { expose } from 'comlink'
import type { BaseInk } from '@/core/equipment'
import { type Aim, type Candidate, mixInk, searchFormulas } from '@/core/ink'

let asked = 0

const mixer = {
  /** Formulas for a target; undefined when another search was asked for, or it was stopped. */
  async search(
    inks: readonly BaseInk[],
    aim: Aim,
    onProgress: (done: number) => void,
  ): Promise<readonly Candidate[] | undefined> {
    const mine = ++asked
    for (const step of searchFormulas(inks.map(mixInk), aim)) {
      if ('found' in step) return step.found
      onProgress(step.done)
      // Whoever wants to stop it has a turn.
      await new Promise((turn) => setTimeout(turn))
      if (mine !== asked) return undefined
    }
    return undefined
  },
  stop: () => void asked++,
}
export type Mixer = typeof mixer

expose(mixer)
