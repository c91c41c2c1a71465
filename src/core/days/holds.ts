import { Held } from './held'
import type { DaysProblem, Minute, Skilled } from './problem'
import { Racks } from './racks'
import type { Slot } from './slot'
import type { Binding } from './told'

/** Films that differ by so little are cured together, at the hotter one, K (common practice). */
const ALIKE = 6

/** What runs hold while they are set up and printed: people, those who can run their press, shared pallets and the dryers. */
export class Holds {
  readonly all: readonly Held[]
  readonly racks: Racks
  private readonly crew: Held
  private readonly belts: readonly Held[]
  private readonly pallets: readonly Held[]
  /** By those who can run some presses only. */
  private readonly skilled: readonly { readonly of: Skilled; readonly held: Held }[]
  private readonly problem: DaysProblem
  /** What was found in the way: what it is, until when, whose, and whether set-up waits for it and not only the print. */
  why: Binding = 'nothing'
  until: Minute = 0
  who: number | undefined
  isOfSetUp = false

  constructor(problem: DaysProblem) {
    this.problem = problem
    const n = problem.runs.length
    this.crew = new Held(n + problem.away.length)
    this.belts = problem.dryers.map(() => new Held(n))
    this.pallets = (problem.pallets ?? []).map(() => new Held(n))
    this.skilled = (problem.skilled ?? []).map((of) => ({ of, held: new Held(n + of.away.length) }))
    this.racks = new Racks(n)
    this.all = [
      this.racks.held,
      this.crew,
      ...this.belts,
      ...this.pallets,
      ...this.skilled.map((s) => s.held),
    ]
    for (const a of problem.away) this.crew.add(-1, a.from, a.to, a.people)
    for (const { of, held } of this.skilled) for (const a of of.away) held.add(-1, a.from, a.to, a.people)
  }

  /** Books what a run holds where it lies. */
  add(slot: Slot): void {
    const { run, press, time, takes, setUp, start, end, pace } = slot
    for (let [t, to] = [time.next(setUp), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      this.crew.add(run, t, to, takes.people)
      for (const { of, held } of this.skilled) if (of.presses.includes(press)) held.add(run, t, to, 1)
    }
    // Pallets stay on the press over night.
    if (takes.pallets !== undefined) this.pallets[takes.pallets]?.add(run, setUp, end, 1)
    const { dryer } = takes
    const belt = dryer && this.belts[dryer.at]
    if (!belt) return
    for (let [t, to] = [time.next(start), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      belt.add(run, t, to, dryer.share * pace, dryer.celsius)
    }
  }

  /** Whether something that a run would hold is not to be had; `why`, `until`, `who` and `isOfSetUp` say what. */
  isInTheWay(slot: Slot): boolean {
    const { press, takes } = slot
    return (
      this.isBelt(slot) ||
      this.arePallets(slot) ||
      this.arePeople(slot, this.crew, this.problem.people - takes.people) ||
      this.skilled.some(
        ({ of, held }) => of.presses.includes(press) && this.arePeople(slot, held, of.people - 1),
      )
    )
  }

  private found(why: Binding, held: Held, i: number, more: Minute, isOfSetUp: boolean): boolean {
    this.why = why
    this.until = held.endAt(i) + more
    this.who = held.runAt(i)
    this.isOfSetUp = isOfSetUp
    return true
  }

  private isBelt({ takes: { dryer }, time, start, end, pace }: Slot): boolean {
    const belt = dryer && this.belts[dryer.at]
    if (!belt) return false
    const changes = this.problem.dryers[dryer.at]?.changes ?? 0
    for (let [t, to] = [time.next(start), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      const other = belt.otherKind(t - changes, to + changes, dryer.celsius, ALIKE)
      if (other >= 0) return this.found('temperature', belt, other, changes, false)
      const full = belt.overfull(t, to, 1 - dryer.share * pace + 1e-9)
      if (full >= 0) return this.found('belt', belt, full, 0, false)
    }
    return false
  }

  private arePallets({ takes, setUp, end }: Slot): boolean {
    const held = takes.pallets === undefined ? undefined : this.pallets[takes.pallets]
    if (!held) return false
    const sets = this.problem.pallets?.[takes.pallets ?? 0] ?? 0
    const few = held.overfull(setUp, end, sets - 1)
    return few >= 0 && this.found('pallets', held, few, 0, true)
  }

  private arePeople({ time, setUp, end }: Slot, held: Held, most: number): boolean {
    for (let [t, to] = [time.next(setUp), 0]; t < end; t = time.next(to)) {
      to = Math.min(end, time.heldUntil(t))
      const few = held.overfull(t, to, most)
      if (few >= 0) return this.found('crew', held, few, 0, true)
    }
    return false
  }
}
