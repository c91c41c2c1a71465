import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, numberOf, type ShopMethod } from '../advice'
import type { Where } from '../order'
import { placedOn } from './placement'
import { placementRun } from './placement.fixtures'

const ALL = ['XS', 'S', 'M', 'L', 'XL', '2XL', '3XL']
const groups = (where: Where, placementSizes: ShopMethod['placementSizes'], sizes = ALL) =>
  placedOn(placementRun(where, sizes), { ...DEFAULT_METHOD, placementSizes }, {}).groups.map((g) => ({
    group: g.group,
    sizes: g.sizes,
    down: Math.round(numberOf(g.down) * 1000),
    side: g.side && Math.round(numberOf(g.side) * 1000),
  }))

describe('sizes that share a setting', () => {
  it('fixed: adults one, kids one', () => {
    expect(groups('front', 'fixed', ['9-11', 'S', '3XL']).map((g) => g.sizes)).toEqual([
      ['S', '3XL'],
      ['9-11'],
    ])
  })
  it('a full front in proportion stays within 10 mm on all adult sizes: one setting (figure of the model)', () => {
    const found = groups('front', 'full')
    expect(found).toHaveLength(1)
    expect(found[0]!.group).toBe('XS to 3XL')
  })
  it('a left chest in proportion wants two settings or three, half way at most two; further aside on larger sizes (figures of the model, other garments)', () => {
    const [full, blend] = [groups('leftChest', 'full'), groups('leftChest', 'blend')]
    expect(full.length).toBeGreaterThan(blend.length)
    expect(full.length).toBeLessThanOrEqual(3)
    expect(blend.length).toBeLessThanOrEqual(2)
    for (const found of [full, blend])
      for (const [i, g] of found.entries()) {
        if (i > 0) expect(g.side).toBeGreaterThan(found[i - 1]!.side!)
        if (i > 0) expect(g.down).toBeGreaterThanOrEqual(found[i - 1]!.down)
      }
  })
  it('half way lies between fixed and in proportion, for each size', () => {
    const at = (school: ShopMethod['placementSizes'], size: string) => groups('leftChest', school, [size])[0]!
    for (const size of ALL) {
      const [a, b, c] = (['fixed', 'blend', 'full'] as const).map((s) => at(s, size).side!)
      expect(b).toBeGreaterThanOrEqual(Math.min(a!, c!))
      expect(b).toBeLessThanOrEqual(Math.max(a!, c!))
    }
    expect(at('full', 'L')).toMatchObject({ side: at('fixed', 'L').side, down: at('fixed', 'L').down })
  })
  it('every size is in one group and no more, and none is off its own by over 10 mm', () => {
    for (const school of ['fixed', 'blend', 'full'] as const) {
      const found = groups('leftChest', school, [...ALL, '7-8', 'One'])
      expect(found.flatMap((g) => g.sizes).sort()).toEqual([...ALL, '7-8', 'One'].sort())
      if (school === 'fixed') continue
      for (const g of found)
        for (const size of g.sizes) {
          const own = groups('leftChest', school, [size])[0]!
          expect(Math.abs(own.side! - g.side!)).toBeLessThanOrEqual(11)
          expect(Math.abs(own.down - g.down)).toBeLessThanOrEqual(11)
        }
    }
  })
})
