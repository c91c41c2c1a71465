import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { inverse, Matrix } from 'ml-matrix'

/** Something that was read, what the model says of it, and how far such a reading is off. */
export interface Read {
  readonly read: number
  /** One standard deviation of a reading. */
  readonly spread: number
  /** By the natural logarithms of what is fitted. */
  readonly model: (logs: readonly number[]) => number
}

export interface Fit {
  /** What is fitted, in times the table. */
  readonly times: readonly number[]
  /** Covariance of the logarithms, widened for what the model leaves out. */
  readonly covariance: readonly (readonly number[])[]
  /** How far each reading is off after the fit, in its own spreads. */
  readonly off: readonly number[]
}

/** No press is off by more than this, in logarithms: a third to three times. */
const BOUND = 1.2
const STEP = 0.02
/** What the model leaves out widens a spread by this: ranges of 90 % held 83 % with it left out. */
const WIDER = 1.3
const ROUNDS = 30

/**
 * Multipliers that explain readings best, none far from the table without cause (Levenberg and Marquardt, with priors).
 *
 * @param priors one standard deviation of each logarithm before anything is read
 */
export function explained(reads: readonly Read[], priors: readonly number[]): Fit {
  const rows: readonly Read[] = [
    ...reads,
    ...priors.map((spread, i): Read => ({ read: 0, spread, model: (logs) => logs[i] ?? 0 })),
  ]
  const logs = best(rows, priors)
  const slopes = new Matrix(
    rows.map((r) =>
      priors.map((_, j) => {
        const at = (by: number) => r.model(logs.map((x, k) => (k === j ? x + by : x)))
        return (at(STEP) - at(-STEP)) / (2 * STEP * r.spread)
      }),
    ),
  )
  const covariance = inverse(slopes.transpose().mmul(slopes)).mul(WIDER ** 2)
  return {
    times: logs.map(Math.exp),
    covariance: covariance.to2DArray(),
    off: reads.map((r) => (r.read - r.model(logs)) / r.spread),
  }
}

/** The logarithms that all rows agree on best; those of the table where nothing was read. */
function best(rows: readonly Read[], priors: readonly number[]): readonly number[] {
  if (rows.length === priors.length) return priors.map(() => 0)
  return levenbergMarquardt(
    { x: rows.map((_, i) => i), y: rows.map((r) => r.read / r.spread) },
    (p) => {
      const said = rows.map((r) => r.model(p) / r.spread)
      return (i) => said[i] ?? 0
    },
    {
      initialValues: priors.map(() => 0),
      minValues: priors.map(() => -BOUND),
      maxValues: priors.map(() => BOUND),
      gradientDifference: STEP,
      centralDifference: true,
      damping: 0.1,
      maxIterations: ROUNDS,
      errorTolerance: 1e-6,
      improvementThreshold: 1e-4,
    },
  ).parameterValues
}

/** One standard deviation of something that follows from what was fitted. */
export function spreadOf({ times, covariance }: Fit, of: (logs: readonly number[]) => number): number {
  const logs = times.map(Math.log)
  const slope = logs.map((_, j) => {
    const at = (by: number) => of(logs.map((x, k) => (k === j ? x + by : x)))
    return (at(STEP) - at(-STEP)) / (2 * STEP)
  })
  const variance = slope.reduce(
    (sum, a, i) => sum + slope.reduce((inner, b, j) => inner + a * b * (covariance[i]?.[j] ?? 0), 0),
    0,
  )
  return Math.sqrt(variance)
}

/** Further off than this, in its own spreads, a reading does not fit. */
const ODD = 3
/** So near to the bound it is the bound that was found. */
const RIM = 0.01

/** Whether a fit explains what was read with a press that can be. */
export const isSound = ({ times, off }: Fit): boolean =>
  off.every((o) => Math.abs(o) <= ODD) && times.every((t) => Math.abs(Math.log(t)) < BOUND - RIM)

/** The reading without which the others agree best, by its place; with two no one can say which. */
export function oddOne(reads: readonly Read[], priors: readonly number[]): number {
  const cost = (f: Fit) =>
    f.off.reduce((sum, o) => sum + o * o, 0) +
    f.times.reduce((sum, t, i) => sum + (Math.log(t) / (priors[i] ?? 1)) ** 2, 0)
  const without = reads.map((_, i) =>
    cost(
      explained(
        reads.filter((_r, k) => k !== i),
        priors,
      ),
    ),
  )
  return without.indexOf(Math.min(...without))
}
