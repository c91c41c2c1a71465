import {
  type Head,
  type HeadTurn,
  headAt,
  knobsOf,
  less,
  type Pose,
  registrationAid,
  USUAL_CENTRE,
  USUAL_HEAD,
} from '@/core/registration'
import type { SimulatedHead } from './simulatedHead'

const MM = 1e-3
/** Marks 10 mm outside of a print. */
export const marksAt = (width: number, height: number) => [
  { name: 'left', x: -width / 2 - 10 * MM, y: 0 },
  { name: 'right', x: width / 2 + 10 * MM, y: 0 },
  { name: 'top', x: 0, y: height / 2 + 10 * MM },
  { name: 'bottom', x: 0, y: -height / 2 - 10 * MM },
]
type Marks = ReturnType<typeof marksAt>

/** The play is taken up before anything is read. */
function seated(head: SimulatedHead): void {
  for (const knob of [0, 1, 2]) {
    head.turn(knob, -1 / 4)
    head.turn(knob, 1 / 4)
  }
}

/** Reads, turns as told and locks, until it is told to leave it or to stop. @returns rounds that were turned */
export function byTheAid(
  head: SimulatedHead,
  marks: Marks,
  spread: number,
  most: number,
  aim?: Pose,
  known: Head = USUAL_HEAD,
): number {
  seated(head)
  for (let round = 0; round < most; round++) {
    // Only what is read before it is locked has the lock before it.
    const told = registrationAid(head.read(marks, spread), known, round === 0 ? aim : undefined)
    if ('missing' in told || told.stop || told.leave) return round
    head.unlock()
    for (const [knob, { moves }] of told.correction.turns.entries()) for (const m of moves) head.turn(knob, m)
    head.lock()
  }
  return most
}

/** Two full turns of each knob, marks read before and after; @returns the head as it is learnt, from the centre of the art */
export function calibrated(head: SimulatedHead, marks: Marks, spread: number): Head {
  seated(head)
  const pose = (): Pose => {
    const told = registrationAid(head.read(marks, spread), USUAL_HEAD)
    if ('missing' in told) throw new Error('All marks were read')
    return told.pose
  }
  const tried = ([left, right, side]: readonly [number, number, number]): HeadTurn => {
    const before = pose()
    for (const [knob, turns] of [left, right, side].entries()) if (turns !== 0) head.turn(knob, turns)
    const moved = less(pose(), before)
    return { pressId: '', head: 1, at: '', left, right, side, back: false, ...USUAL_CENTRE, ...moved }
  }
  const { head: found } = knobsOf([tried([2, 0, 0]), tried([0, 2, 0]), tried([0, 0, 2])])
  return headAt(found, USUAL_CENTRE)
}

/** By hand: left mark right with its knob, right mark with its own, then across; a print before each, so many rounds. */
export function byHand(head: SimulatedHead, marks: Marks, spread: number, rounds: number): void {
  const { knobs, step } = USUAL_HEAD
  const turn = (knob: 0 | 1 | 2, off: number) =>
    head.turn(knob, Math.round(-off / knobs[knob].pitch / step) * step)
  for (let round = 0; round < rounds; round++) {
    head.unlock()
    turn(0, head.read(marks, spread)[0]?.dy ?? 0)
    turn(1, head.read(marks, spread)[1]?.dy ?? 0)
    const [, , top, bottom] = head.read(marks, spread)
    turn(2, ((top?.dx ?? 0) + (bottom?.dx ?? 0)) / 2)
    head.lock()
  }
}
