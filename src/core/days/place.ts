import { COST } from './cost'
import { Held } from './held'
import { type Prepared, prepared } from './prepared'
import type { DayRun, DaysChoice, DaysProblem, Minute } from './problem'
import { screensFor, screensUsed } from './screenRoom'
import { State } from './state'
import type { WorkTime } from './workTime'

/** What a start waits for. */
export const BINDINGS = [
  'nothing',
  'press',
  'screens',
  'ink',
  'garments',
  'the print before',
  'crew',
  'belt',
  'temperature',
  'the lead',
  'hours',
] as const
export type Binding = (typeof BINDINGS)[number]
const BY_NAME = Object.fromEntries(BINDINGS.map((b, i) => [b, i])) as Record<Binding, number>

/** Why a run cannot be placed at all. */
export const REFUSALS = [
  'not on this press',
  'too many people',
  'no such frames',
  'beyond the end',
  'the print before is not placed',
] as const
export type Refused = (typeof REFUSALS)[number]

/** A run in its place. */
export interface Booked {
  readonly run: number
  readonly press: number
  /** Set-up begins, printing begins, the last piece is printed, and it counts as done. */
  readonly setUp: Minute
  readonly start: Minute
  readonly end: Minute
  readonly done: Minute
  readonly changeOver: Minute
  /** What held it back last, and the run that did. */
  readonly waits: Binding
  readonly waitsFor: number | undefined
}

/** Between batches of what dries in the screens are wiped and filled anew, min (assumed). */
const REFRESH = 10
const EVERY = 8
const NOT_YET = -2
const PLACED = -1

/** Columns of what is told of a run. */
const COLUMNS = 9
const [SET_UP, START, END, DONE, CHANGE, WAITS, WHO, PRESS, REFUSED] = [0, 1, 2, 3, 4, 5, 6, 7, 8] as const

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
  private readonly crew: Held
  private readonly belts: readonly Held[]
  private readonly told: Float64Array
  private readonly isBefore: Uint8Array
  private readonly aside: readonly { readonly state: Float64Array; readonly held: Int32Array }[]
  /** What moves the start of the run that is being placed, and who. */
  private start = 0
  private waits = 0
  private who = -1

  /** @param takes what runs take instead, by run and press: a day as it may really come */
  constructor(problem: DaysProblem, takes?: readonly DayRun['on'][]) {
    this.problem = problem
    this.takes = takes ?? problem.runs.map((r) => r.on)
    this.p = prepared(problem)
    const n = problem.runs.length
    this.state = new State(this.p)
    this.crew = new Held(n + problem.away.length)
    this.belts = problem.dryers.map(() => new Held(n))
    this.told = new Float64Array(n * COLUMNS)
    this.isBefore = new Uint8Array(n)
    this.aside = Array.from({ length: Math.ceil(n / EVERY) + 1 }, () => ({
      state: new Float64Array(this.state.all.length),
      held: new Int32Array(problem.dryers.length + 1),
    }))
    for (const a of problem.away) this.crew.add(-1, a.from, a.to, a.people)
    for (let i = 0; i < n; i++) this.tell(i, REFUSED, NOT_YET)
    this.putAside(0)
  }

  private tell(run: number, column: number, value: number): void {
    this.told[run * COLUMNS + column] = value
  }
  private of(run: number, column: number): number {
    return this.told[run * COLUMNS + column] as number
  }

  work(overtime: DaysChoice['overtime']): void {
    this.times = this.problem.presses.map((_, i) => this.p.timeOf(i, overtime[i] ?? []))
  }

  isPlaced = (run: number): boolean => this.of(run, REFUSED) === PLACED
  endOf = (run: number): Minute => this.of(run, END)
  doneOf = (run: number): Minute => this.of(run, DONE)
  setUpOf = (run: number): Minute => this.of(run, SET_UP)
  /** What keeps a run from being placed, if anything does. */
  refusedOf = (run: number): Refused | undefined => REFUSALS[this.of(run, REFUSED)]

  bookedOf(run: number): Booked {
    const who = this.of(run, WHO)
    return {
      ...{ run, press: this.of(run, PRESS) },
      ...{ setUp: this.of(run, SET_UP), start: this.of(run, START) },
      ...{ end: this.of(run, END), done: this.of(run, DONE), changeOver: this.of(run, CHANGE) },
      waits: BINDINGS[this.of(run, WAITS)] as Binding,
      waitsFor: who < 0 ? undefined : who,
    }
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
    const row = Math.floor(same / EVERY)
    const from = other.aside[row]
    if (!from) throw new RangeError(`place ${same}`)
    this.times = other.times
    this.state.all.set(from.state)
    this.crew.copy(other.crew, from.held[0] as number)
    for (const [d, belt] of this.belts.entries())
      belt.copy(other.belts[d] as Held, from.held[d + 1] as number)
    this.told.set(other.told)
    for (let i = 0; i <= row; i++) {
      this.aside[i]?.state.set(other.aside[i]?.state ?? [])
      this.aside[i]?.held.set(other.aside[i]?.held ?? [])
    }
    return row * EVERY
  }

  private begin(): void {
    const first = this.aside[0]
    this.state.all.set(first?.state ?? [])
    this.crew.count = first?.held[0] ?? 0
    for (const [d, belt] of this.belts.entries()) belt.count = first?.held[d + 1] ?? 0
  }

  private putAside(row: number): void {
    const to = this.aside[row]
    if (!to) return
    to.state.set(this.state.all)
    to.held[0] = this.crew.count
    for (const [d, belt] of this.belts.entries()) to.held[d + 1] = belt.count
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
    this.isBefore.fill(0)
    for (let i = 0; i < from; i++) this.isBefore[order[i] as number] = 1
    for (let run = 0; run < this.isBefore.length; run++)
      if (this.isBefore[run] === 0) this.tell(run, REFUSED, NOT_YET)
    for (let i = from; i < order.length; i++) {
      const run = order[i] as number
      this.next(run, press[run] as number, i)
      if (this.cost > most) return false
    }
    return true
  }

  /** Places the run that stands at a place of the order. */
  next(run: number, press: number, place: number): void {
    if (place % EVERY === 0) this.putAside(place / EVERY)
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
    const before = run.after ? this.endOf(run.after.run) + run.after.wait : 0
    return time.next(
      Math.max(
        this.state.free[press] as number,
        ...[run.garments, run.ink, run.exposed ?? run.films, run.pin?.start ?? 0, before],
      ),
    )
  }

  /**
   * Books a run on a press behind what is there already, or says why it cannot. Set-up is pulled against the print: press and
   * people are held as short as possible. Crew and dryer are held through breaks and nights that a run spans: safe, slightly
   * pessimistic.
   *
   * @throws RangeError for a run that is booked, or there is none such
   */
  private place(at: number, press: number): void {
    const run = this.problem.runs[at]
    if (!run || this.isPlaced(at)) throw new RangeError(`run ${at} on press ${press}`)
    const refused = this.refusal(run, at, press)
    if (refused === undefined) return
    this.tell(at, REFUSED, REFUSALS.indexOf(refused))
    this.state.sums[0] = (this.state.sums[0] as number) + COST.refused * Math.max(COST.least, run.weight)
  }

  private refusal(run: DayRun, at: number, press: number): Refused | undefined {
    const takes = this.takes[at]?.[press]
    if (!takes) return 'not on this press'
    if (run.after && !this.isPlaced(run.after.run)) return 'the print before is not placed'
    const time = this.times[press] as WorkTime
    if (run.pin?.started) {
      const start = time.next(run.pin.start)
      const end = time.after(start, takes.run)
      if (!Number.isFinite(end)) return 'beyond the end'
      this.waits = 0
      this.who = -1
      this.keep(run, at, press, run.pin.start, run.pin.start, end, 0)
      return undefined
    }
    if (run.people > this.problem.people) return 'too many people'
    const screens = screensFor(this.state, this.p, at)
    if (screens < 0) return 'no such frames'
    const changeOver = this.changeOverTo(at, press)
    const setUp = takes.setUp + changeOver
    this.search(run, at, press, setUp, takes.run, screens)
    const end = Number.isFinite(this.start) ? this.fitted(run, time, this.start, takes.run) : this.start
    if (!(end + run.hold <= this.problem.end)) return 'beyond the end'
    const from = setUp === 0 ? this.start : time.clockOf(time.worked(this.start) - setUp)
    this.keep(run, at, press, from, this.start, end, changeOver)
    return undefined
  }

  private keep(
    run: DayRun,
    at: number,
    press: number,
    setUp: Minute,
    start: Minute,
    end: Minute,
    changeOver: Minute,
  ): void {
    const row = [setUp, start, end, end + run.hold, changeOver, this.waits, this.who, press, PLACED]
    this.told.set(row, at * COLUMNS)
    this.crew.add(at, setUp, end, run.people)
    if (run.dryer) this.belts[run.dryer.at]?.add(at, start, end, run.dryer.share, run.dryer.celsius)
    screensUsed(this.state, this.p, at, end)
    this.state.free[press] = end
    this.state.last[press] = at
    const by = Math.max(0, end + run.hold - run.due)
    const sums = this.state.sums
    sums[1] = (sums[1] as number) + run.weight * by
    const late = COST.lateMinute * by + (by > 0 ? COST.late : 0) + COST.sooner * (end + run.hold)
    const pinned = run.pin && !run.pin.started ? Math.max(0, start - run.pin.start - COST.nearPin) : 0
    sums[0] = (sums[0] as number) + run.weight * late + COST.changeOver * changeOver + COST.offPin * pinned
  }

  /** Moves the start on where printing, or its set-up, may not begin before a moment. */
  private notBefore(time: WorkTime, moment: Minute, setUp: Minute, why: Binding, who = -1): void {
    const free = time.next(moment)
    const then = setUp === 0 ? free : time.clockOf(time.worked(free) + setUp)
    if (then <= this.start) return
    this.start = then
    if (moment > 0) {
      this.waits = BY_NAME[why]
      this.who = who
    }
  }

  private search(
    run: DayRun,
    at: number,
    press: number,
    setUp: Minute,
    takes: Minute,
    screens: Minute,
  ): void {
    const time = this.times[press] as WorkTime
    this.start = 0
    this.waits = 0
    this.who = -1
    this.notBefore(time, 0, setUp, 'nothing')
    this.notBefore(time, this.state.free[press] as number, setUp, 'press', this.state.last[press])
    this.notBefore(time, screens, setUp, 'screens', this.state.by[this.p.setOf[at] as number])
    this.notBefore(time, run.ink, setUp, 'ink')
    this.notBefore(time, run.garments, 0, 'garments')
    if (run.after)
      this.notBefore(time, this.endOf(run.after.run) + run.after.wait, 0, 'the print before', run.after.run)
    if (run.pin) this.notBefore(time, run.pin.start, 0, 'the lead')
    // Each conflict moves the start to a later working minute: it comes to an end.
    while (Number.isFinite(this.start)) {
      if (run.pot > 0) {
        const first = this.firstBatch(run, time, this.start, takes)
        if (first > this.start) this.notBefore(time, first, 0, 'hours')
        if (!Number.isFinite(this.start)) return
      }
      const end = this.fitted(run, time, this.start, takes)
      if (!Number.isFinite(end)) {
        this.start = end
        return
      }
      const from = setUp === 0 ? this.start : time.clockOf(time.worked(this.start) - setUp)
      if (!this.movedBy(run, time, from, end, setUp)) return
    }
  }

  /** Whether dryer or crew moved the start. */
  private movedBy(run: DayRun, time: WorkTime, from: Minute, end: Minute, setUp: Minute): boolean {
    const belt = run.dryer && this.belts[run.dryer.at]
    if (belt && run.dryer) {
      const changes = this.problem.dryers[run.dryer.at]?.changes ?? 0
      const other = belt.otherKind(this.start - changes, end + changes, run.dryer.celsius)
      if (other >= 0) {
        this.notBefore(time, belt.endAt(other) + changes, 0, 'temperature', belt.runAt(other))
        return true
      }
      const full = belt.overfull(this.start, end, 1 - run.dryer.share + 1e-9)
      if (full >= 0) {
        this.notBefore(time, belt.endAt(full), 0, 'belt', belt.runAt(full))
        return true
      }
    }
    const few = this.crew.overfull(from, end, this.problem.people - run.people)
    if (few < 0) return false
    this.notBefore(time, this.crew.endAt(few), setUp, 'crew', this.crew.runAt(few))
    return true
  }

  /** Where the first batch of what dries in can be printed in one span of work. */
  private firstBatch(run: DayRun, time: WorkTime, start: Minute, takes: Minute): Minute {
    const batch = Math.ceil(takes / Math.ceil(takes / run.pot))
    return inOneSpan(time, start, batch)
  }

  /** When the last piece is printed. What dries in goes in equal batches, each within one span of work. */
  private fitted(run: DayRun, time: WorkTime, start: Minute, takes: Minute): Minute {
    if (run.pot <= 0) return time.after(start, takes)
    const count = Math.ceil(takes / run.pot)
    const batch = Math.ceil(takes / count)
    let t = start
    for (let i = 1; i < count && Number.isFinite(t); i++) t = inOneSpan(time, t + batch + REFRESH, batch)
    return t + batch
  }
}

/** The first moment from which so many minutes lie in one span of work. */
function inOneSpan(time: WorkTime, from: Minute, minutes: Minute): Minute {
  let t = time.next(from)
  while (Number.isFinite(t) && time.spanEnd(t) - t < minutes) t = time.next(time.spanEnd(t))
  return t
}
