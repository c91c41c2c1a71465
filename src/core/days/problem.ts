/** Whole minutes from the beginning of the days that are planned. */
export type Minute = number

/** Time in which somebody works; `to` is no longer part of it. */
export interface Span {
  readonly from: Minute
  readonly to: Minute
}

/** A press as the days see it. */
export interface DayPress {
  readonly name: string
  /** Its working time without overtime, in order, apart from each other. */
  readonly works: readonly Span[]
  /** What overtime adds, by day; empty on a day without. */
  readonly overtime: readonly Span[]
}

/** What a run takes on a press: working minutes, and what it holds from its set-up to its last piece. */
export interface Takes {
  readonly setUp: Minute
  readonly run: Minute
  readonly people: number
  /** Share of a belt, and how hot its film gets; none where no dryer cures it. */
  readonly dryer?: { readonly at: number; readonly share: number; readonly celsius: number } | undefined
  /** Pallets that presses share, by their kind; none where it is printed on the press's own. */
  readonly pallets?: number | undefined
}

/** A run as the days see it. */
export interface DayRun {
  readonly name: string
  /** By press; none where it cannot be printed there. */
  readonly on: readonly (Takes | undefined)[]
  /** The press that its sheet is made for; none where it does not matter. */
  readonly planned?: number | undefined
  /** How much a late hour of it weighs. */
  readonly weight: number
  readonly due: Minute
  /** Nothing of it before: garments in the house, ink in the house, films there. */
  readonly garments: Minute
  readonly ink: Minute
  /** Inks that are still to be mixed for it, by number: what two runs want is mixed once for both. */
  readonly mixes?: readonly number[]
  readonly films: Minute
  /** The other print on the same garments that comes first, and how long it waits after it. */
  readonly after?: { readonly run: number; readonly wait: Minute }
  /** What passes behind the dryer before it counts as done: air drying. */
  readonly hold: Minute
  /** Longest batch between two breaks for what dries in; 0 where breaks do no harm. */
  readonly pot: Minute
  /** Runs with the same screens share them: made once, never on two presses at a time. */
  readonly screens: string
  /** Frames its screens take, by kind of mesh. */
  readonly frames: readonly { readonly mesh: number; readonly count: number }[]
  /** Frames that carry some of its screens already, while others are to be made; they come free with the others. */
  readonly already?: DayRun['frames']
  /** From when on its screens are there without the room: they are exposed already, and their frames are no longer free. */
  readonly exposed?: Minute | undefined
  /** Put there by the lead, or already running. */
  readonly pin?: { readonly press: number; readonly start: Minute; readonly started: boolean }
}

/** The screen room: minutes of hands, and what a screen takes besides. */
export interface DayRoom {
  readonly works: readonly Span[]
  /** Screens that are handled at a time. */
  readonly hands: number
  /** Minutes of hands for one screen, and of drying and waiting for a set. */
  readonly handling: Minute
  readonly waiting: Minute
  /** Screens that can dry at a time; any where nobody said. */
  readonly racks?: number | undefined
  /** From the last print until a frame is clean again. */
  readonly reclaim: Minute
}

/** The ink room: one pair of hands mixes one ink after the other, those first whose runs are placed first. */
export interface DayInkRoom {
  readonly works: readonly Span[]
  /** Minutes that an ink takes. */
  readonly each: Minute
  /** How many inks are to be mixed. */
  readonly inks: number
}

/** People who can run any of these presses, and when some of them are away. */
export interface Skilled {
  readonly presses: readonly number[]
  readonly people: number
  readonly away: readonly (Span & { readonly people: number })[]
}

/** Everything the days are planned from. */
export interface DaysProblem {
  /** Nothing can be planned beyond. */
  readonly end: Minute
  readonly presses: readonly DayPress[]
  readonly runs: readonly DayRun[]
  /** People in the shop, and when some are away. */
  readonly people: number
  readonly away: readonly (Span & { readonly people: number })[]
  /** Presses that only some can run: no more of them print at a time than there are people for. */
  readonly skilled?: readonly Skilled[]
  /** How many sets of pallets there are of each kind that presses share. */
  readonly pallets?: readonly number[]
  /** Minutes from the end of one temperature to the start of another, by dryer. */
  readonly dryers: readonly { readonly changes: Minute }[]
  /** Frames that are free now, by kind of mesh. */
  readonly frames: readonly number[]
  readonly room: DayRoom
  /** None where all ink is there. */
  readonly inkRoom?: DayInkRoom
  /** Minutes of change-over on a press from one run to another; the first one follows none. */
  readonly changeOver: (press: number, from: number | undefined, to: number) => Minute
}

/** What is decided: an order of all runs, the press of each, and days of overtime by press. */
export interface DaysChoice {
  readonly order: readonly number[]
  readonly press: readonly number[]
  readonly overtime: readonly (readonly boolean[])[]
}
