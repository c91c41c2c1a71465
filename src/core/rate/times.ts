import type { Press } from '../equipment'
import type { Duration, Share } from '../quantity'

/** Seconds of single operations, trained person. Sums are fitted to common practice; single ones are not identified. */
export const TIMES = {
  load: 4.8,
  unload: 1.6,
  /** Placing on the belt: alone (turn, walk) and by a loader who stands there. */
  beltAlone: 3.0,
  beltLoader: 1.2,
  inspect: 0.6,
  tackPer5: 2.5,
  rotate: 1.8,
  head: 1.8,
  flood: 1.0,
  stroke: 1.3,
  reInk: 12,
  autoIndex: 1.2,
  autoLoad: 4.6,
  autoUnload: 2.5,
  autoStroke: 1.4,
  autoFlood: 1.0,
  benchPlace: 3.5,
  benchRegister: 3,
  benchRack: 3,
  benchSwap: 60,
} as const satisfies Record<string, Duration>

/** Garments between two re-inkings of a screen. */
export const RE_INKED = 36
/** The head of a single station is this much slower to swing. */
export const SINGLE_HEAD = 1.75

/** Human times by skill; machines do not care. Fitted to common practice. */
export const SKILLS = {
  beginner: { label: 'Learning', factor: 1.41 },
  trained: { label: 'Trained', factor: 1 },
  good: { label: 'Very good', factor: 0.89 },
  top: { label: 'The best', factor: 0.82 },
} as const
export type Skill = keyof typeof SKILLS

export const CREWS = {
  alone: { label: 'One person', people: 1 },
  loader: { label: 'Two people', people: 2 },
} as const

/** Who stands at the press. */
export interface Crew {
  readonly size: keyof typeof CREWS
  readonly skill: Skill
}

/** What makes up a cycle; each can be quicker or slower by a factor. */
export const RESOURCES = {
  print: 'printing',
  hand: 'loading and unloading',
  turn: 'turning the carousel',
  flash: 'the flash',
  cool: 'cooling down',
} as const
export type Resource = keyof typeof RESOURCES
export type Scale = Readonly<Record<Resource, number>>
export const AS_IT_IS: Scale = { print: 1, hand: 1, turn: 1, flash: 1, cool: 1 }

/** Screens between two flashes, each by its number of strokes. */
export type StrokeGroups = readonly (readonly number[])[]

export interface CycleNeed {
  readonly press: Press
  readonly crew: Crew
  readonly groups: StrokeGroups
  /** Revolutions of every garment. */
  readonly laps: 1 | 2
  /** Longest flash dwell, seconds. */
  readonly flash: Duration
  /** Cool-down after a flash where the garment waits, seconds. */
  readonly cool: Duration
  /** Empty stations behind the last flash of an automatic, in which the film cools. */
  readonly coolHeads: number
  /** Drying places on a bench. */
  readonly pieces: number
}

const sum = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0)

/** Single operations, seconds each. */
export type Motions = readonly Duration[]

/** What is done to one garment, each in seconds, for this crew. */
export interface Work {
  /** Printing of each group. */
  readonly groups: readonly Duration[]
  /** What each group is made of: lower, flood, stroke ... each varies by itself. */
  readonly motions: readonly Motions[]
  readonly hand: Duration
  readonly handMotions: Motions
  readonly turn: Duration
  readonly flash: Duration
  readonly cool: Duration
}

/** Seconds of work at a press where all screens print at one place. */
export function workOf({ press, crew, groups, flash, cool }: CycleNeed, scale: Scale = AS_IT_IS): Work {
  const m = SKILLS[crew.skill].factor
  const head = TIMES.head * (press.kind === 'single' ? SINGLE_HEAD : 1)
  const belt = crew.size === 'loader' ? TIMES.beltLoader : TIMES.beltAlone
  const hands = [TIMES.unload, belt, TIMES.inspect, TIMES.load, TIMES.tackPer5 / 5]
  const handMotions = hands.map((t) => scale.hand * m * t)
  const motions = groups.map((group) =>
    group.flatMap((n) =>
      [head, TIMES.flood, ...Array<Duration>(n).fill(TIMES.stroke)].map((t) => scale.print * m * t),
    ),
  )
  return {
    groups: motions.map(sum),
    motions,
    hand: sum(handMotions),
    handMotions,
    turn: scale.turn * m * TIMES.rotate,
    flash: scale.flash * flash,
    cool: scale.cool * cool,
  }
}

/** Less for a usual day: 8 % allowance, 1.5 % misprints (assumed). */
export const ALLOWANCE: Share = 0.08
export const MISPRINTS: Share = 0.015
