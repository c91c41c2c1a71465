import jStat from 'jstat'
import { q, type Reason } from '../advice'
import { type Length, mm, type Share } from '../quantity'
import { axes, type KnownPress, missBeyond, registrationBudget, type Spread2 } from './budget'
import { REGISTRATION } from './definition'

/** A rim of this width is not seen (assumed). */
const UNSEEN = mm(0.05)
/** So many pieces may show it. */
const SHOWS: Share = 0.05
/** Set-ups that hold at once: a test print says so; fewer, and it takes tries; fewer still is too tight (figures of the model). */
const CHECKED: Share = 0.75
const TRIED: Share = 0.4

/** A lap of two colours, or a base drawn in under its colours, against what registration holds at the worst corner. */
export interface TrapBudget {
  /** Pieces of any set-up that show it. */
  readonly shows: Share
  /** Set-ups of which no more than one piece in twenty shows it; and set-ups until one does. */
  readonly holds: Share
  readonly tries: number
  /** The lap that would hold in any set-up. */
  readonly need: Length
  readonly verdict: 'holds' | 'check' | 'tries' | 'tight'
  readonly reasons: readonly Reason[]
}

/** What the parts of an error are called, and how each is made smaller. */
const PARTS: Readonly<Record<string, string>> = {
  reading: 'reading the marks: a loupe, or more marks',
  rounding: 'rounding the turns: finer steps of the knobs',
  locking: 'locking: note how the heads move, and turn against it',
  strain: 'film and mesh: the same tension and off-contact on all screens',
  index: 'indexing and pallets: stops and bearings',
  cloth: 'cloth: more tack, less stroke',
}

/**
 * What a lap asks of the press, the upper screen registered on the printed one below.
 *
 * @param lap metres; below nothing where it stands out
 * @param known of the press, in place of what is assumed
 */
export function trapBudget(width: Length, height: Length, lap: Length, known: KnownPress = {}): TrapBudget {
  const { direct, directSpread, pieces, parts } = registrationBudget(width, height, known)
  const room = Math.max(0, lap + UNSEEN)
  const shows = missBeyond(directSpread, room)
  const setUp = less(directSpread, pieces)
  const most = setUpWithin(pieces, room)
  const holds = most === undefined ? 0 : 1 - missBeyond(setUp, most)
  const tries = holds > 0 ? 1 / holds : Number.POSITIVE_INFINITY
  const need = direct - UNSEEN
  const verdict = verdictOn(shows, holds)
  const largest = parts[0]
  const inputs = {
    choke: q('fine', lap),
    share: q('share', shows),
    need: q('fine', need),
    holds: q('share', holds),
    tries: q('count', Math.min(Math.ceil(tries), MOST_TRIES)),
    part: PARTS[largest?.name ?? ''] ?? '',
    size: q('fine', largest?.sd ?? 0),
  }
  return {
    ...{ shows, holds, tries, need, verdict },
    reasons: [
      REGISTRATION.because(RULES[verdict], inputs),
      ...(known.locking ? [REGISTRATION.because('BUDGET_LEARNT')] : []),
    ],
  }
}

/** Nobody sets up so often. */
const MOST_TRIES = 20
const RULES = {
  holds: 'BUDGET_HOLDS',
  check: 'BUDGET_CHECK',
  tries: 'BUDGET_TRIES',
  tight: 'BUDGET_CHOKE',
} as const

function verdictOn(shows: Share, holds: Share): TrapBudget['verdict'] {
  if (shows <= SHOWS) return 'holds'
  if (holds >= CHECKED) return 'check'
  return holds >= TRIED ? 'tries' : 'tight'
}

/** What a choke of the base asks of a usual press, where that is more than a test print. */
export function chokeTooTight(width: Length, height: Length, choke: Length): Reason | undefined {
  const { verdict, reasons } = trapBudget(width, height, choke)
  return verdict === 'tries' || verdict === 'tight' ? reasons[0] : undefined
}

/** Left between colours where no width is said (common practice: about half a millimetre). */
export const USUAL_GAP = mm(0.5)

/** A gap that is left on purpose: how even it comes out, and whether it closes. */
export function gapHolds(
  width: Length,
  height: Length,
  gap: Length,
  [a, b]: readonly [string, string],
): Reason {
  const { direct, directSpread } = registrationBudget(width, height)
  const closes = missBeyond(directSpread, gap)
  return REGISTRATION.because(closes <= SHOWS ? 'GAP_HOLDS' : 'GAP_CLOSES', {
    ...{ a, b, gap: q('fine', gap), share: q('share', closes), need: q('fine', direct) },
    ...{ low: q('fine', Math.max(0, gap - direct)), high: q('fine', gap + direct) },
  })
}

const less = (a: Spread2, b: Spread2): Spread2 => ({ xx: a.xx - b.xx, yy: a.yy - b.yy, xy: a.xy - b.xy })

/** The largest set-up error, along the longer axis of what pieces add, with which few enough pieces show; undefined when none. */
function setUpWithin(pieces: Spread2, room: Length): Length | undefined {
  const showing = (bias: Length) => missBeyondFrom(pieces, bias, room)
  if (showing(0) > SHOWS) return undefined
  let [low, high] = [0, room]
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (showing(middle) > SHOWS) high = middle
    else low = middle
  }
  return low
}

const STRIPS = 240

/**
 * Share of pieces that miss by more than `r` where all are off by the same first: a normal distribution over a circle that is not
 * about its middle, summed in strips along its axes.
 *
 * @param bias metres along the longer axis, or along both
 */
export function missBeyondFrom(spread: Spread2, bias: Length | readonly [Length, Length], r: Length): Share {
  const [sx, sy] = axes(spread).map(Math.sqrt) as [number, number]
  const [bx, by] = typeof bias === 'number' ? [bias, 0] : bias
  const below = (x: number) => jStat.normal.cdf(x, 0, 1)
  // Simpson over the width of the circle, and no further than eight spreads from the bias.
  const [from, to] = [Math.max(-r, bx - 8 * sx), Math.min(r, bx + 8 * sx)]
  if (to <= from) return 1
  const step = (to - from) / STRIPS
  let inside = 0
  for (let i = 0; i <= STRIPS; i++) {
    const x = from + i * step
    const half = Math.sqrt(Math.max(0, r * r - x * x))
    const weight = i === 0 || i === STRIPS ? 1 : i % 2 ? 4 : 2
    const dense = Math.exp(-(((x - bx) / sx) ** 2) / 2) / (sx * Math.sqrt(2 * Math.PI))
    inside += weight * dense * (below((half - by) / sy) - below((-half - by) / sy))
  }
  return Math.min(1, Math.max(0, 1 - (inside * step) / 3))
}
