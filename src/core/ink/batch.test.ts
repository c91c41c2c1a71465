import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BANDS } from '../color'
import { STARTER_RACK } from '../equipment'
import { grams, micron } from '../quantity'
import { amounts, band, cumulative, lookAlike, lookAlikes, offBy, restored } from './batch'
import { inOrder } from './formula'

const TAN = [
  { code: 'W1', share: 0.8135 },
  { code: 'O1', share: 0.0596 },
  { code: 'R1', share: 0.0869 },
  { code: 'K1', share: 0.04 },
]
const CARD = { ground: BANDS.map(() => 0.86), film: micron(30) }
const g = (poured: Record<string, number>) =>
  Object.fromEntries(Object.entries(poured).map(([k, v]) => [k, grams(v)]))
const codes = STARTER_RACK.map((i) => i.code)
/** Two to five parts of at least half a per cent. */
const formula = fc.uniqueArray(fc.constantFrom(...codes), { minLength: 2, maxLength: 5 }).chain((picked) =>
  fc
    .array(fc.double({ min: 0.01, max: 1, noNaN: true }), {
      minLength: picked.length,
      maxLength: picked.length,
    })
    .map((shares) => inOrder(picked.map((code, i) => ({ code, share: shares[i]! })))),
)
const mass = fc.double({ min: 0.05, max: 20, noNaN: true })
const sum = (poured: Readonly<Record<string, number>>) => Object.values(poured).reduce((a, b) => a + b, 0)

describe('parts of a batch', () => {
  it('sum to it, the largest first (property)', () => {
    fc.assert(
      fc.property(formula, mass, (parts, batch) => {
        const list = amounts(parts, batch)
        expect(list.reduce((t, p) => t + p.mass, 0)).toBeCloseTo(batch, 9)
        list.forEach((p, i) => {
          if (i > 0) expect(p.mass).toBeLessThanOrEqual(list[i - 1]!.mass)
        })
      }),
    )
  })
  it('read with tare and read in one go are the same pour (property)', () => {
    fc.assert(
      fc.property(formula, mass, fc.double({ min: 0, max: 2, noNaN: true }), (parts, batch, tub) => {
        const list = amounts(parts, batch)
        const gross = cumulative(list, tub)
        list.forEach((p, i) => {
          expect(gross[i]! - (i === 0 ? tub : gross[i - 1]!)).toBeCloseTo(p.mass, 9)
        })
        expect(gross.at(-1)! - tub).toBeCloseTo(batch, 9)
      }),
    )
  })
  it('600 g at 2 % is 12 g, right from 11.8 to 12.2 g; a tenth of a gram is told to half of it', () => {
    const [low, high] = band(amounts([{ code: 'K1', share: 0.02 }], grams(600))[0]!.mass)
    expect(low * 1000).toBeCloseTo(11.76, 6)
    expect(high * 1000).toBeCloseTo(12.24, 6)
    expect(band(grams(1))[0] * 1000).toBeCloseTo(0.95, 6)
  })
})

describe('too much of one part', () => {
  it.each([
    [0, 1258.4, { W1: 210.2, O1: 0, R1: 22.5, K1: 10.3 }],
    [0.05, 1198.5, { W1: 158.4, O1: 0, R1: 16.9, K1: 7.8 }],
  ])('inside figures, those of the model, %s of the part left', (off, total, add) => {
    const fixed = restored(TAN, g({ W1: 813.5, O1: 75, R1: 86.9, K1: 40 }), STARTER_RACK, off)!
    expect(fixed.total * 1000).toBeCloseTo(total, 0)
    for (const [code, grams_] of Object.entries(add)) expect(fixed.add[code]! * 1000).toBeCloseTo(grams_, 0)
  })
  it('a batch half poured is finished as it was meant', () => {
    const fixed = restored(TAN, g({ W1: 400, O1: 59.6 }), STARTER_RACK)!
    expect(fixed.total * 1000).toBeCloseTo(1000, 0)
    expect(fixed.add.W1! * 1000).toBeCloseTo(413.5, 0)
  })
  it('what is not in the formula cannot be undone', () => {
    expect(restored(TAN, g({ W1: 813.5, V1: 12 }), STARTER_RACK)).toBeUndefined()
  })
  it('the ratio is exact again, nothing is taken out, nothing less would do (property)', () => {
    fc.assert(
      fc.property(
        formula,
        fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { minLength: 5, maxLength: 5 }),
        (parts, poured) => {
          const tub = Object.fromEntries(parts.map((p, i) => [p.code, poured[i]!]))
          if (sum(tub) === 0) return
          const fixed = restored(parts, tub, STARTER_RACK)!
          for (const { code, share } of parts) {
            expect(fixed.add[code]!).toBeGreaterThanOrEqual(0)
            expect(tub[code]! + fixed.add[code]!).toBeCloseTo(share * fixed.total, 6)
          }
          expect(parts.some((p) => fixed.add[p.code]! < 1e-9)).toBe(true)
        },
      ),
    )
  })
  it('a tub too small is emptied of a stirred share first, and ends full', () => {
    const fixed = restored(TAN, g({ W1: 813.5, O1: 120, R1: 86.9, K1: 40 }), STARTER_RACK, 0, grams(1500))!
    expect(fixed.total * 1000).toBeCloseTo(1500, 6)
    const kept = 1060.4 * (1 - fixed.out)
    expect(kept + sum(fixed.add) * 1000).toBeCloseTo(1500, 3)
  })
  it('left as it is the colour is off, the more the more was poured', () => {
    const off = (orange: number) =>
      offBy(TAN, g({ W1: 813.5, O1: orange, R1: 86.9, K1: 40 }), STARTER_RACK, CARD)!
    expect(off(59.6)).toBeLessThan(0.01)
    expect(off(75)).toBeGreaterThan(0.3)
    expect(off(90)).toBeGreaterThan(off(75))
    expect(offBy([{ code: 'ZZ', share: 1 }], g({ ZZ: 1 }), STARTER_RACK, CARD)).toBeUndefined()
  })
})

describe('names that are taken for one another', () => {
  it('one character apart, and where', () => {
    expect(lookAlike('Blue 1', 'Blue 2')).toBe(5)
    expect(lookAlike('B1', 'G1')).toBe(0)
    expect(lookAlike('Red', 'Reds')).toBe(3)
    expect(lookAlike('Orange', 'Magenta')).toBeUndefined()
    expect(lookAlike('Red', 'red')).toBeUndefined()
  })
  it('two blues numbered one and two are told', () => {
    const blue = STARTER_RACK.find((i) => i.name === 'Blue 1')!
    expect(lookAlikes(blue, STARTER_RACK).map((i) => i.name)).toEqual(['Blue 2'])
    const black = STARTER_RACK.find((i) => i.name === 'Black')!
    expect(lookAlikes(black, STARTER_RACK)).toEqual([])
    expect(lookAlikes({ ...black, code: 'KX-12' }, [{ ...black, code: 'KX-17' }])).toHaveLength(1)
  })
})

// Each part by hand: what a lead would work out on paper.
describe('batches by hand', () => {
  const rack = STARTER_RACK.map((ink) => ({
    ...ink,
    cost: { W1: 10, O1: 30, R1: 40, K1: 20 }[ink.code] ?? 99,
  }))
  it('parts stand largest first, however the formula lists them', () => {
    const listed = [
      { code: 'K1', share: 0.04 },
      { code: 'W1', share: 0.86 },
      { code: 'R1', share: 0.1 },
    ]
    expect(amounts(listed, 1).map((p) => p.code)).toEqual(['W1', 'R1', 'K1'])
  })
  it('a double pour of one part asks for as much of all, at its price', () => {
    const two = [
      { code: 'W1', share: 0.75 },
      { code: 'R1', share: 0.25 },
    ]
    const fixed = restored(two, { W1: 0.3, R1: 0.2 }, rack)
    expect(fixed?.add.W1).toBeCloseTo(0.3, 12)
    expect(fixed?.add.R1).toBeCloseTo(0, 12)
    expect(fixed?.total).toBeCloseTo(0.8, 12)
    expect(fixed?.out).toBe(0)
    expect(fixed?.cost).toBeCloseTo(0.3 * 10, 12)
    // A tub that holds half of it: half is taken out, and half as much is added.
    const small = restored(two, { W1: 0.3, R1: 0.2 }, rack, 0, 0.4)
    expect(small?.out).toBeCloseTo(0.5, 12)
    expect(small?.add.W1).toBeCloseTo(0.15, 12)
    expect(small?.total).toBeCloseTo(0.4, 12)
    expect(restored(two, { W1: 0.3, R1: 0.2 }, rack, 0, 0.8)?.out).toBe(0)
  })
  it('an ink that is not in the formula cannot be undone, one that was only looked at can', () => {
    expect(restored(TAN, { W1: 0.3, B1: 0.01 }, rack)).toBeUndefined()
    expect(restored(TAN, { W1: 0.3, B1: 0 }, rack)).toBeDefined()
    // What the rack no longer holds costs nothing that is known.
    expect(restored([{ code: 'gone', share: 1 }], { gone: 0.1 }, [])?.cost).toBe(0)
  })
  it('is off by nothing where the tub holds the formula, by more the more it does not, and by none where an ink is unknown', () => {
    const exact = Object.fromEntries(amounts(TAN, 0.6).map((p) => [p.code, p.mass]))
    expect(offBy(TAN, exact, STARTER_RACK, CARD)).toBeCloseTo(0, 6)
    expect(offBy(TAN, { ...exact, K1: 2 * (exact.K1 ?? 0) }, STARTER_RACK, CARD)).toBeGreaterThan(1)
    expect(offBy(TAN, { ...exact, B1: 0 }, STARTER_RACK, CARD)).toBeCloseTo(0, 6)
    expect(offBy(TAN, { ...exact, gone: 0.01 }, STARTER_RACK, CARD)).toBeUndefined()
    expect(offBy([...TAN, { code: 'gone', share: 0.1 }], exact, STARTER_RACK, CARD)).toBeUndefined()
    expect(offBy(TAN, {}, STARTER_RACK, CARD)).toBeUndefined()
  })
  it('a tired eye takes one character more, less or other for the same', () => {
    expect(lookAlike('Blue 1', 'Blue 2')).toBe(5)
    expect(lookAlike('Blue', 'Blues')).toBe(4)
    expect(lookAlike('Blues', 'Blue')).toBe(4)
    expect(lookAlike('Bluue', 'Blue')).toBe(3)
    for (const [a, b] of [
      ['Blue', 'blue'],
      ['Blue', 'Bluest'],
      ['Blue', 'Glum'],
      ['Red', 'Reds!'],
    ] as const)
      expect(lookAlike(a, b), `${a} ${b}`).toBeUndefined()
  })
})
