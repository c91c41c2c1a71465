import { Matrix, solve } from 'ml-matrix'
import {
  BANDS,
  difference,
  inner,
  type Lab,
  labOf,
  labOfXyz,
  outer,
  outerSlope,
  overGround,
  overGroundSlopes,
  type Spectrum,
  xyzOf,
} from '../color'
import type { Part } from '../equipment'
import { blend, type Condition, inOrder, type MixInk } from './formula'
import { labSlopes } from './labSlopes'
import { BLACK_CARD, WHITE_CARD } from './optics'

/** What a formula should come to. */
export interface Aim {
  /** Measured reflectance that looks like the target. */
  readonly target: Spectrum
  /** A mix has to be right on each of them. */
  readonly conditions: readonly Condition[]
  /** Codes of which a can is open. */
  readonly opened: ReadonlySet<string>
  /** At most so many parts. */
  readonly most: number
}

/** A formula with what it gives and what it takes. */
export interface Candidate {
  readonly parts: readonly Part[]
  /** On the first condition. */
  readonly colour: Lab
  /** CIEDE2000 to the target in daylight, the worst of the conditions. */
  readonly difference: number
  /** The same under lamplight. */
  readonly lamp: number
  /** How it hides: luminance over black to that over white, 0..1. */
  readonly hides: number
  /** Money per kg. */
  readonly cost: number
  /** Codes of which a can has to be opened. */
  readonly opens: readonly string[]
  /** Lower is better. */
  readonly score: number
}

/** No part is smaller: it could not be weighed. */
const LEAST = 0.005
const ROUNDS = 10
/** A new ink starts with this much of the colour strength so far. */
const FRESH = 0.08
/** What is minded besides the difference, in CIEDE2000 (tuned). */
const MIND = { part: 0.2, lamp: 0.15, hides: 3, money: 0.02, open: 0.3 } as const
/** A spot colour should hide at least so well. */
const HIDES = 0.85
/** Kept of all that were tried. */
const KEPT = 24

/** CIEDE2000 near the target is a length: these rows make it of steps in L*, a*, b* (Luo, Cui, Rigg 2001). */
function metric({ l, a, b }: Lab): readonly (readonly [number, number, number])[] {
  const c = Math.hypot(a, b)
  const g = 0.5 * (1 - Math.sqrt(c ** 7 / (c ** 7 + 25 ** 7)))
  const a1 = a * (1 + g)
  const c1 = Math.hypot(a1, b)
  const h = Math.atan2(b, a1)
  const t =
    1 -
    0.17 * Math.cos(h - Math.PI / 6) +
    0.24 * Math.cos(2 * h) +
    0.32 * Math.cos(3 * h + Math.PI / 30) -
    0.2 * Math.cos(4 * h - (63 * Math.PI) / 180)
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2)
  const [sc, sh] = [1 + 0.045 * c1, 1 + 0.015 * c1 * t]
  return [
    [1 / sl, 0, 0],
    [0, (Math.cos(h) * (1 + g)) / sc, Math.sin(h) / sc],
    [0, (-Math.sin(h) * (1 + g)) / sh, Math.cos(h) / sh],
  ]
}

interface Fit {
  /** Shares by volume. */
  readonly v: readonly number[]
  readonly miss: number
}

/** How strongly an ink colours. */
const strength = (ink: MixInk) => ink.optics.k.reduce((a, b) => a + b, 0) / BANDS.length + 1e3

const axes = ['l', 'a', 'b'] as const

/** The volumes of a few inks that come nearest to the target (Levenberg and Marquardt in their logarithms). */
function fitted(
  inks: readonly MixInk[],
  start: readonly number[],
  lab: Lab,
  grounds: readonly Condition[],
  rows: ReturnType<typeof metric>,
): Fit {
  const normal = (t: readonly number[]) => {
    const top = Math.max(...t)
    const raw = t.map((x) => Math.exp(x - top))
    const all = raw.reduce((a, b) => a + b, 0)
    const held = raw.map((x) => Math.max(LEAST, x / all))
    const sum = held.reduce((a, b) => a + b, 0)
    return held.map((x) => x / sum)
  }
  const n = inks.length
  // Plain loops over one set of arrays: this is where a search spends its time.
  const d = inks.map(() => [0, 0, 0])
  const look = (v: readonly number[]) => {
    const square = Array.from({ length: n }, () => new Array<number>(n).fill(0))
    const pull = new Array<number>(n).fill(0)
    let sum = 0
    const { k, s } = blend(inks, v)
    for (const { ground, film } of grounds) {
      const slopesOf = k.map((x, b) => overGroundSlopes(x, s[b]!, film, ground[b]!))
      const xyz = xyzOf(slopesOf.map(([r]) => outer(r)))
      const slopes = labSlopes(xyz)
      const here = labOfXyz(xyz)
      const off = axes.map((axis) => here[axis] - lab[axis])
      // What each ink does to L*, a*, b*.
      for (const step of d) step.fill(0)
      for (let b = 0; b < BANDS.length; b++) {
        const [r, byK, byS] = slopesOf[b]!
        const out = outerSlope(r)
        for (let i = 0; i < n; i++) {
          const { optics } = inks[i]!
          const change = v[i]! * out * (byK * (optics.k[b]! - k[b]!) + byS * (optics.s[b]! - s[b]!))
          const step = d[i]!
          step[0]! += slopes[0]![b]! * change
          step[1]! += slopes[1]![b]! * change
          step[2]! += slopes[2]![b]! * change
        }
      }
      for (const row of rows) {
        const miss = row[0] * off[0]! + row[1] * off[1]! + row[2] * off[2]!
        const line = d.map((step) => row[0] * step[0]! + row[1] * step[1]! + row[2] * step[2]!)
        sum += miss * miss
        for (let i = 0; i < n; i++) {
          pull[i]! += line[i]! * miss
          for (let j = 0; j < n; j++) square[i]![j]! += line[i]! * line[j]!
        }
      }
    }
    return { square, pull, sum }
  }
  let v = normal(start.map((x) => Math.log(x)))
  let now = look(v)
  let damping = 1e-2
  for (let round = 0; round < ROUNDS && n > 1; round++) {
    const lhs = now.square.map((row, i) => row.map((x, j) => (i === j ? x * (1 + damping) + 1e-9 : x)))
    const step = solve(new Matrix(lhs), Matrix.columnVector(now.pull))
    const next = normal(v.map((x, i) => Math.log(x) - Math.max(-2, Math.min(2, step.get(i, 0)))))
    const there = look(next)
    if (there.sum < now.sum) {
      const gain = now.sum - there.sum
      v = next
      now = there
      damping = Math.max(1e-7, damping / 6)
      if (gain < 1e-4 || now.sum < 1e-4) break
    } else {
      damping *= 6
      if (damping > 1e5) break
    }
  }
  return { v, miss: now.sum }
}

/** What a mix by volume gives and takes. */
export function judged(
  inks: readonly MixInk[],
  v: readonly number[],
  lab: Lab,
  lampLab: Lab,
  aim: Aim,
): Candidate {
  const { k, s } = blend(inks, v)
  const over = (film: number, under: (b: number) => number) =>
    k.map((x, b) => outer(overGround(x, s[b]!, film, inner(under(b)))))
  const seen = aim.conditions.map(({ ground, film }) => over(film, (b) => ground[b]!))
  const film = aim.conditions[0]!.film
  const hides = xyzOf(over(film, () => BLACK_CARD))[1] / xyzOf(over(film, () => WHITE_CARD))[1]
  const parts = inOrder(inks.map(({ ink }, i) => ({ code: ink.code, share: v[i]! * ink.density })))
  const off = Math.max(...seen.map((r) => difference(labOf(r), lab)))
  const lamp = Math.max(...seen.map((r) => difference(labOf(r, 'A'), lampLab)))
  const cost = parts.reduce((sum, p) => sum + p.share * inks.find((i) => i.ink.code === p.code)!.ink.cost, 0)
  const opens = parts.map((p) => p.code).filter((code) => !aim.opened.has(code))
  return {
    parts,
    colour: labOf(seen[0]!),
    difference: off,
    lamp,
    hides,
    cost,
    opens,
    score:
      off +
      MIND.part * (parts.length - 1) +
      MIND.lamp * Math.max(0, lamp - off) +
      MIND.hides * Math.max(0, HIDES - hides) +
      MIND.money * cost +
      MIND.open * opens.length,
  }
}

/** How far a search is, and in the end what it found, best first. */
export type Searching = { readonly done: number } | { readonly found: readonly Candidate[] }

/**
 * Formulas of at most four inks for a target: every set of inks is fitted, starting from the best smaller set in it; ranked
 * by difference, with parts, lamplight, hiding, money and cans to open as smaller reasons. A generator, so that it can be
 * watched and stopped.
 *
 * @param inks read inks of one system (see `isRead`); 12 of them take some tenths of a second
 * @throws Error when there is no ink or no condition: check before
 */
export function* searchFormulas(
  inks: readonly MixInk[],
  aim: Aim,
): Generator<Searching, readonly Candidate[]> {
  if (inks.length === 0 || aim.conditions.length === 0)
    throw new Error('nothing to mix, or nothing to print on')
  const lab = labOf(aim.target)
  const lampLab = labOf(aim.target, 'A')
  const rows = metric(lab)
  const strong = inks.map(strength)
  const grounds = aim.conditions.map(({ ground, film }) => ({ ground: ground.map(inner), film }))
  const best = new Map<number, Fit>()
  const found: Candidate[] = []
  const sets = subsets(inks.length, Math.min(aim.most, 4))
  for (const [n, set] of sets.entries()) {
    const start = startOf(set, strong, best)
    const own = set.map((i) => inks[i]!)
    const result = fitted(own, start, lab, grounds, rows)
    best.set(key(set), result)
    found.push(judged(own, result.v, lab, lampLab, aim))
    if (n % 64 === 63) yield { done: n / sets.length }
  }
  const ranked = found.sort((a, b) => a.score - b.score).slice(0, KEPT)
  yield { found: ranked }
  return ranked
}

const key = (set: readonly number[]) => set.reduce((bits, i) => bits | (1 << i), 0)

/** Every set of 1 to `most` of n, small sets first. */
function subsets(n: number, most: number): readonly (readonly number[])[] {
  let level: readonly (readonly number[])[] = [[]]
  const all: (readonly number[])[] = []
  for (let size = 1; size <= most; size++) {
    level = level.flatMap((set) =>
      Array.from({ length: n - ((set.at(-1) ?? -1) + 1) }, (_, i) => [...set, (set.at(-1) ?? -1) + 1 + i]),
    )
    all.push(...level)
  }
  return all
}

/** Where the fit of a set starts: the best set with one ink less, and a little of the new one. */
function startOf(
  set: readonly number[],
  strong: readonly number[],
  best: ReadonlyMap<number, Fit>,
): readonly number[] {
  if (set.length === 1) return [1]
  if (set.length === 2) return set.map((i) => strong[i]! ** -0.8)
  const bits = key(set)
  const [fresh] = [...set].sort(
    (a, b) => (best.get(bits & ~(1 << a))?.miss ?? 0) - (best.get(bits & ~(1 << b))?.miss ?? 0),
  )
  const rest = set.filter((i) => i !== fresh)
  const v = best.get(bits & ~(1 << fresh!))?.v ?? rest.map(() => 1 / rest.length)
  const sofar = rest.reduce((sum, i, at) => sum + v[at]! * strong[i]!, 0)
  return set.map((i) => (i === fresh ? (FRESH * sofar) / strong[i]! : v[rest.indexOf(i)]!))
}
