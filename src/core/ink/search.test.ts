import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  BANDS,
  difference,
  type Lab,
  layered,
  reflectanceOf,
  reflectanceOfLab,
  type Spectrum,
} from '../color'
import { STARTER_RACK } from '../equipment'
import { micron } from '../quantity'
import { colourOn, inOrder, mixed, mixInk, partsOf } from './formula'
import { type Aim, type Candidate, searchFormulas } from './search'

const RACK = STARTER_RACK.map(mixInk)
const CARD = { ground: BANDS.map(() => 0.86), film: micron(30) }
const aim = (target: Spectrum, more: Partial<Aim> = {}): Aim => ({
  target,
  conditions: [CARD],
  opened: new Set(STARTER_RACK.map((i) => i.code)),
  most: 4,
  ...more,
})
function search(a: Aim, rack = RACK): readonly Candidate[] {
  const steps = searchFormulas(rack, a)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
const nearest = (found: readonly Candidate[]) => Math.min(...found.map((c) => c.difference))

describe('a formula for a target', () => {
  it.each([
    ['sky blue', 70, -12, -30, 0.1],
    ['coral', 66, 45, 32, 1.2],
    ['teal', 45, -30, -12, 0.1],
    ['tan', 68, 8, 25, 0.1],
    ['maroon', 28, 32, 13, 1.2],
    ['olive', 45, -8, 38, 0.4],
    ['golden yellow', 78, 18, 78, 0.5],
    ['near white', 91, 0, 2, 1.1],
  ] as const)('%s is met as near as the inside figures, those of the model', (_, l, a, b, within) => {
    expect(nearest(search(aim(reflectanceOfLab({ l, a, b }))))).toBeLessThan(within)
  })
  it('what three inks make is found again (property)', () => {
    const share = fc.double({ min: 0.03, max: 1, noNaN: true })
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...STARTER_RACK.map((i) => i.code)), { minLength: 3, maxLength: 3 }),
        share,
        share,
        share,
        (codes, x, y, z) => {
          const parts = inOrder(codes.map((code, i) => ({ code, share: [x, y, z][i]! })))
          const optics = mixed(partsOf(parts, STARTER_RACK)!)
          const target = layered([{ optics, thickness: CARD.film }], CARD.ground)
          expect(nearest(search(aim(target)))).toBeLessThan(0.3)
        },
      ),
      { numRuns: 8 },
    )
  })
  it('shares sum to 1, the largest first, none too small to weigh, and the colour is that of the parts', () => {
    for (const c of search(aim(reflectanceOf('#7fb8a0')))) {
      expect(c.parts.reduce((sum, p) => sum + p.share, 0)).toBeCloseTo(1, 9)
      expect(Math.min(...c.parts.map((p) => p.share))).toBeGreaterThan(0.004)
      expect(difference(colourOn(mixed(partsOf(c.parts, STARTER_RACK)!), CARD), c.colour)).toBeLessThan(1e-6)
    }
  })
  it('a display green that no ink has says how far it stays away', () => {
    expect(nearest(search(aim(reflectanceOf('#00ff00'))))).toBeGreaterThan(5)
  })
  it('of formulas alike, the one from open cans comes first', () => {
    const parts = ['W1', 'K1', 'R1'].map((code, i) => ({ code, share: [0.9, 0.06, 0.04][i]! }))
    const target = layered(
      [{ optics: mixed(partsOf(parts, STARTER_RACK)!), thickness: CARD.film }],
      CARD.ground,
    )
    const [first] = search(aim(target, { opened: new Set(['W1', 'K1', 'R1']) }))
    expect(first!.opens).toEqual([])
    expect(first!.difference).toBeLessThan(0.1)
  })
  it('right on base and direct at once is a compromise of both', () => {
    const direct = { ground: reflectanceOf('#b3b5b8'), film: micron(20) }
    const target = reflectanceOf('#6fb3d9')
    const both = search(aim(target, { conditions: [CARD, direct] }))[0]!
    expect(both.difference).toBeGreaterThanOrEqual(nearest(search(aim(target))) - 1e-6)
    expect(both.difference).toBeLessThan(5)
  })
  it('grey of white and black hides, and looks the same under a lamp', () => {
    const grey: Lab = { l: 55, a: 0, b: 0 }
    const c = search(aim(reflectanceOfLab(grey), { most: 2 })).find((f) =>
      f.parts.every((p) => ['W1', 'K1'].includes(p.code)),
    )!
    expect(c.hides).toBeGreaterThan(0.9)
    expect(c.lamp).toBeLessThan(c.difference + 0.5)
  })
  it('tells how far it is, and can be left at any time', () => {
    const steps = searchFormulas(RACK, aim(reflectanceOf('#336699')))
    const first = steps.next().value
    expect(first && 'done' in first ? first.done : 1).toBeLessThan(0.2)
    expect(() => searchFormulas([], aim(reflectanceOf('#336699'))).next()).toThrow('nothing to mix')
  })
})
