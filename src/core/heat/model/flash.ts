import type { Share } from '../../quantity'
import { type Ambient, inRoom } from './garment'
import { type Phase, type Stack, step } from './stack'

/** Gelled: dry to the touch. */
export const GELLED: Share = 0.9
/** So much of the ink's water gone: a water-based film is dry to the touch. */
export const DRY: Share = 0.85
/** Cured so far that the next colour does not bond: plastisol, water-based. */
export const CLOSED = { plastisol: 0.3, water: 0.5 } as const
/** Seconds after the flash in which the film gels on. */
export const AFTER = 3
/** Longest dwell that is tried, s. */
export const LONGEST = 240
const STEP = 0.1
const HALVINGS = 6

export const copyOf = (s: Stack): Stack => ({
  ...s,
  holds: s.holds.slice(),
  t: s.t.slice(),
  wet: s.wet.slice(),
})

const isWater = (s: Stack) => (s.film?.water ?? 0) > 0
/** How far a film is on its way to be dry to the touch, 1 when it is. */
export const readiness = (s: Stack): number =>
  isWater(s) ? (1 - s.ink / (s.film?.water ?? 1)) / DRY : s.gel / GELLED
/** How far a film is on its way to be closed, 1 when it is. */
export const closing = (s: Stack): number => s.cure / (isWater(s) ? CLOSED.water : CLOSED.plastisol)

/** Steps of a flash stay short; where it only cools they grow, s. */
const SHORT = 0.2
const LONG = 1
/** Where a dwell is this long its tenths no longer matter, s. */
const SOON = 30
const COARSE = 0.5

/** Runs a phase on. @param begun seconds for which it has run already: a lamp comes on once */
export function last(s: Stack, phase: Phase, time: number, begun = 0): void {
  const most = phase.onTop > 0 ? SHORT : LONG
  let dt = STEP
  for (let since = 0; since < time - 1e-9; dt = Math.min(most, dt * 1.2)) {
    const now = Math.min(dt, time - since)
    step(s, phase, now, begun + since)
    since += now
  }
}

/** When a film gets somewhere, s to a fraction, and how warm its face is then, K. */
interface Reached {
  readonly time: number
  readonly film: number
}

/** Undefined when not within four minutes. */
function when(from: Stack, phase: Phase, progress: (s: Stack) => number, fine: number): Reached | undefined {
  const s = copyOf(from)
  let before = progress(s)
  let dt = fine
  for (let since = 0; since < LONGEST; since += dt) {
    if (before >= 1) return { time: since, film: s.t[0]! }
    dt = since < SOON ? fine : COARSE
    step(s, phase, dt, since)
    const now = progress(s)
    if (now >= 1) return { time: since + (dt * (1 - before)) / (now - before), film: s.t[0]! }
    before = now
  }
  return undefined
}

/**
 * Seconds of flash that a spot needs to be dry to the touch, the seconds after it counted in which it gels on.
 *
 * @returns undefined when it does not get there
 */
export function needed(from: Stack, phase: Phase, ambient: Ambient, loss: number): number | undefined {
  const most = when(from, phase, readiness, STEP)?.time
  if (most === undefined) return undefined
  const room = inRoom(ambient, loss)
  const begin = Math.max(0, most - AFTER)
  const s = copyOf(from)
  for (let since = 0; since < begin - 1e-9; since += STEP)
    step(s, phase, Math.min(STEP, begin - since), since)
  let [low, high] = [begin, most]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    const tried = copyOf(s)
    for (let since = begin; since < middle - 1e-9; since += STEP)
      step(tried, phase, Math.min(STEP, middle - since), since)
    last(tried, room, AFTER)
    if (readiness(tried) >= 1) high = middle
    else low = middle
  }
  return high
}

/** Cured: so much of the way. */
export const CURED: Share = 0.95
/** Seconds of flash after which a spot is cured; undefined when not within four minutes. */
export const cured = (from: Stack, phase: Phase): number | undefined =>
  when(from, phase, (s) => s.cure / CURED, SHORT)?.time

/** When a spot is closed, so that the next colour would not bond; undefined when it never is. */
export const closes = (from: Stack, phase: Phase): Reached | undefined => when(from, phase, closing, SHORT)
/** Seconds until then. */
export const limit = (from: Stack, phase: Phase): number | undefined => closes(from, phase)?.time
