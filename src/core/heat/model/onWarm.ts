import { AFTER, closing, copyOf, cured, LONGEST, last, limit, needed, readiness } from './flash'
import { type Ambient, dryHeat, inRoom, lossOf, onBoard, print, type Takes } from './garment'
import type { Board, Fabric, Fitted, WetInk } from './materials'
import { flashing, seen, type UnitOver } from './unit'

/** A film that waits for its flash. */
export interface Waiting {
  readonly board: Board
  readonly fabric: Fabric
  readonly fitted: Fitted
  readonly ambient: Ambient
  readonly ink: WetInk
  /** What was printed below it and is dry. */
  readonly below: readonly WetInk[]
  readonly takes: Takes
  readonly unit: UnitOver
}

/** A garment lies so long before it is printed, and so long until the unit is over it, s (assumed). */
const LIES = 10
const COMES = 5

/**
 * Seconds of flash that a print needs at its corners, and stands in its middle, on a board so warm.
 *
 * @param board kelvin
 * @returns undefined where it does not get there in four minutes
 */
export function dwellOn(w: Waiting, board: number): Dwells {
  // The same film under the same unit is asked for again and again: for each way to print a job.
  const key = JSON.stringify([w, board])
  const found = known.get(key) ?? workedOut(w, board)
  if (known.size >= MOST) known.clear()
  known.set(key, found)
  return found
}

/** Seconds of flash; undefined where it does not get there in four minutes. */
export interface Dwells {
  readonly needed: number | undefined
  readonly limit: number | undefined
}
const known = new Map<string, Dwells>()
const MOST = 500

function workedOut(w: Waiting, board: number): Dwells {
  const { s, phase, loss } = readyFor(w, board)
  return { needed: needed(s, phase('corner'), w.ambient, loss), limit: limit(s, phase('centre')) }
}

const FINE = 0.05

/**
 * What `dwellOn` says of one flash, for the same flash in several goes: seconds of each.
 *
 * @param goes at least 1
 * @param pause seconds between two of them, in the air of the room
 */
export function dwellInGoes(w: Waiting, board: number, goes: number, pause: number): Dwells {
  const { s, phase, loss } = readyFor(w, board)
  const room = inRoom(w.ambient, loss)
  const flashed = (spot: 'corner' | 'centre', each: number) => {
    const film = copyOf(s)
    for (let go = 0; go < goes; go++) {
      if (go > 0) last(film, room, pause)
      last(film, phase(spot), each)
    }
    return film
  }
  const least = (enough: (each: number) => boolean) => {
    let [low, high] = [0, LONGEST / goes]
    if (!enough(high)) return undefined
    while (high - low > FINE) {
      const middle = (low + high) / 2
      if (enough(middle)) high = middle
      else low = middle
    }
    return high
  }
  return {
    needed: least((each) => {
      const film = flashed('corner', each)
      last(film, room, AFTER)
      return readiness(film) >= 1
    }),
    limit: least((each) => closing(flashed('centre', each)) >= 1),
  }
}

/** Kelvin in the middle of a film so many seconds after so long a flash, on a board so warm. */
export function filmAfter(w: Waiting, board: number, dwell: number, delay: number): number {
  const { s, phase, loss } = readyFor(w, board)
  last(s, phase('centre'), dwell)
  last(s, inRoom(w.ambient, loss), delay)
  return s.t[0] ?? board
}

/** A cure under the unit: seconds until the corners are cured, and what the middle is then at, kelvin; undefined when never. */
export function cureUnder(
  w: Waiting,
  board: number,
): { readonly time: number; readonly film: number; readonly cloth: number } | undefined {
  const { s, phase } = readyFor(w, board)
  const time = cured(s, phase('corner'))
  if (time === undefined) return undefined
  const middle = copyOf(s)
  last(middle, phase('centre'), time)
  return { time, film: middle.t[0] ?? board, cloth: middle.t[1] ?? board }
}

/** Printed and waiting under its unit. */
function readyFor(w: Waiting, board: number) {
  const loss = lossOf(w.board, w.fitted)
  const room = inRoom(w.ambient, loss)
  const s = onBoard(w.fabric, w.board, w.fitted, w.ambient)
  s.t.fill(board, 2)
  last(s, room, LIES)
  for (const ink of w.below) s.holds[0] = (s.holds[0] ?? 0) + dryHeat(ink)
  print(s, w.ink, w.ambient.air)
  last(s, room, COMES)
  const phase = (spot: 'corner' | 'centre') => flashing(w.unit, seen(w.unit, spot), w.takes, w.ambient, loss)
  return { s, phase, loss }
}
