import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, type NumberAdvice, numberOf } from '../advice'
import type { Where } from '../order'
import { onSizes } from './onSizes'
import { type PlacementAdvice, placedOn } from './placement'
import { placementRun } from './placement.fixtures'

const at = (where: Where, sizes: readonly string[], width = 0.3, height = 0.36) => {
  const run = placementRun(where, sizes, width, height)
  return onSizes(run.placement, placedOn(run, DEFAULT_METHOD, {}))
}

describe('a print on each size', () => {
  it('lies in the middle, and as far from the seams as half of what the chest is wider', () => {
    const [m] = at('front', ['M'])
    expect(m!.art.x).toBeCloseTo(-0.15, 9)
    expect(m!.toSeam).toBeCloseTo((0.52 - 0.3) / 2, 9)
    expect(m!.toEnd).toBeCloseTo(0.72 - m!.art.y - 0.36, 9)
  })
  it('smallest first; the larger the garment, the more room', () => {
    const found = at('front', ['3XL', 'S', 'L', '9-11'])
    expect(found.map((f) => f.size)).toEqual(['9-11', 'S', 'L', '3XL'])
    const room = found.map((f) => f.toSeam)
    expect(room).toEqual([...room].sort((a, b) => a - b))
  })
  it('near a seam a second artwork is told, with a width that would be clear', () => {
    const [kid] = at('front', ['9-11'], 0.34)
    expect(kid!.state).toBe('near')
    const second = kid!.reasons.find((r) => r.rule === 'SIZE_SECOND')?.inputs.width
    const width = typeof second === 'object' && 'value' in second ? second.value : Number.NaN
    expect(at('front', ['9-11'], width)[0]!.state).toBe('clear')
  })
  it('wider than the garment it runs over it, and over the hem where it is too long', () => {
    expect(at('front', ['5-6'], 0.4)[0]!.state).toBe('over')
    expect(at('front', ['5-6'], 0.2, 0.5)[0]!.state).toBe('over')
  })
  it('a left chest lies to the right as it is seen, measured from the shoulder', () => {
    const [l] = at('leftChest', ['L'], 0.09, 0.09)
    expect(l!.art.x + 0.045).toBeCloseTo(0.115, 9)
    // 95 mm below a shoulder seam that lies 75 mm above the collar seam in front (assumed).
    expect(l!.art.y).toBeCloseTo(0.02, 9)
  })
  it('of an item that goes off the pallet nothing is known', () => {
    expect(at('offPallet', ['M'])).toEqual([])
  })

  it('a sleeve, half of a hood and a leg are narrower than the body, and grow with the size', () => {
    for (const where of ['sleeve', 'hood', 'leg'] as const) {
      const [s, xl] = at(where, ['S', 'XL'], 0.06, 0.06)
      const [body] = at('front', ['S'], 0.06, 0.06)
      expect(s!.piece.kind).toBe(where)
      expect(s!.toSeam).toBeLessThan(body!.toSeam)
      expect(xl!.toSeam).toBeGreaterThan(s!.toSeam)
    }
  })
  it('on a piece that narrows its narrowest place under the art counts', () => {
    const [near] = at('leg', ['L'], 0.1, 0.05)
    const [far] = at('leg', ['L'], 0.1, 0.4)
    // Wider towards the thigh: both are narrowest at their lower end.
    expect(far!.toSeam).toBeCloseTo(near!.toSeam, 9)
    const [hood] = at('hood', ['L'], 0.1, 0.05)
    const [deep] = at('hood', ['L'], 0.1, 0.15)
    expect(deep!.toSeam).toBeLessThan(hood!.toSeam)
  })
  it('a print wider than the sleeve runs over it, and a second artwork would fit', () => {
    const [wide] = at('sleeve', ['S', 'XL'], 0.19, 0.05)
    expect(wide!.state).toBe('over')
    expect(wide!.reasons.map((r) => r.rule)).toEqual(['SIZE_OVER', 'SIZE_SECOND'])
  })
  it('a corner of the hem lies to the left of a garment laid with its hem away', () => {
    const [corner] = at('hemCorner', ['L'], 0.1, 0.08)
    expect(corner!.art.x + 0.05).toBeCloseTo(-0.14, 9)
    expect(corner!.art.y).toBeCloseTo(0.06, 9)
  })
  it('an all-over print is meant to run over seams: no second artwork', () => {
    const [all] = at('allOver', ['S'], 0.58, 0.8)
    expect(all!.reasons.map((r) => r.rule)).toEqual(['SIZE_MEANT'])
  })

  it('a print at one side is laid nearer to the middle before an artwork is made smaller; then it is clear', () => {
    const run = placementRun('leftChest', ['5-6'], 0.12, 0.1)
    const placed = placedOn(run, DEFAULT_METHOD, {})
    const side = placed.groups[0]!.side!
    const [near] = onSizes(run.placement, { ...placed, groups: [aside(placed, 0.115)] })
    const inward = near!.reasons.find((r) => r.rule === 'SIZE_INWARD')?.inputs.by
    const by = typeof inward === 'object' && 'value' in inward ? inward.value : Number.NaN
    // 50 mm to the seam are wanted, half of 355 less 115 and 60 are there.
    expect(by).toBeCloseTo(0.048, 9)
    expect(onSizes(run.placement, { ...placed, groups: [aside(placed, 0.115 - by)] })[0]!.state).toBe('clear')
    // Kids: as much nearer as their chest is narrower than an M's.
    expect(numberOf(side)).toBeCloseTo((0.115 * 355) / 520, 3)
  })
})

const aside = (
  { groups }: Pick<PlacementAdvice, 'groups'>,
  side: number,
): PlacementAdvice['groups'][number] => ({
  ...groups[0]!,
  side: { ...groups[0]!.side!, chosen: side } as NumberAdvice,
})
