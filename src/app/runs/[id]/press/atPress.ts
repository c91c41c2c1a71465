import type { RunPlan } from '@/core/plan'
import type { Recorded, RecordNames, Said, Stated } from '@/core/record'

/** What every part of the press side works with. */
export interface AtPress {
  readonly plan: RunPlan
  readonly recorded: Recorded
  readonly said: readonly Stated[]
  readonly names: RecordNames
  readonly say: (said: Said) => void
}

/** A frame that carries a screen of the run. */
export interface RunFrame {
  readonly id: string
  readonly words: string
  readonly mounted: boolean
}
