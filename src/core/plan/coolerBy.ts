import { q, type Reason } from '../advice'
import { runLaps } from '../heat'
import { TROUBLE } from '../trouble'
import type { RunHeat } from './runHeat'

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

/**
 * What cools the film under a screen to where it is safe to print on: empty stations of an automatic, or seconds; what else, where
 * neither does. Nothing where it is safe along the whole run.
 *
 * @param name of the screen; the warmest print on a flashed film where it lies on none
 */
export function coolerBy(heat: RunHeat, name: string): readonly Reason[] {
  const prints = heat.laps.at(-1)?.prints ?? []
  const warmest = prints.reduce((best, p, i) => (p.film > (prints[best]?.film ?? 0) ? i : best), 0)
  const named = prints.findIndex((p) => p.name === name)
  const print = named < 0 ? warmest : named
  if ((prints[print]?.film ?? 0) <= heat.safe) return []
  const { stop, name: press } = heat.pace
  const tries = stop === undefined ? WAITS : Array.from({ length: MOST_STOPS }, (_, i) => (i + 1) * stop)
  const at = tries.findIndex((extra) => filmAfter(heat, print, extra) <= heat.safe)
  const safe = q('temperature', heat.safe)
  const extra = tries[at]
  if (extra === undefined)
    return [
      TROUBLE.because('SIDE_COOL_NEVER', {
        press,
        safe,
        boards: q('temperature', heat.laps.at(-1)?.board ?? 0),
      }),
    ]
  const time = q('duration', extra)
  return [
    stop === undefined
      ? TROUBLE.because('SIDE_COOL_WAIT', { time, safe })
      : TROUBLE.because('SIDE_COOL_HEADS', { heads: q('count', at + 1), time, safe }),
  ]
}
