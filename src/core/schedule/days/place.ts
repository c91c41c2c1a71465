import { type Held, HeldLog, overfull } from './held'
import type { DayRun, DaysProblem, Minute } from './problem'
import { ScreenRoom, type ScreenSet } from './screenSets'
import { merged, type WorkClock, workClock } from './workClock'

/** What a start waits for. */
export type Binding =
  | 'nothing'
  | 'press'
  | 'screens'
  | 'ink'
  | 'garments'
  | 'the print before'
  | 'crew'
  | 'belt'
  | 'temperature'
  | 'the lead'
  | 'hours'

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

/** Why a run cannot be placed at all. */
export type Refused = 'not on this press' | 'too many people' | 'no such frames' | 'beyond the end'

interface OnBelt extends Held {
  readonly celsius: number
}

/** Books runs one after the other, each at the first moment at which everything it needs is free. */
export class Places {
  readonly booked: Booked[] = []
  readonly clocks: readonly WorkClock[]
  private readonly problem: DaysProblem
  private readonly room: ScreenRoom
  private readonly crew = new HeldLog<Held>()
  private readonly belts: readonly HeldLog<OnBelt>[]
  private readonly lastOn: (Booked | undefined)[]
  private readonly byRun: (Booked | undefined)[]

  /** @param overtime by press, by day: whether it is worked */
  constructor(problem: DaysProblem, overtime: readonly (readonly boolean[])[] = []) {
    this.problem = problem
    this.clocks = problem.presses.map((p, i) =>
      workClock(merged([...p.works, ...p.overtime.filter((_, day) => overtime[i]?.[day] === true)])),
    )
    this.room = new ScreenRoom(problem)
    this.belts = problem.dryers.map(() => new HeldLog())
    for (const a of problem.away) this.crew.add({ run: undefined, from: a.from, to: a.to, load: a.people })
    this.lastOn = problem.presses.map(() => undefined)
    this.byRun = problem.runs.map(() => undefined)
  }

  get remade(): number {
    return this.room.remade
  }

  /** The run that a press printed last, of those that are placed. */
  lastOf(press: number): number | undefined {
    return this.lastOn[press]?.run
  }

  isPlaced(run: number): boolean {
    return this.byRun[run] !== undefined
  }

  /** When a run could begin on a press, crew, belt and frames left aside. */
  about(at: number, press: number): Minute {
    const run = this.problem.runs[at]
    const clock = this.clocks[press]
    if (!run || !clock) throw new RangeError(`run ${at} on press ${press}`)
    const before = run.after && this.byRun[run.after.run]
    return clock.next(
      Math.max(
        this.lastOn[press]?.end ?? 0,
        run.garments,
        run.ink,
        run.exposed ?? run.films,
        run.pin?.start ?? 0,
        before && run.after ? before.end + run.after.wait : 0,
      ),
    )
  }

  /**
   * Books a run on a press behind what is there already. Set-up is pulled against the print: press and people are held as short as
   * possible. Crew and dryer are held through breaks and nights that a run spans: safe, slightly pessimistic.
   *
   * @throws RangeError for a run that is booked, or follows one that is not
   */
  place(at: number, press: number): Booked | Refused {
    const run = this.problem.runs[at]
    const clock = this.clocks[press]
    if (!run || !clock || this.byRun[at]) throw new RangeError(`run ${at} on press ${press}`)
    const takes = run.on[press]
    if (!takes) return 'not on this press'
    if (run.people > this.problem.people) return 'too many people'
    const before = this.lastOn[press]
    const changeOver = this.problem.changeOver(press, before?.run, at)
    if (run.pin?.started) return this.keep(this.started(run, at, press, run.pin.start, takes.run))
    const set = this.room.forRun(run)
    if (!set) return 'no such frames'
    const found = this.search({
      run,
      at,
      press,
      clock,
      changeOver,
      set,
      setUp: takes.setUp + changeOver,
      takes: takes.run,
    })
    if (!Number.isFinite(found.end) || found.done > this.problem.end) return 'beyond the end'
    return this.keep(found)
  }

  private started(run: DayRun, at: number, press: number, start: Minute, takes: Minute): Booked {
    const clock = this.clocks[press] as WorkClock
    const end = clock.clockOf(clock.worked(clock.next(start)) + takes - 1) + 1
    const booked = { run: at, press, setUp: start, start, end, done: end + run.hold }
    return { ...booked, changeOver: 0, waits: 'nothing', waitsFor: undefined }
  }

  private keep(b: Booked): Booked {
    const run = this.problem.runs[b.run] as DayRun
    this.crew.add({ run: b.run, from: b.setUp, to: b.end, load: run.people })
    if (run.dryer)
      this.belts[run.dryer.at]?.add({
        ...{ run: b.run, from: b.start, to: b.end },
        ...{ load: run.dryer.share, celsius: run.dryer.celsius },
      })
    this.room.used(run, b.end, b.run)
    this.lastOn[b.press] = b
    this.byRun[b.run] = b
    this.booked.push(b)
    return b
  }

  private search(ask: Ask): Booked {
    const { run, at, press, clock, changeOver, set, setUp } = ask
    let start: Minute = 0
    let waits: Binding = 'nothing'
    let waitsFor: number | undefined
    /** Moves the start on where printing, or its set-up, may not begin before a moment. */
    const notBefore = (moment: Minute, of: 'print' | 'set-up', why: Binding, who?: number) => {
      const free = clock.next(moment)
      const then = of === 'print' || setUp === 0 ? free : clock.clockOf(clock.worked(free) + setUp)
      if (then <= start) return
      start = then
      if (moment > 0) [waits, waitsFor] = [why, who]
    }
    notBefore(0, 'set-up', 'nothing')
    const before = this.lastOn[press]
    if (before) notBefore(before.end, 'set-up', 'press', before.run)
    notBefore(set.ready, 'set-up', 'screens', set.heldBy)
    notBefore(run.ink, 'set-up', 'ink')
    notBefore(run.garments, 'print', 'garments')
    if (run.after) {
      const first = this.byRun[run.after.run]
      if (!first) throw new RangeError(`run ${at} before run ${run.after.run}`)
      notBefore(first.end + run.after.wait, 'print', 'the print before', run.after.run)
    }
    if (run.pin) notBefore(run.pin.start, 'print', 'the lead')
    // Each conflict moves the start to a later working minute: it comes to an end.
    while (Number.isFinite(start)) {
      const fits = this.endOf(ask, start)
      if (fits.start > start) {
        notBefore(fits.start, 'print', 'hours')
        continue
      }
      const { end } = fits
      const from = setUp === 0 ? start : clock.clockOf(clock.worked(start) - setUp)
      const held =
        this.tooWarm(run, start, end) ?? this.beltFull(run, start, end) ?? this.tooFew(run, from, end)
      if (!held) {
        const done = end + run.hold
        return { run: at, press, setUp: from, start, end, done, changeOver, waits, waitsFor }
      }
      notBefore(held.until, held.why === 'crew' ? 'set-up' : 'print', held.why, held.who)
    }
    const never = Number.POSITIVE_INFINITY
    return {
      run: at,
      press,
      setUp: never,
      start: never,
      end: never,
      done: never,
      changeOver,
      waits,
      waitsFor,
    }
  }

  /** When the last piece is printed. What dries in goes in equal batches, each within one span of work. */
  private endOf({ run, clock, takes }: Ask, start: Minute): { readonly start: Minute; readonly end: Minute } {
    if (run.pot <= 0) return { start, end: clock.clockOf(clock.worked(start) + takes - 1) + 1 }
    const count = Math.ceil(takes / run.pot)
    const batch = Math.ceil(takes / count)
    const fitted = (from: Minute): Minute => {
      let t = clock.next(from)
      while (Number.isFinite(t) && clock.spanEnd(t) - t < batch) t = clock.next(clock.spanEnd(t))
      return t
    }
    const first = fitted(start)
    let t = first
    for (let i = 1; i < count && Number.isFinite(t); i++) t = fitted(t + batch + REFRESH)
    return { start: first, end: t + batch }
  }

  /** One temperature at a time, and time to change it. */
  private tooWarm(run: DayRun, start: Minute, end: Minute): Conflict | undefined {
    if (!run.dryer) return undefined
    const { at, celsius } = run.dryer
    const changes = this.problem.dryers[at]?.changes ?? 0
    let last: OnBelt | undefined
    for (const b of this.belts[at]?.within(start - changes, end + changes) ?? [])
      if (b.celsius !== celsius && b.to > (last?.to ?? 0)) last = b
    return last && { until: last.to + changes, why: 'temperature', who: last.run }
  }

  private beltFull(run: DayRun, start: Minute, end: Minute): Conflict | undefined {
    if (!run.dryer) return undefined
    const on = this.belts[run.dryer.at]?.within(start, end) ?? []
    const held = overfull(on, start, 1 - run.dryer.share + 1e-9)
    return held && { until: held.to, why: 'belt', who: held.run }
  }

  private tooFew(run: DayRun, from: Minute, end: Minute): Conflict | undefined {
    const held = overfull(this.crew.within(from, end), from, this.problem.people - run.people)
    return held && { until: held.to, why: 'crew', who: held.run }
  }
}

interface Ask {
  readonly run: DayRun
  readonly at: number
  readonly press: number
  readonly clock: WorkClock
  readonly changeOver: Minute
  readonly set: ScreenSet
  readonly setUp: Minute
  readonly takes: Minute
}

interface Conflict {
  readonly until: Minute
  readonly why: Binding
  readonly who: number | undefined
}
