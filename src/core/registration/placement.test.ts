import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, numberOf } from '../advice'
import type { Press } from '../equipment'
import type { Placement, Run, Where } from '../order'
import { mm } from '../quantity'
import { offPalletStop, placeOn } from './index'

const press = { name: 'Press', palletWidth: mm(406), palletHeight: mm(560) } as Press
const runOn = (where: Where, sizes: readonly string[], width = mm(280), height = mm(330)): Run => ({
  id: 'R',
  group: 'dark',
  quantity: 1,
  reasons: [],
  placement: { id: 'P1', where, width, height, sizes: 'all', inks: [], relations: [] } satisfies Placement,
  lines: [
    {
      id: 'G1',
      style: 'Tee',
      group: '',
      cloth: { name: 'Navy', hex: '#1f2a44', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 },
      sizes: sizes.map((size) => ({ size, quantity: 1 })),
    },
  ],
})
const place = (where: Where, sizes: readonly string[] = ['M', 'L'], method = {}) =>
  placeOn(runOn(where, sizes), press, { ...DEFAULT_METHOD, ...method }, {})
const down = (where: Where, method = {}) => (place(where, ['M'], method).groups[0]?.down.advised ?? 0) * 1000
const rules = (width: number, sizes: readonly string[], where: Where = 'front') =>
  placeOn(runOn(where, sizes, mm(width)), press, DEFAULT_METHOD, {}).reasons.map((r) => r.rule)

describe('where the print sits', () => {
  // Common practice, no source.
  it('front 64 to 76 mm or a palm, back 102 to 127, left chest 89 to 102, pocket line 152', () => {
    expect(place('front').groups[0]?.down.range).toEqual([mm(64), mm(76)])
    expect(down('front', { placement: 'palm' })).toBeCloseTo(100)
    expect(place('back').groups[0]?.down.range).toEqual([mm(102), mm(127)])
    expect(down('leftChest')).toBeGreaterThanOrEqual(89)
    expect(down('pocket')).toBeCloseTo(152)
  })
  it('what lies to one side also has its distance from the centre line, other prints have none', () => {
    expect(numberOf(place('leftChest').groups[0]!.side!)).toBeCloseTo(mm(115))
    for (const where of ['pocket', 'hemCorner'] as const)
      expect(place(where).groups[0]!.side!.reasons[0]!.source).toBe('from memory')
    for (const where of ['front', 'back', 'sleeve', 'neckLabel', 'offPallet'] as const)
      expect(place(where).groups[0]!.side).toBeUndefined()
  })
  it('says where what is from memory', () => {
    for (const where of ['sleeve', 'neckLabel', 'offPallet'] as const)
      expect(place(where).groups[0]?.down.reasons[0]?.source).toBe('from memory')
  })
  it('a hood pocket: from the hem, its edges told, and too wide a print on which sizes', () => {
    const placed = (width: number) =>
      placeOn(runOn('pouch', ['S', 'M', 'XL'], mm(width), mm(60)), press, DEFAULT_METHOD, {})
    expect(placed(150).origin).toBe('hem')
    expect(placed(150).groups[0]!.down.reasons[0]!.source).toBe('from memory')
    expect(placed(150).reasons.map((r) => r.rule)).toEqual(['POUCH_EDGE'])
    // 40 % of chests of 470, 520 and 620 mm laid flat, to 5 mm: 190, 210 and 250 mm (by hand).
    const wide = (width: number) => placed(width).reasons.find((r) => r.rule === 'POUCH_WIDE')?.inputs.sizes
    expect([190, 200, 215, 260].map(wide)).toEqual([undefined, 'S', 'S, M', 'S, M, XL'])
  })
  it('kids keep the share of the chest that an M has, and stand apart from adults', () => {
    const { groups } = place('front', ['5-6', '9-11', 'M'])
    expect(groups.map((g) => [g.group, g.sizes])).toEqual([
      ['adult', ['M']],
      ['kids', ['5-6', '9-11']],
    ])
    // Chests 355 and 410 mm against 520 mm: 0.736 of 70 mm, to the millimetre, by hand
    expect(groups[1]?.down.advised).toBeCloseTo(mm(51), 6)
  })
})

describe('what does not fit', () => {
  it('over 305 mm with small sizes; near the seam of the smallest; wider than the pallet', () => {
    expect(rules(305, ['S', 'XL'])).toEqual([])
    expect(rules(306, ['S', 'XL'])).toEqual(['WIDTH_SMALL'])
    expect(rules(306, ['L', 'XL'])).toEqual([])
    // 440 mm of chest less twice 50 mm: just enough.
    expect(rules(340, ['XS'])).toEqual(['WIDTH_SMALL'])
    expect(rules(341, ['XS'])).toEqual(['WIDTH_SEAM'])
    expect(rules(400, ['XS', 'S', 'XL'])).toEqual(['WIDTH_SEAM'])
    expect(rules(450, ['XS', 'XL'])).toEqual(['WIDTH_BEYOND', 'PALLET_NARROW'])
    expect(rules(400, ['5-6', 'XS', 'XL'])).toEqual(['WIDTH_BEYOND', 'WIDTH_SEAM', 'PALLET_WIDE'])
    expect(rules(300, ['5-6'])).toEqual(['WIDTH_SEAM', 'PALLET_WIDE'])
    const [seam] = placeOn(runOn('front', ['M', '7-8', '5-6'], mm(300)), press, DEFAULT_METHOD, {}).reasons
    expect(seam?.inputs.sizes).toBe('5-6, 7-8')
    expect(rules(420, ['3XL'])).toEqual(['PALLET_NARROW'])
  })
  it('on a sleeve its own width counts, pallets not off the pallet', () => {
    expect(rules(300, ['5-6'], 'sleeve')).toEqual(['PIECE_BEYOND', 'PALLET_WIDE'])
    expect(rules(700, ['One'], 'offPallet')).toEqual([])
  })
  it('a print longer than the garment is told, once where it is wider too', () => {
    const long = placeOn(runOn('front', ['5-6', 'L'], mm(250), mm(500)), press, DEFAULT_METHOD, {}).reasons
    expect(long.map((r) => [r.rule, r.inputs.sizes])).toEqual([
      ['PIECE_BEYOND', '5-6'],
      ['PALLET_WIDE', '5-6'],
    ])
    const both = placeOn(runOn('front', ['5-6'], mm(360), mm(500)), press, DEFAULT_METHOD, {}).reasons
    expect(both.map((r) => r.rule)).toEqual(['WIDTH_BEYOND', 'PALLET_WIDE'])
  })
  it('what is narrower than the pallet does not go over it, smallest first; half of a hood lies on it', () => {
    const wide = (where: Where, sizes: readonly string[]) =>
      placeOn(runOn(where, sizes, mm(60), mm(60)), press, DEFAULT_METHOD, {}).reasons.map((r) => [
        r.rule,
        r.inputs.sizes,
      ])
    expect(wide('front', ['M', '7-8', '5-6'])).toEqual([['PALLET_WIDE', '5-6, 7-8']])
    expect(wide('sleeve', ['L'])).toEqual([['PALLET_WIDE', 'L']])
    expect(wide('hood', ['L'])).toEqual([])
  })
  // Common practice: an all-over board is about 1,120 mm wide, and the whole garment lies on it.
  it('an all-over print wants a board for the whole garment, however small the print', () => {
    const on = (palletWidth: number, palletHeight: number) =>
      placeOn(runOn('allOver', ['M', 'XL']), { ...press, palletWidth, palletHeight }, DEFAULT_METHOD, {})
        .reasons
    expect(on(mm(406), mm(560))).toMatchObject([{ rule: 'PALLET_WHOLE', severity: 'Stop' }])
    expect(on(mm(604), mm(900))).toMatchObject([{ rule: 'PALLET_WHOLE' }])
    expect(on(mm(1120), mm(900))).toEqual([])
  })
  it('off the pallet takes one screen', () => {
    expect(offPalletStop(runOn('offPallet', ['One']), 1)).toEqual([])
    expect(offPalletStop(runOn('offPallet', ['One']), 2)).toMatchObject([
      { rule: 'OFF_PALLET', severity: 'Stop' },
    ])
    expect(offPalletStop(runOn('front', ['M']), 6)).toEqual([])
  })
})
