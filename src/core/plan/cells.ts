import { because, q } from '../advice'
import type { Press } from '../equipment'
import { type Event, SEQUENCE_RULES } from '../sequence'
import type { Separation } from './hits'
import type { Cell } from './runPlan'

/** Every place a garment passes, in order. By hand only what is done; on an automatic each station of the ring. */
export function cellsOf(
  press: Press,
  events: readonly Event[],
  separations: readonly Separation[],
): readonly Cell[] {
  let flash = 0
  const done = events.map((e): Cell => {
    const station = e.station === undefined ? {} : { station: e.station }
    return e.kind === 'flash'
      ? { kind: 'flash', ...station, flash: flash++ }
      : { kind: 'print', ...station, hitId: separations[e.hit]?.hit.id ?? '' }
  })
  if (press.kind !== 'automatic') return done
  return press.stations.map(({ number, usable }, i): Cell => {
    const here = done.find((c) => c.station === number)
    if (here) return here
    const inputs = { station: q('count', number) }
    if (!usable) return { kind: 'down', station: number, reasons: [because(SEQUENCE_RULES, 'DOWN', inputs)] }
    const before = done.findLast((c) => (c.station ?? 0) < number)
    const after = done.some((c) => (c.station ?? 0) > number)
    const next = press.stations[i - 1]?.number
    return before?.kind === 'flash' && after && before.station === next
      ? { kind: 'cool', station: number, reasons: [because(SEQUENCE_RULES, 'COOL', inputs)] }
      : { kind: 'free', station: number }
  })
}
