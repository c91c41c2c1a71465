import type { Share } from '../../quantity'
import { closes, closing, copyOf, last, needed, readiness } from './flash'
import { inRoom, load, lossOf, onBoard, print, type Takes } from './garment'
import { between, type Flashed, type Lap, type Moment, type OnFilm, type Round } from './round'
import type { Phase, Stack } from './stack'
import { flashing, SPOTS, type Spot, seen, type UnitOver } from './unit'

/** Nobody flashes longer, s: a film that never gels or closes is given up after this. */
const LONGEST = 240
/** Laps whose boards begin as warm as this, K, are the same lap. */
const SAME = 0.003
const REMEMBERED = 4

/** Boards nearer than this to the last that were judged, K: the lap lies on the line through the last two. */
const ALIKE = 0.7

interface Known {
  readonly from: Float64Array
  readonly to: Float64Array
  readonly lap: Lap
}

/**
 * Lap after lap of one pallet from cold boards on: each spot of the print starts on the board as the mean of the print left it.
 *
 * @param laps how many; each is as the one before where the boards are as warm
 * @param from boards as they are, kelvin by layer; as warm as the room without
 */
export function runLaps(round: Round, laps: number, from?: ArrayLike<number>): readonly Lap[] {
  const boards = onBoard(round.fabric, round.board, round.fitted, round.ambient)
  if (from) for (let i = 0; i < from.length; i++) boards.t[i + 2] = from[i] ?? round.ambient.air
  const known: Known[] = []
  const judged: Lap[] = []
  const out: Lap[] = []
  for (let n = 0; n < laps; n++) {
    const begins = boards.t.slice(2)
    const found = known.find((k) => k.from.every((t, i) => Math.abs(t - (begins[i] ?? 0)) < SAME))
    if (found) {
      boards.t.set(found.to, 2)
      out.push(found.lap)
      continue
    }
    const [a, b] = judged.slice(-2)
    const board = begins[0] ?? round.ambient.air
    const near = b && Math.abs(board - b.board) < ALIKE
    const guessed = a && near ? between(a, b, board) : undefined
    const lap = guessed ?? oneLap(round, boards)
    if (guessed) warmed(round, boards, guessed)
    else if (!near) judged.push(lap)
    known.push({ from: begins, to: boards.t.slice(2), lap })
    if (known.length > REMEMBERED) known.shift()
    out.push(lap)
  }
  return out
}

/** How warm the face of a board is as each of the first laps begins, kelvin: the mean of the print alone, and nothing judged. */
export function boardsAlong(round: Round, laps: number): readonly number[] {
  const boards = onBoard(round.fabric, round.board, round.fitted, round.ambient)
  const out: number[] = []
  for (let n = 0; n < laps; n++) {
    out.push(boards.t[2]!)
    warmed(round, boards)
  }
  return out
}

/** One lap of the mean of the print alone. @param as with the dwells of this lap; without, as they are set */
function warmed(round: Round, boards: Stack, as?: Lap): void {
  const { ambient, fabric } = round
  const loss = lossOf(round.board, round.fitted)
  load(boards, fabric, ambient)
  let takes = BARE
  let flash = 0
  for (const h of round.happenings) {
    if (h.kind === 'print') {
      print(boards, h.ink, ambient.air)
      takes = h.takes
    } else if (h.kind === 'wait') last(boards, inRoom(ambient, loss, h.air), h.time)
    else if (h.kind === 'flash') {
      const set = Math.max(h.least, h.time === 'needed' ? 0 : h.time)
      const time = as?.flashes[flash++]?.time ?? set
      last(boards, flashing(h.unit, factorsOf(h.unit).mean, takes, ambient, loss), time)
    }
  }
}

/** The trace of one lap at a spot, from boards as warm as given. @param from kelvin by layer of the board */
export function trace(round: Round, from: ArrayLike<number>, spot: Spot = 'centre'): readonly Moment[] {
  const boards = onBoard(round.fabric, round.board, round.fitted, round.ambient)
  for (let i = 0; i < from.length; i++) boards.t[i + 2] = from[i] ?? round.ambient.air
  const out: Moment[] = []
  oneLap(round, boards, (at, s, happening) =>
    out.push({ at, film: s[spot].t[0]!, cloth: s[spot].t[1]!, board: s[spot].t[2]!, happening }),
  )
  return out
}

type Spots = Readonly<Record<Spot, Stack>>

/** One lap; `boards` is left as the garment leaves it. */
function oneLap(
  round: Round,
  boards: Stack,
  each?: (at: number, spots: Spots, happening: number) => void,
): Lap {
  const { ambient, fabric } = round
  const loss = lossOf(round.board, round.fitted)
  load(boards, fabric, ambient)
  const spots: Spots = { corner: copyOf(boards), centre: copyOf(boards), mean: boards }
  const began = boards.t[2]!
  const flashes: Flashed[] = []
  const prints: OnFilm[] = []
  let at = 0
  let flashed = false
  const phase = (of: (spot: Spot) => Phase, time: number, happening: number) => {
    // The picture walks all spots side by side; without it each is run for itself.
    if (each) {
      const step = 0.25
      for (let since = 0; since < time - 1e-9; since += step) {
        const dt = Math.min(step, time - since)
        for (const spot of SPOTS) last(spots[spot], of(spot), dt, since)
        each(at + since + dt, spots, happening)
      }
    } else for (const spot of SPOTS) last(spots[spot], of(spot), time)
    at += time
  }
  each?.(0, spots, 0)
  for (const [i, h] of round.happenings.entries()) {
    switch (h.kind) {
      case 'load':
        break
      case 'wait': {
        const room = inRoom(ambient, loss, h.air)
        phase(() => room, h.time, i)
        break
      }
      case 'print':
        if (flashed) prints.push({ name: h.name, film: spots.mean.t[0]!, ready: readiness(spots.corner) })
        for (const spot of SPOTS) print(spots[spot], h.ink, ambient.air)
        flashed = false
        break
      case 'flash': {
        const before = round.happenings.slice(0, i).findLast((b) => b.kind === 'print')
        const takes = before?.kind === 'print' ? before.takes : BARE
        const of = phases(h.unit, takes, round, loss)
        const need = needed(spots.corner, of.corner, ambient, loss)
        const shut = closes(spots.centre, of.centre)
        const most = shut?.time
        // Where no dwell is right the middle is kept open.
        const wanted = Math.min(need ?? LONGEST, most ?? LONGEST)
        const time = Math.max(h.least, h.time === 'needed' ? wanted : h.time)
        phase((spot) => of[spot], time, i)
        const [peak, cloth] = [spots.centre.t[0]!, spots.centre.t[1]!]
        // What gels on in the seconds after counts.
        const after = copyOf(spots.corner)
        last(after, inRoom(ambient, loss), 3)
        flashes.push({
          name: h.name,
          time,
          needed: need,
          limit: most,
          closes: shut?.film,
          peak,
          cloth,
          ready: readiness(after),
          closed: closing(spots.centre),
        })
        flashed = true
        break
      }
      default:
        h satisfies never
    }
  }
  return { board: began, flashes, prints, time: at }
}

/** A board without a print takes heat like light ink. */
const BARE: Takes = {
  ink: { long: 0.9, short: 0.6 },
  cloth: { long: 0.9, short: 0.6 },
  lets: { long: 0, short: 0 },
}

const kept = new WeakMap<UnitOver, Readonly<Record<Spot, Share>>>()
/** What each spot sees of a unit is worked out once. */
function factorsOf(unit: UnitOver): Readonly<Record<Spot, Share>> {
  const found = kept.get(unit) ?? {
    corner: seen(unit, 'corner'),
    centre: seen(unit, 'centre'),
    mean: seen(unit, 'mean'),
  }
  kept.set(unit, found)
  return found
}

function phases(
  unit: UnitOver,
  takes: Takes,
  { ambient }: Round,
  loss: number,
): Readonly<Record<Spot, Phase>> {
  const factors = factorsOf(unit)
  const at = (spot: Spot) => flashing(unit, factors[spot], takes, ambient, loss)
  return { corner: at('corner'), centre: at('centre'), mean: at('mean') }
}
