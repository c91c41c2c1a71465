import { q, type Reason } from '../advice'
import { HEAT, type Lap, runLaps } from '../heat'
import type { RunHeat } from './runHeat'

/** Why a print that lies on a flashed film may stick, as the run's own trace has it. */
export interface Sticking {
  /** The screen that lifts it. */
  readonly name: string
  readonly cause: 'hot' | 'gelled' | 'either' | 'neither'
  /** What the trace says, and which cause it rules out. */
  readonly trace: readonly Reason[]
  /** What to do when a print that has cooled lets go, and when it is still tacky. */
  readonly letsGo: readonly Reason[]
  readonly tacky: readonly Reason[]
}

/** As little short of dry no finger tells. */
const DRY = 0.97
/** More cooling than this is no longer a wait: stops of an automatic, and seconds by hand. */
const MOST_STOPS = 4
const WAITS = [5, 10, 15, 20, 30, 45, 60] as const

/** The print that meets a flashed film, after so much more cooling, on boards as warm as at the end of the run. */
function filmAfter(heat: RunHeat, print: number, extra: number): number {
  let [met, flashed] = [-1, false]
  const happenings = heat.round.happenings.flatMap((h) => {
    if (h.kind === 'flash') flashed = true
    if (h.kind !== 'print' || !flashed) return [h]
    flashed = false
    met++
    return met === print ? [{ kind: 'wait' as const, time: extra }, h] : [h]
  })
  const warm = heat.laps.at(-1)?.board ?? heat.round.ambient.air
  const [lap] = runLaps(
    { ...heat.round, happenings },
    1,
    heat.round.board.layers.map(() => warm),
  )
  return lap?.prints[print]?.film ?? warm
}

/** What cools a film to where it is safe to print on: empty stations, or seconds; what else where neither does. */
function cooled(heat: RunHeat, print: number): Reason {
  const { stop, name } = heat.pace
  const tries = stop === undefined ? WAITS : Array.from({ length: MOST_STOPS }, (_, i) => (i + 1) * stop)
  const at = tries.findIndex((extra) => filmAfter(heat, print, extra) <= heat.safe)
  const safe = q('temperature', heat.safe)
  const extra = tries[at]
  if (extra === undefined)
    return HEAT.because('COOL_NEVER', {
      press: name,
      safe,
      boards: q('temperature', heat.laps.at(-1)?.board ?? 0),
    })
  return stop === undefined
    ? HEAT.because('COOL_WAIT', { time: q('duration', extra), safe })
    : HEAT.because('COOL_HEADS', { heads: q('count', at + 1), time: q('duration', extra), safe })
}

/** Each print on a flashed film, in the order in which it meets the screens. */
export function stickingIn(heat: RunHeat): readonly Sticking[] {
  return (heat.laps[0]?.prints ?? []).map(({ name }, i): Sticking => {
    const of = (lap: Lap) => lap.prints[i]
    const film = Math.max(...heat.laps.map((l) => of(l)?.film ?? 0))
    const ready = Math.min(...heat.laps.map((l) => of(l)?.ready ?? 1))
    const [isHot, isUnder] = [film > heat.safe, ready < DRY]
    const cause = isHot ? (isUnder ? 'either' : 'hot') : isUnder ? 'gelled' : 'neither'
    const until = heat.laps.findLastIndex((l) => (of(l)?.ready ?? 1) < DRY) + 1
    const inputs = {
      name,
      until: q('count', Math.min(heat.pieces, until * heat.pallets)),
      film: q('temperature', film),
      safe: q('temperature', heat.safe),
      ready: q('share', Math.min(1, ready)),
    }
    const flashed = heat.flashes[Math.min(i, heat.flashes.length - 1)]
    const cold = flashed?.schedule[0]?.time ?? 0
    const longer = HEAT.because('STICK_LONGER', {
      name: flashed?.name ?? name,
      dwell: q('duration', flashed?.set ?? 0),
      needed: q('duration', cold),
    })
    // A unit that gives what it should is not what makes a gelled film tacky.
    const read = HEAT.because('STICK_READ')
    return {
      name,
      cause,
      trace: [HEAT.because(TRACES[cause], inputs)],
      letsGo: isHot ? [HEAT.because('STICK_HOT'), cooled(heat, i)] : [HEAT.because('STICK_HOT'), read],
      tacky: isUnder ? [HEAT.because('STICK_UNDER'), longer] : [HEAT.because('STICK_UNDER'), read],
    }
  })
}

const TRACES = {
  hot: 'TRACE_HOT',
  gelled: 'TRACE_UNDER',
  either: 'TRACE_EITHER',
  neither: 'TRACE_NEITHER',
} as const
