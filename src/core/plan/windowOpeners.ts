import { q, type Reason } from '../advice'
import { type Dwells, dwellInGoes, dwellOn, HEAT, type Round, type Waiting } from '../heat'
import type { Duration, Temperature } from '../quantity'
import { INDEX } from './heatRound'

/** Heights of the panel that are tried, lowest first, metres. */
const HEIGHTS = [0.075, 0.1, 0.125, 0.15, 0.2] as const
/** And how much cooler it is set, K. */
const COOLER = [50, 100, 150] as const
/** A unit that is taken off a film for so long and put over it again, s. */
const PAUSE: Duration = 5
/** Nobody waits so long for each go, s (assumed). */
const SLOW: Duration = 60
/** A window that is no wider than this is shut again by the next change of the boards: shortest dwell against longest. */
const OPEN = 0.94
/** A film that stands any flash stands this, s. */
const LONGEST: Duration = 240

/** A film as it lies under the `i`th flash of a round. */
function waitingAt(round: Round, i: number): Waiting | undefined {
  const at = round.happenings.flatMap((h, n) => (h.kind === 'flash' ? [n] : []))[i] ?? -1
  const flash = round.happenings[at]
  const printed = round.happenings.slice(0, Math.max(0, at)).flatMap((h) => (h.kind === 'print' ? [h] : []))
  const last = printed.at(-1)
  if (flash?.kind !== 'flash' || !last) return undefined
  const { board, fabric, fitted, ambient } = round
  const below = printed.slice(0, -1).map((p) => p.ink)
  return { board, fabric, fitted, ambient, below, ink: last.ink, takes: last.takes, unit: flash.unit }
}

/**
 * What opens a window for a flash that has none: the least height, the least cooling of its panel, two goes, a second unit.
 *
 * @param warm the boards, kelvin
 * @param stop seconds that a pallet of an automatic stands; undefined for a press that waits
 */
export function windowOpeners(
  round: Round,
  i: number,
  warm: Temperature,
  stop: Duration | undefined,
): readonly Reason[] {
  const waiting = waitingAt(round, i)
  const flash = round.happenings.filter((h) => h.kind === 'flash')[i]
  if (!waiting || flash?.kind !== 'flash') return []
  const { name } = flash
  const window = ({ needed, limit = LONGEST }: Dwells) =>
    needed !== undefined && needed < Math.min(OPEN * limit, SLOW)
      ? { name, needed: q('duration', needed), limit: q('duration', limit) }
      : undefined
  const first = <T>(tried: readonly T[], find: (one: T) => Reason | undefined): readonly Reason[] => {
    for (const one of tried) {
      const found = find(one)
      if (found) return [found]
    }
    return []
  }
  const { unit } = waiting
  const out = [
    ...first(
      HEIGHTS.filter((h) => h > unit.height),
      (height) => {
        const found = window(dwellOn({ ...waiting, unit: { ...unit, height } }, warm))
        return found && HEAT.because('RUN_HIGHER', { ...found, height: q('length', height) })
      },
    ),
    ...first(unit.kind === 'gun' ? [] : COOLER, (cooler) => {
      const found = window(dwellOn({ ...waiting, unit: { ...unit, cooler } }, warm))
      return found && HEAT.because('RUN_COOLER', { ...found, cooler: `${cooler} K` })
    }),
    ...inGoes(waiting, warm, stop, window),
  ]
  if (out.length > 0) return out
  return [HEAT.because('RUN_SHUT', { name, height: q('length', HEIGHTS[HEIGHTS.length - 1] ?? 0) })]
}

/** Two goes under one unit where there is time for them, or one each under two units. */
function inGoes(
  waiting: Waiting,
  warm: Temperature,
  stop: Duration | undefined,
  window: (found: Dwells) => Reason['inputs'] | undefined,
): readonly Reason[] {
  const paused = dwellInGoes(waiting, warm, 2, PAUSE)
  const twice = window(paused)
  const fits = stop === undefined || 2 * (paused.needed ?? stop) + PAUSE + INDEX <= stop
  if (twice && fits) return [HEAT.because('RUN_GOES', { ...twice, pause: q('duration', PAUSE) })]
  if (stop === undefined) return []
  // The next unit is reached an index later, or a stop later with a head between them.
  const second = window(dwellInGoes(waiting, warm, 2, INDEX))
  return second ? [HEAT.because('RUN_SECOND', second)] : []
}
