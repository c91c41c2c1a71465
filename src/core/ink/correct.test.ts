import { describe, expect, it } from 'vitest'
import { BANDS, difference, layered } from '../color'
import { type BaseInk, STARTER_RACK } from '../equipment'
import { micron } from '../quantity'
import { correction, mendingFor } from './correct'
import { colourOn, type MixInk, mixed, mixInk, partsOf, SMEAR } from './formula'
import type { Batch } from './stock'

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

describe('against trying every amount of every ink', () => {
  /** So many shares of the batch are tried of each ink and of each pair. */
  const SHARES = Array.from({ length: 28 }, (_, i) => 0.0008 * 1.3 ** i).filter((s) => s < 1)
  const meant = partsOf(
    FORMULAS[0].map(([code, share]) => ({ code, share })),
    STARTER_RACK,
  )!
  const few = ['W1', 'B2', 'M1', 'K1'].map((code) => RACK.find((r) => r.ink.code === code)!)
  const inTub = new Set(meant.map((p) => p.of.ink.code))
  const target = colourOn(mixed(meant), CARD)
  /** Least difference that is to be had, and the least that is added to come within 0.8. */
  function everyAmount(tub: typeof meant) {
    let [least, smallest] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY]
    const tryOut = (added: typeof meant) => {
      const off = difference(colourOn(mixed([...tub, ...added]), CARD), target)
      least = Math.min(least, off)
      if (off <= 0.8)
        smallest = Math.min(
          smallest,
          added.reduce((sum, p) => sum + p.mass, 0),
        )
    }
    few.forEach((one, i) => {
      for (const a of SHARES) {
        tryOut([{ mass: a, of: one }])
        for (const other of few.slice(i + 1))
          for (const b of SHARES)
            tryOut([
              { mass: a, of: one },
              { mass: b, of: other },
            ])
      }
    })
    return { least, smallest }
  }
  it.each([
    [0, 1.25],
    [0, 0.85],
    [1, 1.3],
    [1, 0.75],
    [2, 1.6],
  ] as const)('part %i poured %f times: as near, with as little', (part, times) => {
    // The formula says what was poured: the reading holds no riddle.
    const tub = meant.map((p, i) => ({ ...p, mass: p.mass * (i === part ? times : 1) }))
    const read = colourOn(mixed(tub), CARD)
    const fix = correction(tub, read, target, few, CARD)
    const best = everyAmount(tub)
    expect(fix.difference).toBeLessThan(Math.max(0.8, best.least + 0.3))
    // It goes on to the colour itself, not only to the rim of what is near.
    if (best.smallest < Number.POSITIVE_INFINITY) expect(fix.mass).toBeLessThan(2.5 * best.smallest)
    expect(fix.mass).toBeCloseTo(
      Object.values(fix.add).reduce((a, b) => a + b, 0),
      9,
    )
    expect(Object.keys(fix.add).length).toBeLessThanOrEqual(3)
    expect(Object.keys(fix.add).filter((code) => !inTub.has(code)).length).toBeLessThanOrEqual(1)
    const added = Object.entries(fix.add).map(([code, mass]) => ({
      mass,
      of: few.find((r) => r.ink.code === code)!,
    }))
    expect(difference(colourOn(mixed([...tub, ...added]), CARD), target)).toBeCloseTo(fix.difference, 1)
  })
  it('amounts grow with the batch', () => {
    const tub = meant.map((p, i) => ({ ...p, mass: p.mass * (i === 1 ? 1.3 : 1) }))
    const read = colourOn(mixed(tub), CARD)
    const one = correction(tub, read, target, few, CARD)
    const ten = correction(
      tub.map((p) => ({ ...p, mass: 10 * p.mass })),
      read,
      target,
      few,
      CARD,
    )
    expect(one.mass).toBeGreaterThan(0)
    expect(ten.mass).toBeCloseTo(10 * one.mass, 6)
  })
  it('what reads as it should is left alone, however far the model is from it', () => {
    const odd = { l: target.l + 4, a: target.a - 5, b: target.b + 6 }
    expect(correction(meant, odd, odd, few, CARD)).toEqual({ add: {}, mass: 0, difference: 0, anew: false })
  })
  it('what the model cannot explain is carried over: the same error again asks for the same again', () => {
    const tub = meant.map((p, i) => ({ ...p, mass: p.mass * (i === 1 ? 1.3 : 1) }))
    const plain = colourOn(mixed(tub), CARD)
    const shift = { l: 0.6, a: 0.8, b: -0.7 }
    const moved = <T extends typeof shift>(c: T) => ({ l: c.l + shift.l, a: c.a + shift.a, b: c.b + shift.b })
    const [as, is] = [
      correction(tub, plain, target, few, CARD),
      correction(tub, moved(plain), moved(target), few, CARD),
    ]
    expect(is.mass).toBeGreaterThan(0.8 * as.mass)
    expect(is.mass).toBeLessThan(1.25 * as.mass)
  })
  it('a grey that no ink on the rack turns red is called a new batch', () => {
    const red = colourOn(mixed(partsOf([{ code: 'R1', share: 1 }], STARTER_RACK)!), CARD)
    const read = colourOn(mixed(meant), CARD)
    expect(correction(meant, read, red, few.slice(0, 2), CARD)).toMatchObject({ anew: true })
    expect(correction(meant, read, red, [], CARD)).toEqual({
      add: {},
      mass: 0,
      difference: difference(read, red),
      anew: true,
    })
    const much = correction(meant, read, red, RACK, CARD)
    // So far off, whatever helps is more than half a batch, or nothing helps.
    expect(much.anew).toBe(true)
    expect(much.mass === 0 || much.mass > 0.5).toBe(true)
  })
})

describe('which inks are added', () => {
  const meant = partsOf(
    FORMULAS[0].map(([code, share]) => ({ code, share })),
    STARTER_RACK,
  )!
  const target = colourOn(mixed(meant), CARD)
  const inkOf = (code: string) => RACK.find((r) => r.ink.code === code)!
  const short = (part: number, times: number) =>
    meant.map((p, i) => ({ ...p, mass: p.mass * (i === part ? times : 1) }))
  const fixed = (tub: typeof meant, rack: readonly MixInk[], aim = target) =>
    correction(tub, colourOn(mixed(tub), CARD), aim, rack, CARD)
  /** The same ink with so many times the pigment. */
  const times = (n: number, ink: MixInk): MixInk => ({
    ...ink,
    ink: { ...ink.ink, code: `${ink.ink.code}x` },
    optics: { k: ink.optics.k.map((k) => n * k), s: ink.optics.s.map((s) => n * s) },
  })
  it('of two that do the same the stronger, since less of it does', () => {
    const blue = inkOf('B2')
    const tub = short(1, 0.7)
    for (const rack of [
      [blue, times(2, blue)],
      [times(2, blue), blue],
    ])
      expect(Object.keys(fixed(tub, rack).add)).toEqual(['B2x'])
  })
  it('where none comes near, the one that comes nearest for what it weighs, wherever it stands on the rack', () => {
    const tub = short(0, 3)
    const singles = ['R1', 'M1', 'V1'].map(inkOf)
    const worth = (c: { difference: number; mass: number }) =>
      c.difference + c.mass / tub.reduce((sum, p) => sum + p.mass, 0)
    const alone = singles.map((ink) => fixed(tub, [ink])).filter((c) => c.mass > 0)
    expect(alone.length).toBeGreaterThan(1)
    for (const rack of [singles, [...singles].reverse()])
      expect(worth(fixed(tub, rack))).toBeLessThanOrEqual(Math.min(...alone.map(worth)) + 1e-9)
  })
  it('three where two cannot do it: all is short beside one that was never meant', () => {
    const tub = [...meant, { mass: 0.02, of: inkOf('Y2') }]
    const three = ['W1', 'B2', 'M1'].map(inkOf)
    const fix = fixed(tub, three)
    expect(Object.keys(fix.add).sort()).toEqual(['B2', 'M1', 'W1'])
    for (const pair of [three.slice(0, 2), three.slice(1), [three[0]!, three[2]!]])
      expect(fixed(tub, pair).difference).toBeGreaterThan(fix.difference)
  })
  it('never two that are new to the formula', () => {
    const far = [
      ['Y1', 0.3],
      ['R1', 0.05],
      ['K1', 0.02],
    ] as const
    const codes = new Set(meant.map((p) => p.of.ink.code))
    for (const [code, mass] of far)
      for (const [other, more] of far) {
        const aim = colourOn(
          mixed([...meant, { mass, of: inkOf(code) }, { mass: more, of: inkOf(other) }]),
          CARD,
        )
        const { add } = fixed(meant, ['Y1', 'R1', 'K1', 'W1', 'B2'].map(inkOf), aim)
        expect(Object.keys(add).length).toBeGreaterThan(0)
        expect(Object.keys(add).filter((c) => !codes.has(c)).length).toBeLessThanOrEqual(1)
      }
  })
})

describe('a batch on the bench', () => {
  const meant = partsOf(
    FORMULAS[0].map(([code, share]) => ({ code, share })),
    STARTER_RACK,
  )!
  const heavy = meant.map((p, i) => ({ ...p, mass: p.mass * (i === 1 ? 1.4 : 1) }))
  const reading = { spectrum: [] as readonly number[] }
  const system = STARTER_RACK.find((i) => i.code === 'W1')!.system
  const read = layered([{ optics: mixed(heavy), thickness: SMEAR.film }], SMEAR.ground)
  const batch = (poured: Batch['poured'], drawn = true): Batch =>
    ({
      system,
      target: colourOn(mixed(meant), SMEAR),
      poured,
      drawdowns: drawn ? [{ ...reading, onWhite: read }] : [],
    }) as unknown as Batch
  const poured = Object.fromEntries(meant.map((p) => [p.of.ink.code, p.mass]))
  it('cannot be mended before it is drawn down', () => {
    expect(mendingFor(batch(poured, false), STARTER_RACK)).toBeUndefined()
  })
  it('counts what was poured, not what was put back or is not on the rack', () => {
    const plain = mendingFor(batch(poured), STARTER_RACK)
    expect(plain?.mass).toBeGreaterThan(0)
    expect(mendingFor(batch({ ...poured, Y1: 0, NONE: 0.3 }), STARTER_RACK)).toEqual(plain)
  })
  it('takes inks of its own system that were read, and no others', () => {
    const other = STARTER_RACK.map((i): BaseInk => ({ ...i, code: `X${i.code}`, system: 'another system' }))
    // Before its own: of two that do the same the first is taken.
    expect(mendingFor(batch(poured), [...other, ...STARTER_RACK])).toEqual(
      mendingFor(batch(poured), STARTER_RACK),
    )
    const unread = STARTER_RACK.map(
      (i): BaseInk =>
        i.code in poured
          ? i
          : { ...i, characterisation: { how: 'class', hex: '#808080', opacity: 'ordinary' } },
    )
    const used = Object.keys(mendingFor(batch(poured), unread)?.add ?? {})
    for (const code of used) expect(code in poured).toBe(true)
  })
})
