import { firstBatch, fitted } from './batches'
import type { Holds } from './holds'
import type { DayRun, Minute, Takes } from './problem'
import type { Slot } from './slot'
import { BINDING, type Binding } from './told'
import { WorkTime } from './workTime'

/** Where the belt is full a run may go slower beside what is on it, shares of its pace (common practice). */
const SLOWER = [0.75, 0.5]
const NEVER = Number.POSITIVE_INFINITY

/**
 * Where a run comes to lie on a press: set-up is pulled against the print, as press and people are held as short as possible. There is
 * one for all runs, which begins anew for each: placing tries many thousands a second.
 */
export class Earliest implements Slot {
  run = -1
  press = 0
  takes: Takes = { setUp: 0, run: 1, people: 1 }
  time = new WorkTime([], 0)
  setUp = 0
  start = 0
  end = 0
  pace = 1
  /** What moved its start last, as a number of `BINDING`, and the run that did; -1 where none did. */
  waits = 0
  who = -1
  /** Working minutes of its set-up. */
  private before = 0

  /** Begins with a run as if nothing held it. */
  begin(run: number, press: number, takes: Takes, time: WorkTime, before: Minute): void {
    this.run = run
    this.press = press
    this.takes = takes
    this.time = time
    this.before = before
    this.pace = 1
    this.waits = BINDING.nothing
    this.who = -1
    this.start = this.freeFrom(0, true)
  }

  /** A run that is on its press already goes on at a minute. */
  goesOn(run: number, press: number, takes: Takes, time: WorkTime, at: Minute): void {
    this.begin(run, press, takes, time, 0)
    this.setUp = at
    this.start = at
    this.end = time.after(time.next(at), takes.run)
  }

  /** Its set-up begins no earlier; `who` is the run for which it waits. */
  setUpFrom(moment: Minute, why: Binding, who = -1): void {
    this.from(moment, true, why, who)
  }

  /** Its print begins no earlier. */
  printFrom(moment: Minute, why: Binding, who = -1): void {
    this.from(moment, false, why, who)
  }

  /** When it can print that is set up, or printed, no earlier than a moment. */
  private freeFrom(moment: Minute, isSetUp: boolean): Minute {
    const free = this.time.next(moment)
    return isSetUp && this.before > 0 ? this.time.clockOf(this.time.worked(free) + this.before) : free
  }

  private from(moment: Minute, isSetUp: boolean, why: Binding, who: number): void {
    const then = this.freeFrom(moment, isSetUp)
    if (then <= this.start) return
    this.start = then
    this.waits = BINDING[why]
    this.who = who
  }

  /** Finds its place behind what is held, slower where the belt holds it and it is done sooner so; `end` is Infinity where there is none. */
  fit(run: DayRun, holds: Holds): void {
    const [start, waits, who] = [this.start, this.waits, this.who]
    this.fitAt(run, holds)
    if (this.waits !== BINDING.belt) return
    let best = [this.setUp, this.start, this.end, this.pace, this.waits, this.who] as const
    for (const pace of SLOWER) {
      ;[this.start, this.waits, this.who, this.pace] = [start, waits, who, pace]
      this.fitAt(run, holds)
      if (this.end < best[2])
        best = [this.setUp, this.start, this.end, this.pace, this.waits, this.who] as const
    }
    ;[this.setUp, this.start, this.end, this.pace, this.waits, this.who] = best
  }

  private fitAt(run: DayRun, holds: Holds): void {
    const { time, before } = this
    const takes = Math.ceil(this.takes.run / this.pace)
    // Each conflict moves the start to a later working minute: it comes to an end.
    for (;;) {
      this.end = NEVER
      if (run.pot > 0 && Number.isFinite(this.start)) {
        const first = firstBatch(run, time, this.start, takes)
        if (first > this.start) this.printFrom(first, 'hours')
      }
      if (!Number.isFinite(this.start)) return
      this.end = fitted(run, time, this.start, takes)
      if (!Number.isFinite(this.end)) return
      this.setUp = before === 0 ? this.start : time.clockOf(time.worked(this.start) - before)
      if (!holds.isInTheWay(this)) return
      if (holds.isOfSetUp) this.setUpFrom(holds.until, holds.why, holds.who)
      else this.printFrom(holds.until, holds.why, holds.who)
    }
  }
}
