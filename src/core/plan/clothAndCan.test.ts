import { describe, expect, it } from 'vitest'
import { message, numberOf } from '../advice'
import type { Can, Cloth, InkColour } from '../order'
import { minutes } from '../quantity'
import { screenJobOf } from './index'
import { CLOTHS, INKS, jobFor, planFor, rulesOf, SHOP } from './plan.fixtures'
import { pressStart } from './screenRoom'

/** Rules from common practice or from memory: no source to check against. */
const told = (asked: Parameters<typeof planFor>[0]) => rulesOf(planFor(asked).warnings)
const cloth = (more: Partial<Cloth>): Cloth => ({ ...CLOTHS.navy, ...more })
const canned = (can: Can, ink = INKS.red) => ({ ...ink, can })

describe('what the cloth asks', () => {
  it('elastane wants ink that stretches, and says no more when it does', () => {
    const stretchy = cloth({ cotton: 0.92, elastane: 0.08 })
    expect(told({ cloth: stretchy, inks: [INKS.red] })).toContain('STRETCH')
    expect(told({ cloth: stretchy, inks: [canned({ stretches: true })] })).not.toContain('STRETCH')
    expect(told({ cloth: cloth({}), inks: [INKS.red] })).not.toContain('STRETCH')
    const one = planFor({ cloth: stretchy, inks: [INKS.red, canned({ stretches: true }, INKS.yellow)] })
    const why = one.warnings.find((r) => r.rule === 'STRETCH')
    expect(why?.inputs.names).toContain('red')
    expect(why?.inputs.names).not.toContain('yellow')
  })
  it.each([
    ['open knit', { weave: 'openKnit' }, 'CLOTH_OPEN'],
    ['thin', { weight: 0.11 }, 'CLOTH_THIN'],
    ['fleece', { weave: 'fleece', weight: 0.3 }, 'CLOTH_FIBRES'],
    ['a dye that bleeds', { dye: 'bleeds' }, 'CLOTH_DYE'],
  ] as const)('%s is told', (_, more, rule) => {
    expect(told({ cloth: cloth(more) })).toContain(rule)
    expect(told({ cloth: CLOTHS.navy })).not.toContain(rule)
  })
  it('open knit takes one heavy hit: what is said and what is planned agree', () => {
    const p = planFor({ cloth: cloth({ weave: 'openKnit' }), inks: [INKS.white, INKS.red] })
    expect(p.hits.map((h) => h.hit.id).sort()).toEqual(['red', 'white'])
    expect(p.hits.every((h) => h.use === 'oneHit')).toBe(true)
  })
  it('dye that bleeds is cured as polyester is; undyed polyester bleeds nothing, whatever its colour', () => {
    expect(told({ cloth: cloth({ dye: 'bleeds' }) })).toContain('POLY_HOT')
    expect(told({ cloth: CLOTHS.maroon })).toContain('POLY_HOT')
    expect(told({ cloth: { ...CLOTHS.maroon, dye: 'undyed' } })).not.toContain('POLY_HOT')
  })
  it('discharge has nothing to bleach on undyed cloth', () => {
    const inks = [{ ...INKS.red, system: 'discharge' as const }]
    expect(told({ cloth: cloth({ dye: 'undyed' }), inks })).toContain('CLOTH_UNDYED')
    expect(told({ cloth: cloth({}), inks })).not.toContain('CLOTH_UNDYED')
  })
  // Facts of the trade: art made for dark cloth cannot go on light cloth unchanged.
  it.each([
    ['dark', CLOTHS.white, 'ART_CLOTH'],
    ['light', CLOTHS.navy, 'ART_CLOTH'],
    ['dark', CLOTHS.golden, 'ART_CLOTH_WEAK'],
  ] as const)('art whose %s parts the cloth draws, on other cloth', (clothDraws, on, rule) => {
    expect(told({ cloth: on, inks: [INKS.red], print: { clothDraws } })).toContain(rule)
    expect(told({ cloth: on, inks: [INKS.red] })).not.toContain(rule)
  })
})

describe('what the can says', () => {
  it('an ink that flashes fast wants a shorter flash', () => {
    const dwell = (can: Can) =>
      numberOf(planFor({ inks: [canned(can, INKS.yellow)], method: { flash: 'every' } }).flashes[0]!.dwell)
    expect(dwell({ flashesFast: true })).toBeLessThan(dwell({}))
  })
  it('no hot gun, where the unit is one', () => {
    const guns = SHOP.flashes.map((f) => ({ ...f, kind: 'gun' as const }))
    const inks = [canned({ noGun: true }, INKS.yellow)]
    expect(told({ inks, shop: { flashes: guns } })).toContain('NO_GUN')
    expect(told({ inks })).not.toContain('NO_GUN')
    // Said once, for all of them.
    const two = [canned({ noGun: true }, INKS.yellow), canned({ noGun: true }, INKS.white)]
    const guarded = told({ inks: two, shop: { flashes: guns }, method: { flash: 'every' } })
    expect(guarded.filter((r) => r === 'NO_GUN')).toHaveLength(1)
  })
  it('24 h in the air moves the day of printing by one day, 25 h by two', () => {
    const hours = (h: number) => minutes(h * 60)
    const start = (airDry?: number) => {
      const inks = [canned({ airDry })]
      return pressStart(screenJobOf(jobFor({ inks }).order, planFor({ inks })), SHOP)!
    }
    const days = (h: number) => Math.floor(start() / 86_400) - Math.floor(start(hours(h)) / 86_400)
    expect(days(0)).toBe(0)
    expect(days(24)).toBeGreaterThanOrEqual(1)
    expect(days(25)).toBeGreaterThanOrEqual(days(24) + 1)
    expect(told({ inks: [canned({ airDry: hours(24) })] })).toContain('AIR_DRY')
    expect(told({ inks: [canned({ airDry: 0 })] })).not.toContain('AIR_DRY')
  })
  it('no PVC asked for: plastisol is told, unless its can says it has none', () => {
    const asked = (inks: readonly InkColour[]) => told({ inks, cloth: CLOTHS.white, said: { pvcFree: true } })
    expect(asked([INKS.red])).toContain('PVC_ASKED')
    expect(asked([canned({ pvcFree: true })])).not.toContain('PVC_ASKED')
    expect(asked([{ ...INKS.red, system: 'waterBased' }])).not.toContain('PVC_ASKED')
  })
  it('an additive of another maker is watched, of the same it is not', () => {
    const by = (additiveMaker: string): Can => ({ maker: 'Northlight', additive: 'Stretch', additiveMaker })
    expect(told({ inks: [canned(by('Quayside'))] })).toContain('ADDITIVE_FOREIGN')
    expect(told({ inks: [canned(by('northlight'))] })).not.toContain('ADDITIVE_FOREIGN')
  })
})

describe('a heat press', () => {
  const pressed = planFor({ cloth: CLOTHS.white, inks: [INKS.red], method: { cure: 'press' } })
  it('takes no belt, less time a piece than a panel, and sets the pace', () => {
    const panel = planFor({ cloth: CLOTHS.white, inks: [INKS.red], method: { cure: 'panel' } })
    expect(pressed.cure.belt).toBeUndefined()
    expect(numberOf(pressed.cure.dwell)).toBeLessThan(numberOf(panel.cure.dwell))
    expect(pressed.cure.dwell.label).toBe('Under the heat press')
    const rate = (p: typeof pressed) => numberOf(p.time!.rate)
    expect(rate(pressed)).toBeGreaterThan(rate(panel))
    expect(rulesOf(pressed.time!.rate.reasons)).toContain('RATE_PRESS')
    expect(message(pressed.cure.dwell.reasons[0]!, 'metric')).toContain('No model reckons a press')
  })
  it('flattens raised ink', () => {
    expect(told({ inks: [INKS.raised], method: { cure: 'press' } })).toContain('PRESS_FLATTENS')
    expect(told({ inks: [INKS.raised] })).not.toContain('PRESS_FLATTENS')
  })
})
