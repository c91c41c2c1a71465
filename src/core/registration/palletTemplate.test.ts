import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, numberOf } from '../advice'
import type { Placement, Run } from '../order'
import { palletTemplate } from './palletTemplate'
import { placedOn } from './placement'

const placed = (where: Placement['where'], sizes: Readonly<Record<string, number>>) => {
  const placement: Placement = {
    ...{ id: 'P1', where, width: 0.3, height: 0.36, sizes: 'all', inks: [], relations: [] },
  }
  const cloth = {
    name: 'Navy',
    hex: '#1f2a44',
    weave: 'jersey',
    cotton: 1,
    polyester: 0,
    weight: 0.18,
  } as const
  const line = { id: 'G1', style: 'Tee', group: '', cloth } as const
  const run: Run = {
    ...{ id: 'R', group: 'dark', quantity: 1, reasons: [], placement },
    lines: [{ ...line, sizes: Object.entries(sizes).map(([size, quantity]) => ({ size, quantity })) }],
  }
  return placedOn(run, DEFAULT_METHOD, {})
}

describe('the template for the pallet', () => {
  it('has a line for each group of sizes, as far above the art as it is printed below; the crease in the middle', () => {
    const at = placed('front', { M: 10, XL: 10, 12: 5 })
    const t = palletTemplate({ width: 0.3, height: 0.36 }, at)
    expect(t.crease).toBe(0.15)
    expect(t.lines.flatMap((l) => l.sizes).sort()).toEqual(at.groups.flatMap((g) => g.sizes).sort())
    expect(t.lines.map((l) => l.above)).toEqual(at.groups.map((g) => numberOf(g.down)).sort((a, b) => b - a))
  })
  it('a left chest lies to the viewer’s right of the crease (the wearer’s left)', () => {
    const at = placed('leftChest', { M: 10 })
    const t = palletTemplate({ width: 0.09, height: 0.09 }, at)
    expect(t.crease).toBeCloseTo(0.045 - numberOf(at.side!), 9)
    expect(t.crease).toBeLessThan(0)
  })
  it('groups that come to the same line share it', () => {
    const at = placed('front', { M: 10 })
    const [one] = at.groups
    const t = palletTemplate(
      { width: 0.3, height: 0.3 },
      { ...at, groups: [one!, { ...one!, group: 'kids', sizes: ['K8'] }] },
    )
    expect(t.lines).toEqual([{ above: numberOf(one!.down), sizes: ['M', 'K8'] }])
  })
})
