import type { Reason } from '../advice'

/** Distances of the plan or a reading from its limit, in standard deviations: over nothing is on the wrong side. */
export type Distance =
  | 'under'
  | 'over'
  | 'hot'
  | 'board'
  | 'cure'
  | 'cureHot'
  | 'cover'
  | 'slack'
  | 'particle'
  | 'ruling'
  | 'choke'
  | 'mud'

/** Counts of the run at the press, and a reading: pieces, laps, garments, degrees Celsius, a share of the open time. */
export type Count = 'pieces' | 'laps' | 'sinceTack' | 'sinceInk' | 'boardC' | 'idleRatio'

/** What is so of this run and shop, in words; else it is not so. */
export const FLAGS = {
  alu: 'The boards are aluminium',
  noTimer: 'The flash has no timer',
  poly: 'There is polyester in the cloth',
  humid: 'The air is damp',
  manual: 'The press is pulled by hand',
  wb: 'The ink is water-based',
  dark: 'The cloth is dark',
  lockKnown: 'How far the heads move when locked is known',
  coldShop: 'The shop is cold',
  special: 'There are flakes or expander in an ink',
  blackWhiteWet: 'Black and white meet wet in this order',
  smoothing: 'The order has a smoothing screen',
  fleece: 'The cloth is fleece',
  puffFlashed: 'The plan flashes the expander',
  silicone: 'Silicone is used here',
} as const
export type Flag = keyof typeof FLAGS

/** What a cause or a look needs to be possible at all. */
export type Need =
  | 'flash'
  | 'several'
  | 'sample'
  | 'wet'
  | 'puff'
  | 'white'
  | 'base'
  | 'halftone'
  | 'boards'
  | 'smoothing'
  | 'gun'
  | 'loupe'

/** How a fact of the run moves the odds of a cause. */
export type Odds =
  | { readonly z: Distance }
  | { readonly x: Count; readonly above?: number; readonly below?: number; readonly times: number }
  | { readonly flag: Flag; readonly times: number; readonly else?: number }

/** What a gun found last, at an interval check. */
export interface Check {
  /** Pieces since. */
  readonly age: number
  /** Celsius: an empty board, the film just flashed, the film before the next print. */
  readonly boardC?: number
  readonly filmC?: number
  readonly printC?: number
}

/** What this run says by itself, before anyone is asked. */
export interface RunFacts {
  readonly z: Readonly<Partial<Record<Distance, number>>>
  /** Distances that the plan only foretells. */
  readonly predicted?: readonly Distance[]
  readonly x: Readonly<Partial<Record<Count, number>>>
  readonly flags: Readonly<Partial<Record<Flag, boolean>>>
  readonly has: Readonly<Partial<Record<Need, boolean>>>
  readonly check?: Check
  /** The distances and counts in figures. */
  readonly words?: Readonly<Partial<Record<Distance | Count, Reason>>>
}
