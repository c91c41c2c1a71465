import { q, type Reason } from '../advice'
import { type Angle, type Length, mm, type Share } from '../quantity'
import type { Pose } from './aid/fit'
import { REGISTRATION } from './definition'

/** What two screens may differ by, as standard deviations: shifts, turn, and stretch per length. */
interface Part {
  readonly x: Length
  readonly y: Length
  readonly turn: Angle
  /** Covariance of the shift across with the turn. */
  readonly together: number
  readonly stretchX: Share
  readonly stretchY: Share
  /** How often it counts between two screens registered on one film, and on the printed base. */
  readonly common: number
  readonly direct: number
  /** Of a set-up, the same for all its pieces; or of each piece. */
  readonly level: 'set-up' | 'piece'
}

/** Variances at a point, square metres. */
export interface Spread2 {
  readonly xx: number
  readonly yy: number
  readonly xy: number
}

/** By eye on paper; four marks (assumed). */
const READING = mm(0.1)
/** From the edge of the art to the marks. */
const MARK_GAP = mm(10)
/** Usual press: knobs of 1.25 mm a turn set to eighths, half apart and distance to the art's centre (assumed). */
const PITCH = mm(1.25)
const STEP = 1 / 8
const HALF_APART = mm(260)
const TO_KNOBS = mm(420)

const part = (sd: Partial<Part>, common: number, direct: number, level: Part['level'] = 'set-up'): Part => ({
  x: 0,
  y: 0,
  turn: 0,
  together: 0,
  stretchX: 0,
  stretchY: 0,
  ...sd,
  common,
  direct,
  level,
})

/** What is known of a press in place of what is assumed. */
export interface KnownPress {
  /** How far locking moves a screen, one standard deviation, beside what is turned against: metres, radians. */
  readonly locking?: Pose
}

/** One standard deviation of a pose that is read off the four marks of a print, by eye on paper. */
export function readingSpread(width: Length, height: Length): Pose {
  const [a, b] = [width / 2 + MARK_GAP, height / 2 + MARK_GAP]
  return { dx: READING / 2, dy: READING / 2, turn: READING / Math.sqrt(2 * a * a + 2 * b * b) }
}

/** The parts of a registration error (assumed; each shop's own replace them). */
function partsOf(width: Length, height: Length, { locking }: KnownPress): Readonly<Record<string, Part>> {
  const read = readingSpread(width, height)
  const rounded = (PITCH * STEP) / Math.sqrt(12)
  const roundTurn = (rounded * Math.SQRT2) / (2 * HALF_APART)
  return {
    reading: part({ x: read.dx, y: read.dy, turn: read.turn }, 2, 1),
    rounding: part(
      {
        x: Math.hypot(rounded, TO_KNOBS * roundTurn),
        y: rounded / Math.SQRT2,
        turn: roundTurn,
        together: TO_KNOBS * roundTurn ** 2,
      },
      2,
      1,
    ),
    locking: part(
      locking
        ? { x: locking.dx, y: locking.dy, turn: locking.turn }
        : { x: mm(0.06), y: mm(0.06), turn: mm(0.06) / mm(150) },
      2,
      1,
    ),
    strain: part({ stretchX: 2e-4, stretchY: 2e-4 }, 2, 2),
    index: part({ x: mm(0.03), y: mm(0.03), turn: mm(0.03) / mm(400) }, 2, 2, 'piece'),
    cloth: part({ x: mm(0.04), y: mm(0.04), stretchX: 1.5e-4, stretchY: 1.5e-4 }, 1, 1, 'piece'),
  }
}

function spreadAt(p: Part, x: Length, y: Length): Spread2 {
  return {
    xx: p.x ** 2 - 2 * y * p.together + (y * p.turn) ** 2 + (x * p.stretchX) ** 2,
    yy: p.y ** 2 + (x * p.turn) ** 2 + (y * p.stretchY) ** 2,
    xy: x * p.together - x * y * p.turn ** 2,
  }
}

const added = (parts: readonly (readonly [number, Spread2])[]): Spread2 => ({
  xx: parts.reduce((s, [k, c]) => s + k * c.xx, 0),
  yy: parts.reduce((s, [k, c]) => s + k * c.yy, 0),
  xy: parts.reduce((s, [k, c]) => s + k * c.xy, 0),
})

/** Variances along and across the longer axis of a spread. */
export function axes({ xx, yy, xy }: Spread2): readonly [number, number] {
  const mean = (xx + yy) / 2
  const half = Math.hypot((xx - yy) / 2, xy)
  return [mean + half, Math.max(mean - half, 1e-18)]
}

const PHASES = 64

/**
 * Share of pieces that miss by more than `r` when misses spread like this about nothing (published: normal distribution;
 * the mean over directions of exp(-r2 / 2 s2)).
 */
export function missBeyond(spread: Spread2, r: Length): Share {
  const [major, minor] = axes(spread)
  let sum = 0
  for (let i = 0; i < PHASES; i++) {
    const phi = ((i + 0.5) * Math.PI) / PHASES
    sum += Math.exp(-(r * r) / (2 * (major * Math.cos(phi) ** 2 + minor * Math.sin(phi) ** 2)))
  }
  return sum / PHASES
}

/** The miss that all but a share `p` of pieces stay within. */
export function missWithin(spread: Spread2, p: Share): Length {
  let [low, high] = [0, 10 * Math.sqrt(axes(spread)[0])]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (missBeyond(spread, middle) > p) low = middle
    else high = middle
  }
  return high
}

/** What a usual set-up holds at the worst corner of a print. */
export interface Budget {
  /** 95 % of pieces miss by less, screens registered film on film. */
  readonly miss: Length
  /** The same with the upper screen registered on the printed base. */
  readonly direct: Length
  readonly spread: Spread2
  readonly directSpread: Spread2
  /** Of the second, what each piece adds to its set-up. */
  readonly pieces: Spread2
  /** Its parts, largest first: one standard deviation there. */
  readonly parts: readonly { readonly name: string; readonly sd: Length }[]
  readonly reasons: readonly Reason[]
}

/**
 * What registration to expect between two screens at the corner of a print. Assumed standard deviations; the sums are
 * checked with the worked figures of the model.
 */
export function registrationBudget(width: Length, height: Length, known: KnownPress = {}): Budget {
  const parts = Object.entries(partsOf(width, height, known))
  const at = parts.map(([name, p]) => ({ name, p, spread: spreadAt(p, width / 2, -height / 2) }))
  const spread = added(at.map(({ p, spread: s }) => [p.common, s]))
  const directSpread = added(at.map(({ p, spread: s }) => [p.direct, s]))
  const miss = missWithin(spread, 0.05)
  const direct = missWithin(directSpread, 0.05)
  const sizes = Object.fromEntries(
    at.map(({ name, p, spread: s }) => [name, q('fine', Math.sqrt(p.common * axes(s)[0]))]),
  )
  return {
    miss,
    direct,
    spread,
    directSpread,
    pieces: added(at.flatMap(({ p, spread: s }) => (p.level === 'piece' ? [[p.direct, s] as const] : []))),
    parts: at
      .map(({ name, p, spread: s }) => ({ name, sd: Math.sqrt(p.direct * axes(s)[0]) }))
      .sort((a, b) => b.sd - a.sd),
    reasons: [
      REGISTRATION.because('BUDGET_MISS', {
        ...sizes,
        width: q('length', width),
        height: q('length', height),
        miss: q('fine', miss),
      }),
      REGISTRATION.because('BUDGET_DIRECT', { direct: q('fine', direct) }),
    ],
  }
}
