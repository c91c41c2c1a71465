import type { Ambient, Takes } from './garment'
import type { Board, Fabric, Fitted, WetInk } from './materials'
import type { UnitOver } from './unit'

/** What happens to one pallet on its way round, in order. `cell`: the place of the press where it does, counted from 0. */
export type Happening = { readonly cell?: number } & (
  | { readonly kind: 'load' }
  | { readonly kind: 'wait'; readonly time: number; readonly air?: number }
  | { readonly kind: 'print'; readonly name: string; readonly ink: WetInk; readonly takes: Takes }
  /** `time`: seconds, or as long as the corner needs and the middle stands. `least`: a fixed unit stays over the pallet for the whole stop. */
  | {
      readonly kind: 'flash'
      readonly name: string
      readonly unit: UnitOver
      readonly time: number | 'needed'
      readonly least: number
    }
)

/** A press, its boards and its air, and one lap of a pallet. */
export interface Round {
  readonly board: Board
  readonly fabric: Fabric
  readonly fitted: Fitted
  readonly ambient: Ambient
  readonly happenings: readonly Happening[]
}

/** One flash of one lap: seconds and kelvin. */
export interface Flashed {
  readonly name: string
  readonly time: number
  /** Seconds that the corner needed; undefined when it never gels here. */
  readonly needed: number | undefined
  /** Seconds after which the centre is closed; undefined when it never is. */
  readonly limit: number | undefined
  /** Of the middle when it closes. */
  readonly closes: number | undefined
  readonly peak: number
  /** Of the cloth under it, hottest. */
  readonly cloth: number
  /** 1 when the corner is dry to the touch, and when the centre is closed. */
  readonly ready: number
  readonly closed: number
}

/** A print on a film that was flashed. */
export interface OnFilm {
  readonly name: string
  readonly film: number
  /** How ready the film below was at its corner. */
  readonly ready: number
}

/** A lap of a pallet. */
export interface Lap {
  /** Top of the board as the garment is laid on, kelvin. */
  readonly board: number
  readonly flashes: readonly Flashed[]
  readonly prints: readonly OnFilm[]
  /** Seconds that it took. */
  readonly time: number
}

/** Kelvin of film, cloth and board from moment to moment, for a picture. */
export interface Moment {
  readonly at: number
  readonly film: number
  readonly cloth: number
  readonly board: number
  readonly happening: number
}

/** Numbers of two laps change nearly straight with the boards: what they are at others; undefined where one of them has no number. */
export function between(a: Lap, b: Lap, board: number): Lap | undefined {
  const share = (board - a.board) / (b.board - a.board)
  const on = (x: number, y: number) => x + share * (y - x)
  const maybe = (x: number | undefined, y: number | undefined) =>
    x === undefined || y === undefined ? undefined : on(x, y)
  const flashes = a.flashes.flatMap((f, i): Flashed[] => {
    const g = b.flashes[i]
    const isAlike = g && !f.needed === !g.needed && !f.limit === !g.limit
    if (!isAlike) return []
    return [
      {
        name: f.name,
        time: on(f.time, g.time),
        needed: maybe(f.needed, g.needed),
        limit: maybe(f.limit, g.limit),
        closes: maybe(f.closes, g.closes),
        peak: on(f.peak, g.peak),
        cloth: on(f.cloth, g.cloth),
        ready: on(f.ready, g.ready),
        closed: on(f.closed, g.closed),
      },
    ]
  })
  if (flashes.length < a.flashes.length) return undefined
  const prints = a.prints.map((p, i): OnFilm => {
    const r = b.prints[i] ?? p
    return { name: p.name, film: on(p.film, r.film), ready: on(p.ready, r.ready) }
  })
  return { board, flashes, prints, time: on(a.time, b.time) }
}
