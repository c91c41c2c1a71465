import { Held } from './held'
import type { DayRoom, Minute } from './problem'

/**
 * Places in which screens dry. A set holds one for each of its screens from the first that is coated until all are dry again; of a set
 * with more screens than there are places as many dry as fit, one after the other.
 */
export class Racks {
  readonly held: Held
  /** Until when there was no place for the last set that was asked for; 0 where there was one at once. */
  until: Minute = 0

  constructor(sets: number) {
    this.held = new Held(sets)
  }

  /**
   * When so many screens find a place between two moments.
   *
   * @returns the moment to try again; undefined where they do
   */
  later(racks: number, screens: number, from: Minute, to: Minute): Minute | undefined {
    const full = this.held.overfull(from, to, racks - Math.min(screens, racks))
    if (full < 0) return undefined
    this.until = this.held.endAt(full)
    return this.until
  }

  add(run: number, { racks = 0 }: DayRoom, screens: number, from: Minute, to: Minute): void {
    if (racks > 0 && to > from) this.held.add(run, from, to, Math.min(screens, racks))
  }
}
