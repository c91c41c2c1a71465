import type { Prepared } from './prepared'

/** What placing has come to so far, as one row of numbers: it is put aside and taken up again in one copy. */
export class State {
  readonly all: Float64Array
  /** By press: when it is free, and the run it printed last, -1 for none. */
  readonly free: Float64Array
  readonly last: Float64Array
  /** By set of screens: 1 where it is made, -1 where it was stripped again; when it is ready, until when a run has it and which, how many runs still want it. */
  readonly made: Float64Array
  readonly ready: Float64Array
  readonly until: Float64Array
  /** By set: when making it begins; -1 where it was there. */
  readonly begun: Float64Array
  readonly by: Float64Array
  readonly left: Float64Array
  /** By mesh: how many frames are known to come free, and when; the earliest first. */
  readonly pooled: Float64Array
  readonly pools: readonly Float64Array[]
  /** Minutes of hands that are left in the screen room, by hour. */
  readonly hands: Float64Array
  /** Cost, weighted minutes late, screens made twice, inks mixed. */
  readonly sums: Float64Array
  /** By ink: when it is mixed; 0 where it is not yet. */
  readonly mixed: Float64Array

  constructor({ problem, sets, capacity, hands }: Prepared) {
    const [p, s, m] = [problem.presses.length, sets.length, capacity.length]
    const sizes = [p, p, s, s, s, s, s, m, ...capacity, hands.length, 4, s, problem.inkRoom?.inks ?? 0]
    this.all = new Float64Array(sizes.reduce((sum, size) => sum + size, 0))
    let at = 0
    const views = sizes.map((size) => {
      at += size
      return this.all.subarray(at - size, at)
    })
    this.free = views[0] as Float64Array
    this.last = views[1] as Float64Array
    this.made = views[2] as Float64Array
    this.ready = views[3] as Float64Array
    this.until = views[4] as Float64Array
    this.by = views[5] as Float64Array
    this.left = views[6] as Float64Array
    this.pooled = views[7] as Float64Array
    this.pools = views.slice(8, 8 + m)
    this.hands = views[8 + m] as Float64Array
    this.sums = views[9 + m] as Float64Array
    this.begun = views[10 + m] as Float64Array
    this.mixed = views[11 + m] as Float64Array
    this.last.fill(-1)
    this.by.fill(-1)
    for (const [i, set] of sets.entries()) this.left[i] = set.wanted
    for (const [i, free] of problem.frames.entries()) this.pooled[i] = free
    this.hands.set(hands)
  }
}
