import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  type Cloth,
  clothGroup,
  type GarmentLine,
  hardestCloth,
  type Order,
  type Placement,
  splitOrder,
  toneOf,
} from './index'

const cloth = (name: string, hex: string, polyester = 0): Cloth => ({
  name,
  hex,
  weave: 'jersey',
  cotton: 1 - polyester,
  polyester,
  weight: 0.18,
})
const line = (id: string, c: Cloth, sizes: Record<string, number>, group = ''): GarmentLine => ({
  id,
  style: 'Tee',
  cloth: c,
  sizes: Object.entries(sizes).map(([size, quantity]) => ({ size, quantity })),
  group,
})
const front = (id: string, sizes: Placement['sizes'] = 'all'): Placement => ({
  id,
  where: 'front',
  width: 0.28,
  height: 0.3,
  sizes,
  inks: [],
  relations: [],
})
const order = (lines: GarmentLine[], placements: Placement[]): Order => ({
  id: 'O-1002',
  customer: 'Tarnquay Regatta',
  title: '',
  due: '2026-12-01',
  notes: '',
  lines,
  placements,
})

const navy = cloth('Navy', '#1f2a44')
const heather = cloth('Heather grey', '#b3b5b8')
const maroon = cloth('Maroon', '#5b1a2b', 1)

// Common practice, no source: what printers call these cloths.
it.each([
  ['Black', '#1e1f21', 'dark'],
  ['Navy', '#1f2a44', 'dark'],
  ['Golden yellow', '#f4b223', 'in-between'],
  ['Heather grey', '#b3b5b8', 'in-between'],
  ['Natural', '#ece3d0', 'light'],
  ['White', '#f6f6f6', 'light'],
])('%s is %s cloth', (name, hex, tone) => {
  expect(toneOf(cloth(name, hex))).toBe(tone)
})

describe('splitting an order', () => {
  const lines = [line('G1', navy, { M: 100, '7-8': 30 }), line('G2', heather, { M: 120 })]
  it('makes a run for each placement and cloth group', () => {
    const runs = splitOrder(order(lines, [front('P1')]))
    expect(runs.map((r) => [r.id, r.quantity])).toEqual([
      ['R-1002-P1-dark', 130],
      ['R-1002-P1-in-between', 120],
    ])
  })
  it('gives the kids their own artwork, and no run where no kids are', () => {
    const runs = splitOrder(order(lines, [front('P1', 'adult'), front('P2', 'kids')]))
    expect(runs.map((r) => [r.id, r.quantity])).toEqual([
      ['R-1002-P1-dark', 100],
      ['R-1002-P1-in-between', 120],
      ['R-1002-P2-dark', 30],
    ])
    expect(runs[2]?.reasons.map((r) => r.rule)).toContain('KIDS_ART')
  })
  it('keeps polyester apart, and lets the lead put cloths together', () => {
    const runs = splitOrder(order([...lines, line('G3', maroon, { L: 5 })], [front('P1')]))
    expect(runs.map((r) => r.group)).toContain('dark-poly')
    const together = splitOrder(
      order([line('G1', navy, { M: 1 }), line('G2', heather, { M: 1 }, 'dark')], [front('P1')]),
    )
    expect(together).toHaveLength(1)
    expect(together[0] && hardestCloth(together[0]).name).toBe('Navy')
    expect(clothGroup(line('G2', heather, {}, 'dark'))).toMatchObject({
      advised: 'in-between',
      chosen: 'dark',
    })
  })
  it('never loses or doubles a garment', () => {
    const anyLine = fc.tuple(
      fc.constantFrom(navy, heather, maroon),
      fc.nat(50),
      fc.nat(50),
      fc.constantFrom('', 'dark', 'apart'),
    )
    fc.assert(
      fc.property(fc.array(anyLine, { maxLength: 6 }), fc.boolean(), (rows, kidsArt) => {
        const all = rows.map(([c, m, k, g], i) => line(`G${i}`, c, { M: m, '5-6': k }, g))
        const placements = kidsArt ? [front('P1', 'adult'), front('P2', 'kids')] : [front('P1')]
        const printed = splitOrder(order(all, placements)).reduce((sum, r) => sum + r.quantity, 0)
        expect(printed).toBe(rows.reduce((sum, [, m, k]) => sum + m + k, 0))
      }),
    )
  })
})
