import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, type Reason } from '../advice'
import { type ApprovedSetting, type Press, type Squeegee, STROKE_USES, type StrokeUse } from '../equipment'
import { degrees, mm, perCm } from '../quantity'
import { directionFor, holdFor, type StrokeNeed, squeegeeLengthFor, strokeFor } from './index'

// What each setting says of itself: every rule that was at work, and none that was not. The settings are common practice, no source.
const squeegee = (hardness: string, length = 350, edge: Squeegee['edge'] = 'square'): Squeegee => ({
  id: `${hardness}-${length}-${edge}`,
  hardness,
  length: mm(length),
  edge,
})
const RACK = ['60', '70', '80', '90', '70/90/70'].map((h) => squeegee(h))
const press = (kind: Press['kind'] = 'manual', more: object = {}) =>
  ({ id: 'p', name: 'The Six', kind, ...more }) as Press
const need = (use: StrokeUse, more: Partial<StrokeNeed> = {}): StrokeNeed => ({
  hitId: 'x',
  screen: { id: 'R-9.x', words: 'Chart: Hit' },
  name: 'Hit',
  use,
  mesh: perCm(77),
  darkCloth: true,
  offPallet: false,
  driesInScreen: false,
  height: 0.33,
  system: 'plastisol',
  thin: false,
  schools: DEFAULT_METHOD,
  ...more,
})
const stroke = (
  n: StrokeNeed,
  { at = press(), squeegees = RACK, approved = [] as readonly ApprovedSetting[], method = {}, own = {} } = {},
) => strokeFor(n, at, { squeegees, approved }, { ...DEFAULT_METHOD, ...method }, own)
const rules = (a: { readonly reasons: readonly Reason[] } | undefined) => a?.reasons.map((r) => r.rule)
const good = (more: Partial<ApprovedSetting> = {}): ApprovedSetting => ({
  id: 'R-8.y',
  words: 'Other: Hit',
  on: '2026-10-01',
  pressId: 'p',
  use: 'top',
  mesh: perCm(77),
  darkCloth: true,
  driesInScreen: false,
  fleece: false,
  squeegee: '80',
  edge: 'rounded',
  angle: degrees(10),
  pressure: 'firm',
  gauge: 3.5,
  time: 2.5,
  strokes: 2,
  flood: 'slow',
  offContact: mm(3),
  ...more,
})

describe('a stroke says why', () => {
  it.each([
    [
      'base',
      ['SQUEEGEE_WHITE'],
      ['ANGLE_GENERAL'],
      ['PRESSURE_LEAST'],
      ['TIME_THICK'],
      ['STROKES_BASE'],
      ['FLOOD_USUAL'],
    ],
    [
      'white',
      ['SQUEEGEE_WHITE'],
      ['ANGLE_GENERAL'],
      ['PRESSURE_FIRM'],
      ['TIME_THICK'],
      ['STROKES_HIGHLIGHT'],
      ['FLOOD_USUAL'],
    ],
    [
      'smoothing',
      ['SQUEEGEE_SMOOTH', 'RELEASE_CLEAR'],
      ['ANGLE_SMOOTH'],
      ['PRESSURE_FIRM'],
      ['TIME_PRODUCTION'],
      ['STROKES_SMOOTH'],
      ['FLOOD_USUAL'],
    ],
    [
      'halftone',
      ['SQUEEGEE_HALFTONE'],
      ['ANGLE_GENERAL'],
      ['PRESSURE_HALFTONE'],
      ['TIME_PRODUCTION'],
      ['STROKES_TOP'],
      ['FLOOD_THIN'],
    ],
    [
      'expanding',
      ['SQUEEGEE_SOFT'],
      ['ANGLE_GENERAL'],
      ['PRESSURE_LEAST'],
      ['TIME_PRODUCTION'],
      ['STROKES_EXPANDING'],
      ['FLOOD_SLOW'],
    ],
    [
      'direct',
      ['SQUEEGEE_WHITE'],
      ['ANGLE_GENERAL'],
      ['PRESSURE_LEAST'],
      ['TIME_PRODUCTION'],
      ['STROKES_DIRECT'],
      ['FLOOD_USUAL'],
    ],
    [
      'top',
      ['SQUEEGEE_GENERAL'],
      ['ANGLE_GENERAL'],
      ['PRESSURE_LEAST'],
      ['TIME_PRODUCTION'],
      ['STROKES_TOP'],
      ['FLOOD_USUAL'],
    ],
  ] as const)('%s', (use, ...why) => {
    const s = stroke(need(use))
    expect([s.squeegee, s.angle, s.pressure, s.time, s.strokes, s.flood].map(rules)).toEqual(why)
  })
  it('water floods full, an odd item gets one pass, a base on light cloth is a top', () => {
    expect(rules(stroke(need('top', { driesInScreen: true })).flood)).toEqual(['FLOOD_WATER'])
    expect(rules(stroke(need('base', { offPallet: true })).strokes)).toEqual(['STROKES_ONE_PASS'])
    expect(rules(stroke(need('base', { darkCloth: false })).strokes)).toEqual(['STROKES_TOP'])
  })
  it('whites shear on an automatic; nothing else does', () => {
    for (const use of Object.keys(STROKE_USES) as StrokeUse[])
      expect(rules(stroke(need(use), { at: press('automatic') }).angle)?.includes('ANGLE_SHEAR')).toBe(
        use === 'base' || use === 'white',
      )
  })
  it('the smoothing screen is kept free by the practice of the shop', () => {
    expect(rules(stroke(need('smoothing'), { method: { release: 'spray' } }).squeegee)).toEqual([
      'SQUEEGEE_SMOOTH',
      'RELEASE_SPRAY',
    ])
  })
  it('a squeegee that is not on the rack is told, and a rounded edge only where there is one', () => {
    expect(rules(stroke(need('halftone'), { squeegees: [squeegee('70')] }).squeegee)).toEqual([
      'SQUEEGEE_HALFTONE',
      'SQUEEGEE_NOT_HELD',
    ])
    expect(stroke(need('expanding')).edge.advised).toBe('square')
    const rounded = stroke(need('expanding'), { squeegees: [...RACK, squeegee('60', 350, 'rounded')] })
    expect([rounded.edge.advised, ...(rules(rounded.edge) ?? [])]).toEqual(['rounded', 'EDGE_ROUNDED'])
  })
})

describe('what printed a good sample goes before the table', () => {
  const s = stroke(need('top'), { approved: [good()] })
  it('in every setting, with the usual beside it, in a range that holds it', () => {
    expect(s).toMatchObject({
      squeegee: { advised: '80' },
      edge: { advised: 'rounded' },
      pressure: { advised: 'firm' },
      time: { advised: 2.5, range: [1, 2.5] },
      strokes: { advised: 2, range: [1, 2] },
      flood: { advised: 'slow' },
    })
    expect(s.angle.range[0]).toBeCloseTo(degrees(10))
    for (const a of [s.squeegee, s.edge, s.angle, s.pressure, s.time, s.strokes, s.flood])
      expect(rules(a)?.[0]).toBe('STROKE_APPROVED')
    expect(s.time.reasons[0]?.inputs).toMatchObject({
      press: 'The Six',
      on: '2026-10-01',
      words: 'Other: Hit',
      more: '',
      usual: { kind: 'duration', value: 1.3 },
    })
  })
  it('the last of several counts, those of this very screen most of all', () => {
    const two = stroke(need('top'), { approved: [good({ time: 1.1 }), good({ time: 1.9 })] })
    expect(two.time.advised).toBe(1.9)
    expect(two.time.reasons[0]?.inputs.more).toBe(', and 1 alike before')
    const own = stroke(need('top'), { approved: [good({ id: 'R-9.x', time: 1.2 }), good({ time: 1.9 })] })
    expect(own.time.advised).toBe(1.2)
  })
  it.each([
    ['another press', { pressId: 'q' }],
    ['another use', { use: 'base' as const }],
    ['light cloth', { darkCloth: false }],
    ['water', { driesInScreen: true }],
    ['a mesh more than a tenth away', { mesh: perCm(90) }],
  ])('not what was found on %s', (_, more) => {
    expect(rules(stroke(need('top'), { approved: [good(more)] }).time)).toEqual(['TIME_PRODUCTION'])
  })
  it('a mesh within a tenth is alike; off the pallet nothing is', () => {
    expect(stroke(need('top'), { approved: [good({ mesh: perCm(84) })] }).time.advised).toBe(2.5)
    expect(rules(stroke(need('top', { offPallet: true }), { approved: [good()] }).time)).toEqual([
      'TIME_PRODUCTION',
    ])
  })
  it('words that no table knows are not advised', () => {
    const odd = stroke(need('top'), {
      approved: [good({ squeegee: 'wood', pressure: 'much', flood: 'toString' })],
    })
    expect([odd.squeegee.advised, odd.pressure.advised, odd.flood.advised]).toEqual(['70', 'medium', 'even'])
  })
})

describe('pressure on the scale of a press', () => {
  const turns = press('automatic', { pressure: { scale: 'turns', light: 1, medium: 2, firm: 4 } })
  it('reads half way to its neighbours as those', () => {
    const of = (use: StrokeUse) => stroke(need(use), { at: turns }).gauge
    expect(of('halftone')).toMatchObject({ kind: 'turns', advised: 1, range: [0.5, 1.5] })
    expect(of('top')).toMatchObject({ advised: 2, range: [1.5, 3] })
    expect(of('white')).toMatchObject({ advised: 4, range: [3, 5] })
    expect(rules(of('top'))).toEqual(['GAUGE_NOTE'])
    expect(of('top')?.reasons[0]?.inputs).toMatchObject({ word: 'medium', press: 'The Six' })
    expect(stroke(need('top')).gauge).toBeUndefined()
  })
  it('what was approved holds for the word it was found with', () => {
    const found = stroke(need('top'), { at: turns, approved: [good()] })
    expect(found.gauge).toMatchObject({ advised: 3.5 })
    expect(rules(found.gauge)).toEqual(['STROKE_APPROVED', 'GAUGE_NOTE'])
    const lighter = stroke(need('top'), { at: turns, approved: [good()], own: { 'pressure.x': 'light' } })
    expect(lighter.gauge?.advised).toBe(1)
    expect(rules(lighter.gauge)).toEqual(['GAUGE_NOTE'])
  })
  it('air is counted in its own unit', () => {
    const air = press('automatic', { pressure: { scale: 'air', light: 1e5, medium: 2e5, firm: 3e5 } })
    expect(stroke(need('top'), { at: air }).gauge).toMatchObject({ kind: 'airPressure', advised: 2e5 })
    expect(holdFor(air, {}).gauge).toMatchObject({ kind: 'airPressure', advised: 25_000, range: [0, 50_000] })
  })
})

describe('for the whole job', () => {
  it('the shortest squeegee that stands out 25 to 50 mm on each side, or the want of one', () => {
    const of = (...lengths: number[]) =>
      squeegeeLengthFor(
        mm(300),
        lengths.map((l) => squeegee('70', l)),
        {},
      )
    expect(of(400, 380, 360).advised).toBeCloseTo(mm(360))
    expect(of(350).advised).toBeCloseTo(mm(350))
    expect(rules(of(350))).toEqual(['SQUEEGEE_LENGTH'])
    expect(of(349, 401).advised).toBeCloseTo(mm(370))
    expect(rules(of(349, 401))).toEqual(['SQUEEGEE_LENGTH', 'SQUEEGEE_SHORT'])
    expect(of().range.map((x) => Math.round(x * 1000))).toEqual([350, 400])
  })
  it('one direction by hand, none to choose on an automatic', () => {
    expect(directionFor(press(), DEFAULT_METHOD, {})?.advised).toBe('push')
    expect(directionFor(press(), { ...DEFAULT_METHOD, stroke: 'pull' }, {})?.advised).toBe('pull')
    expect(rules(directionFor(press(), DEFAULT_METHOD, {}))).toEqual(['DIRECTION'])
    expect(directionFor(press('automatic'), DEFAULT_METHOD, {})).toBeUndefined()
  })
  it('halftones are held, more closely where the lead says so: less ink strays', () => {
    const usual = holdFor(press(), {})
    expect(usual.gauge).toBeUndefined()
    for (const a of [usual.time, usual.angle, usual.offContact]) {
      expect(rules(a)).toEqual(['HOLD'])
      expect(a.range[0]).toBe(0)
      expect(a.advised).toBeLessThan(a.range[1])
    }
    const strays = (own: object) => holdFor(press(), { ...own }).stray.advised
    expect(strays({ holdTime: 0.02 })).toBeLessThan(strays({}))
    expect(strays({ holdAngle: degrees(0.5) })).toBeLessThan(strays({}))
    expect(rules(usual.stray)).toEqual(['HOLD_STRAY'])
  })
})
