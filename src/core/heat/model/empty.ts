import { last } from './flash'
import { inRoom, lossOf } from './garment'
import type { Round } from './round'
import type { Stack } from './stack'
import { flashing, seen, type UnitOver } from './unit'

/** Bare boards wait so long for the next flash while the others have theirs, s (assumed). */
const BETWEEN = 5
/** More are no way to begin a day. */
const MOST = 30

/** A board with nothing on it. */
function bare({ board, ambient }: Round): Stack {
  const resists = board.layers.map((l) => l.thickness / (2 * l.conducts))
  return {
    nodes: board.layers.map(() => ({ cloth: 0, regain: 1 })),
    joints: resists.slice(1).map((r, i) => 1 / (r + (resists[i] ?? 0))),
    holds: Float64Array.from(board.layers, (l) => board.spread * l.thickness * l.holds),
    t: new Float64Array(board.layers.length).fill(ambient.air),
    wet: new Float64Array(board.layers.length),
    ink: 0,
    film: undefined,
    gel: 0,
    cure: 0,
  }
}

/**
 * Empty flashes, each as long as `dwell`, until the face of a cold board is as warm as wanted.
 *
 * @param warm kelvin
 * @returns undefined where thirty are not enough
 */
export function emptyFlashes(round: Round, unit: UnitOver, dwell: number, warm: number): number | undefined {
  const s = bare(round)
  const loss = lossOf(round.board, round.fitted)
  const face = { long: round.board.emissivity, short: round.board.emissivity }
  const takes = { ink: face, cloth: face, lets: { long: 0, short: 0 } }
  const lit = flashing(unit, seen(unit, 'mean'), takes, round.ambient, loss)
  const room = inRoom(round.ambient, loss)
  for (let n = 0; n <= MOST; n++) {
    if (s.t[0]! >= warm) return n
    last(s, lit, dwell)
    last(s, room, BETWEEN)
  }
  return undefined
}
