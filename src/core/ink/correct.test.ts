import { describe, expect, it } from 'vitest'
import { BANDS, difference } from '../color'
import { STARTER_RACK } from '../equipment'
import { micron } from '../quantity'
import { correction } from './correct'
import { colourOn, type MixInk, mixed, mixInk, partsOf } from './formula'

const RACK = STARTER_RACK.map(mixInk)
const CARD = { ground: BANDS.map(() => 0.86), film: micron(30) }
const FORMULAS = [
  [
    ['W1', 0.784],
    ['B2', 0.189],
    ['M1', 0.027],
  ],
  [
    ['W1', 0.853],
    ['R1', 0.087],
    ['O1', 0.06],
  ],
  [
    ['Y1', 0.152],
    ['W1', 0.207],
    ['B1', 0.432],
    ['B2', 0.209],
  ],
  [
    ['W1', 0.884],
    ['Y1', 0.063],
    ['O1', 0.042],
    ['K1', 0.011],
  ],
] as const
/** Errors that repeat from run to run: each part up to 12 % more or less than meant. */
const off = (n: number, i: number) => 1 + 0.12 * Math.sin(7.3 * n + 2.1 * i)

describe('a finished batch whose drawdown is off (batches that obey the model, no press)', () => {
  const batches = FORMULAS.flatMap((parts, f) => [0, 1, 2].map((n) => ({ parts, n: 3 * f + n })))
  const results = batches.map(({ parts, n }) => {
    const meant = partsOf(
      parts.map(([code, share]) => ({ code, share })),
      STARTER_RACK,
    )!
    const true_ = meant.map((p, i) => ({ ...p, mass: p.mass * off(n, i) }))
    const target = colourOn(mixed(meant), CARD)
    const read = colourOn(mixed(true_), CARD)
    const fix = correction(meant, read, target, RACK, CARD)
    const added = Object.entries(fix.add).map(([code, mass]) => ({
      mass,
      of: RACK.find((r) => r.ink.code === code) as MixInk,
    }))
    return {
      before: difference(read, target),
      after: difference(colourOn(mixed([...true_, ...added]), CARD), target),
      fix,
    }
  })
  it('comes to within what is accepted, whatever was wrong', () => {
    for (const r of results) expect(r.after).toBeLessThan(1.5)
    const median = (x: readonly number[]) => [...x].sort((a, b) => a - b)[Math.floor(x.length / 2)]!
    expect(median(results.map((r) => r.after))).toBeLessThan(0.9)
    expect(median(results.map((r) => r.before))).toBeGreaterThan(1)
  })
  it('only adds, and never more than half the batch without saying so', () => {
    for (const { fix } of results) {
      for (const mass of Object.values(fix.add)) expect(mass).toBeGreaterThan(0)
      if (fix.mass > 0) expect(fix.anew).toBe(fix.mass > 0.5)
    }
  })
  it('a batch that is right is left alone', () => {
    const meant = partsOf(
      FORMULAS[1].map(([code, share]) => ({ code, share })),
      STARTER_RACK,
    )!
    const target = colourOn(mixed(meant), CARD)
    expect(correction(meant, target, target, RACK, CARD)).toMatchObject({ add: {}, mass: 0, anew: false })
  })
})
