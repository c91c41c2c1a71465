import { Held } from './held'
import type { DayRun, DaysProblem, Minute } from './problem'
import type { Binding } from './told'
import type { WorkTime } from './workTime'

/** Films that differ by so little are cured together, at the hotter one, K (common practice). */
const ALIKE = 6

/** What runs hold while they are set up and printed: people, those who can run their press, and the dryers. */
export class Holds {
  readonly all: readonly Held[]
  private readonly crew: Held
  private readonly belts: readonly Held[]
  /** By those who can run some presses only. */
  private readonly skilled: readonly Held[]
  private readonly problem: DaysProblem
  /** What was found in the way: what it is, until when, and whose. */
  why: Binding = 'nothing'
  until: Minute = 0
  who: number | undefined

  constructor(problem: DaysProblem) {
    this.problem = problem
    const n = problem.runs.length
    this.crew = new Held(n + problem.away.length)
    this.belts = problem.dryers.map(() => new Held(n))
    const skilled = problem.skilled ?? []
    this.skilled = skilled.map(({ away }) => new Held(n + away.length))
    this.all = [this.crew, ...this.belts, ...this.skilled]
    for (const a of problem.away) this.crew.add(-1, a.from, a.to, a.people)
    for (const [i, { away }] of skilled.entries())
      for (const a of away) this.skilled[i]?.add(-1, a.from, a.to, a.people)
  }

  /** @param pace share of its pace: so much less of the belt is covered */
  add(
    at: number,
    press: number,
    time: WorkTime,
    setUp: Minute,
    start: Minute,
    end: Minute,
    pace: number,
  ): void {
    const run = this.problem.runs[at] as DayRun
    for (let [t, to] = [time.next(setUp), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      this.crew.add(at, t, to, run.people)
      for (const [i, { presses }] of (this.problem.skilled ?? []).entries())
        if (presses.includes(press)) this.skilled[i]?.add(at, t, to, 1)
    }
    const belt = run.dryer && this.belts[run.dryer.at]
    if (!belt || !run.dryer) return
    for (let [t, to] = [time.next(start), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      belt.add(at, t, to, run.dryer.share * pace, run.dryer.celsius)
    }
  }

  /** Whether something that a run would hold is not to be had; `why`, `until` and `who` say what. */
  inTheWay(
    at: number,
    press: number,
    time: WorkTime,
    setUp: Minute,
    start: Minute,
    end: Minute,
    pace: number,
  ): boolean {
    const run = this.problem.runs[at] as DayRun
    return (
      this.beltInTheWay(run, time, start, end, pace) ||
      this.peopleInTheWay(this.crew, this.problem.people - run.people, time, setUp, end) ||
      (this.problem.skilled ?? []).some(
        ({ presses, people }, i) =>
          presses.includes(press) &&
          this.peopleInTheWay(this.skilled[i] as Held, people - 1, time, setUp, end),
      )
    )
  }

  private found(why: Binding, held: Held, i: number, more: Minute): boolean {
    this.why = why
    this.until = held.endAt(i) + more
    this.who = held.runAt(i)
    return true
  }

  private beltInTheWay({ dryer }: DayRun, time: WorkTime, start: Minute, end: Minute, pace: number): boolean {
    const belt = dryer && this.belts[dryer.at]
    if (!belt || !dryer) return false
    const changes = this.problem.dryers[dryer.at]?.changes ?? 0
    for (let [t, to] = [time.next(start), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      const other = belt.otherKind(t - changes, to + changes, dryer.celsius, ALIKE)
      if (other >= 0) return this.found('temperature', belt, other, changes)
      const full = belt.overfull(t, to, 1 - dryer.share * pace + 1e-9)
      if (full >= 0) return this.found('belt', belt, full, 0)
    }
    return false
  }

  private peopleInTheWay(crew: Held, most: number, time: WorkTime, setUp: Minute, end: Minute): boolean {
    for (let [t, to] = [time.next(setUp), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      const few = crew.overfull(t, to, most)
      if (few >= 0) return this.found('crew', crew, few, 0)
    }
    return false
  }
}
