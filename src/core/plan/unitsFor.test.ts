import { describe, expect, it } from 'vitest'
import type { FlashUnit } from '../equipment'
import type { InkColour } from '../order'
import { INKS, PRESSES, planFor, rulesOf } from './plan.fixtures'

const unit = (id: string, kind: FlashUnit['kind'], more: Partial<FlashUnit> = {}): FlashUnit => ({
  ...{ id, name: id, kind, pressId: 'automatic', takes: 1 },
  ...more,
})
const water = (ink: InkColour): InkColour => ({ ...ink, system: 'highSolids' })
/** Which unit is behind which ink. */
const taken = (flashes: readonly FlashUnit[], inks: readonly InkColour[], press: 'automatic' | 'manual') => {
  const p = planFor({
    inks,
    press,
    method: { flash: 'every' },
    shop: { flashes: flashes.map((f) => ({ ...f, pressId: PRESSES[press].id })) },
  })
  return p.flashes.map((f) => ({
    unit: f.unit?.id,
    rules: rulesOf(f.reasons),
    dwell: rulesOf(f.dwell.reasons),
    behind: f.dwell.key.split('.')[1],
  }))
}

// Common practice: quartz on a high-solids base, air on the colours.
describe('units by what the ink needs, not by where they stand', () => {
  it('the quartz goes to the base and the air to the colour, whichever is named first', () => {
    const inks = [water(INKS.red), water(INKS.white)]
    for (const units of [
      [unit('air', 'air'), unit('quartz', 'quartz')],
      [unit('quartz', 'quartz'), unit('air', 'air')],
    ]) {
      const found = taken(units, inks, 'automatic')
      expect(new Set(found.map((f) => f.unit)).size).toBe(found.length)
      expect(found.find((f) => f.behind === 'base')?.unit).toBe('quartz')
      expect(found[0]!.rules).toContain('UNIT_SUITS')
      expect(found[0]!.dwell).not.toContain('FLASH_WATER')
    }
  })
  it('by hand one that suits flashes again, and a gun is left alone', () => {
    const found = taken([unit('gun', 'gun'), unit('panel', 'panel')], [INKS.red, INKS.white], 'manual')
    expect(found.length).toBeGreaterThan(1)
    expect(found.every((f) => f.unit === 'panel')).toBe(true)
  })
  it('one kept for water-based ink is taken by it, and by nothing else', () => {
    const units = [unit('a', 'quartz', { suits: 'water' }), unit('b', 'quartz', { suits: 'plastisol' })]
    expect(taken(units, [INKS.red], 'manual').map((f) => f.unit)).not.toContain('a')
    expect(taken(units, [water(INKS.red)], 'manual').map((f) => f.unit)).not.toContain('b')
  })
  it('where all are alike nothing is said, and they take turns', () => {
    const found = taken([unit('a', 'panel'), unit('b', 'panel')], [INKS.red, INKS.white], 'manual')
    expect(found.slice(0, 2).map((f) => f.unit)).toEqual(['a', 'b'])
    expect(found[0]!.rules).not.toContain('UNIT_SUITS')
  })
  it('what is left is told', () => {
    const two = [unit('q', 'quartz'), unit('p', 'panel')]
    const found = taken(two, [water(INKS.red), water(INKS.yellow)], 'automatic')
    expect(found.some((f) => f.rules.includes('UNIT_LEFT')) || found.length < 2).toBe(true)
  })
})
