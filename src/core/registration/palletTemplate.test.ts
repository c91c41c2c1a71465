import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, numberOf } from '../advice'
import type { Where } from '../order'
import { palletTemplate } from './palletTemplate'
import { placedOn } from './placement'
import { placementRun } from './placement.fixtures'

const placed = (where: Where, sizes: readonly string[]) =>
  placedOn(placementRun(where, sizes), DEFAULT_METHOD, {})

describe('the template for the pallet', () => {
  it('has a line for each group of sizes, as far above the art as it is printed below; the crease in the middle', () => {
    const at = placed('front', ['M', 'XL', '12-13'])
    const t = palletTemplate({ width: 0.3, height: 0.36 }, at)
    expect(t.lines.map((l) => l.crease)).toEqual(t.lines.map(() => 0.15))
    expect(t.lines.flatMap((l) => l.sizes).sort()).toEqual(at.groups.flatMap((g) => g.sizes).sort())
    expect(t.lines.map((l) => l.above)).toEqual(at.groups.map((g) => numberOf(g.down)).sort((a, b) => b - a))
  })
  it('a left chest lies to the viewer’s right of the crease (the wearer’s left)', () => {
    const at = placed('leftChest', ['M'])
    const t = palletTemplate({ width: 0.09, height: 0.09 }, at)
    const { crease } = t.lines[0]!
    expect(crease).toBeCloseTo(0.045 - numberOf(at.groups[0]!.side!), 9)
    expect(crease).toBeLessThan(0)
  })
  it('a corner of the hem lies to the viewer’s left of it, the hem away', () => {
    const at = placed('hemCorner', ['M'])
    const { crease } = palletTemplate({ width: 0.09, height: 0.09 }, at).lines[0]!
    expect(crease).toBeCloseTo(0.045 + numberOf(at.groups[0]!.side!), 9)
  })
  it('groups that come to the same line share it', () => {
    const at = placed('front', ['M'])
    const [one] = at.groups
    const t = palletTemplate(
      { width: 0.3, height: 0.3 },
      { ...at, groups: [one!, { ...one!, group: 'kids', sizes: ['K8'] }] },
    )
    expect(t.lines).toEqual([{ above: numberOf(one!.down), crease: 0.15, sizes: ['M', 'K8'] }])
  })
})
