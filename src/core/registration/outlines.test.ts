import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD } from '../advice'
import type { Order, Placement, Where } from '../order'
import { mm } from '../quantity'
import { overlappingPrints } from './index'

const print = (id: string, where: Where, width: number, height: number): Placement => ({
  id,
  where,
  width: mm(width),
  height: mm(height),
  sizes: 'all',
  inks: [
    {
      id: 'I1',
      name: 'Red',
      hex: '#c02030',
      inkType: 'spot',
      opacity: 'opaque',
      coverage: 0.3,
      system: 'house',
      lowCure: false,
    },
  ],
  relations: [],
})
const told = (sizes: readonly string[], ...placements: readonly Placement[]) => {
  const order: Order = {
    id: 'O-1',
    customer: 'Test',
    title: '',
    due: '2026-12-01',
    notes: '',
    lines: [
      {
        id: 'G1',
        style: 'Tee',
        group: '',
        cloth: { name: 'Navy', hex: '#1f2a44', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 },
        sizes: sizes.map((size) => ({ size, quantity: 10 })),
      },
    ],
    placements,
  }
  return overlappingPrints(order, placements[0] as Placement, DEFAULT_METHOD)
}

// Geometry: rectangles from the centre line and the collar seam.
describe('prints of one garment', () => {
  it('a left chest lies on a full front, on every size, and the other way round', () => {
    const [front, chest] = [print('P1', 'front', 280, 330), print('P2', 'leftChest', 90, 90)]
    const [reason] = told(['L', 'M'], front, chest)
    expect(reason).toMatchObject({ rule: 'PRINTS_OVERLAP', severity: 'Stop' })
    expect(reason?.inputs.sizes).toBe('M, L')
    expect(told(['L', 'M'], chest, front)).toHaveLength(1)
  })
  it('a small front beside it does not; one that nearly touches is watched', () => {
    const chest = print('P2', 'leftChest', 90, 90)
    // The chest reaches from 70 mm off the centre line outwards.
    expect(told(['M'], print('P1', 'front', 100, 60), chest)).toEqual([])
    expect(told(['M'], print('P1', 'front', 130, 60), chest)).toMatchObject([{ rule: 'PRINTS_NEAR' }])
    expect(told(['M'], print('P1', 'front', 170, 60), chest)).toMatchObject([{ rule: 'PRINTS_OVERLAP' }])
  })
  it('front and back, sleeves and labels never meet', () => {
    expect(told(['M'], print('P1', 'front', 280, 330), print('P2', 'back', 280, 330))).toEqual([])
    expect(told(['M'], print('P1', 'back', 280, 330), print('P2', 'neckLabel', 60, 60))).toEqual([])
    expect(told(['M'], print('P1', 'front', 280, 330), print('P2', 'sleeve', 90, 90))).toEqual([])
  })
  it('a second artwork for kids does not meet that for adults', () => {
    const [adult, kids] = [print('P1', 'front', 280, 330), print('P2', 'front', 200, 250)]
    expect(told(['M', '5-6'], { ...adult, sizes: 'adult' }, { ...kids, sizes: 'kids' })).toEqual([])
  })

  it('a corner of the hem meets a full front where the garment is short', () => {
    // 470 mm long: the front ends 51 + 360 mm down, the corner begins 470 - 60 - 80 mm down.
    const [reason] = told(['5-6', 'L'], print('P1', 'hemCorner', 100, 80), print('P2', 'front', 300, 360))
    expect(reason).toMatchObject({ rule: 'PRINTS_OVERLAP', inputs: { sizes: '5-6' } })
  })
})
