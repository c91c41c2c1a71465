import type { SIDE_RULES } from '../sideRules'

/** Side effects that are worked out for the run before the remedy is offered. */
export type Computed =
  | 'boards'
  | 'next'
  | 'limit'
  | 'need'
  | 'rate'
  | 'cool'
  | 'belt'
  | 'lessInk'
  | 'lock'
  | 'flashMore'

/** A remedy. Steps are common practice; seconds, pieces and shares are assumed. */
export interface RemedyRow {
  readonly does: string
  /** Seconds of press time it takes. */
  readonly seconds: number
  /** Pieces at risk while it is tried. */
  readonly spoils: number
  /** Share of each cause that it cures. */
  readonly fixes: Readonly<Record<string, number>>
  /** What else it changes: a rule of the room, or what is computed for the run. */
  readonly side?: readonly (keyof typeof SIDE_RULES | Computed)[]
  /** Taken only when nothing else is left. */
  readonly last?: boolean
}
