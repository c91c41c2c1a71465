import { q, type Reason } from '../../advice'
import { REGISTRATION } from '../definition'
import type { Drift } from './drift'
import type { Pose } from './fit'

/** Nobody reads finer: a hundredth of a millimetre, of a degree. */
const FINEST = { length: 1e-5, turn: Math.PI / 18_000 } as const
const told = (x: number, finest: number) => Math.round(Math.abs(x) / finest) * finest

/** A move as whoever stands at the press sees it. */
export const moveInputs = ({ dx, dy, turn }: Pose) => ({
  dx: q('fine', told(dx, FINEST.length)),
  side: dx < 0 ? 'left' : 'right',
  dy: q('fine', told(dy, FINEST.length)),
  fore: dy < 0 ? 'towards you' : 'away from you',
  turn: q('turn', told(turn, FINEST.turn)),
  way: turn < 0 ? 'clockwise' : 'counter-clockwise',
})

/** What is known of the lock of a head, and whether it is turned against. */
export function driftSaid(drift: Drift, head: number): readonly Reason[] {
  const { locks, mean, spread, against, changedAt } = drift
  if (locks === 0) return []
  const of = { head: q('count', head), locks: q('count', locks) }
  const isSure = against.dx !== 0 || against.dy !== 0 || against.turn !== 0
  return [
    ...(changedAt === undefined
      ? []
      : [REGISTRATION.because('AID_OTHER', { ...of, lock: q('count', changedAt) })]),
    REGISTRATION.because('AID_LOCKS', {
      ...of,
      ...moveInputs(mean),
      spread: q('fine', Math.hypot(spread.dx, spread.dy)),
    }),
    REGISTRATION.because(isSure ? 'AID_AGAINST' : 'AID_UNSURE', of),
  ]
}

/** How far a screen moved in the lock that was just read. */
export const lockSaid = (moved: Pose): Reason => REGISTRATION.because('AID_MOVED', moveInputs(moved))
