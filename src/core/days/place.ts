import { COST } from './cost'
import { Earliest } from './earliest'
import { Holds } from './holds'
import { inksFor } from './inkRoom'
import { type Prepared, prepared } from './prepared'
import type { DayRun, DaysChoice, DaysProblem, Minute } from './problem'
import { screensFor, screensUsed } from './screenRoom'
import { State } from './state'
import { type Refused, Told } from './told'
import type { WorkTime } from './workTime'

/** Its state is put aside every so many runs. */
const EVERY = 8

/**
 * Books runs one after the other, each at the first moment at which everything it needs is free. Its state is put aside every
 * eight runs, so that another that begins alike goes on from there.
 */
export class Places {
  readonly state: State
  times: readonly WorkTime[] = []
  private readonly p: Prepared
  private readonly problem: DaysProblem
  private readonly takes: readonly DayRun['on'][]
  readonly told: Told
  private readonly holds: Holds
  private readonly isBefore: Uint8Array
  private readonly aside: readonly { readonly state: Float64Array; readonly held: Int32Array }[]
  /** Where the run comes to lie that is being placed. */
  private readonly slot = new Earliest()

  /**
   * @param takes what runs take instead, by run and press: a day as it may really come
   * @param every state is put aside every so many runs: `back` goes back by one where it is 1
   */
  constructor(
    problem: DaysProblem,
    takes?: readonly DayRun['on'][],
    private readonly every = EVERY,
  ) {
    this.problem = problem
    this.takes = takes ?? problem.runs.map((r) => r.on)
    this.p = prepared(problem)
    const n = problem.runs.length
    this.state = new State(this.p)
    this.holds = new Holds(problem)
    this.told = new Told(n)
    this.isBefore = new Uint8Array(n)
    this.aside = Array.from({ length: Math.ceil(n / every) + 1 }, () => ({
      state: new Float64Array(this.state.all.length),
      held: new Int32Array(this.holds.all.length),
    }))
    this.putAside(0)
  }

  work(overtime: DaysChoice['overtime']): void {
    this.times = this.problem.presses.map((_, i) => this.p.timeOf(i, overtime[i] ?? []))
  }

  /** Weighted minutes late, and screens made twice. */
  get late(): number {
    return this.state.sums[1] as number
  }
  get remade(): number {
    return this.state.sums[2] as number
  }
  /** What it costs so far: it only grows. */
  get cost(): number {
    return (this.state.sums[0] as number) + COST.remade * this.remade
  }

  /**
   * Begins with the first so many runs of another that is of the same problem and works the same time.
   *
   * @returns at which place to go on: at `same` or up to eight runs before it
   */
  like(other: Places, same: number): number {
    const row = Math.floor(same / this.every)
    const from = other.aside[row]
    if (!from) throw new RangeError(`place ${same}`)
    this.times = other.times
    this.state.all.set(from.state)
    for (const [i, held] of this.holds.all.entries())
      held.copy(other.holds.all[i] as typeof held, from.held[i] as number)
    this.told.copy(other.told)
    for (let i = 0; i <= row; i++) {
      this.aside[i]?.state.set(other.aside[i]?.state ?? [])
      this.aside[i]?.held.set(other.aside[i]?.held ?? [])
    }
    return row * this.every
  }

  /** With nothing placed. */
  begin(): void {
    this.takeUp(0)
    this.told.forgetBut(this.isBefore.fill(0))
  }

  private takeUp(row: number): void {
    const aside = this.aside[row]
    this.state.all.set(aside?.state ?? [])
    for (const [i, held] of this.holds.all.entries()) held.count = aside?.held[i] ?? 0
  }

  /** Takes the run back that was placed last, at this place of the order. */
  back(place: number, run: number): void {
    this.takeUp(place / this.every)
    this.told.forget(run)
  }

  private putAside(row: number): void {
    const to = this.aside[row]
    if (!to) return
    to.state.set(this.state.all)
    for (const [i, held] of this.holds.all.entries()) to.held[i] = held.count
  }

  /**
   * Places all runs of an order from a place on.
   *
   * @param most gives up where it comes to cost more
   * @returns whether it came to its end
   */
  all(
    order: ArrayLike<number>,
    press: ArrayLike<number>,
    from = 0,
    most = Number.POSITIVE_INFINITY,
  ): boolean {
    if (from === 0) this.begin()
    else {
      this.isBefore.fill(0)
      for (let i = 0; i < from; i++) this.isBefore[order[i] as number] = 1
      this.told.forgetBut(this.isBefore)
    }
    for (let i = from; i < order.length; i++) {
      const run = order[i] as number
      this.next(run, press[run] as number, i)
      if (this.cost > most) return false
    }
    return true
  }

  /** Places the run that stands at a place of the order. */
  next(run: number, press: number, place: number): void {
    if (place % this.every === 0) this.putAside(place / this.every)
    this.place(run, press)
  }

  /** Change-over on a press from what it printed last, min. */
  changeOverTo(run: number, press: number): Minute {
    const last = this.state.last[press] as number
    return this.p.changeOver(press, last < 0 ? undefined : last, run)
  }

  /** When a run could begin on a press, crew, belt and frames left aside. */
  about(at: number, press: number): Minute {
    const run = this.problem.runs[at] as DayRun
    const time = this.times[press] as WorkTime
    const before = run.after ? this.told.endOf(run.after.run) + run.after.wait : 0
    return time.next(Math.max(this.state.free[press] as number, this.p.free[at] as number, before))
  }

  /**
   * Books a run on a press behind what is there already, or says why it cannot.
   *
   * @throws RangeError for a run that is booked, or there is none such
   */
  private place(at: number, press: number): void {
    const run = this.problem.runs[at]
    if (!run || this.told.isPlaced(at)) throw new RangeError(`run ${at} on press ${press}`)
    const refused = this.refusal(run, at, press)
    if (refused === undefined) return
    this.told.refuse(at, refused)
    this.state.sums[0] = (this.state.sums[0] as number) + COST.refused * Math.max(COST.least, run.weight)
  }

  private refusal(run: DayRun, at: number, press: number): Refused | undefined {
    const takes = this.takes[at]?.[press]
    if (!takes) return 'not on this press'
    if (run.after && !this.told.isPlaced(run.after.run)) return 'the print before is not placed'
    const { slot, told } = this
    const time = this.times[press] as WorkTime
    if (run.pin?.started) {
      slot.goesOn(at, press, takes, time, run.pin.start)
      if (!Number.isFinite(slot.end)) return 'beyond the end'
      told.made(at, -1, 0, 0)
      told.mixed(at, 0)
      this.keep(run, 0)
      return undefined
    }
    if (takes.people > this.problem.people) return 'too many people'
    const set = this.p.setOf[at] as number
    const wasMade = this.state.made[set] === 1
    const { racks } = this.holds
    const screens = screensFor(this.state, this.p, at, racks)
    if (screens < 0) return 'no such frames'
    told.made(at, wasMade ? -1 : (this.state.begun[set] as number), screens, racks.until)
    const inks = inksFor(this.state, this.p, at)
    told.mixed(at, inks)
    const changeOver = this.changeOverTo(at, press)
    slot.begin(at, press, takes, time, takes.setUp + changeOver)
    slot.setUpFrom(this.state.free[press] as number, 'press', this.state.last[press])
    slot.setUpFrom(screens, 'screens', this.state.by[set])
    slot.setUpFrom(Math.max(run.ink, inks), 'ink')
    slot.printFrom(run.garments, 'garments')
    if (run.after)
      slot.printFrom(told.endOf(run.after.run) + run.after.wait, 'the print before', run.after.run)
    if (run.pin) slot.printFrom(run.pin.start, 'the lead')
    slot.fit(run, this.holds)
    if (!(slot.end + run.hold <= this.problem.end)) return 'beyond the end'
    this.keep(run, changeOver)
    return undefined
  }

  private keep(run: DayRun, changeOver: Minute): void {
    const { slot } = this
    const { run: at, press, start, end } = slot
    this.told.place(slot, changeOver, end + run.hold)
    this.holds.add(slot)
    screensUsed(this.state, this.p, at, end)
    this.state.free[press] = end
    this.state.last[press] = at
    const by = Math.max(0, end + run.hold - run.due)
    const sums = this.state.sums
    sums[1] = (sums[1] as number) + run.weight * by
    const late = COST.lateMinute * by + (by > 0 ? COST.late : 0) + COST.sooner * (end + run.hold)
    const pinned = run.pin && !run.pin.started ? Math.max(0, start - run.pin.start - COST.nearPin) : 0
    const other = isOther(run, press) ? COST.otherPress : 0
    const own = COST.changeOver * changeOver + COST.offPin * pinned + other
    sums[0] = (sums[0] as number) + run.weight * late + own
  }
}

/** A run on another press than its sheet is made for. */
export const isOther = ({ planned }: DayRun, press: number): boolean =>
  planned !== undefined && planned !== press
