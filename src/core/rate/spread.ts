import { randomExponential, randomLcg, randomLogNormal, randomPoisson, randomUniform } from 'd3-random'
import type { Hours } from '../equipment'
import { type Duration, minutes, type Quantity } from '../quantity'
import { cycleTime, FIRST_PRINTS } from './cycle'
import { type CycleNeed, MISPRINTS, RE_INKED, TIMES } from './times'
import { workSpans } from './workSpans'

/** A run as it may go, from the first screen hung to the last piece. */
export interface RunNeed {
  readonly cycle: CycleNeed
  /** Set-up, from and to. */
  readonly setup: readonly [Duration, Duration]
  /** What the dryer lets through, pieces a second. */
  readonly most: Quantity<'rate'> | undefined
  /** Its inks dry in the screen when the press stands. */
  readonly driesIn: boolean
  /** Someone prints on slowly while the crew has its break. */
  readonly relief: boolean
}

/** How long a run takes when it is run many times: minutes of the day from its start, breaks counted. */
export interface Spread {
  readonly runs: number
  /** Seconds that so many of a hundred runs do not exceed. */
  readonly tenth: Duration
  readonly middle: Duration
  readonly eighty: Duration
  readonly most: Duration
  /** Runs that end in each of these spans, from `from` in steps of `step`. */
  readonly bins: readonly number[]
  readonly from: Duration
  readonly step: Duration
}

// Assumptions but for the hours people keep their pace (common practice).
const LEARNING = { share: 0.5, over: 8 } as const
const PACE_SPREAD = 0.07
const TIRED = { after: 5 * 3600, slower: 0.06 } as const
/** Film, dryer, register and colour are looked at so often; the press stands meanwhile. */
const CHECKS = { every: 50, takes: 30 } as const
const STOPS = { anHour: 0.6, mean: minutes(4) } as const
const OPEN_TIME = minutes(5)
const WASHED = { screen: minutes(5), prints: 4 } as const
const RELIEF_PACE = 0.6

/** Runs between two words of how far it is. */
const TELL = 500
const BINS = 40
/** Days after which a run that never ends is given up. */
const LONGEST = 90

/**
 * Runs a run many times: the pace of the day, first prints, misprints, stops, breaks that fall inside, and what they do to
 * ink that dries in. A generator, so that it can be watched and stopped.
 *
 * @param start seconds after midnight of the first working day of the week, @param hours of the shop; nights and free days do
 *   not count, the run goes on when the shop opens again
 */
export function* spreadOf(
  need: RunNeed,
  hours: Hours,
  start: Duration,
  { runs, seed }: { readonly runs: number; readonly seed: number },
): Generator<{ readonly done: number }, Spread> {
  const source = randomLcg(seed)
  const sigma = Math.sqrt(Math.log(1 + PACE_SPREAD ** 2))
  const pace = randomLogNormal.source(source)(-(sigma * sigma) / 2, sigma)
  const uniform = randomUniform.source(source)
  const [poisson, exponential] = [
    randomPoisson.source(source),
    randomExponential.source(source)(1 / STOPS.mean),
  ]
  const { cycle } = need
  const screens = cycle.groups.flat().length
  const own = cycleTime(cycle) + (screens * TIMES.reInk) / RE_INKED
  const piece = need.most === undefined ? own : Math.max(own, 1 / need.most)
  const wetOnWet = cycle.groups.some((g) => g.length > 1)
  const first = wetOnWet ? uniform(FIRST_PRINTS[0], FIRST_PRINTS[1] + 1) : uniform(0, 3)
  const setup = uniform(need.setup[0], need.setup[1])
  const spans = workSpans(hours)
  const times = new Float64Array(runs)
  for (let i = 0; i < runs; i++) {
    const spoiled = poisson((cycle.pieces * MISPRINTS) / (1 - MISPRINTS))()
    const prints = cycle.pieces + Math.floor(first()) + spoiled
    const learning = LEARNING.share * piece * LEARNING.over * (1 - Math.exp(-prints / LEARNING.over))
    const even = pace() * (prints * piece + learning)
    const tired = even + TIRED.slower * Math.max(0, even - TIRED.after)
    let stood = Math.floor(prints / CHECKS.every) * CHECKS.takes
    for (let n = poisson((STOPS.anHour * tired) / 3600)(); n > 0; n--) stood += exponential()
    times[i] = ofTheDays(need, hours, spans, start, setup() + tired + stood, piece, screens)
    if (i % TELL === TELL - 1) yield { done: (i + 1) / runs }
  }
  times.sort()
  const at = (share: number) => times[Math.min(runs - 1, Math.floor(share * runs))] ?? 0
  const [from, to] = [at(0), at(0.995)]
  const step = Math.max(60, (to - from) / BINS)
  const bins = new Array<number>(BINS).fill(0)
  for (const t of times) bins[Math.min(BINS - 1, Math.floor((t - from) / step))]!++
  return { runs, tenth: at(0.1), middle: at(0.5), eighty: at(0.8), most: at(0.95), bins, from, step }
}

/** Seconds from its start to the end of the work: breaks, nights and free days stand still, and wash-ups cost, unless someone prints on. */
function ofTheDays(
  need: RunNeed,
  { days }: Hours,
  spans: readonly (readonly [number, number])[],
  start: Duration,
  work: Duration,
  piece: Duration,
  screens: number,
): Duration {
  let left = work
  let night = 0
  if (spans.length === 0 || days.length === 0) return work
  for (let day = 0; day < LONGEST; day++) {
    const weekday = (((days[0] ?? 1) - 1 + day) % 7) + 1
    if (!days.includes(weekday)) {
      night += 24 * 3600
      continue
    }
    for (const [i, [from, to]] of spans.entries()) {
      const at = Math.max(from, day === 0 ? start : 0)
      if (at >= to) continue
      if (left <= to - at) return night + at + left - start
      left -= to - at
      const next = spans[i + 1]
      if (!next) continue
      const pause = next[0] - to
      if (need.relief) left = Math.max(0, left - RELIEF_PACE * pause)
      else if (need.driesIn && pause > OPEN_TIME) left += screens * WASHED.screen + WASHED.prints * piece
    }
    night += 24 * 3600
    if (need.driesIn) left += screens * WASHED.screen + WASHED.prints * piece
  }
  return night + left
}
