import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, numberOf } from '../advice'
import type { Dryer, FlashKind, Press } from '../equipment'
import type { Cloth } from '../order'
import { celsius, mm } from '../quantity'
import {
  type CureNeed,
  coolDown,
  cureFor,
  flashDwell,
  flashHeight,
  type InkKind,
  rackDry,
  shopAir,
  WARM_BOARD,
} from './index'
import { waiting } from './waiting.fixtures'

const cloth = (polyester = 0): Cloth => ({
  name: 'Cloth',
  hex: '#1e1f21',
  weave: 'jersey',
  cotton: 1 - polyester,
  polyester,
  weight: 0.18,
})
const plastisol: CureNeed = { system: 'plastisol', inkType: 'spot', lowCure: false }
const DRYERS: readonly Dryer[] = [
  { id: 'short', name: 'Short', heatedLength: 1.2, beltWidth: 0.4 },
  { id: 'long', name: 'Long', heatedLength: 2.4, beltWidth: 0.9 },
]
const TEE = { garment: { width: mm(560), length: mm(740) }, print: { width: mm(300), length: mm(360) } }
const cure = (needs: readonly CureNeed[], on = cloth(), method = {}, overrides = {}) =>
  cureFor(needs, on, TEE, DRYERS, { ...DEFAULT_METHOD, ...method }, overrides)
const film = (...needs: CureNeed[]) => numberOf(cure(needs).inkFilm) - 273.15
const rules = (reasons: readonly { rule: string }[]) => reasons.map((r) => r.rule)
const UNIT = { id: 'f', name: 'F', pressId: 'p', takes: 1 }
const flash = (
  kind: FlashKind,
  ink: InkKind = 'base',
  print?: { width: number; height: number },
  overrides = {},
) =>
  flashDwell(
    { id: 'base', name: 'Base white' },
    { ...UNIT, kind },
    waiting(kind, ink, print),
    WARM_BOARD,
    overrides,
  )

describe('flash', () => {
  // Common practice, no source: 5 to 10 s under a panel on a warm board, quartz faster; the model is tuned to them.
  it('a panel gels plastisol on a warm board in 5 to 10 s, quartz in less, a gun a small print in about half a minute', () => {
    expect(flash('panel').advised).toBeGreaterThanOrEqual(5)
    expect(flash('panel').advised).toBeLessThanOrEqual(10)
    expect(flash('quartz').advised).toBeLessThan(flash('panel').advised)
    const small = flash('gun', 'base', { width: 0.2, height: 0.25 })
    expect(small.advised).toBeGreaterThan(15)
    expect(small.advised).toBeLessThanOrEqual(45)
  })
  it('is set to the half second above what the corners need, and goes up to where the middle closes', () => {
    const { advised, range } = flash('panel')
    expect(advised % 0.5).toBe(0)
    expect(range[0]).toBe(advised)
    expect(range[1]).toBeGreaterThan(advised)
    expect(range[1]).toBeLessThanOrEqual(12)
  })
  it('water-based takes longer without air, and is watched', () => {
    expect(flash('panel', 'waterBased').advised).toBeGreaterThan(1.4 * flash('air', 'waterBased').advised)
    expect(rules(flash('panel', 'waterBased').reasons)).toContain('FLASH_WATER')
    expect(rules(flash('air', 'waterBased').reasons)).not.toContain('FLASH_WATER')
    expect(rules(flash('panel').reasons)).not.toContain('FLASH_WATER')
  })
  it('says what common practice says beside what the model says', () => {
    expect(rules(flash('panel').reasons)).toEqual([
      'FLASH_PANEL',
      'FLASH_NEEDS',
      'FLASH_CLOSES',
      'FLASH_UNREAD',
      'FLASH_USUAL',
      'FLASH_COLD',
    ])
  })
  it('a unit that never gets there is a Stop, and then common practice stands', () => {
    const huge = flash('gun', 'base', { width: 0.45, height: 0.6 })
    expect(rules(huge.reasons)).toContain('RUN_NEVER')
    expect(huge.advised).toBe(38)
  })
  it('a print as large as the panel has no dwell that is right', () => {
    expect(rules(flash('panel', 'base', { width: 0.44, height: 0.45 }).reasons)).toContain('RUN_NO_WINDOW')
  })
  it('the lead’s own dwell stands', () => {
    expect(numberOf(flash('panel', 'base', undefined, { 'dwell.base': 11 }))).toBe(11)
  })
  it('the panel hangs 50 to 75 mm above the pallet', () => {
    expect(flashHeight({}).range).toEqual([mm(50), mm(75)])
    expect(flashHeight({ flashHeight: mm(60) }).chosen).toBe(mm(60))
  })
})

describe('cool-down', () => {
  const at = (press: object) => coolDown(press as Press, { cool: 'wait' }, {})
  it('one empty head, idle pallets, a wait; the rack of a bench without a unit', () => {
    expect(at({ kind: 'automatic', stations: [] })).toMatchObject({ kind: 'count', advised: 1 })
    expect(at({ kind: 'manual', pallets: 6, heads: 6, down: [] })).toMatchObject({
      kind: 'duration',
      advised: 20,
      range: [10, 30],
    })
    expect(at({ kind: 'single', heads: 4, down: [] })).toMatchObject({ advised: 30 })
    expect(at({ kind: 'bench' })).toMatchObject({ advised: 30 })
    expect(rackDry({ id: 'base', name: 'Base white' }, {})).toMatchObject({ advised: 240, range: [120, 480] })
  })
  it('counts the idle pallets: P less two', () => {
    expect(at({ kind: 'manual', pallets: 6, heads: 6, down: [] }).reasons[0]?.inputs.idle).toEqual({
      kind: 'count',
      value: 4,
    })
  })
})

describe('cure', () => {
  it('the ink that needs most decides', () => {
    expect(film(plastisol)).toBeCloseTo(160)
    expect(film(plastisol, { ...plastisol, inkType: 'metallic' })).toBeCloseTo(170)
    expect(film(plastisol, { ...plastisol, inkType: 'expanding' })).toBeCloseTo(165)
    expect(film({ ...plastisol, lowCure: true })).toBeCloseTo(130)
    expect(numberOf(cure([plastisol]).dwell)).toBe(60)
    expect(numberOf(cure([plastisol, { ...plastisol, system: 'highSolids' }]).dwell)).toBe(120)
  })
  it('metallic and expanding inks meet at no more than the expanding ink stands', () => {
    const both = cure([
      { ...plastisol, inkType: 'metallic' },
      { ...plastisol, inkType: 'expanding' },
    ]).inkFilm
    expect(numberOf(both)).toBeCloseTo(celsius(170))
    expect(both.range[1]).toBeCloseTo(celsius(170))
  })
  it('says when no temperature cures all', () => {
    expect(rules(cure([plastisol, { ...plastisol, lowCure: true }]).inkFilm.reasons)).toContain('CURE_CLASH')
  })
  it('belt speed is heated length over time in the tunnel (geometry): 2.4 m in 60 s is 2.4 m/min', () => {
    const c = cure([plastisol])
    expect(c.belt && numberOf(c.belt) * 60).toBeCloseTo(2.4)
    const slower = cure([plastisol], cloth(), {}, { cureDwell: 90, dryer: 'short' })
    expect(slower.belt && numberOf(slower.belt) * 60).toBeCloseTo(0.8)
  })
  it('takes the longest tunnel; a belt too narrow for the garment is watched', () => {
    const dryerRules = (overrides = {}) =>
      rules(cure([plastisol], cloth(), {}, overrides).dryer?.reasons ?? [])
    expect(cure([plastisol]).dryer?.advised).toBe('long')
    expect(dryerRules()).not.toContain('BELT_NARROW')
    expect(dryerRules({ dryer: 'short' })).toContain('BELT_NARROW')
    expect(cureFor([plastisol], cloth(), TEE, [], DEFAULT_METHOD, {}).belt).toBeUndefined()
  })
  it('a panel cures a piece in about a minute, without a belt', () => {
    const c = cure([plastisol], cloth(), { cure: 'panel' })
    expect(c.belt).toBeUndefined()
    expect(numberOf(c.dwell)).toBe(60)
  })
  it('polyester stops above 130 °C, blends are watched above 140 °C, cotton is left alone', () => {
    const low = { ...plastisol, lowCure: true }
    expect(rules(cure([plastisol], cloth(1)).inkFilm.reasons)).toContain('POLY_HOT')
    expect(rules(cure([low], cloth(1)).inkFilm.reasons)).not.toContain('POLY_HOT')
    expect(rules(cure([low], cloth(1), {}, { cureFilm: celsius(150) }).inkFilm.reasons)).toContain('POLY_HOT')
    expect(rules(cure([plastisol], cloth(0.5)).inkFilm.reasons)).toContain('BLEND_HOT')
    expect(rules(cure([plastisol], cloth(0)).inkFilm.reasons).filter((r) => /POLY|BLEND/.test(r))).toEqual([])
  })
  it('the hotter practice aims at 165 to 170 °C, never for low-cure ink', () => {
    expect(numberOf(cure([plastisol], cloth(), { cureTemperature: 'hotter' }).inkFilm)).toBeGreaterThan(
      celsius(164),
    )
    const low = cure([{ ...plastisol, lowCure: true }], cloth(), { cureTemperature: 'hotter' })
    expect(numberOf(low.inkFilm)).toBeCloseTo(celsius(130))
  })
})

describe('the air of the shop', () => {
  it('is a usual one until it is said; what was said holds, and a run may have its own', () => {
    const said = { on: '2026-11-28', temperature: celsius(8), humidity: 0.9 }
    expect(numberOf(shopAir(undefined, {}).air)).toBe(celsius(22))
    const cold = shopAir(said, {})
    expect([numberOf(cold.air), numberOf(cold.humidity)]).toEqual([celsius(8), 0.9])
    expect(cold.air.range[0]).toBeLessThanOrEqual(celsius(8))
    expect(cold.humidity.range[1]).toBeGreaterThanOrEqual(0.9)
    expect(rules(cold.air.reasons)).toEqual(['AIR_SAID'])
    expect(numberOf(shopAir(said, { air: celsius(30) }).air)).toBe(celsius(30))
  })
})
