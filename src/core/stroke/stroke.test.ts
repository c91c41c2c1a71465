import { describe, expect, it } from 'vitest'
import { choiceOf, DEFAULT_METHOD, numberOf } from '../advice'
import type { ApprovedSetting, Press, Squeegee } from '../equipment'
import { degrees, mm } from '../quantity'
import {
  directionFor,
  holdFor,
  relativeDeposit,
  type StrokeNeed,
  squeegeeLengthFor,
  strokeFor,
} from './index'

const squeegee = (hardness: string, length: number): Squeegee => ({
  id: `${hardness}-${length}`,
  hardness,
  length: mm(length),
  edge: 'square',
})
const RACK = ['60', '70', '80', '90', '70/90/70'].map((h) => squeegee(h, 350))
const press = (kind: Press['kind'], more: Partial<Press> = {}) =>
  ({ id: 'p', name: 'Press', kind, ...more }) as Press
const need = (use: StrokeNeed['use'], more: Partial<StrokeNeed> = {}): StrokeNeed => ({
  hitId: 'x',
  screen: { id: 'R-9.x', words: 'Chart: Hit' },
  name: 'Hit',
  use,
  mesh: 7700,
  darkCloth: true,
  offPallet: false,
  driesInScreen: false,
  height: 0.33,
  system: 'plastisol',
  thin: false,
  schools: DEFAULT_METHOD,
  ...more,
})
const stroke = (n: StrokeNeed, kind: Press['kind'] = 'manual', squeegees = RACK, overrides = {}) =>
  strokeFor(n, press(kind), { squeegees, approved: [] }, DEFAULT_METHOD, overrides)

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
    '%s: squeegee %s, %d strokes, %s pressure, %s flood',
    (use, hardness, strokes, pressure, flood) => {
      const s = stroke(need(use))
      expect(choiceOf(s.squeegee)).toBe(hardness)
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
    expect(choiceOf(stroke(need('halftone', { driesInScreen: true })).flood)).toBe('full')
  })
  it('a squeegee the shop has not is watched', () => {
    const s = stroke(need('halftone'), 'manual', [squeegee('70', 350)])
    expect(s.squeegee.reasons.at(-1)).toMatchObject({
      rule: 'SQUEEGEE_NOT_HELD',
      severity: 'Watch',
      inputs: { wanted: '80' },
    })
  })
  it('each setting can be the lead’s own, by its key', () => {
    const own = {
      'squeegee.x': '60',
      'pressure.x': 'firm',
      'strokes.x': 1,
      'flood.x': 'slow',
      'angle.x': degrees(18),
      'time.x': 1.8,
    }
    const s = stroke(need('base'), 'manual', RACK, own)
    for (const [what, value] of Object.entries(own)) {
      const advice = s[what.split('.')[0] as keyof typeof s]
      expect(advice?.chosen).toBe(value)
    }
  })
})

describe('pressure on the scale of a press', () => {
  const bar = { scale: 'air', light: 2e5, medium: 3e5, firm: 5e5 } as const
  const on = (word: string, overrides = {}) =>
    strokeFor(
      need('top'),
      press('automatic', { pressure: bar }),
      { squeegees: RACK, approved: [] },
      DEFAULT_METHOD,
      { 'pressure.x': word, ...overrides },
    ).gauge
  it('is what the shop wrote down for the word, good half way to the next', () => {
    expect(on('medium')).toMatchObject({ kind: 'airPressure', advised: 3e5, range: [2.5e5, 4e5] })
    expect(on('light')).toMatchObject({ advised: 2e5, range: [1.5e5, 2.5e5] })
    expect(on('firm')).toMatchObject({ advised: 5e5, range: [4e5, 6e5] })
  })
  it('warns of a reading that belongs to another word', () => {
    expect(on('medium', { 'gauge.x': 4.5e5 })?.reasons.at(-1)).toMatchObject({ severity: 'Watch' })
  })
  it('is no question where the press has no scale', () => {
    expect(stroke(need('top')).gauge).toBeUndefined()
  })
})

describe('what was approved at the press', () => {
  const good = (more: Partial<ApprovedSetting> = {}): ApprovedSetting => ({
    id: 'R-1.x',
    on: '2026-11-20',
    words: 'Moth: Red',
    pressId: 'p',
    use: 'top',
    mesh: 7700,
    darkCloth: true,
    driesInScreen: false,
    fleece: false,
    squeegee: '80',
    edge: 'square',
    angle: degrees(12),
    pressure: 'light',
    time: 2.4,
    strokes: 2,
    flood: 'slow',
    offContact: mm(2.8),
    ...more,
  })
  const from = (approved: readonly ApprovedSetting[], n = need('top')) =>
    strokeFor(n, press('manual'), { squeegees: RACK, approved }, DEFAULT_METHOD, {})
  it('is the shop’s own default for an alike screen, and says so beside the usual', () => {
    const s = from([good()])
    expect(s.squeegee).toMatchObject({
      advised: '80',
      reasons: [
        { rule: 'STROKE_APPROVED', inputs: { words: 'Moth: Red', usual: '70' } },
        { rule: 'SQUEEGEE_GENERAL' },
      ],
    })
    expect(s.time).toMatchObject({ advised: 2.4, range: [1, 2.4] })
    expect(s.angle.advised).toBeCloseTo(degrees(12))
    expect([s.strokes.advised, s.pressure.advised, s.flood.advised]).toEqual([2, 'light', 'slow'])
  })
  it('the newest counts', () => {
    const s = from([good(), good({ id: 'R-2.x', squeegee: '60', on: '2026-11-24' })])
    expect(s.squeegee.advised).toBe('60')
    expect(s.squeegee.reasons[0]?.inputs.more).toBe(', and 1 alike before')
  })
  it('a sample of the same job counts before a newer one that is alike, its own screen before that', () => {
    const rows = [
      good({ id: 'R-9.x', squeegee: '90' }),
      good({ words: 'Chart: Hit', squeegee: '60' }),
      good({ id: 'R-3.x', squeegee: '80' }),
    ]
    expect(from(rows).squeegee.advised).toBe('90')
    expect(from(rows.slice(1)).squeegee.advised).toBe('60')
  })
  it.each([
    ['another press', { pressId: 'q' }],
    ['another use', { use: 'halftone' }],
    ['another mesh', { mesh: 9000 }],
    ['light cloth', { darkCloth: false }],
    ['water-based ink', { driesInScreen: true }],
  ] as const)('does not count for %s', (_, other) => {
    expect(from([good(other)]).squeegee).toMatchObject({ advised: '70' })
  })
  it('does not count off the pallet, where one pass is all there is', () => {
    const off = from([good()], need('top', { offPallet: true }))
    expect([off.squeegee.advised, off.strokes.advised]).toEqual(['70', 1])
  })
})

// Which way each setting works: common practice, no source. How much is assumed.
describe('ink laid by the way a hit is struck', () => {
  const laid = (overrides = {}, use: StrokeNeed['use'] = 'top', at = press('manual')) => {
    const n = need(use)
    return relativeDeposit(
      n,
      at,
      strokeFor(n, at, { squeegees: RACK, approved: [] }, DEFAULT_METHOD, overrides),
    )
  }
  it('is 1 with the usual settings of every use', () => {
    for (const use of ['base', 'white', 'smoothing', 'halftone', 'expanding', 'direct', 'top'] as const) {
      expect(laid({}, use)).toBeCloseTo(1, 10)
      expect(laid({}, use, press('automatic'))).toBeCloseTo(1, 10)
    }
  })
  it.each([
    ['a softer squeegee', { 'squeegee.x': '60' }],
    ['a rounded edge', { 'edge.x': 'rounded' }],
    ['a flatter squeegee', { 'angle.x': degrees(25) }],
    ['more pressure', { 'pressure.x': 'firm' }],
    ['a slower stroke', { 'time.x': 2.6 }],
    ['a slow flood', { 'flood.x': 'slow' }],
  ])('%s lays more', (_, own) => {
    expect(laid(own)).toBeGreaterThan(1.03)
    expect(laid(own)).toBeLessThan(1.3)
  })
  it.each([
    ['a harder squeegee', { 'squeegee.x': '90' }],
    ['an upright squeegee', { 'angle.x': 0 }],
    ['a quick stroke', { 'time.x': 0.8 }],
  ])('%s lays less', (_, own) => {
    expect(laid(own)).toBeLessThan(0.97)
    expect(laid(own)).toBeGreaterThan(0.7)
  })
  it('reads the scale between two words', () => {
    const scale = press('manual', { pressure: { scale: 'turns', light: 2, medium: 3, firm: 5 } })
    const at = (turns: number) => laid({ 'gauge.x': turns }, 'top', scale)
    expect(at(3)).toBeCloseTo(1)
    expect(at(4)).toBeCloseTo(1.025)
    expect(at(2.5)).toBeCloseTo(0.975)
  })
})

describe('held from print to print', () => {
  it('the ink laid strays by what time, angle and pressure stray', () => {
    const hold = holdFor(press('manual'), {})
    // 2.5 % for the time, 3 % for two degrees, 2.5 % for half a word.
    expect(hold.stray.advised).toBeCloseTo(Math.hypot(0.025, 0.03, 0.025))
    expect(hold.gauge).toBeUndefined()
  })
  it('a scale is held to an eighth of what it spans, and closer hold strays less', () => {
    const scale = press('manual', { pressure: { scale: 'turns', light: 2, medium: 3, firm: 5 } })
    const hold = holdFor(scale, {})
    expect(hold.gauge?.advised).toBeCloseTo(0.375)
    const close = holdFor(scale, { holdTime: 0.05, holdAngle: degrees(1), holdGauge: 0.2 })
    expect(close.stray.advised).toBeLessThan(hold.stray.advised * 0.7)
  })
})

describe('one squeegee length for all heads', () => {
  it('is the shortest squeegee 25 to 50 mm wider than the image on each side', () => {
    const rack = [squeegee('70', 300), squeegee('70', 340), squeegee('70', 370), squeegee('70', 400)]
    expect(squeegeeLengthFor(mm(280), rack, {})).toMatchObject({
      advised: mm(340),
      reasons: [{ rule: 'SQUEEGEE_LENGTH' }],
    })
    const short = squeegeeLengthFor(mm(280), [squeegee('70', 300)], {})
    expect(short.reasons.map((r) => r.rule)).toContain('SQUEEGEE_SHORT')
    expect(short.advised).toBeCloseTo(mm(350))
  })
})

it('push or pull by the shop’s practice, and no question on an automatic', () => {
  expect(directionFor(press('manual'), { ...DEFAULT_METHOD, stroke: 'pull' }, {})?.advised).toBe('pull')
  expect(directionFor(press('bench'), DEFAULT_METHOD, { direction: 'pull' })?.chosen).toBe('pull')
  expect(directionFor(press('automatic'), DEFAULT_METHOD, {})).toBeUndefined()
})
