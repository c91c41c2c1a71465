import { inverse, Matrix } from 'ml-matrix'
import type { Length } from '../../quantity'
import type { Pose } from './fit'
import { CLAMPED_HEAD, type Head, headAt, type Place } from './knobs'

/** What turns of the knobs of a head did to a screen: read before and after, metres and radians, as the operator sees it. */
export interface HeadTurn extends Pose {
  readonly pressId: string
  readonly head: number
  /** ISO. */
  readonly at: string
  /** Turns of each knob, clockwise more than nothing. */
  readonly left: number
  readonly right: number
  readonly side: number
  /** Turned back without going past and up to it again: the play is lost in the move. */
  readonly back: boolean
  /** Centre of the art from the middle of the frame's clamped end. */
  readonly x: Length
  readonly y: Length
}

/** More turns than any head has, and a move farther than any makes: metres, radians. */
export const MOST_TURN = { turns: 20, move: 0.03, turn: 0.2, from: 2 } as const

/** How a head is adjusted, as far as is known. */
export interface KnownKnobs {
  /** From the middle of the frame's clamped end. */
  readonly head: Head
  /** Moves it was learnt from; 0 is assumed. */
  readonly moves: number
}

const MM = 1e-3
/** Turns count as metres at this distance from the centre of the art. */
const ARM: Length = 150 * MM
/** How far two fits of four marks read by eye lie apart by the reading alone, one standard deviation: dx, dy, turn at the arm. */
const READ = [0.07 * MM, 0.07 * MM, 0.06 * MM] as const
/** How far the adjusters of a head may stand from where they usually do, one standard deviation (assumed); a thread is cut true. */
const PRIOR = { across: 12 * MM, behind: 20 * MM, pitch: 0.01, play: 0.1 * MM } as const
/** More play than any head has that can be registered (assumed). */
const MOST_PLAY: Length = 0.8 * MM
/** Threads that adjusters have: metric ones, and sixteen and twelve to the inch (common practice, no source). */
const THREADS: readonly Length[] = [1.25, 1, 1.5, 25.4 / 16, 1.75, 2, 25.4 / 12].map((t) => t * MM)
/** A move this unlikely was noted wrong, and counts less (1 % of a chi-square of three). */
const ODD = 11.3
const ROUNDS = 8
const STEP = 1e-4
/** Moves before these tell of a head as it was. */
const COUNTED = 60

type Senses = readonly [number, number, number]

const turnsOf = ({ left, right, side }: HeadTurn): readonly [number, number, number] => [left, right, side]

/** Which way each knob moves the screen: the way the moves agree on. */
function sensesOf(moves: readonly HeadTurn[]): Senses {
  const sums = [0, 0, 0]
  for (const m of moves) {
    const { knobs } = headAt(CLAMPED_HEAD, m)
    knobs.forEach((k, i) => {
      const travel = k.along === 'x' ? m.dx - k.y * m.turn : m.dy + k.x * m.turn
      sums[i] = (sums[i] ?? 0) + travel * (turnsOf(m)[i] ?? 0)
    })
  }
  return sums.map((s) => (s < 0 ? -1 : 1)) as unknown as Senses
}

/** A head by seven numbers that are 0 for the usual one, each in its own spread. */
function headBy(u: readonly number[], thread: Length, senses: Senses): Head {
  const at = (i: number) => u[i] ?? 0
  const [left, right, side] = CLAMPED_HEAD.knobs
  const cut = (i: 0 | 1 | 2): Length => senses[i] * thread * (1 + PRIOR.pitch * at(3 + i))
  return {
    ...CLAMPED_HEAD,
    play: Math.min(MOST_PLAY, Math.max(0, CLAMPED_HEAD.play + PRIOR.play * at(6))),
    knobs: [
      { ...left, x: left.x + PRIOR.across * at(0), pitch: cut(0) },
      { ...right, x: right.x + PRIOR.across * at(1), pitch: cut(1) },
      { ...side, y: side.y + PRIOR.behind * at(2), pitch: cut(2) },
    ],
  }
}

/** Turns of the three knobs. */
export type KnobTurns = Pick<HeadTurn, 'left' | 'right' | 'side' | 'back'>

const CENTRE: Place = { x: 0, y: 0 }

/**
 * Where turns bring a screen: `turnedBy` in closed form, less the play where they end the other way.
 *
 * @param from the point that the pose is of, as the knobs of the head are given
 */
export function moveBy(
  { knobs: [left, right, side], play }: Head,
  turns: KnobTurns,
  from: Place = CENTRE,
): Pose {
  const by = (pitch: Length, n: number): Length => {
    const travel = pitch * n
    return Math.sign(travel) * Math.max(0, Math.abs(travel) - (turns.back ? play : 0))
  }
  const [byLeft, byRight] = [by(left.pitch, turns.left), by(right.pitch, turns.right)]
  const turn = (byRight - byLeft) / (right.x - left.x)
  return {
    dx: by(side.pitch, turns.side) + turn * (side.y - from.y),
    dy: byLeft - turn * (left.x - from.x),
    turn,
  }
}

/** What a move was off from what such a head would have made, in spreads of its reading. */
function offOf(move: HeadTurn, head: Head): readonly number[] {
  const made = moveBy(head, move, move)
  return [
    (move.dx - made.dx) / READ[0],
    (move.dy - made.dy) / READ[1],
    ((move.turn - made.turn) * ARM) / READ[2],
  ]
}

/** A head that fits moves, and how badly: squares of what is left and of how far it is from the usual one. */
interface Fitted {
  readonly head: Head
  readonly cost: number
}

/** Least squares about the usual head (Gauss-Newton with a prior), wrong notes counting less. */
function fitted(moves: readonly HeadTurn[], thread: Length, senses: Senses): Fitted {
  let u: readonly number[] = [0, 0, 0, 0, 0, 0, 0]
  for (let round = 0; round < ROUNDS; round++) {
    const normal = Matrix.eye(u.length)
    const pull = Matrix.columnVector(u.map((x) => -x))
    const head = headBy(u, thread, senses)
    const beside = u.map((_, i) =>
      headBy(
        u.map((x, j) => (i === j ? x + STEP : x)),
        thread,
        senses,
      ),
    )
    for (const move of moves) {
      const off = offOf(move, head)
      const weight = weightOf(dot(off, off))
      const slopes = beside.map((h) => offOf(move, h).map((r, n) => (r - (off[n] ?? 0)) / STEP))
      for (let i = 0; i < u.length; i++) {
        for (let j = 0; j < u.length; j++)
          normal.set(i, j, normal.get(i, j) + weight * dot(slopes[i], slopes[j]))
        pull.set(i, 0, pull.get(i, 0) - weight * dot(slopes[i], off))
      }
    }
    const by = inverse(normal).mmul(pull)
    u = u.map((x, i) => Math.max(-MOST_OFF, Math.min(MOST_OFF, x + by.get(i, 0))))
  }
  const head = headBy(u, thread, senses)
  const left = moves.reduce((sum, m) => {
    const d2 = dot(offOf(m, head), offOf(m, head))
    return sum + (d2 > ODD ? ODD * (1 + Math.log(d2 / ODD)) : d2)
  }, 0)
  return { head, cost: left + dot(u, u) }
}

const weightOf = (d2: number): number => (d2 > ODD ? ODD / d2 : 1)

/**
 * How a head is adjusted, from what turns of its knobs did: two full turns of each, or every round of a set-up.
 *
 * @param noted moves of one head, oldest first
 */
export function knobsOf(noted: readonly HeadTurn[]): KnownKnobs {
  const moves = noted.slice(-COUNTED)
  if (moves.length === 0) return { head: CLAMPED_HEAD, moves: 0 }
  const senses = sensesOf(moves)
  const found = THREADS.map((thread) => fitted(moves, thread, senses))
  const best = found.reduce((a, b) => (b.cost < a.cost ? b : a))
  return { head: best.head, moves: noted.length }
}

/** Farther from the usual head no head is believed to be, in spreads: its knobs keep their sides and their sense. */
const MOST_OFF = 8

const dot = (a: readonly number[] = [], b: readonly number[] = []): number =>
  a.reduce((sum, x, i) => sum + x * (b[i] ?? 0), 0)

/** The centre of a print from the middle of the frame's clamped end, as the operator sees it. @param position in its frame */
export function centreOf(
  position: {
    readonly top: Length
    readonly height: Length
    readonly side: Length
    readonly frameHeight: Length
  },
  collarTowards: boolean,
): Place {
  const { top, height, side, frameHeight } = position
  const fromCollarEnd = top + height / 2
  return collarTowards ? { x: -side, y: -(frameHeight - fromCollarEnd) } : { x: side, y: -fromCollarEnd }
}
