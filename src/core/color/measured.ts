import { no, type Outcome } from '../quantity'
import { BANDS, type Spectrum } from './spectrum'

/** A curve as an instrument tells it. */
export interface Curve {
  /** Nanometres, rising. */
  readonly at: readonly number[]
  /** Reflectance, 1 is all light. */
  readonly values: readonly number[]
}

export type Taken = Outcome<{ readonly spectrum: Spectrum; readonly notes: readonly string[] }>

/** The least a curve has to cover; beyond it its ends are drawn out flat. */
const FROM = 420
const TO = 680
const WIDEST_STEP = 25

/**
 * A measured curve at the bands used here, by four-point Lagrange interpolation (the method of ASTM E2022 for 20 nm), ends drawn
 * out flat. A reflectance above 1 is kept and told: the sample fluoresces, or the instrument was not set to white.
 */
export function takeCurve({ at, values }: Curve): Taken {
  if (at.length !== values.length || at.length < 4)
    return no('A curve needs a value for each wavelength, and at least four of them.')
  const bad = values.findIndex((v) => !Number.isFinite(v))
  if (bad >= 0) return no(`The reading at ${at[bad]} nm is no number.`)
  const negative = values.findIndex((v) => v < -0.01)
  if (negative >= 0) return no(`The reading at ${at[negative]} nm is below zero: set the reader to black.`)
  if (at.some((w, i) => !Number.isFinite(w) || (i > 0 && w <= at[i - 1]!)))
    return no('Wavelengths have to rise from one to the next.')
  if (at[0]! > FROM || at.at(-1)! < TO)
    return no(`The curve runs from ${at[0]} to ${at.at(-1)} nm; it has to cover ${FROM} to ${TO} nm.`)
  if (at.some((w, i) => i > 0 && w - at[i - 1]! > WIDEST_STEP))
    return no(`Steps of the curve are wider than ${WIDEST_STEP} nm: too coarse for these inks.`)
  const over = Math.max(...values)
  const notes = [
    ...(over > 1
      ? [
          `Reflects ${Math.round(over * 100)} % at ${at[values.indexOf(over)]} nm: it fluoresces, or the reader is not set to white. Films are computed as if it did not.`,
        ]
      : []),
    ...(at[0]! > BANDS[0]! || at.at(-1)! < BANDS.at(-1)!
      ? ['The ends of the curve are drawn out flat.']
      : []),
  ]
  return { ok: true, spectrum: BANDS.map((nm) => Math.max(0, between(at, values, nm))), notes }
}

function between(at: readonly number[], values: readonly number[], nm: number): number {
  if (nm <= at[0]!) return values[0]!
  if (nm >= at.at(-1)!) return values.at(-1)!
  const above = at.findIndex((w) => w >= nm)
  if (at[above] === nm) return values[above]!
  const first = Math.min(Math.max(above - 2, 0), at.length - 4)
  const four = [first, first + 1, first + 2, first + 3]
  return four.reduce(
    (sum, i) =>
      sum + four.reduce((w, j) => (i === j ? w : (w * (nm - at[j]!)) / (at[i]! - at[j]!)), values[i]!),
    0,
  )
}
