import { q } from '../advice'
import type { Press, Station } from '../equipment'
import { type Event, SEQUENCE } from '../sequence'
import type { Separation } from './hits'
import type { Cell } from './runPlan'

/**
 * Every place a garment passes, in order. By hand only what is done; on an automatic each station of the ring, once or, in
 * two laps, twice without what stays free.
 */
export function cellsOf(
  press: Press,
  events: readonly Event[],
  separations: readonly Separation[],
  wide: number,
): readonly Cell[] {
  let flash = 0
  const done = events.map((e): Cell => {
    const { station, lap } = e
    const at = { ...(station === undefined ? {} : { station }), ...(lap === undefined ? {} : { lap }) }
    return e.kind === 'flash'
      ? { kind: 'flash', ...at, flash: flash++ }
      : { kind: 'print', ...at, hitId: separations[e.hit]?.hit.id ?? '' }
  })
  if (press.kind !== 'automatic') return done
  const laps = [...new Set(done.map((c) => c.lap))]
  return laps.flatMap((lap) => {
    const cells = ringOf(
      press.stations,
      done.filter((c) => c.lap === lap),
      wide,
    )
    return lap === undefined
      ? cells
      : cells
          .filter((c) => c.kind === 'cool' || c.kind === 'covered' || done.includes(c))
          .map((c) => ({ ...c, lap }))
  })
}

/** One revolution: what is done at its stations, and what the others are. */
function ringOf(stations: readonly Station[], done: readonly Cell[], wide: number): readonly Cell[] {
  return stations.map(({ number, usable }, i): Cell => {
    const here = done.find((c) => c.station === number)
    if (here) return here
    const inputs = { station: q('count', number) }
    const over = stations.slice(Math.max(0, i - wide + 1), i).map((s) => s.number)
    if (done.some((c) => c.kind === 'flash' && over.includes(c.station ?? 0)))
      return { kind: 'covered', station: number, reasons: [SEQUENCE.because('COVERED', inputs)] }
    if (!usable) return { kind: 'down', station: number, reasons: [SEQUENCE.because('DOWN', inputs)] }
    const before = done.findLast((c) => (c.station ?? 0) < number)
    const after = done.some((c) => (c.station ?? 0) > number)
    const next = stations[i - wide]?.number
    return before?.kind === 'flash' && after && before.station === next
      ? { kind: 'cool', station: number, reasons: [SEQUENCE.because('COOL', inputs)] }
      : { kind: 'free', station: number }
  })
}
