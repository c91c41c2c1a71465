import { Matrix, solve } from 'ml-matrix'
import { BANDS, difference, type Lab, labOf, type Optics } from '../color'
import type { BaseInk } from '../equipment'
import type { Mass, Share } from '../quantity'
import type { Poured } from './batch'
import { type Condition, colourOn, type MixInk, mixed, mixInk, SMEAR } from './formula'
import { isRead } from './optics'
import type { Batch } from './stock'

/** What to add to a batch whose drawdown is off. */
export interface Correction {
  /** kg by code, none negative; empty: nothing helps enough. */
  readonly add: Poured
  /** kg added in all. */
  readonly mass: Mass
  /** CIEDE2000 to the target then, as the model sees it. */
  readonly difference: number
  /** So much would be added that a new batch is better. */
  readonly anew: boolean
}

/** Near enough: of all that come so near, the smallest addition is taken. */
const NEAR = 0.8
/** Beyond this share of the batch a new one is better. */
const MOST: Share = 0.5
/** How firmly the parts of the formula are believed when the reading is explained. */
const RIDGE = 0.35
const ROUNDS = 12
const AXES = ['l', 'a', 'b'] as const

const steps = (of: (t: readonly number[]) => Lab, at: readonly number[]): readonly (readonly number[])[] => {
  const here = of(at)
  return at.map((_, i) => {
    const there = of(at.map((x, j) => (j === i ? x + 1e-3 : x)))
    return AXES.map((axis) => (there[axis] - here[axis]) / 1e-3)
  })
}

/**
 * Additions that bring a finished batch to its target. First the reading is explained by parts that are stronger or weaker
 * than thought; what that does not explain is carried over to the aim. Then every one to three inks, at most one of them
 * new to the formula, are tried.
 *
 * @param batch what is in the tub, kg, by ink
 * @param read colour of the drawdown, D65; @param on what it was drawn on
 */
export function correction(
  batch: readonly { readonly mass: Mass; readonly of: MixInk }[],
  read: Lab,
  target: Lab,
  rack: readonly MixInk[],
  on: Condition,
): Correction {
  const all = batch.reduce((sum, p) => sum + p.mass, 0)
  const shifted = (t: readonly number[]) =>
    mixed(batch.map((p, i) => ({ ...p, mass: p.mass * Math.exp(t[i]!) })))
  // What the reading says of the strength of each part.
  let t: readonly number[] = batch.map(() => 0)
  for (let round = 0; round < 4; round++) {
    const seen = colourOn(shifted(t), on)
    const slopes = steps((x) => colourOn(shifted(x), on), t)
    const j = new Matrix(AXES.map((_, a) => slopes.map((s) => s[a]!)))
    const lhs = j.transpose().mmul(j)
    for (let i = 0; i < t.length; i++) lhs.set(i, i, lhs.get(i, i) + RIDGE * RIDGE * 100)
    const rhs = j.transpose().mmul(Matrix.columnVector(AXES.map((a) => read[a] - seen[a])))
    const pull = t.map((x, i) => rhs.get(i, 0) - RIDGE * RIDGE * 100 * x)
    const step = solve(lhs, Matrix.columnVector(pull))
    t = t.map((x, i) => x + Math.max(-0.3, Math.min(0.3, step.get(i, 0))))
  }
  const tub = shifted(t)
  const seen = colourOn(tub, on)
  const aim = {
    l: target.l - (read.l - seen.l),
    a: target.a - (read.a - seen.a),
    b: target.b - (read.b - seen.b),
  }
  const density = all / batch.reduce((sum, p) => sum + p.mass / p.of.ink.density, 0)
  const inFormula = new Set(batch.map((p) => p.of.ink.code))
  const with_ = (inks: readonly MixInk[], shares: readonly number[]): Lab => {
    const volumes = inks.map((ink, i) => (shares[i]! * all) / ink.ink.density)
    const own = all / density
    const sum = own + volumes.reduce((a, b) => a + b, 0)
    const mean = (pick: (o: Optics) => readonly number[]) =>
      BANDS.map(
        (_, b) =>
          (own * pick(tub)[b]! + inks.reduce((s, ink, i) => s + volumes[i]! * pick(ink.optics)[b]!, 0)) / sum,
      )
    return colourOn({ k: mean((o) => o.k), s: mean((o) => o.s) }, on)
  }
  const tried = sets(rack, inFormula).map((inks) => {
    let x: readonly number[] = inks.map(() => Math.log(0.02))
    const miss = (y: readonly number[]) => difference(with_(inks, y.map(Math.exp)), aim)
    let now = miss(x)
    let damping = 0.1
    for (let round = 0; round < ROUNDS; round++) {
      const here = with_(inks, x.map(Math.exp))
      const slopes = steps((y) => with_(inks, y.map(Math.exp)), x)
      const j = new Matrix(AXES.map((_, a) => slopes.map((s) => s[a]!)))
      const lhs = j.transpose().mmul(j)
      for (let i = 0; i < x.length; i++) lhs.set(i, i, lhs.get(i, i) * (1 + damping) + 1e-6)
      const step = solve(lhs, j.transpose().mmul(Matrix.columnVector(AXES.map((a) => aim[a] - here[a]))))
      const next = x.map((v, i) =>
        Math.max(Math.log(5e-4), Math.min(0, v + Math.max(-1.5, Math.min(1.5, step.get(i, 0))))),
      )
      const there = miss(next)
      if (there < now - 1e-4) {
        x = next
        now = there
        damping /= 4
      } else damping *= 6
    }
    const shares = x.map(Math.exp)
    return { inks, shares, off: now, share: shares.reduce((a, b) => a + b, 0) }
  })
  const before = difference(seen, aim)
  const near = tried.filter((c) => c.off <= NEAR)
  const best =
    near.length > 0
      ? near.reduce((a, b) => (b.share < a.share ? b : a))
      : tried.reduce((a, b) => (b.off + b.share < a.off + a.share ? b : a), tried[0]!)
  if (!best || before <= NEAR || best.off >= before - 0.2)
    return { add: {}, mass: 0, difference: before, anew: before > NEAR }
  const add = Object.fromEntries(best.inks.map((ink, i) => [ink.ink.code, best.shares[i]! * all]))
  return { add, mass: best.share * all, difference: best.off, anew: best.share > MOST }
}

/** What would bring a batch on the bench to its target, from its last drawdown; undefined before it is read. */
export function mendingFor(batch: Batch, rack: readonly BaseInk[]): Correction | undefined {
  const last = batch.drawdowns.at(-1)
  if (!last) return undefined
  const own = Object.entries(batch.poured).flatMap(([code, mass]) => {
    const ink = rack.find((i) => i.code === code)
    return ink && mass > 0 ? [{ mass, of: mixInk(ink) }] : []
  })
  const usable = rack.filter((i) => i.system === batch.system && isRead(i.characterisation)).map(mixInk)
  return correction(own, labOf(last.onWhite), batch.target, usable, SMEAR)
}

/** One to three inks, at most one of them new to the formula. */
function sets(rack: readonly MixInk[], inFormula: ReadonlySet<string>): readonly (readonly MixInk[])[] {
  const isNew = (ink: MixInk) => !inFormula.has(ink.ink.code)
  const out: (readonly MixInk[])[] = []
  rack.forEach((a, i) => {
    out.push([a])
    rack.slice(i + 1).forEach((b, k) => {
      const two = [a, b]
      if (two.filter(isNew).length <= 1) out.push(two)
      for (const c of rack.slice(i + k + 2)) {
        const three = [...two, c]
        if (three.filter(isNew).length <= 1) out.push(three)
      }
    })
  })
  return out
}
