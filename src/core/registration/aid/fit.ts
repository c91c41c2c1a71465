import { inverse, Matrix } from 'ml-matrix'
import type { Length } from '../../quantity'

/** What is read at a mark: how far the screen's image lies from its target, to the right and to the rear, metres. */
export interface MarkReading {
  readonly name: string
  /** From the centre of the art, as the operator sees the pallet. */
  readonly x: Length
  readonly y: Length
  /** None: that line was not read. */
  readonly dx?: Length | undefined
  readonly dy?: Length | undefined
  /** One standard deviation of a reading. */
  readonly spread: Length
}

/** How a screen lies against its target: metres right and to the rear at the centre of the art, radians counter-clockwise. */
export interface Pose {
  readonly dx: Length
  readonly dy: Length
  readonly turn: number
}

/** A line that was read: its direction, where, its value and spread. */
export interface Line {
  readonly mark: number
  readonly axis: 'x' | 'y'
  readonly x: number
  readonly y: number
  readonly value: number
  readonly spread: number
}

export const linesOf = (marks: readonly MarkReading[]): readonly Line[] =>
  marks.flatMap(({ x, y, dx, dy, spread }, mark) => [
    ...(dx === undefined ? [] : [{ mark, axis: 'x', x, y, value: dx, spread } as const]),
    ...(dy === undefined ? [] : [{ mark, axis: 'y', x, y, value: dy, spread } as const]),
  ])

/** What a screen can do beyond moving and turning: grow, grow one way, shear. */
export const TERMS = ['scale', 'aniso', 'shear'] as const
export type Term = (typeof TERMS)[number]

const column = (l: Line, of: Term | 'dx' | 'dy' | 'turn'): number => {
  const [nx, ny] = l.axis === 'x' ? [1, 0] : [0, 1]
  switch (of) {
    case 'dx':
      return nx
    case 'dy':
      return ny
    case 'turn':
      return -nx * l.y + ny * l.x
    case 'scale':
      return nx * l.x + ny * l.y
    case 'aniso':
      return nx * l.x - ny * l.y
    case 'shear':
      return nx * l.y + ny * l.x
    default:
      return of satisfies never
  }
}
const RIGID = ['dx', 'dy', 'turn'] as const

/** Readings explained: what they come to, how sure, and what is left, in spreads squared. */
export interface Explained {
  readonly values: readonly number[]
  readonly covariance: readonly (readonly number[])[]
  readonly rss: number
  /** Readings beyond what is needed. */
  readonly spare: number
}

/** Beyond this a pose is not determined: some line is missing. */
const UNSURE = 1e6

/**
 * Weighted least squares over lines (Gauss and Markov).
 *
 * @returns undefined where the lines do not determine it
 */
export function explain(lines: readonly Line[], terms: readonly Term[] = []): Explained | undefined {
  const of = [...RIGID, ...terms]
  if (lines.length < of.length) return undefined
  const radius = Math.sqrt(lines.reduce((sum, l) => sum + l.x ** 2 + l.y ** 2, 0) / lines.length) || 1
  // Turns and strains in units of a metre at the marks, so that nothing is lost in the inverse.
  const scales = of.map((name) => (name === 'dx' || name === 'dy' ? 1 : radius))
  const rows = new Matrix(
    lines.map((l) => of.map((name, i) => column(l, name) / (scales[i] as number) / l.spread)),
  )
  const read = Matrix.columnVector(lines.map((l) => l.value / l.spread))
  const normal = rows.transpose().mmul(rows)
  const covariance = solved(normal)
  if (!covariance) return undefined
  for (let i = 0; i < of.length; i++)
    if (!(covariance.get(i, i) * normal.get(i, i) <= UNSURE)) return undefined
  const values = covariance.mmul(rows.transpose()).mmul(read)
  const left = read.clone().sub(rows.mmul(values))
  return {
    values: of.map((_, i) => values.get(i, 0) / (scales[i] as number)),
    covariance: of.map((_, i) =>
      of.map((_n, j) => covariance.get(i, j) / ((scales[i] as number) * (scales[j] as number))),
    ),
    rss: left.dot(left),
    spare: lines.length - of.length,
  }
}

function solved(m: Matrix): Matrix | undefined {
  try {
    const found = inverse(m)
    return found.to1DArray().every(Number.isFinite) ? found : undefined
  } catch {
    return undefined
  }
}

export const poseOf = ({ values: [dx = 0, dy = 0, turn = 0] }: Explained): Pose => ({ dx, dy, turn })

/** Which line is missing where nothing is determined. */
export const missing = (lines: readonly Line[]): 'x' | 'y' | 'apart' => {
  if (!lines.some((l) => l.axis === 'x')) return 'x'
  if (!lines.some((l) => l.axis === 'y')) return 'y'
  return 'apart'
}

/** Where a point of the art lies off, metres, and one standard deviation of each. */
export function offAt({ values, covariance }: Explained, x: Length, y: Length) {
  const [dx = 0, dy = 0, turn = 0] = values
  const c = (i: number, j: number) => covariance[i]?.[j] ?? 0
  return {
    dx: dx - y * turn,
    dy: dy + x * turn,
    sdX: Math.sqrt(Math.max(0, c(0, 0) - 2 * y * c(0, 2) + y ** 2 * c(2, 2))),
    sdY: Math.sqrt(Math.max(0, c(1, 1) + 2 * x * c(1, 2) + x ** 2 * c(2, 2))),
  }
}

/** Marks and what was typed at them as the operator sees them: with the collar towards the operator the art lies the other way. */
export const asOperatorSees = (
  marks: readonly MarkReading[],
  collarTowards: boolean,
): readonly MarkReading[] => (collarTowards ? marks.map((m) => ({ ...m, x: -m.x, y: -m.y })) : marks)
