import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BANDS } from '../color'
import { ADDITIVES, type AdditiveKind, type BaseInk, STARTER_RACK, USUAL_SMEAR } from '../equipment'
import { additivesFor, apart, saidOfAdditives, withAdditives } from './additive'
import { WHITE_CARD } from './optics'

const additive = (code: string, does: AdditiveKind): BaseInk => ({
  code,
  name: code,
  system: 'plastisol',
  cost: 20,
  density: 1000,
  characterisation: { how: 'additive', does },
})
const RACK = [...STARTER_RACK, additive('RISE', 'expands'), additive('THIN', 'thins')]
const SMEAR = { ground: BANDS.map(() => WHITE_CARD), film: USUAL_SMEAR }
const said = (inks: Readonly<Record<string, number>>, code: string, share: number) =>
  saidOfAdditives(
    withAdditives(
      Object.entries(inks).map(([c, s]) => ({ code: c, share: s })),
      [{ code, share }],
    ),
    RACK,
    SMEAR,
  )
const lighter = (code: string) => {
  const reason = said({ [code]: 1 }, 'RISE', 0.2).find((r) => r.rule === 'ADDITIVE_RISES')
  const value = reason?.inputs.lighter
  return value && typeof value === 'object' && 'value' in value ? value.value : Number.NaN
}

describe('additives', () => {
  it('are found by their system', () => {
    expect(additivesFor('plastisol', RACK).map((i) => i.code)).toEqual(['RISE', 'THIN'])
    expect(additivesFor('waterBased', RACK)).toEqual([])
  })
  it('20 % goes into 80 % of ink by weight (common practice)', () => {
    expect(
      withAdditives([{ code: 'R1', share: 1 }], [{ code: 'RISE', share: ADDITIVES.expands.usual }]),
    ).toEqual([
      { code: 'R1', share: 0.8 },
      { code: 'RISE', share: 0.2 },
    ])
  })
  it('leave the inks in their ratio, and all make the whole (property)', () => {
    const share = fc.double({ min: 0.01, max: 1, noNaN: true })
    fc.assert(
      fc.property(share, share, fc.double({ min: 0.001, max: 0.5, noNaN: true }), (a, b, of) => {
        const parts = withAdditives(
          [
            { code: 'R1', share: a },
            { code: 'W1', share: b },
          ],
          [{ code: 'RISE', share: of }],
        )
        const at = (code: string) => parts.find((p) => p.code === code)?.share ?? Number.NaN
        expect(parts.reduce((sum, p) => sum + p.share, 0)).toBeCloseTo(1, 9)
        expect(at('RISE')).toBeCloseTo(of, 9)
        expect(at('R1') / at('W1')).toBeCloseTo(a / b, 6)
        const { inks, additives } = apart(parts, RACK)
        expect([inks.length, additives.length]).toEqual([2, 1])
      }),
    )
  })
  it('that leave nothing for the ink are refused', () => {
    expect(() => withAdditives([{ code: 'R1', share: 1 }], [{ code: 'RISE', share: 1 }])).toThrow(RangeError)
  })
  it('more than usual is watched', () => {
    expect(said({ R1: 1 }, 'RISE', 0.2).map((r) => r.rule)).toEqual(['ADDITIVE', 'ADDITIVE_RISES'])
    expect(said({ R1: 1 }, 'RISE', 0.4)[0]).toMatchObject({ rule: 'ADDITIVE_MUCH', severity: 'Watch' })
  })
  it('expanding ink lightens as it rises: black most, white not (common practice, no source)', () => {
    const [black, red, white] = ['K1', 'R1', 'W1'].map(lighter) as [number, number, number]
    expect(black).toBeGreaterThan(red)
    expect(red).toBeGreaterThan(1)
    expect(Math.abs(white)).toBeLessThan(2)
  })
  it('what only thins does not lighten as bubbles do', () => {
    expect(said({ R1: 1 }, 'THIN', 0.03).map((r) => r.rule)).toEqual(['ADDITIVE', 'ADDITIVE_WEAKENS'])
  })
})
