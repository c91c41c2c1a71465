import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD } from '../advice'
import type { Dryer, FlashKind, Press } from '../equipment'
import type { Cloth } from '../order'
import { celsius, mm } from '../quantity'
import { type CureNeed, coolDown, cureFor, flashDwell, flashHeight, WARM_BOARD, whatCures } from './index'
import { waiting } from './waiting.fixtures'

// What each number says of itself: every rule that was at work, and none that was not. The limits are common practice, no source.
const cloth = (polyester: number): Cloth => ({
  name: 'Cloth',
  hex: '#1e1f21',
  weave: 'jersey',
  cotton: 1 - polyester,
  polyester,
  weight: 0.18,
})
const plain: CureNeed = { system: 'plastisol', inkType: 'spot', lowCure: false }
const low: CureNeed = { ...plain, lowCure: true }
const metallic: CureNeed = { ...plain, inkType: 'metallic' }
const TUNNEL: Dryer = { id: 'long', name: 'Long', heatedLength: 2.4, beltWidth: 0.6 }
const PRINT = { width: mm(300), length: mm(360) }
const cure = (
  needs: readonly CureNeed[],
  {
    on = cloth(0),
    method = {},
    overrides = {},
    garment = { width: mm(560), length: mm(740) },
    dryers = [TUNNEL] as readonly Dryer[],
  } = {},
) => cureFor(needs, on, { garment, print: PRINT }, dryers, { ...DEFAULT_METHOD, ...method }, overrides)
const rules = ({ reasons }: { readonly reasons: readonly { rule: string }[] }) => reasons.map((r) => r.rule)

describe('the film at the cure says why', () => {
  it('one ink: its own row, and how to read it', () => {
    expect(rules(cure([plain]).inkFilm)).toEqual(['CURE_PLASTISOL', 'CURE_READ'])
    expect(rules(cure([plain, plain]).inkFilm)).toEqual(['CURE_PLASTISOL', 'CURE_READ'])
  })
  it('two kinds: both, and that the strictest decides', () => {
    expect(rules(cure([plain, metallic]).inkFilm)).toEqual([
      'CURE_PLASTISOL',
      'CURE_METALLIC',
      'CURE_STRICTEST',
      'CURE_READ',
    ])
  })
  it('the practice that cures hotter says so, but never burns an ink that cures low', () => {
    const hot = { method: { cureTemperature: 'hotter' } }
    const { inkFilm: film } = cure([plain], hot)
    expect(rules(film)).toEqual(['CURE_PLASTISOL', 'CURE_HOTTER', 'CURE_READ'])
    expect(film.advised).toBeCloseTo(celsius(167))
    expect(film.range).toEqual([celsius(165), celsius(175)])
    expect(rules(cure([low], hot).inkFilm)).toEqual(['CURE_LOW', 'CURE_READ'])
    expect(rules(cure([plain, low], hot).inkFilm)).not.toContain('CURE_HOTTER')
  })
  it('inks that cannot be cured together are told, with both temperatures; those that just can are not', () => {
    const { inkFilm: film } = cure([plain, low])
    expect(rules(film)).toContain('CURE_CLASH')
    expect(film.reasons.find((r) => r.rule === 'CURE_CLASH')?.inputs).toEqual({
      low: { kind: 'temperature', value: celsius(160) },
      high: { kind: 'temperature', value: celsius(140) },
    })
    // No range upside down.
    expect(film.range).toEqual([celsius(160), celsius(160)])
    expect(rules(cure([plain, metallic]).inkFilm)).not.toContain('CURE_CLASH')
  })
  it('the ink of the house where no colour says what it is', () => {
    expect(rules(cure([]).inkFilm)).toEqual(['CURE_PLASTISOL', 'CURE_READ'])
    expect(rules(cure([], { method: { ink: 'waterBased' } }).inkFilm)).toEqual(['CURE_WATER', 'CURE_READ'])
  })
})

describe('dye that bleeds', () => {
  const at = (polyester: number, temperature: number) =>
    cure([plain], { on: cloth(polyester), overrides: { cureFilm: celsius(temperature) } }).inkFilm
  it.each([
    ['all polyester at 160', 1, 160, ['POLY_HOT', 'POLY_BASE']],
    ['all polyester a degree over 130', 1, 131, ['POLY_HOT', 'POLY_BASE']],
    ['all polyester at 130: only its base is watched', 1, 130, ['POLY_BASE']],
    ['a blend at 145', 0.5, 145, ['BLEND_HOT']],
    ['a blend at 135 is under its limit of 140', 0.5, 135, []],
    ['cotton', 0, 175, []],
  ] as const)('%s', (_, polyester, temperature, told) => {
    const said = rules(at(polyester, temperature)).filter(
      (r) => r.startsWith('POLY') || r.startsWith('BLEND'),
    )
    expect(said).toEqual(told)
  })
  it.each([
    [1, 130],
    [0.5, 140],
  ] as const)('says the limit it goes by: %d, %d', (polyester, limit) => {
    const told = at(polyester, 160).reasons.find((r) => r.rule.endsWith('_HOT'))
    expect(told?.inputs.limit).toEqual({ kind: 'temperature', value: celsius(limit) })
    expect(told?.inputs.cure).toEqual({ kind: 'temperature', value: celsius(160) })
  })
})

describe('tunnel and belt', () => {
  it('the time says whether it is under a panel or in the tunnel, in its range', () => {
    expect(rules(cure([plain]).dwell)).toEqual(['DWELL'])
    expect(cure([plain]).dwell.range).toEqual([50, 75])
    const under = cure([plain], { method: { cure: 'panel' } })
    expect(rules(under.dwell)).toEqual(['DWELL_PANEL'])
    expect(under.belt).toBeUndefined()
  })
  // Geometry: a belt passes the heated length in the time in the tunnel.
  it('the belt is length over time, slowest for the longest time', () => {
    const { belt } = cure([plain])
    expect(belt?.advised).toBeCloseTo(2.4 / 60)
    expect(belt?.range[0]).toBeCloseTo(2.4 / 75)
    expect(belt?.range[1]).toBeCloseTo(2.4 / 50)
    expect(belt && rules(belt)).toEqual(['BELT'])
    expect(belt?.reasons[0]?.inputs.dwell).toEqual({ kind: 'duration', value: 60 })
  })
  it('a garment that lies on the belt neither way round is folded, and a print that does not is stopped', () => {
    const told = (width: number, length: number, belt = 600) =>
      cure([plain], {
        garment: { width: mm(width), length: mm(length) },
        dryers: [{ ...TUNNEL, beltWidth: mm(belt) }],
      }).dryer?.reasons.map((r) => r.rule)
    expect(told(600, 740)).toEqual(['DRYER_LONGEST'])
    expect(told(740, 600)).toEqual(['DRYER_LONGEST'])
    expect(told(601, 740)).toEqual(['DRYER_LONGEST', 'BELT_NARROW'])
    expect(told(601, 740, 300)).toEqual(['DRYER_LONGEST', 'BELT_NARROW'])
    expect(told(601, 740, 299)).toEqual(['DRYER_LONGEST', 'BELT_TOO_NARROW'])
  })
  it('a shop without what cures is told so', () => {
    const told = (cure: 'tunnel' | 'panel', kinds: readonly FlashKind[], dryers = [TUNNEL]) =>
      whatCures(
        { cure },
        dryers,
        kinds.map((kind) => ({ id: kind, name: kind, kind, pressId: 'p', takes: 1 })),
      ).map((r) => r.rule)
    expect(told('tunnel', [], [])).toEqual(['NO_DRYER'])
    expect(told('tunnel', [])).toEqual([])
    expect(told('panel', ['gun'])).toEqual(['NO_PANEL'])
    expect(told('panel', ['quartz'], [])).toEqual([])
  })
  it('a shop without a dryer gets film and time, and no belt', () => {
    const { dryer, belt, dwell } = cure([plain], { dryers: [] })
    expect(dryer).toBeUndefined()
    expect(belt).toBeUndefined()
    expect(dwell.advised).toBe(60)
  })
})

describe('the flash says why', () => {
  const flash = (kind: FlashKind, wet: boolean) =>
    flashDwell(
      { id: 'base', name: 'Base white' },
      { id: 'f', name: 'F', kind, pressId: 'p', takes: 1 },
      waiting(kind, wet ? 'waterBased' : 'base', { width: 0.15, height: 0.2 }),
      WARM_BOARD,
      {},
    )
  it.each([
    [
      'quartz',
      false,
      ['FLASH_QUARTZ', 'FLASH_NEEDS', 'FLASH_CLOSES', 'FLASH_UNREAD', 'FLASH_USUAL', 'FLASH_COLD'],
    ],
    [
      'quartz',
      true,
      [
        'FLASH_QUARTZ',
        'FLASH_NEEDS',
        'FLASH_CLOSES',
        'FLASH_UNREAD',
        'FLASH_WATER',
        'FLASH_USUAL',
        'FLASH_COLD',
      ],
    ],
    ['air', true, ['FLASH_AIR', 'FLASH_NEEDS', 'FLASH_CLOSES', 'FLASH_UNREAD', 'FLASH_USUAL', 'FLASH_COLD']],
    ['gun', false, ['FLASH_GUN', 'FLASH_NEEDS', 'FLASH_CLOSES', 'FLASH_UNREAD', 'FLASH_USUAL', 'FLASH_COLD']],
  ] as const)('%s, water-based %s', (kind, wet, told) => expect(rules(flash(kind, wet))).toEqual(told))
  it('height and cool-down give their reasons', () => {
    expect(rules(flashHeight({}))).toEqual(['FLASH_HEIGHT'])
    const cool = (press: object) => rules(coolDown(press as Press, { cool: 'wait' }, {}))
    expect(cool({ kind: 'automatic', stations: [] })).toEqual(['COOL_AUTOMATIC', 'COOL_STICKS'])
    expect(cool({ kind: 'manual', pallets: 1, heads: 1, down: [] })).toEqual(['COOL_MANUAL', 'COOL_STICKS'])
    expect(cool({ kind: 'single', heads: 1, down: [] })).toEqual(['COOL_SINGLE', 'COOL_STICKS'])
    expect(cool({ kind: 'bench' })).toEqual(['COOL_BENCH', 'COOL_STICKS'])
  })
  it('no pallet less than none is idle', () => {
    const { reasons } = coolDown(
      { kind: 'manual', pallets: 1, heads: 1, down: [] } as never,
      { cool: 'wait' },
      {},
    )
    expect(reasons[0]?.inputs.idle).toEqual({ kind: 'count', value: 0 })
  })
})
