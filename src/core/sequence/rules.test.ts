import { describe, expect, it } from 'vitest'
import { SEQUENCE } from './definition'
import type { Hit, Job, Relation, Role } from './hit'
import { meeting } from './hit'
import { type PairCode, pairCodes } from './rules'
import { wetTerms } from './wetRisk'

const hit = (id: string, role: Role, more: Partial<Hit> = {}): Hit => ({
  id,
  name: id,
  role,
  L: 50,
  opacity: 0.5,
  coverage: 0.2,
  system: 'plastisol',
  onBase: true,
  ...more,
})
const base = hit('base', 'base', { onBase: false })
const again = hit('again', 'base2', { onBase: false })
const flat = hit('flat', 'smoothing', { onBase: false })
const red = hit('red', 'spot')
const blue = hit('blue', 'spot')
const high = hit('high', 'highlight')
const black = hit('black', 'black')
const gold = hit('gold', 'metallic')
const puff = hit('puff', 'expanding', { onBase: false })
const gloss = hit('gloss', 'clear', { onBase: false })

/** Straight on the cloth, and opaque. */
const straight = (h: Hit): Hit => ({ ...h, onBase: false, opacity: 0.95 })

interface Case {
  readonly how?: Relation['how']
  readonly darkCloth?: boolean
  readonly wetOnWet?: boolean
  readonly flash?: Job['method']['flash']
  readonly trap?: Job['method']['blackTrap']
  readonly explicit?: readonly string[]
  readonly over?: string
}

/** The codes that forbid i before j. */
function codes(i: Hit, j: Hit, c: Case = {}): readonly PairCode[] {
  const job: Job = {
    hits: [i, j],
    relations:
      c.how === undefined
        ? []
        : [{ a: j.id, b: i.id, how: c.how, width: 0.0003, ...(c.over && { over: c.over }) }],
    darkCloth: c.darkCloth ?? true,
    method: {
      flash: c.flash ?? 'where',
      colourOrder: 'overpower',
      wetMost: 'any',
      blackTrap: c.trap ?? 'wet',
    },
    explicit: c.explicit ?? [],
  }
  return pairCodes(i, j, { job, meet: meeting(job, i, j), wetOnWet: c.wetOnWet ?? true }).map(
    ([code]) => code,
  )
}

// Each rule where it holds, and the nearest case where it does not; common practice, no source.
describe('pair rules, i before j', () => {
  it.each<[PairCode, readonly [Hit, Hit, Case?], readonly [Hit, Hit, Case?]]>([
    ['BASE_FIRST', [red, base], [base, red]],
    ['BASE_FIRST', [red, again], [flat, again]],
    ['SMOOTH_ORDER', [red, flat], [base, flat]],
    ['BLACK_LAST', [black, red], [black, gloss]],
    ['BLACK_LAST', [black, high], [black, puff]],
    // On light cloth a black that hides the colour prints on it wet, unless the shop wants a flash, or what is below would show.
    [
      'BLACK_FLASH',
      [straight(red), straight(black), { how: 'overlap', darkCloth: false, trap: 'flash' }],
      [straight(red), straight(black), { how: 'overlap', darkCloth: false }],
    ],
    [
      'BLACK_FLASH',
      [straight(high), straight(black), { how: 'overlap', darkCloth: false }],
      [straight(red), straight(black), { how: 'touch', darkCloth: false }],
    ],
    [
      'BLACK_FLASH',
      [straight(red), { ...straight(black), opacity: 0.5 }, { how: 'overlap', darkCloth: false }],
      [straight(red), straight(black), { how: 'overlap', darkCloth: false }],
    ],
    ['CLEAR_LAST', [gloss, black], [gloss, puff]],
    ['PUFF_LAST', [puff, gloss], [gloss, puff]],
    ['OVER', [red, blue, { how: 'overlap', over: 'red' }], [red, blue, { how: 'overlap', over: 'blue' }]],
    ['OVER', [red, blue, { how: 'overlap', over: 'red' }], [red, blue, { how: 'overlap' }]],
    // What the art says goes before what is usual: a colour over black, a colour over a clear.
    ['BLACK_LAST', [black, red, { how: 'overlap' }], [black, red, { how: 'overlap', over: 'red' }]],
    ['CLEAR_LAST', [gloss, red, { how: 'overlap' }], [gloss, red, { how: 'overlap', over: 'red' }]],
    ['EXPLICIT', [red, blue, { explicit: ['blue', 'red'] }], [red, blue, { explicit: ['red', 'blue'] }]],
    ['EXPLICIT', [red, blue, { explicit: ['blue', 'red'] }], [red, blue, { explicit: ['blue'] }]],
    ['BASE_FLASH', [base, red], [base, puff]],
    ['BASE_FLASH', [base, again], [red, blue]],
    ['HL_OVERLAP', [high, red, { how: 'overlap' }], [high, red, { how: 'blend' }]],
    ['HL_OVERLAP', [red, high, { how: 'overlap' }], [red, high, { how: 'touch' }]],
    ['BLACK_FLASH', [red, black, { how: 'touch' }], [red, black, { how: 'blend' }]],
    ['BLACK_FLASH', [red, black, { how: 'overlap' }], [red, black]],
    // A black that comes first, under a clear or a raised ink, must be dry where they overlap, not where they only touch.
    ['BLACK_FLASH', [black, gloss, { how: 'overlap' }], [black, gloss, { how: 'touch' }]],
    ['METAL_FLASH', [gold, red, { how: 'touch' }], [gold, red]],
    ['METAL_FLASH', [red, gold, { how: 'overlap' }], [red, gold, { how: 'touch' }]],
    [
      'INK_MIX',
      [red, hit('water', 'spot', { system: 'water' }), { how: 'touch' }],
      [red, hit('water', 'spot', { system: 'water' })],
    ],
    ['FLASH_EVERY', [red, blue, { flash: 'every' }], [red, blue, { flash: 'every', how: 'blend' }]],
    ['BENCH_DRY', [red, blue, { wetOnWet: false }], [red, blue]],
    ['BLEND_WET', [red, blue, { how: 'blend' }], [red, blue, { how: 'blend', wetOnWet: false }]],
  ])('%s', (code, holds, not) => {
    expect(codes(...holds)).toContain(code)
    expect(codes(...not)).not.toContain(code)
  })

  it('DIRECT_OPAQUE: two opaque inks straight on dark cloth that meet', () => {
    const bare = (id: string, opacity: number) => hit(id, 'spot', { onBase: false, opacity })
    const [a, b] = [bare('a', 0.8), bare('b', 0.95)]
    expect(codes(a, b, { how: 'touch' })).toContain('DIRECT_OPAQUE')
    expect(codes(a, b, { how: 'touch', darkCloth: false })).not.toContain('DIRECT_OPAQUE')
    expect(codes(a, bare('c', 0.5), { how: 'touch' })).not.toContain('DIRECT_OPAQUE')
    expect(codes(a, b)).not.toContain('DIRECT_OPAQUE')
    expect(codes(a, { ...b, onBase: true }, { how: 'touch' })).not.toContain('DIRECT_OPAQUE')
  })
  it('the smoothing screen lays no ink: nothing is too wet or too dry for it', () => {
    expect(codes(flat, red, { flash: 'every', wetOnWet: false })).toEqual([])
    expect(codes(base, flat, { flash: 'every' })).toEqual([])
  })
  it('every rule says something a printer can read', () => {
    for (const [id, rule] of Object.entries(SEQUENCE.rules)) {
      expect(rule.says.length, id).toBeGreaterThan(20)
      expect(rule.says, id).toMatch(/[.}]$/)
    }
  })
})

describe('how hits meet', () => {
  const job = (relations: readonly Relation[]): Job => ({
    hits: [base, red, puff],
    relations,
    darkCloth: true,
    method: { flash: 'where', colourOrder: 'overpower', wetMost: 'any', blackTrap: 'wet' },
  })
  it('a colour on base overlaps the base, one that is not does not, and a named meeting wins', () => {
    expect(meeting(job([]), red, base)?.how).toBe('overlap')
    expect(meeting(job([]), base, puff)).toBeUndefined()
    expect(meeting(job([{ a: 'red', b: 'base', how: 'touch' }]), base, red)?.how).toBe('touch')
  })
})

// Points worked by hand from the table of the score; the score itself is fitted, not measured.
describe('wet contact risk', () => {
  const light = hit('light', 'spot', { L: 85, coverage: 0.2 })
  const deep = hit('deep', 'spot', { L: 30, coverage: 0.2 })
  const OVERPOWER = { flash: 'where', colourOrder: 'overpower', wetMost: 'any', blackTrap: 'wet' } as const
  const meet = (how: Relation['how'], width = 0.0003): Relation => ({ a: 'light', b: 'deep', how, width })
  const points = (
    i: Hit,
    j: Hit,
    m: Relation | undefined,
    state: 'wet' | 'dry' = 'wet',
    method: Job['method'] = OVERPOWER,
  ) => Object.fromEntries(wetTerms(i, j, m, state, method).map((t) => [t.why, t.points]))

  it('dark before light: 10 per 50 L* wet, 2 dry, by how much they share', () => {
    expect(points(deep, light, meet('blend'))['dark before light']).toBeCloseTo(11)
    expect(points(deep, light, meet('touch'))['dark before light']).toBeCloseTo(4.4)
    expect(points(deep, light, meet('overlap'))['dark before light']).toBeCloseTo(11 * 0.65)
    expect(points(deep, light, meet('overlap', 0.005))['dark before light']).toBeCloseTo(11)
    expect(points(deep, light, meet('blend'), 'dry')).toEqual({ 'dark before light': expect.closeTo(2.2) })
    expect(points(deep, light, undefined)).toEqual({})
    expect(points(light, deep, meet('blend'))).toEqual({})
  })
  it('dry, a highlight over a dark costs nothing', () => {
    expect(points(deep, { ...light, role: 'highlight' }, meet('touch'), 'dry')).toEqual({})
  })
  it('the stronger ink first: 15 x the difference in strength', () => {
    const strong = { ...deep, opacity: 0.9, coverage: 0.5 }
    expect(points(strong, light, meet('blend'))['the stronger ink first']).toBeCloseTo(
      15 * (0.9 * 0.5 * 0.7 - 0.5 * 0.2 * 0.15),
    )
  })
  it('large before small: 4 x the difference in coverage, 1 apart', () => {
    const large = { ...light, coverage: 0.6 }
    expect(points(large, light, meet('touch'))['large area first']).toBeCloseTo(1.6)
    expect(points(large, light, undefined)['large area first']).toBeCloseTo(0.4)
    expect(points(light, large, meet('touch'))['large area first']).toBeUndefined()
  })
  it('opaque overlap, process order, highlight before a colour, metallic and expanding on top', () => {
    const opaque = { ...light, opacity: 1 }
    expect(points(opaque, { ...opaque, id: 'deep' }, meet('overlap'))['two opaque inks overlap']).toBeCloseTo(
      8 * 0.65,
    )
    const [y, m] = [hit('y', 'yellow', { L: 88 }), hit('m', 'magenta', { L: 48 })]
    expect(points(m, y, undefined, 'dry')).toEqual({ 'not yellow, magenta, cyan, black': 12 })
    expect(points(y, m, undefined, 'dry')).toEqual({})
    const highFirst = (how: Relation['how'], j: Hit = light) =>
      points(high, j, meet(how), 'dry')['highlight before a colour']
    expect([highFirst('overlap'), highFirst('touch'), highFirst('blend')]).toEqual([30, 6, undefined])
    expect(highFirst('overlap', black)).toBeUndefined()
    expect(points(light, gold, meet('touch'))['metallic over wet ink']).toBeCloseTo(4)
    expect(points(light, puff, meet('blend'))['expanding ink over wet ink']).toBeCloseTo(4)
  })
  it('light to dark is a practice: only lightness counts, three times', () => {
    const byLight = { ...OVERPOWER, colourOrder: 'light' } as const
    expect(points({ ...deep, coverage: 0.6 }, light, meet('touch'), 'wet', byLight)).toEqual({
      'dark before light': expect.closeTo(13.2),
    })
  })
  it('with a base only the area counts, with a smoothing screen nothing', () => {
    expect(points({ ...base, coverage: 0.5, L: 10 }, light, meet('overlap'))).toEqual({
      'large area first': expect.closeTo(1.2),
    })
    expect(points(flat, light, meet('overlap'))).toEqual({})
  })
})
