import type { Minute, Takes } from './problem'
import type { WorkTime } from './workTime'

/** Where and when a run would lie. */
export interface Slot {
  readonly run: number
  readonly press: number
  readonly time: WorkTime
  readonly takes: Takes
  /** Set-up begins, printing begins, and the last piece is printed. */
  readonly setUp: Minute
  readonly start: Minute
  readonly end: Minute
  /** Share of its pace: so much less of the belt is covered. */
  readonly pace: number
}
