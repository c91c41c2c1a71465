import { LuDecomposition, Matrix } from 'ml-matrix'
import type { Hex } from './hex'
import {
  BANDS,
  type Lab,
  type Light,
  type Spectrum,
  WEIGHTS,
  WHITE_OF,
  type Xyz,
  xyzOfHex,
  xyzOfLab,
} from './spectrum'

const N = BANDS.length
const ROUNDS = 30
/** Steps of the search are held to this. */
const STRIDE = 2
const NEAR = 1e-9
/** A colour that no reflectance has is made greyer by this much at a time. */
const GREYER = 0.02
/** Darker or lighter than this the curve runs out to infinity, and so it does beyond this. */
const DARKEST = 0.004
const LIGHTEST = 0.98
const FARTHEST = 10

/** Squared steps from band to band, as a matrix: twice their gradient. */
const SMOOTH = new Matrix(
  Array.from({ length: N }, (_, i) =>
    Array.from({ length: N }, (_, j) => {
      if (i === j) return i === 0 || i === N - 1 ? 2 : 4
      return Math.abs(i - j) === 1 ? -2 : 0
    }),
  ),
)

/** The smoothest curve between 0 and 1 that has these XYZ; undefined when the search does not end. */
function smoothest(xyz: Xyz, light: Light): Spectrum | undefined {
  const weights = WEIGHTS[light]
  const z = new Float64Array(N).fill(Math.atanh(2 * xyz[1] - 1))
  const multipliers = [0, 0, 0]
  for (let round = 0; round < ROUNDS; round++) {
    const t = Array.from(z, Math.tanh)
    const rho = t.map((x) => (x + 1) / 2)
    const slope = t.map((x) => (1 - x * x) / 2)
    const bend = t.map((x) => -x * (1 - x * x))
    const pull = t.map((_, i) => weights.reduce((s, w, k) => s + (w[i] ?? 0) * (multipliers[k] ?? 0), 0))
    const lhs = Matrix.zeros(N + 3, N + 3)
    const rhs = Matrix.zeros(N + 3, 1)
    for (let i = 0; i < N; i++) {
      let gradient = (slope[i] ?? 0) * (pull[i] ?? 0)
      for (let j = 0; j < N; j++) {
        lhs.set(i, j, SMOOTH.get(i, j))
        gradient += SMOOTH.get(i, j) * (z[j] ?? 0)
      }
      lhs.set(i, i, SMOOTH.get(i, i) + (bend[i] ?? 0) * (pull[i] ?? 0))
      rhs.set(i, 0, -gradient)
      weights.forEach((w, k) => {
        const own = (w[i] ?? 0) * (slope[i] ?? 0)
        lhs.set(i, N + k, own)
        lhs.set(N + k, i, own)
      })
    }
    let off = 0
    weights.forEach((w, k) => {
      const miss = w.reduce((s, x, i) => s + x * (rho[i] ?? 0), 0) - (xyz[k] ?? 0)
      rhs.set(N + k, 0, -miss)
      off = Math.max(off, Math.abs(miss))
    })
    if (off < NEAR && round > 0) return rho
    const parts = new LuDecomposition(lhs)
    if (parts.isSingular()) return undefined
    const step = parts.solve(rhs)
    for (let i = 0; i < N; i++) z[i] = (z[i] ?? 0) + Math.max(-STRIDE, Math.min(STRIDE, step.get(i, 0)))
    for (let k = 0; k < 3; k++) multipliers[k] = (multipliers[k] ?? 0) + step.get(N + k, 0)
    if (z.some((x) => !Number.isFinite(x) || Math.abs(x) > FARTHEST)) return undefined
  }
  return undefined
}

/** Curves already found: a plan asks for the same few colours after every edit. */
const known = new Map<Hex, Spectrum>()
const KEPT = 400

/**
 * The smoothest reflectance that looks like a display colour under D65: least squared steps of atanh (2 rho - 1) (Burns,
 * least hyperbolic-tangent slope squared). A colour too strong or too dark for any reflectance gives its nearest greyer or
 * lighter one.
 *
 * @returns 0..1 in each of `BANDS`; one of many curves of that colour, so a guess at the real one
 */
export function reflectanceOf(hex: Hex): Spectrum {
  const found = known.get(hex) ?? searched(xyzOfHex(hex), 'D65')
  if (known.size >= KEPT) known.clear()
  known.set(hex, found)
  return found
}

/** The same of a measured colour: the curve is found under the light that the reading was told for. */
export const reflectanceOfLab = (lab: Lab, light: Light = 'D65'): Spectrum =>
  searched(xyzOfLab(lab, light), light)

function searched(own: Xyz, light: Light): Spectrum {
  const y = Math.min(LIGHTEST, Math.max(DARKEST, own[1]))
  const grey = WHITE_OF[light].map((w) => y * w) as unknown as Xyz
  // Held between darkest and lightest, its hue stays.
  const held = own[1] > 0 ? own.map((x) => (x * y) / own[1]) : grey
  for (let mix = 0; mix < 1; mix += GREYER) {
    const found = smoothest(held.map((x, i) => x + mix * ((grey[i] ?? 0) - x)) as unknown as Xyz, light)
    if (found) return found
  }
  return BANDS.map(() => y)
}
