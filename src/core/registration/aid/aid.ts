import { q, type Reason } from '../../advice'
import type { Length } from '../../quantity'
import { REGISTRATION } from '../definition'
import { moveInputs } from './driftSaid'
import { type Explained, explain, linesOf, type MarkReading, missing, offAt, type Pose, poseOf } from './fit'
import { type Correction, correct, type Head, less, missOver, type Place, STILL } from './knobs'
import { type Verdict, verdictOn } from './verdict'

/** What the marks of a screen come to. */
export interface Aid {
  readonly pose: Pose
  readonly correction: Correction
  /** Nothing is to be turned: it lies within what readings and steps can tell. */
  readonly leave: boolean
  /** A move does not mend it: look at the screen first. */
  readonly stop: boolean
  /** Root mean square over centre and marks, as it lies and as it will lie. */
  readonly miss: Length
  readonly left: Length
  readonly reasons: readonly Reason[]
}

/** What is still to be read before anything can be said. */
export interface Unread {
  readonly missing: Reason
}

/** Within this many spreads of its own fit a screen is left alone. */
const SURE = 1.5

/**
 * What to turn for what the marks show.
 *
 * @param marks as the operator sees them; what was not read is left out
 * @param aim where the screen has to lie now: against what locking it will do; on its target without
 * @param allows what the job forgives, metres: within it nothing has to be turned
 */
export function registrationAid(
  marks: readonly MarkReading[],
  head: Head,
  aim = STILL,
  allows?: Length,
): Aid | Unread {
  const lines = linesOf(marks)
  const found = explain(lines)
  if (!found) return { missing: REGISTRATION.because(MISSING[missing(lines)]) }
  const pose = poseOf(found)
  const edge = Math.max(...marks.map((m) => Math.hypot(m.x, m.y)))
  const verdict = verdictOn(lines, edge)
  const correction = correct(pose, head, marks, aim)
  const most = worstAt(found, marks, aim)
  const holds = allows !== undefined && most <= allows
  const leave =
    holds ||
    isLeft(found, marks, (head.step * finestOf(head)) / 2, aim) ||
    correction.turns.every((t) => t.turns === 0)
  const spread = Math.max(...marks.map((m) => sdAt(found, m)))
  const lies = REGISTRATION.because('AID_LIES', { ...moveInputs(pose), spread: q('fine', spread) })
  const [miss, left] = [missOver(less(pose, aim), marks), missOver(correction.left, marks)]
  const turned = leave
    ? holds
      ? REGISTRATION.because('AID_HOLDS', { worst: q('fine', most), allows: q('fine', allows) })
      : REGISTRATION.because('AID_LEAVE')
    : REGISTRATION.because('AID_LEFT', { before: q('fine', miss), left: q('fine', left) })
  return {
    pose,
    correction,
    leave: leave && verdict.kind === 'fine',
    stop: verdict.kind !== 'fine',
    miss,
    left,
    reasons: [lies, ...told(verdict, marks, edge), ...(verdict.kind === 'fine' ? [turned] : [])],
  }
}

const finestOf = (head: Head): Length => Math.min(...head.knobs.map((k) => Math.abs(k.pitch)))

const MISSING = { x: 'AID_NO_X', y: 'AID_NO_Y', apart: 'AID_FEW' } as const

const sdAt = (found: Explained, { x, y }: Place): Length => {
  const { sdX, sdY } = offAt(found, x, y)
  return Math.hypot(sdX, sdY)
}

/** How far off any mark may lie, as sure as readings are. */
const worstAt = (found: Explained, places: readonly Place[], aim: Pose): Length =>
  Math.max(
    ...places.map((p) => {
      const { dx, dy } = offAt(found, p.x, p.y)
      return Math.hypot(dx - aim.dx + p.y * aim.turn, dy - aim.dy - p.x * aim.turn) + SURE * sdAt(found, p)
    }),
  )

const isLeft = (found: Explained, places: readonly Place[], step: Length, aim: Pose): boolean =>
  places.every((p) => {
    const { dx, dy } = offAt(found, p.x, p.y)
    const [wantedX, wantedY] = [aim.dx - p.y * aim.turn, aim.dy + p.x * aim.turn]
    return Math.hypot(dx - wantedX, dy - wantedY) < Math.max(step, SURE * sdAt(found, p))
  })

/** What a move does not mend, with the likely cause. */
function told(verdict: Verdict, marks: readonly MarkReading[], edge: Length): readonly Reason[] {
  switch (verdict.kind) {
    case 'fine':
      return []
    case 'scale':
    case 'aniso':
    case 'shear':
      return [
        REGISTRATION.because(STRAINS[verdict.kind], { edge: q('fine', Math.abs(verdict.strain) * edge) }),
      ]
    case 'sign':
      return [
        REGISTRATION.because('AID_SIGN', {
          name: marks[verdict.line.mark]?.name ?? '',
          way: verdict.line.axis === 'x' ? 'left or right' : 'towards or away',
        }),
      ]
    case 'mark':
      return [REGISTRATION.because('AID_MARK', { name: marks[verdict.mark]?.name ?? '' })]
    case 'bent':
      return [REGISTRATION.because('AID_BENT')]
    case 'mixed':
      return [REGISTRATION.because('AID_MIXED')]
    default:
      return verdict satisfies never
  }
}

const STRAINS = { scale: 'AID_SCALE', aniso: 'AID_ANISO', shear: 'AID_SHEAR' } as const
