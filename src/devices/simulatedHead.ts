import { randomLcg, randomNormal, randomUniform } from 'd3-random'
import type { Length } from '@/core/quantity'
import { type Head, type MarkReading, movedBy, type Place, type Pose, USUAL_HEAD } from '@/core/registration'

/** A screen in its head, however it is read and turned. */
export interface PressHead {
  readonly name: string
  /** What its marks show now, each with the spread that such a reading has. */
  readonly read: (
    marks: readonly (Place & { readonly name: string })[],
    spread: Length,
  ) => readonly MarkReading[]
  /** Turns one knob; more than nothing is clockwise. */
  readonly turn: (knob: number, turns: number) => void
  readonly lock: () => void
  readonly unlock: () => void
}

/** What is true of a simulated head and nobody at the press knows. */
export interface Truth {
  readonly head: Head
  readonly start: Pose
  /** How it moves when it is locked: on average, and one standard deviation (the turn as metres at 150 mm). */
  readonly drift: Pose
  readonly scatter: Length
  /** A slack screen bows so far at the edge of its art. */
  readonly bow?: Length
}

const MM = 1e-3
/** Where a turn is counted as a length. */
const ARM: Length = 150 * MM

export interface SimulatedHead extends PressHead {
  /** Where the screen truly lies. */
  readonly lies: () => Pose
}

/** A head with play in its knobs, adjusters that are not where a drawing has them, and a lock that moves it. */
export function simulatedHead(truth: Truth, seed = 1): SimulatedHead {
  const source = randomLcg(seed)
  const noise = randomNormal.source(source)(0, 1)
  const { head, start, drift, scatter, bow = 0 } = truth
  /** Where each nut is, and the frame that it pushes: it lags by the play. */
  const nuts = [0, 0, 0]
  const pushed = [0, 0, 0]
  let locked: Pose = { dx: 0, dy: 0, turn: 0 }
  const lies = (): Pose => {
    const by = movedBy(head, pushed)
    return {
      dx: start.dx + by.dx + locked.dx,
      dy: start.dy + by.dy + locked.dy,
      turn: start.turn + by.turn + locked.turn,
    }
  }
  return {
    name: 'Simulated head',
    lies,
    turn: (knob, turns) => {
      const nut = (nuts[knob] ?? 0) + turns * (head.knobs[knob]?.pitch ?? 0)
      nuts[knob] = nut
      const half = head.play / 2
      pushed[knob] = Math.min(nut + half, Math.max(nut - half, pushed[knob] ?? 0))
    },
    lock: () => {
      locked = {
        dx: drift.dx + scatter * noise(),
        dy: drift.dy + scatter * noise(),
        turn: drift.turn + (scatter * noise()) / ARM,
      }
    },
    unlock: () => {
      locked = { dx: 0, dy: 0, turn: 0 }
    },
    read: (marks, spread) => {
      const { dx, dy, turn } = lies()
      const edge = Math.max(...marks.map((m) => Math.abs(m.x)), MM)
      return marks.map(({ name, x, y }) => ({
        name,
        x,
        y,
        dx: dx - y * turn + spread * noise(),
        dy: dy + x * turn + bow * (x / edge) ** 2 + spread * noise(),
        spread,
      }))
    },
  }
}

/**
 * A head as they stand in a shop: clamped by hand (1.5 mm, 0.23 degrees), adjusters up to 12 and 20 mm from where a drawing has
 * them, a lock that moves it by some tenths (assumed).
 *
 * @param bow of a slack screen at the edge of its art
 */
export function someHead(seed: number, bow: Length = 0): SimulatedHead {
  const source = randomLcg(seed)
  const normal = randomNormal.source(source)(0, 1)
  const even = randomUniform.source(source)(-1, 1)
  const knobs = USUAL_HEAD.knobs.map((k) => ({
    ...k,
    x: k.x + 12 * MM * even(),
    y: k.y + 20 * MM * even(),
  })) as unknown as Head['knobs']
  const start = { dx: 1.5 * MM * normal(), dy: 1.5 * MM * normal(), turn: 0.004 * normal() }
  const drift = { dx: 0.1 * MM * normal(), dy: 0.1 * MM * normal(), turn: 0 }
  return simulatedHead(
    { head: { ...USUAL_HEAD, knobs }, start, drift, scatter: 0.04 * MM, ...(bow !== 0 && { bow }) },
    seed + 1,
  )
}
