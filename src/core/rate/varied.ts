import type { Duration, Share } from '../quantity'
import { type Stop, stopsOf } from './carousel'
import { bestRhythm, cycleTime } from './cycle'
import { automaticTimes, type CycleNeed, type Motions, printingOf, workOf } from './times'

/** A time that varies: its mean and variance, seconds and their square. */
interface Varies {
  readonly mean: number
  readonly variance: number
}

/** Each motion of a hand strays by about a fifth (assumed). */
export const USUAL_SPREAD: Share = 0.2

/** The normal distribution function, by Abramowitz and Stegun 7.1.26: within 1.5e-7. */
function below(x: number): number {
  const z = Math.abs(x) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * z)
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const erf = 1 - poly * Math.exp(-z * z)
  return (1 + (x < 0 ? -erf : erf)) / 2
}

const density = (x: number): number => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)

/** The longer of two times: Clark, The greatest of a finite set of random variables (Operations Research 9, 1961). */
export function longer(a: Varies, b: Varies): Varies {
  const apart = Math.sqrt(a.variance + b.variance)
  if (apart < 1e-12) return a.mean >= b.mean ? a : b
  const by = (a.mean - b.mean) / apart
  const mean = a.mean * below(by) + b.mean * below(-by) + apart * density(by)
  const square =
    (a.mean ** 2 + a.variance) * below(by) +
    (b.mean ** 2 + b.variance) * below(-by) +
    (a.mean + b.mean) * apart * density(by)
  return { mean, variance: Math.max(0, square - mean ** 2) }
}

const fixed = (mean: number): Varies => ({ mean, variance: 0 })
const byHand = (motions: Motions, spread: Share): Varies => ({
  mean: motions.reduce((sum, t) => sum + t, 0),
  variance: motions.reduce((sum, t) => sum + (spread * t) ** 2, 0),
})
const longest = (times: readonly Varies[]): number => times.reduce(longer).mean

/**
 * Seconds a piece where the times of people vary: who is ready waits for who is not, so the mean of the longest is more than
 * the longest mean. Never less than `cycleTime`; the same where nobody waits for anybody (one station, a bench).
 *
 * @param spread standard deviation of each motion, a share
 */
export function variedCycle(need: CycleNeed, spread: Share = USUAL_SPREAD): Duration {
  const steady = cycleTime(need)
  const { press, crew } = need
  if (press.kind === 'manual') {
    const { rhythm, alone, seconds: inTurns } = bestRhythm(need)
    const work = workOf({ ...need, crew: { ...crew, size: alone ? 'alone' : 'loader' } })
    const stops = stopsOf(work, press.pallets, rhythm, alone)
    const before = (j: number, back: number) => stops[(j - back + 2 * stops.length) % stops.length] as Stop
    const whole = stops.reduce((sum, stop, j) => {
      const times = [
        byHand(stop.motions, spread),
        ...(before(j, 1).flashed ? [fixed(work.flash)] : []),
        ...(before(j, rhythm.loaderAt).reload ? [byHand(work.handMotions, spread)] : []),
      ]
      return sum + work.turn + longest(times)
    }, 0)
    // What skipping or doubling a turn spares, it spares here too.
    return Math.max(steady, (whole / press.pallets) * (steady / inTurns))
  }
  if (press.kind === 'automatic') {
    const { ends, index } = automaticTimes(need)
    const printing = need.groups.flat().map((struck) => fixed(printingOf(struck)))
    const flash = need.groups.length > 1 ? [fixed(need.flash)] : []
    const people = (crew.size === 'alone' ? [[...ends]] : ends.map((t) => [t])).map((t) => byHand(t, spread))
    return Math.max(steady, need.laps * (index + longest([...people, ...printing, ...flash])))
  }
  return steady
}
