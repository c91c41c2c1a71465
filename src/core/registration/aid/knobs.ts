import { inverse, Matrix } from 'ml-matrix'
import type { Length } from '../../quantity'
import type { Pose } from './fit'

/** A point of the art from its centre, metres. */
export interface Place {
  readonly x: Length
  readonly y: Length
}

/** One adjuster of a head: where it acts from the centre of the art, along which way, metres. */
export interface Knob {
  readonly name: string
  readonly x: Length
  readonly y: Length
  readonly along: 'x' | 'y'
  /** Metres a turn clockwise, to the right or away from the operator; below 0 where it is cut the other way. */
  readonly pitch: Length
}

/** How a head is adjusted (assumed until the shop says its own). */
export interface Head {
  readonly knobs: readonly [left: Knob, right: Knob, side: Knob]
  /** Turns are told in this part of one. */
  readonly step: number
  /** Metres that a knob turns without moving anything. */
  readonly play: Length
}

const MM = 1e-3
const PITCH = 1.25 * MM
/** Two knobs fore and aft, one sideways, from the middle of the frame's clamped end (assumed). */
export const CLAMPED_HEAD: Head = {
  knobs: [
    { name: 'left', x: -260 * MM, y: 85 * MM, along: 'y', pitch: PITCH },
    { name: 'right', x: 260 * MM, y: 85 * MM, along: 'y', pitch: PITCH },
    { name: 'side', x: 0, y: 85 * MM, along: 'x', pitch: PITCH },
  ],
  step: 1 / 8,
  play: 0.1 * MM,
}

/** The centre of a usual full front, from the middle of the frame's clamped end. */
export const USUAL_CENTRE: Place = { x: 0, y: -335 * MM }

/** A head as seen from the centre of an art. @param centre from the middle of the frame's clamped end, metres */
export const headAt = (head: Head, centre: Place): Head => ({
  ...head,
  knobs: head.knobs.map((k) => ({ ...k, x: k.x - centre.x, y: k.y - centre.y })) as unknown as Head['knobs'],
})

export const USUAL_HEAD: Head = headAt(CLAMPED_HEAD, USUAL_CENTRE)

/** Travel of a knob for a move of the screen, metres; exact for any turn. */
const travelOf = ({ x, y, along }: Knob, { dx, dy, turn }: Pose): Length => {
  const [c, s] = [Math.cos(turn) - 1, Math.sin(turn)]
  return along === 'x' ? dx + c * x - s * y : dy + s * x + c * y
}

/** Where the screen goes for travels of the three knobs, metres (small turns). */
export function movedBy({ knobs }: Head, travel: readonly Length[]): Pose {
  const rows = new Matrix(knobs.map((k) => (k.along === 'x' ? [1, 0, -k.y] : [0, 1, k.x])))
  const found = inverse(rows).mmul(Matrix.columnVector([...travel]))
  return { dx: found.get(0, 0), dy: found.get(1, 0), turn: found.get(2, 0) }
}

/** Where the screen goes for turns of the three knobs (small turns). */
export const turnedBy = (head: Head, turns: readonly number[]): Pose =>
  movedBy(
    head,
    head.knobs.map((k, i) => k.pitch * (turns[i] ?? 0)),
  )

/** What to turn: whole, in the head's steps, and as it is done so that every move ends the same way. */
export interface Turns {
  readonly knob: Knob
  /** Exact, and in steps of the head. */
  readonly exact: number
  readonly turns: number
  /** As it is turned: back past the mark and up to it where it goes back. */
  readonly moves: readonly number[]
}

/** What is turned, and how the screen lies then. */
export interface Correction {
  readonly turns: readonly Turns[]
  readonly left: Pose
}

/** One pose as another sees it. */
export const less = (a: Pose, b: Pose): Pose => ({ dx: a.dx - b.dx, dy: a.dy - b.dy, turn: a.turn - b.turn })
const CENTRE: Place = { x: 0, y: 0 }

/** Root mean square of what a pose misses at the centre of the art and at places of it. */
export function missOver({ dx, dy, turn }: Pose, places: readonly Place[]): Length {
  const all = [CENTRE, ...places]
  return Math.sqrt(
    all.reduce((sum, { x, y }) => sum + (dx - y * turn) ** 2 + (dy + x * turn) ** 2, 0) / all.length,
  )
}

/** A move that goes back goes past it and up to it: the play is always taken up the same way. */
function movesOf(turns: number, pitch: Length, { step, play }: Head): readonly number[] {
  if (turns === 0) return []
  if (turns > 0) return [turns]
  const over = Math.max(1 / 4, Math.ceil((play / Math.abs(pitch) + step) / step - 1e-9) * step)
  return [turns - over, over]
}

export const STILL: Pose = { dx: 0, dy: 0, turn: 0 }

/**
 * Turns that bring a screen onto its target, rounded together so that least is left at the centre and the places given.
 *
 * @param aim where it has to lie before it is locked, so that it lies right after
 */
export function correct(lies: Pose, head: Head, places: readonly Place[], aim: Pose = STILL): Correction {
  const pose = less(lies, aim)
  const back: Pose = { dx: -pose.dx, dy: -pose.dy, turn: -pose.turn }
  const exact = head.knobs.map((k) => travelOf(k, back) / k.pitch)
  const ways = exact.map((t) =>
    [Math.floor(t / head.step), Math.ceil(t / head.step)].map((n) => n * head.step),
  )
  let best: { readonly turns: readonly number[]; readonly left: Pose; readonly miss: number } | undefined
  for (const a of ways[0] ?? [])
    for (const b of ways[1] ?? [])
      for (const c of ways[2] ?? []) {
        const to = turnedBy(head, [a, b, c])
        const left = { dx: pose.dx + to.dx, dy: pose.dy + to.dy, turn: pose.turn + to.turn }
        const miss = missOver(left, places)
        if (!best || miss < best.miss) best = { turns: [a, b, c], left, miss }
      }
  const { turns = [], left = pose } = best ?? {}
  return {
    left,
    turns: head.knobs.map((knob, i) => ({
      knob,
      exact: exact[i] ?? 0,
      turns: turns[i] ?? 0,
      moves: movesOf(turns[i] ?? 0, knob.pitch, head),
    })),
  }
}
