import { type Pose, registrationAid, USUAL_HEAD } from '@/core/registration'
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
): number {
  seated(head)
  for (let round = 0; round < most; round++) {
    // Only what is read before it is locked has the lock before it.
    const told = registrationAid(head.read(marks, spread), USUAL_HEAD, round === 0 ? aim : undefined)
    if ('missing' in told || told.stop || told.leave) return round
    head.unlock()
    for (const [knob, { moves }] of told.correction.turns.entries()) for (const m of moves) head.turn(knob, m)
    head.lock()
  }
  return most
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
