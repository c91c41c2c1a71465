import { q, type Reason } from '../../advice'
import { REGISTRATION } from '../definition'
import { moveInputs } from './driftSaid'
import type { Pose } from './fit'
import { type KnobTurns, type KnownKnobs, moveBy } from './headLearn'
import { type Head, type Knob, less, missOver, type Place, type Turns } from './knobs'

/** Which way a knob moves the screen when it is turned clockwise. */
export const wayOf = ({ along, pitch }: Knob): string =>
  along === 'x' ? (pitch < 0 ? 'to the left' : 'to the right') : pitch < 0 ? 'towards you' : 'away from you'

/** Why a knob is turned by so much. */
export const turnSaid = ({ knob, exact, turns }: Turns, moves: number): Reason => {
  const inputs = {
    name: knob.name,
    exact: q('turns', exact),
    turns: q('turns', turns),
    pitch: q('fine', Math.abs(knob.pitch)),
    way: wayOf(knob),
  }
  return moves === 0
    ? REGISTRATION.because('AID_KNOB', inputs)
    : REGISTRATION.because('AID_KNOB_KNOWN', { ...inputs, moves: q('count', moves) })
}

/** Nobody knows it finer than to some millimetres. */
const whole = (metres: number) => Math.round(metres * 1000) / 1000

/** What is known of the knobs of a head. */
export function knobsSaid({ head: { knobs, play }, moves }: KnownKnobs, head: number): readonly Reason[] {
  const [left, right, side] = knobs
  const of = {
    head: q('count', head),
    left: q('length', whole(-left.x)),
    right: q('length', whole(right.x)),
    side: q('length', whole(side.y)),
    pitch: q('fine', knobs.reduce((sum, k) => sum + Math.abs(k.pitch), 0) / knobs.length),
    play: q('fine', Math.round(play * 1e5) / 1e5),
  }
  if (moves === 0) return [REGISTRATION.because('HEAD_USUAL', of)]
  return [
    REGISTRATION.because('HEAD_KNOWN', { ...of, moves: q('count', moves) }),
    ...knobs
      .filter((k) => k.pitch < 0)
      .map((k) => REGISTRATION.because('HEAD_SENSE', { head: of.head, name: k.name, way: wayOf(k) })),
  ]
}

/**
 * What turns did, against what they should have done.
 *
 * @param head as seen from the centre of the art
 * @param places where it is asked how far that is off
 */
export function turnedSaid(
  moved: Pose,
  turns: KnobTurns,
  head: Head,
  places: readonly Place[],
): readonly Reason[] {
  const should = moveBy(head, turns)
  return [
    REGISTRATION.because('HEAD_TURNED', moveInputs(moved)),
    REGISTRATION.because('HEAD_SHOULD', {
      ...moveInputs(should),
      off: q('fine', missOver(less(moved, should), places)),
    }),
  ]
}
