import { describe, expect, it } from 'vitest'
import { celsius } from '../quantity'
import { thickest } from './cureHeat'
import { cureHeat } from './index'
import { CLOTHS, INKS, ink, planFor, SHOP } from './plan.fixtures'

type Asked = Parameters<typeof planFor>[0]
const through = (asked: Asked, dryers = SHOP.dryers) => cureHeat(planFor(asked), dryers)
const rules = (asked: Asked) => through(asked)?.reasons.map((r) => r.rule)
const white = { inks: [INKS.red], cloth: CLOTHS.white }

describe('a print in the dryer', () => {
  it('of one thin colour on a tee comes to its temperature at the usual belt speed (tuned: 160 °C and about 60 s)', () => {
    const found = through(white)!
    expect(found.passed.peak).toBeGreaterThan(celsius(150))
    expect(found.passed.peak).toBeLessThan(celsius(185))
    expect(found.window.most).toBeGreaterThan(0.03)
  })
  it('with a base under it, or on fleece, it wants more: a slower belt or hotter set points', () => {
    const most = (asked: Asked) => through(asked)!.window.most!
    expect(most({ inks: [INKS.white, INKS.red] })).toBeLessThan(most(white))
    expect(most({ ...white, cloth: { ...CLOTHS.hood, hex: CLOTHS.white.hex } })).toBeLessThan(most(white))
    expect(rules({ inks: [INKS.white, INKS.red], cloth: CLOTHS.hood })).toContain('CURE_SHIFT')
    expect(rules({ inks: [INKS.white, INKS.red] })).toEqual(['CURE_REACHES', 'CURE_SHIFT'])
  })
  it('a base under low-cure colours is low-cure too, and lies under them', () => {
    const both = [INKS.white, INKS.red]
    const low = planFor({ inks: both.map((i) => ({ ...i, lowCure: true })) })
    expect(thickest(low)!.load.ink.mass).toBeGreaterThan(thickest(planFor(white))!.load.ink.mass + 0.1)
    expect(thickest(low)!.most).toBeLessThan(thickest(planFor({ inks: both }))!.most)
  })
  it('water-based ink has to lose its water first, and says when it is dry', () => {
    const sea = { inks: [ink('sea', '#3f6f6a', { system: 'waterBased' })], cloth: CLOTHS.white }
    const found = through(sea)!
    expect(found.passed.dry).toBeGreaterThan(5)
    expect(found.window.most).toBeLessThan(through(white)!.window.most!)
    expect(through({ ...sea, overrides: { belt: 0.1 } })!.passed.water).toBeGreaterThan(0.02)
    expect(
      rules({ ...sea, overrides: { belt: 0.1 } })?.some((r) => r === 'CURE_WET' || r === 'CURE_FAST'),
    ).toBe(true)
  })
  it('a belt that crawls is too hot, and says what is the least', () => {
    expect(rules({ ...white, overrides: { belt: 0.004 } })).toContain('CURE_SLOW')
    const { window, passed } = through({ ...white, overrides: { belt: 0.004 } })!
    expect(passed.peak).toBeGreaterThan(celsius(190))
    expect(window.least).toBeGreaterThan(0.004)
  })
  // Trade: scorch about 200 °C, polyester gives dye off from about 130 °C, blends from 140 °C.
  it('cloth that scorches or gives off its dye is told, white cloth has none to give', () => {
    const read = { on: '2026-11-20', gain: 1.6, filmSpread: 5, readings: [] }
    const hot = SHOP.dryers.map((d) => ({ ...d, calibration: read }))
    const slow = cureHeat(planFor({ ...white, shop: { dryers: hot }, overrides: { belt: 0.005 } }), hot)
    expect(slow?.passed.cloth).toBeGreaterThan(celsius(200))
    expect(slow?.reasons.map((r) => r.rule)).toContain('CLOTH_SCORCHES')
    expect(rules(white)).not.toContain('CLOTH_SCORCHES')
    const poly = { ...CLOTHS.white, cotton: 0, polyester: 1 }
    expect(rules({ ...white, cloth: { ...poly, hex: '#1f2a44' } })).toContain('CLOTH_BLEEDS')
    expect(rules({ ...white, cloth: poly })).not.toContain('CLOTH_BLEEDS')
    const blend = { ...CLOTHS.white, cotton: 0.5, polyester: 0.5, hex: '#1f2a44' }
    const told = through({ ...white, cloth: blend })!
    expect(told.reasons.some((r) => r.rule === 'CLOTH_BLEEDS')).toBe(told.passed.cloth > celsius(140))
  })
  it('a belt that races does not cure', () => {
    expect(rules({ ...white, overrides: { belt: 0.2 } })).toContain('CURE_FAST')
    expect(through({ ...white, overrides: { belt: 0.2 } })!.passed.cure).toBeLessThan(0.5)
  })
  it('damp cloth on a damp day wants a slower belt', () => {
    const most = (overrides = {}) => through({ ...white, overrides })!.window.most!
    expect(most({ humidity: 0.9 })).toBeLessThan(most({ humidity: 0.3 }))
  })
  it('a longer tunnel runs faster', () => {
    const of = (heatedLength: number) =>
      through({ ...white }, [{ ...SHOP.dryers[0]!, heatedLength }])!.window.most!
    expect(of(4.8) / of(2.4)).toBeCloseTo(2, 1)
  })
  it('a gas tunnel heats otherwise, and says which it is', () => {
    const gas = through(white, [{ ...SHOP.dryers[0]!, heat: 'gas' }])!
    expect(gas.window.most).not.toBeCloseTo(through(white)!.window.most!, 3)
    expect(gas.reasons[0]?.inputs.kind).toBe('A gas tunnel')
  })
  it('nothing is told where no belt carries it', () => {
    expect(through({ ...white, method: { cure: 'panel' } })).toBeUndefined()
    expect(through({ ...white, shop: { dryers: [] } }, [])).toBeUndefined()
  })
  it('the profile goes in cold and comes out hot', () => {
    const { along } = through(white)!.passed
    expect(along[0]!.film).toBeLessThan(celsius(45))
    expect(along.at(-1)!.film).toBeGreaterThan(celsius(80))
  })
})
