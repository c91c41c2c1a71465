import { describe, expect, it } from 'vitest'
import { choiceOf, DEFAULT_METHOD, numberOf } from '../advice'
import type { Blade, Press } from '../equipment'
import { degrees, mm } from '../quantity'
import { bladeLengthFor, directionFor, type StrokeNeed, strokeFor } from './index'

const blade = (hardness: string, length: number): Blade => ({
  id: `${hardness}-${length}`,
  hardness,
  length: mm(length),
  edge: 'square',
})
const RACK = ['60', '70', '80', '90', '70/90/70'].map((h) => blade(h, 350))
const press = (kind: Press['kind']) => ({ kind }) as Press
const need = (use: StrokeNeed['use'], more: Partial<StrokeNeed> = {}): StrokeNeed => ({
  hitId: 'x',
  name: 'Hit',
  use,
  darkCloth: true,
  offPallet: false,
  waterBased: false,
  ...more,
})
const stroke = (n: StrokeNeed, kind: Press['kind'] = 'manual', blades = RACK, overrides = {}) =>
  strokeFor(n, press(kind), blades, DEFAULT_METHOD, overrides)

// Common practice, no source.
describe('the stroke of a hit', () => {
  it.each([
    ['base', '70/90/70', 2, 'medium', 'even'],
    ['white', '70/90/70', 1, 'firm', 'even'],
    ['smoothing', '90', 1, 'firm', 'even'],
    ['halftone', '80', 1, 'light', 'hard'],
    ['expanding', '60', 2, 'medium', 'slow'],
    ['direct', '70/90/70', 2, 'medium', 'even'],
    ['top', '70', 1, 'medium', 'even'],
  ] as const)(
    '%s: blade %s, %d strokes, %s pressure, %s flood',
    (use, hardness, strokes, pressure, flood) => {
      const s = stroke(need(use))
      expect(choiceOf(s.blade)).toBe(hardness)
      expect(numberOf(s.strokes)).toBe(strokes)
      expect(choiceOf(s.pressure)).toBe(pressure)
      expect(choiceOf(s.flood)).toBe(flood)
    },
  )
  it('stands 15 to 20 degrees from vertical; whites near vertical on an automatic; smoothing upright', () => {
    expect(stroke(need('top')).angle.range).toEqual([degrees(15), degrees(20)])
    expect(numberOf(stroke(need('base')).angle)).toBeCloseTo(degrees(15))
    expect(numberOf(stroke(need('base'), 'automatic').angle)).toBeLessThanOrEqual(degrees(10))
    expect(numberOf(stroke(need('halftone'), 'automatic').angle)).toBeCloseTo(degrees(15))
    expect(numberOf(stroke(need('smoothing')).angle)).toBeLessThan(degrees(5))
  })
  it('takes 1 to 2 s in production, longer for thick white', () => {
    const [top, base] = [stroke(need('top')).time, stroke(need('base')).time]
    expect(top.range).toEqual([1, 2])
    expect(numberOf(base)).toBeGreaterThan(numberOf(top))
  })
  it('a base on lighter cloth needs one stroke; off the pallet everything gets one', () => {
    expect(numberOf(stroke(need('base', { darkCloth: false })).strokes)).toBe(1)
    const off = stroke(need('direct', { offPallet: true })).strokes
    expect(off).toMatchObject({ advised: 1, range: [1, 1], reasons: [{ rule: 'STROKES_ONE_PASS' }] })
  })
  it('water-based ink is flooded fully', () => {
    expect(choiceOf(stroke(need('halftone', { waterBased: true })).flood)).toBe('full')
  })
  it('a blade the shop has not is watched', () => {
    const s = stroke(need('halftone'), 'manual', [blade('70', 350)])
    expect(s.blade.reasons.at(-1)).toMatchObject({
      rule: 'BLADE_NOT_HELD',
      severity: 'Watch',
      inputs: { wanted: '80' },
    })
  })
  it('each setting can be the lead’s own, by its key', () => {
    const own = {
      'blade.x': '60',
      'pressure.x': 'firm',
      'strokes.x': 1,
      'flood.x': 'slow',
      'angle.x': degrees(18),
      'time.x': 1.8,
    }
    const s = stroke(need('base'), 'manual', RACK, own)
    for (const [what, value] of Object.entries(own)) {
      const advice = s[what.split('.')[0] as keyof typeof s]
      expect(advice.chosen).toBe(value)
    }
  })
})

describe('one blade length for all heads', () => {
  it('is the shortest blade 25 to 50 mm wider than the image on each side', () => {
    const rack = [blade('70', 300), blade('70', 340), blade('70', 370), blade('70', 400)]
    expect(bladeLengthFor(mm(280), rack, {})).toMatchObject({
      advised: mm(340),
      reasons: [{ rule: 'BLADE_LENGTH' }],
    })
    const short = bladeLengthFor(mm(280), [blade('70', 300)], {})
    expect(short.reasons.map((r) => r.rule)).toContain('BLADE_SHORT')
    expect(short.advised).toBeCloseTo(mm(350))
  })
})

it('push or pull by the shop’s school, and no question on an automatic', () => {
  expect(directionFor(press('manual'), { ...DEFAULT_METHOD, stroke: 'pull' }, {})?.advised).toBe('pull')
  expect(directionFor(press('bench'), DEFAULT_METHOD, { direction: 'pull' })?.chosen).toBe('pull')
  expect(directionFor(press('automatic'), DEFAULT_METHOD, {})).toBeUndefined()
})
