import { describe, expect, it } from 'vitest'
import { choiceOf, numberOf } from '../advice'
import type { Cloth, WhiteLook } from '../order'
import { mm } from '../quantity'
import { plan, type RunPlan } from './index'
import { CLOTHS, INKS, ink, jobFor, rulesOf } from './plan.fixtures'

const looked = (whiteLook: WhiteLook | undefined, asked: Parameters<typeof jobFor>[0] = {}): RunPlan => {
  const { order, shop, decisions } = jobFor({ inks: [INKS.white, INKS.red], ...asked })
  return plan({ ...order, ...(whiteLook && { whiteLook }) }, shop, decisions)
}
const roles = (p: RunPlan) => p.hits.map((h) => h.hit.role)
const hitOf = (p: RunPlan, id: string) => p.hits.find((h) => h.hit.id === id)

// The looks of white, common practice, no source.
describe('how the white is to look', () => {
  it('bright is what is meant where nothing is said', () => {
    expect(roles(looked('bright'))).toEqual(roles(looked(undefined)))
    expect(choiceOf(looked(undefined).secondWhite)).toBe('highlight')
  })
  it('soft: a thin base in one stroke through fine mesh, no second coat', () => {
    const p = looked('soft')
    expect(choiceOf(p.secondWhite)).toBe('none')
    const base = hitOf(p, 'base')
    expect(base && numberOf(base.stroke.strokes)).toBe(1)
    expect(base && numberOf(base.mesh)).toBeGreaterThan(numberOf(hitOf(looked('bright'), 'base')!.mesh))
    expect(rulesOf(p.secondWhite.reasons)).toContain('WHITE_SOFT')
  })
  it('worn: white straight on the cloth in light passes, no base under it, no flash for it', () => {
    const p = looked('worn', { inks: [INKS.white] })
    expect(roles(p)).toEqual(['spot'])
    expect(p.flashes).toEqual([])
    const white = hitOf(p, 'white')
    expect(white && choiceOf(white.stroke.pressure)).toBe('light')
    expect(rulesOf(p.colours[0]?.base.reasons ?? [])).toContain('BASE_WORN')
  })
  it('flattest: a smoothing screen and a second white', () => {
    const p = looked('flattest')
    expect(choiceOf(p.secondWhite)).toBe('smoothing')
    expect(roles(p)).toEqual(expect.arrayContaining(['smoothing', 'highlight']))
  })
})

describe('inks that no film describes (facts of the trade, from memory)', () => {
  const discharge = ink('sea', '#3f6f6a', { system: 'discharge' })
  const glow = ink('glow', '#f0ff30', { inkType: 'fluorescent' })
  const warned = (p: RunPlan) => rulesOf(p.warnings)
  it('discharge stands on no base, wants a test on cotton and is stopped on polyester', () => {
    const on = (cloth: (typeof CLOTHS)[keyof typeof CLOTHS]) =>
      looked(undefined, { inks: [discharge], cloth })
    expect(roles(on(CLOTHS.navy))).toEqual(['spot'])
    expect(warned(on(CLOTHS.navy))).toContain('DISCHARGE_ASK')
    expect(warned(on(CLOTHS.maroon))).toContain('DISCHARGE_NOT')
    expect(rulesOf(on(CLOTHS.navy).cure.inkFilm.reasons)).toContain('CURE_DISCHARGE')
    expect(warned(on(CLOTHS.navy))).toContain('INK_FLOODED')
  })
  it('fluorescent glows over white, and its colour is not predicted', () => {
    const p = looked(undefined, { inks: [glow] })
    expect(roles(p)).toContain('base')
    expect(warned(p)).toContain('FLUORESCENT')
    expect(roles(looked(undefined, { inks: [glow], cloth: CLOTHS.white }))).toEqual(['spot'])
  })
})

describe('what else a lead of twenty years expects', () => {
  it('a neck label is one thin hit through fine mesh, on dark cloth too, without a flash', () => {
    const p = looked(undefined, { inks: [INKS.white], where: 'neckLabel', width: 0.06, height: 0.06 })
    expect(roles(p)).toEqual(['spot'])
    expect(p.flashes).toEqual([])
    const mesh = numberOf(hitOf(p, 'white')!.mesh)
    expect(mesh).toBeGreaterThanOrEqual(6100)
    expect(mesh).toBeLessThanOrEqual(9000)
    expect(numberOf(hitOf(p, 'white')!.stroke.strokes)).toBe(1)
    const asked = looked(undefined, {
      inks: [INKS.white],
      where: 'neckLabel',
      overrides: { 'base.white': 'base' },
    })
    expect(asked.hits.length).toBeGreaterThan(0)
  })
  it('the base of halftones carries their tones: through 77 to 90 at 45 to 50 lpi, a lighter deposit than a flat base', () => {
    const flat = hitOf(looked(undefined, { inks: [INKS.red] }), 'base')!
    const tone = (lpi: number) => ink('tone', '#e0392f', { ruling: lpi / 0.0254 })
    for (const lpi of [45, 50]) {
      const base = hitOf(looked(undefined, { inks: [tone(lpi)] }), 'base')!
      expect(numberOf(base.mesh)).toBeGreaterThanOrEqual(7700)
      expect(numberOf(base.mesh)).toBeLessThanOrEqual(9000)
      expect(numberOf(base.deposit!)).toBeLessThan(numberOf(flat.deposit!))
      expect(rulesOf(base.mesh.reasons)).toContain('MESH_BASE_TONES')
    }
  })
  it('a highlight is as fine as the colours round it, or finer', () => {
    const fine = ink('fine', '#e0392f', { line: 0.00018 })
    const p = looked(undefined, { inks: [INKS.white, fine] })
    expect(numberOf(hitOf(p, 'white')!.mesh)).toBeGreaterThanOrEqual(numberOf(hitOf(p, 'fine')!.mesh))
  })
  it('a fine ruling on fleece is watched, on jersey not', () => {
    const dots = ink('dots', '#3d78b8', { ruling: 65 / 0.0254 })
    const on = (cloth: (typeof CLOTHS)[keyof typeof CLOTHS]) => looked(undefined, { inks: [dots], cloth })
    expect(rulesOf(on(CLOTHS.hood).warnings)).toContain('RULING_ROUGH')
    expect(rulesOf(on(CLOTHS.navy).warnings)).not.toContain('RULING_ROUGH')
  })
  it('puff takes no halftone and no finer mesh because of one', () => {
    const dots = ink('raised', '#dcdcd6', { inkType: 'expanding', ruling: 65 / 0.0254 })
    const p = looked(undefined, { inks: [dots] })
    expect(numberOf(hitOf(p, 'raised')!.mesh)).toBeLessThanOrEqual(4300)
    expect(rulesOf(p.warnings)).toContain('MESH_NO_TONES')
  })
  it('high-solids inks take layered squeegees', () => {
    const p = looked(undefined, {
      inks: [ink('top', '#b8232c', { system: 'highSolids' })],
      cloth: CLOTHS.white,
    })
    expect(choiceOf(p.hits[0]!.stroke.squeegee)).toBe('70/90/70')
  })
  it('white polyester does not bleed: a Note', () => {
    const cloth = { ...CLOTHS.maroon, name: 'White poly', hex: '#f6f6f6' } as const
    const p = looked(undefined, { inks: [INKS.red], cloth })
    expect(p.warnings.find((w) => w.rule === 'POLY_WHITE')?.severity).toBe('Note')
    expect(rulesOf(p.warnings)).not.toContain('POLY_HOT')
    expect(rulesOf(looked(undefined, { inks: [INKS.red], cloth: CLOTHS.maroon }).warnings)).toContain(
      'POLY_HOT',
    )
  })
  it('black traps wet on white cloth, after a flash where the shop wants it', () => {
    const asked = {
      inks: [INKS.red, INKS.black],
      relations: [{ a: 'red', b: 'black', how: 'overlap', width: 0.0003 }] as const,
      cloth: CLOTHS.white,
    }
    expect(looked(undefined, asked).flashes).toEqual([])
    expect(looked(undefined, { ...asked, method: { blackTrap: 'flash' } }).flashes).toHaveLength(1)
    expect(looked(undefined, { ...asked, cloth: CLOTHS.navy }).flashes.length).toBeGreaterThan(0)
  })
  it('a base is offered only where it would be seen', () => {
    // White cloth-like colours on golden cloth: what is opaque and right without a base is offered none.
    const p = looked(undefined, {
      inks: [ink('green', '#7fd67a'), INKS.white, ink('deep', '#14201a', { opacity: 'blocking' })],
      cloth: CLOTHS.golden,
    })
    expect(rulesOf(p.colours[2]?.base.reasons ?? [])).not.toContain('BASE_OFFER')
  })
  it('a thousand water-based prints are planned by pot life, breaks and nights', () => {
    const water = ink('sea', '#3f6f6a', { system: 'waterBased' })
    const p = looked(undefined, { inks: [water], cloth: CLOTHS.white, sizes: { M: 2500 } })
    expect(rulesOf(p.warnings)).toEqual(
      expect.arrayContaining(['INK_POT', 'INK_BREAKS', 'INK_NIGHTS', 'LONG_CREW']),
    )
    const pot = p.warnings.find((w) => w.rule === 'INK_POT')
    expect(pot?.inputs.batches).toMatchObject({ value: expect.any(Number) })
    const short = looked(undefined, { inks: [water], cloth: CLOTHS.white, sizes: { M: 30 } })
    expect(rulesOf(short.warnings)).not.toContain('INK_POT')
    const plastisol = looked(undefined, { inks: [INKS.black], cloth: CLOTHS.white, sizes: { M: 2500 } })
    expect(rulesOf(plastisol.warnings)).toContain('LONG_CREW')
  })
  it('first prints of wet-on-wet work are counted, and cost time', () => {
    const two = looked(undefined, { inks: [INKS.yellow, INKS.red], cloth: CLOTHS.white })
    expect(two.time?.first).toBe(9)
    expect(rulesOf(two.warnings)).toContain('FIRST_PRINTS')
    expect(looked(undefined, { inks: [INKS.red], cloth: CLOTHS.white }).time?.first).toBe(0)
    const { setup, rate, total } = two.time!
    expect(numberOf(total)).toBeCloseTo(numberOf(setup) + 109 / numberOf(rate), 6)
  })
  it('an empty print has no pace; metallic is stirred, thin cloth puckers, boards heat up', () => {
    expect(looked(undefined, { inks: [] }).time).toBeUndefined()
    expect(rulesOf(looked(undefined, { inks: [INKS.copper] }).warnings)).toContain('STIR')
    const thin = { ...CLOTHS.white, weight: 0.11 }
    expect(rulesOf(looked(undefined, { inks: [INKS.raised], cloth: thin }).warnings)).toContain('PUCKERS')
    expect(rulesOf(looked(undefined, { sizes: { M: 400 } }).warnings)).toContain('BOARDS_HOT')
    expect(rulesOf(looked(undefined, { sizes: { M: 20 } }).warnings)).not.toContain('BOARDS_HOT')
  })
  it('a choke too tight for a usual set-up is told, wide enough it is not, and never without a base', () => {
    const choked = (choke: number, cloth: Cloth = CLOTHS.navy, size = mm(300)) => {
      const { order, shop, decisions } = jobFor({ cloth, width: size, height: size })
      return rulesOf(
        plan({ ...order, placements: order.placements.map((p) => ({ ...p, choke })) }, shop, decisions)
          .warnings,
      )
    }
    // Two pixels at 300 dpi, tight by common practice; the need of a full front is an inside figure.
    expect(choked(mm(0.17))).toContain('BUDGET_CHOKE')
    expect(choked(mm(0.4))).not.toContain('BUDGET_CHOKE')
    expect(choked(mm(0.25), CLOTHS.navy, mm(80))).not.toContain('BUDGET_CHOKE')
    expect(choked(mm(0.17), CLOTHS.white)).not.toContain('BUDGET_CHOKE')
    expect(rulesOf(looked(undefined).warnings)).not.toContain('BUDGET_CHOKE')
  })
  it('an order by hand that breaks a rule says which', () => {
    const p = looked(undefined, { inks: [INKS.white, INKS.black], order: ['black', 'base'] })
    const said = p.warnings.find((w) => w.rule === 'BY_HAND')
    expect(said?.inputs.broken).toMatch(/Base white is a base/)
  })
})
