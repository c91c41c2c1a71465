import { Matrix, solve } from 'ml-matrix'
import {
  BANDS,
  type Hex,
  inner,
  type Lab,
  labOfXyz,
  type Optics,
  outer,
  outerSlope,
  overGround,
  overGroundSlopes,
  reflectanceOf,
  reflectanceOfLab,
  type Spectrum,
  xyzOf,
} from '../color'
import type { Characterisation, LetDown } from '../equipment'
import { USUAL_SMEAR } from '../equipment'
import type { OpacityClass } from '../order'
import type { Film } from '../quantity'
import { labSlopes } from './labSlopes'

/** Scattering at 550 nm of an ink by how it covers, 1/m (tuned to common practice). */
const SCATTERING: Readonly<Record<OpacityClass, number>> = {
  transparent: 0.006e6,
  ordinary: 0.025e6,
  opaque: 0.1e6,
  blocking: 0.16e6,
}
/** Scattering falls with the wavelength like this (tuned). */
const SLOPE = -0.3
/** Measured reflectance of the cards that smears are read on. */
export const WHITE_CARD = 0.86
export const BLACK_CARD = 0.03
/** Strongest absorption that is looked for, 1/m. */
const STRONGEST = 5e6

const N = BANDS.length
const fall = BANDS.map((nm) => (nm / 550) ** SLOPE)

/** The absorption that makes a film of this scattering, over a white card, reflect as measured. */
function absorbing(measured: number, s: number, film: Film): number {
  const aim = inner(measured)
  let [low, high] = [Math.log(1), Math.log(STRONGEST)]
  for (let round = 0; round < 50; round++) {
    const middle = (low + high) / 2
    // More absorption reflects less.
    if (overGround(Math.exp(middle), s, film, inner(WHITE_CARD)) > aim) low = middle
    else high = middle
  }
  return Math.exp((low + high) / 2)
}

const smear = (onWhite: Spectrum, film: Film, scattering: number): Optics => {
  const s = fall.map((f) => scattering * f)
  return { k: onWhite.map((r, i) => absorbing(r, s[i]!, film)), s }
}

/**
 * What an ink does to light, from its colour and how it covers: the scattering of its class, and in each band the
 * absorption that makes a smear over a white card look like the colour. Says whether a base is needed, not how to mix.
 */
export const opticsOf = (hex: Hex, opacity: OpacityClass): Optics =>
  smear(reflectanceOf(hex), USUAL_SMEAR, SCATTERING[opacity])

/** A base white as inks are shown by. */
export const WHITE = opticsOf('#f1f1f1', 'blocking')

/** Where a smear over black and white reflects this much alike, it hides the card and its scattering is unknown. */
const HIDES = 0.01

/** Constants, and the bands in which they are no more than a ratio: the smear hid its card there. */
interface Found {
  readonly optics: Optics
  readonly hidden: readonly boolean[]
}

/** From curves over both cards, band by band in closed form (Kubelka 1948). */
function fromCurves({
  deposit: film,
  onWhite,
  onBlack,
}: Characterisation & { readonly how: 'curves' }): Found {
  const [gw, gb] = [inner(WHITE_CARD), inner(BLACK_CARD)]
  const found = onWhite.map((rw, i) => {
    const [w, b] = [inner(rw), inner(onBlack[i]!)]
    if (w - b < HIDES) return undefined
    const determinant = (w + gw) * (b - gb) - (b + gb) * (w - gw)
    const a = ((1 + w * gw) * (b - gb) - (1 + b * gb) * (w - gw)) / determinant
    const u = ((w + gw) * (1 + b * gb) - (b + gb) * (1 + w * gw)) / determinant
    const root = Math.sqrt(Math.max(0, a * a - 1))
    const s = root < 1e-6 ? 1 / (u * film) : Math.log((u + root) / (u - root)) / (2 * root * film)
    return Number.isFinite(s) && s > 0 ? { s, k: s * Math.max(0, a - 1) } : undefined
  })
  const known = found.flatMap((f, i) => (f ? [{ i, f }] : []))
  const optics = {
    k: onWhite.map((r, i) => {
      const f = found[i]
      if (f) return f.k
      // A film that hides the card: its ratio is told, its strength taken from the bands beside it.
      const inside = Math.max(1e-4, inner(r))
      return (scatteringAt(i, known) * (1 - inside) ** 2) / (2 * inside)
    }),
    s: onWhite.map((_, i) => found[i]?.s ?? scatteringAt(i, known)),
  }
  return { optics, hidden: found.map((f) => f === undefined) }
}

/** Scattering of a band that tells none, from the nearest that does; an ordinary one where none does. */
function scatteringAt(
  i: number,
  known: readonly { readonly i: number; readonly f: { readonly s: number } }[],
) {
  const [first] = known
  if (!first) return SCATTERING.ordinary * fall[i]!
  const near = known.reduce((a, b) => (Math.abs(b.i - i) < Math.abs(a.i - i) ? b : a), first)
  return (near.f.s * fall[i]!) / fall[near.i]!
}

/** Weights of the joint fit: a Lab step of 0.05, curves without kinks, scattering that falls as it usually does. */
const SURE = 1 / 0.05
const SMOOTH_K = 0.25
const SMOOTH_S = 3
const ROUNDS = 40
/** Limits of absorption and scattering, ln 1/m. */
const BOUNDS = [
  [-11.5, 1.6],
  [-8.5, -0.5],
].map(([low, high]) => [low! + Math.log(1e6), high! + Math.log(1e6)] as const)

/**
 * From the colour of a smear over both cards: absorption and scattering of all bands fitted together (Levenberg and
 * Marquardt), since two colours leave most of the curve open.
 */
function fromLabs({
  deposit: film,
  light,
  onWhite,
  onBlack,
}: Characterisation & { readonly how: 'labs' }): Optics {
  const start = byContrast(reflectanceOfLab(onWhite, light), reflectanceOfLab(onBlack, light), film)
  const x = [...start.k, ...start.s].map((v, i) => clamp(Math.log(v), BOUNDS[i < N ? 0 : 1]!))
  const grounds = [WHITE_CARD, BLACK_CARD].map(inner)
  const aims = [onWhite, onBlack]
  const look = (at: readonly number[]) => {
    const rows: number[][] = []
    const misses: number[] = []
    grounds.forEach((ground, g) => {
      const bands = BANDS.map((_, i) =>
        overGroundSlopes(Math.exp(at[i]!), Math.exp(at[N + i]!), film, ground),
      )
      const seen = bands.map(([r]) => outer(r))
      const xyz = xyzOf(seen, light)
      const lab = labOfXyz(xyz, light)
      const slopes = labSlopes(xyz, light)
      const axes = ['l', 'a', 'b'] as const
      axes.forEach((axis, row) => {
        misses.push(SURE * (lab[axis] - aims[g]![axis]))
        const line = new Array<number>(2 * N).fill(0)
        bands.forEach(([r, byK, byS], i) => {
          const out = SURE * slopes[row]![i]! * outerSlope(r)
          line[i] = out * byK * Math.exp(at[i]!)
          line[N + i] = out * byS * Math.exp(at[N + i]!)
        })
        rows.push(line)
      })
    })
    for (const [from, weight] of [
      [0, SMOOTH_K],
      [N, SMOOTH_S],
    ] as const)
      for (let i = 0; i + 1 < N; i++) {
        const usual = from === 0 ? 0 : Math.log(fall[i + 1]! / fall[i]!)
        misses.push(weight * (at[from + i + 1]! - at[from + i]! - usual))
        const line = new Array<number>(2 * N).fill(0)
        line[from + i] = -weight
        line[from + i + 1] = weight
        rows.push(line)
      }
    return { rows, misses, sum: misses.reduce((t, m) => t + m * m, 0) }
  }
  let now = look(x)
  let damping = 1e-2
  for (let round = 0; round < ROUNDS; round++) {
    const j = new Matrix(now.rows)
    const jt = j.transpose()
    const lhs = jt.mmul(j)
    for (let i = 0; i < 2 * N; i++) lhs.set(i, i, lhs.get(i, i) * (1 + damping) + 1e-9)
    const step = solve(lhs, jt.mmul(Matrix.columnVector(now.misses)))
    const next = x.map((v, i) => clamp(v - step.get(i, 0), BOUNDS[i < N ? 0 : 1]!))
    const there = look(next)
    if (there.sum < now.sum) {
      const gain = now.sum - there.sum
      next.forEach((v, i) => {
        x[i] = v
      })
      now = there
      damping = Math.max(1e-9, damping / 5)
      if (gain < 1e-7 * now.sum) break
    } else damping *= 4
    if (damping > 1e8) break
  }
  return { k: x.slice(0, N).map(Math.exp), s: x.slice(N).map(Math.exp) }
}

const clamp = (v: number, [low, high]: readonly [number, number]) => Math.min(high, Math.max(low, v))

/** From the curve over white and how light it is over black: one scattering of the usual fall. */
function byContrast(onWhite: Spectrum, onBlack: Spectrum, film: Film): Optics {
  const aim = xyzOf(onBlack)[1]
  let [low, high] = [Math.log(0.0005e6), Math.log(0.5e6)]
  let best = smear(onWhite, film, Math.exp((low + high) / 2))
  for (let round = 0; round < 24; round++) {
    const middle = (low + high) / 2
    best = smear(onWhite, film, Math.exp(middle))
    const y = xyzOf(best.k.map((k, i) => outer(overGround(k, best.s[i]!, film, inner(BLACK_CARD)))))[1]
    if (y < aim) low = middle
    else high = middle
  }
  return best
}

/** The same ink stronger or weaker where its smear did not message, so that its tint in white is as light as read. */
function strengthened({ optics, hidden }: Found, { share, lightness }: LetDown, film: Film): Optics {
  const by = (f: number) => (x: number, i: number) => (hidden[i] ? x * f : x)
  const scaled = (f: number): Optics => ({ k: optics.k.map(by(f)), s: optics.s.map(by(f)) })
  const tint = (f: number): number => {
    const ink = scaled(f)
    const mix = BANDS.map((_, i) => {
      const k = share * ink.k[i]! + (1 - share) * WHITE.k[i]!
      const s = share * ink.s[i]! + (1 - share) * WHITE.s[i]!
      return outer(overGround(k, s, film, inner(WHITE_CARD)))
    })
    return labOfXyz(xyzOf(mix)).l
  }
  let [low, high] = [Math.log(0.02), Math.log(50)]
  for (let round = 0; round < 40; round++) {
    const middle = (low + high) / 2
    // Stronger is darker.
    if (tint(Math.exp(middle)) > lightness) low = middle
    else high = middle
  }
  return scaled(Math.exp((low + high) / 2))
}

const evenly = (value: number) => BANDS.map(() => value)
/** Thins what it is stirred into, and no more. */
const CLEAR: Optics = { k: evenly(0), s: evenly(0) }
/** Bubbles of a risen film scatter about half as much as white does (assumed). */
const RISEN: Optics = { k: evenly(0), s: evenly(0.08e6) }

/**
 * What an ink does to light, from whatever is characterisation of it.
 *
 * @returns absorption and scattering of its dry film, 1/m, a value a band (two-constant films; models tuned, not measured)
 */
export function opticsOfCharacterisation(characterisation: Characterisation): Optics {
  if (characterisation.how === 'additive') return characterisation.does === 'expands' ? RISEN : CLEAR
  if (characterisation.how === 'class') return opticsOf(characterisation.hex, characterisation.opacity)
  const found =
    characterisation.how === 'curves'
      ? fromCurves(characterisation)
      : { optics: fromLabs(characterisation), hidden: BANDS.map(() => true) }
  return characterisation.letDown
    ? strengthened(found, characterisation.letDown, characterisation.deposit)
    : found.optics
}

/** Ways to know a colour. */
export type Read = Exclude<Characterisation['how'], 'additive'>

/** How far a direct print usually lies from its prediction, CIEDE2000: nine of ten are nearer (model against model). */
export const CONFIDENCE: Readonly<Record<Read, { readonly label: string; readonly within: number }>> = {
  curves: { label: 'Curves over white and black', within: 0.5 },
  labs: { label: 'Colour over white and black', within: 1.2 },
  class: { label: 'Colour and how it covers', within: 9.6 },
}

/** Formulas are computed only from inks that were read: a class says nothing of strength, an additive has no colour. */
export const isRead = (characterisation: Characterisation): boolean =>
  characterisation.how === 'curves' || characterisation.how === 'labs'

/** The colour of a smear over the white card, D65. */
export function colourOfCharacterisation(characterisation: Characterisation): Lab {
  if (characterisation.how === 'class') return labOfXyz(xyzOf(reflectanceOf(characterisation.hex)))
  if (characterisation.how === 'curves') return labOfXyz(xyzOf(characterisation.onWhite))
  if (characterisation.how === 'additive') return labOfXyz(xyzOf(evenly(WHITE_CARD)))
  return characterisation.light === 'D65'
    ? characterisation.onWhite
    : labOfXyz(xyzOf(reflectanceOfLab(characterisation.onWhite, characterisation.light)))
}
