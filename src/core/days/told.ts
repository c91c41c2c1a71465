import type { Minute } from './problem'
import type { Slot } from './slot'

/** What a start waits for. */
export const BINDINGS = [
  'nothing',
  'press',
  'screens',
  'ink',
  'garments',
  'the print before',
  'crew',
  'pallets',
  'belt',
  'temperature',
  'the lead',
  'hours',
] as const
export type Binding = (typeof BINDINGS)[number]
export const BINDING = Object.fromEntries(BINDINGS.map((b, i) => [b, i])) as Record<Binding, number>

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
  /** Share of its pace that it is printed at: less than 1 where the belt has no room for more. */
  readonly pace: number
  /** From when until when its screens are made, and until when no rack was free for them (0: one was); none for a run that finds them there. */
  readonly screens: { readonly from: Minute; readonly ready: Minute; readonly racks: Minute } | undefined
  /** When the inks are mixed that were not there; 0 where all were. */
  readonly mixed: Minute
  /** What held it back last, and the run that did. */
  readonly waits: Binding
  readonly waitsFor: number | undefined
}

export type Times = Pick<Booked, 'press' | 'setUp' | 'end'>

const NOT_YET = -2
const PLACED = -1
const COLUMNS = 14
const [SET_UP, START, END, DONE, CHANGE, WAITS, WHO, PRESS, REFUSED, MADE, READY, MIXED, PACE, RACKS] = [
  0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13,
] as const

/** What became of each run, as one table of numbers: it is copied in one go. */
export class Told {
  private readonly all: Float64Array
  private readonly count: number

  constructor(runs: number) {
    this.count = runs
    this.all = new Float64Array(runs * COLUMNS)
    for (let run = 0; run < runs; run++) this.forget(run)
  }

  private of(run: number, column: number): number {
    return this.all[run * COLUMNS + column] as number
  }

  copy(other: Told): void {
    this.all.set(other.all)
  }
  forget(run: number): void {
    this.all[run * COLUMNS + REFUSED] = NOT_YET
  }
  /** Forgets all but some. */
  forgetBut(isKept: Uint8Array): void {
    for (let run = 0; run < this.count; run++) if (isKept[run] === 0) this.forget(run)
  }
  refuse(run: number, why: Refused): void {
    this.all[run * COLUMNS + REFUSED] = REFUSALS.indexOf(why)
  }
  /** @param waits as `BINDING` numbers it; `who` is -1 for no run */
  place(
    {
      run,
      press,
      setUp,
      start,
      end,
      waits,
      who,
      pace,
    }: Slot & { readonly waits: number; readonly who: number },
    changeOver: Minute,
    done: Minute,
  ): void {
    this.all[run * COLUMNS + PACE] = pace
    this.all.set([setUp, start, end, done, changeOver, waits, who, press, PLACED], run * COLUMNS)
  }

  /**
   * @param from -1 where they were there
   * @param racks until when there was no place to dry them; 0 where there was
   */
  made(run: number, from: Minute, ready: Minute, racks: Minute): void {
    this.all.set([from, ready], run * COLUMNS + MADE)
    this.all[run * COLUMNS + RACKS] = racks
  }

  mixed(run: number, at: Minute): void {
    this.all[run * COLUMNS + MIXED] = at
  }

  isPlaced = (run: number): boolean => this.of(run, REFUSED) === PLACED
  endOf = (run: number): Minute => this.of(run, END)
  doneOf = (run: number): Minute => this.of(run, DONE)
  setUpOf = (run: number): Minute => this.of(run, SET_UP)
  /** What keeps a run from being placed, if anything does. */
  refusedOf = (run: number): Refused | undefined => REFUSALS[this.of(run, REFUSED)]

  /** Its press, and from set-up to its last piece. */
  timesOf = (run: number): Times => ({
    press: this.of(run, PRESS),
    setUp: this.of(run, SET_UP),
    end: this.of(run, REFUSED) === PLACED ? this.of(run, END) : 0,
  })

  bookedOf(run: number): Booked {
    const who = this.of(run, WHO)
    const from = this.of(run, MADE)
    return {
      ...{ run, press: this.of(run, PRESS) },
      ...{ setUp: this.of(run, SET_UP), start: this.of(run, START) },
      ...{ end: this.of(run, END), done: this.of(run, DONE), changeOver: this.of(run, CHANGE) },
      ...{ mixed: this.of(run, MIXED), pace: this.of(run, PACE) },
      screens: from < 0 ? undefined : { from, ready: this.of(run, READY), racks: this.of(run, RACKS) },
      waits: BINDINGS[this.of(run, WAITS)] as Binding,
      waitsFor: who < 0 ? undefined : who,
    }
  }
}
