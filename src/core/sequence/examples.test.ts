import { describe, expect, it } from 'vitest'
import { explain, missingCool, wetRiskOf } from './explain'
import type { Event, Hit, Job, PressSpace, Relation, Role, SequenceMethod } from './index'
import { solve, wetPairs, whatHelps } from './index'

// Worked examples of printers; common practice, no source.
const USUAL: SequenceMethod = { flash: 'where', colourOrder: 'overpower', wetMost: 'any', blackTrap: 'flash' }

const hit = (id: string, role: Role, L: number, opacity: number, coverage: number, onBase = true): Hit => ({
  id,
  name: id,
  role,
  L,
  opacity,
  coverage,
  system: 'plastisol',
  onBase,
})
const base = (coverage: number) => hit('base', 'base', 92, 0.95, coverage, false)
const pairs = (how: Relation['how'], width: number, ...names: string[]): Relation[] =>
  names.map((n) => {
    const [a = '', b = ''] = n.split('~')
    return how === 'overlap' ? { a, b, how, width } : { a, b, how }
  })
const dark = (hits: Hit[], relations: Relation[], method = USUAL): Job => ({
  hits,
  relations,
  darkCloth: true,
  method,
})

const ring = (count: number, flashUnits: number, down: number[] = []): PressSpace => ({
  kind: 'stations',
  stations: Array.from({ length: count }, (_, i) => ({
    number: i + 1,
    usable: !down.includes(i + 1),
    flashAllowed: !down.includes(i + 1),
  })),
  flashUnits,
  cool: 1,
})
const MANUAL: PressSpace = { kind: 'heads', heads: 6, hasFlash: true, wetOnWet: true }

const write = (job: Job, press: PressSpace) => {
  const s = solve(job, press, 'the press')
  if (!s.fits) return s.reasons.map((r) => r.rule).join(' ')
  return s.best.events
    .map((e) => `${e.kind === 'flash' ? 'FLASH' : job.hits[e.hit]?.id}${e.station ? `@${e.station}` : ''}`)
    .join(' ')
}

const six = dark(
  [
    base(0.5),
    hit('hw', 'highlight', 95, 0.95, 0.08),
    hit('yel', 'spot', 85, 0.4, 0.2),
    hit('red', 'spot', 50, 0.45, 0.22),
    hit('blu', 'spot', 30, 0.5, 0.25),
    hit('blk', 'black', 10, 0.9, 0.12),
  ],
  [
    ...pairs('blend', 0, 'hw~yel', 'yel~red', 'red~blu'),
    ...pairs('overlap', 0.0003, 'hw~blk', 'yel~blk', 'red~blk', 'blu~blk'),
  ],
)

const water = dark(
  [
    hit('base', 'base', 90, 0.9, 0.45, false),
    hit('a', 'spot', 80, 0.5, 0.1),
    hit('b', 'spot', 60, 0.5, 0.15),
    hit('c', 'spot', 45, 0.5, 0.2),
    hit('top', 'highlight', 94, 0.9, 0.05),
    hit('line', 'black', 12, 0.9, 0.1),
  ],
  [
    ...pairs('touch', 0, 'a~b', 'b~c', 'line~a'),
    ...pairs('overlap', 0.0005, 'top~c', 'top~a'),
    ...pairs('overlap', 0.0002, 'line~b', 'line~c'),
  ],
)

const process = dark(
  [
    base(0.7),
    { ...base(0.7), id: 'base#2', name: 'base#2', role: 'base2' },
    hit('Y', 'yellow', 88, 0.3, 0.4),
    hit('M', 'magenta', 48, 0.35, 0.4),
    hit('C', 'cyan', 55, 0.35, 0.4),
    hit('K', 'key', 15, 0.5, 0.3),
    hit('hw', 'highlight', 96, 0.95, 0.06),
  ],
  [
    ...pairs('blend', 0, 'Y~M', 'Y~C', 'Y~K', 'M~C', 'M~K', 'C~K'),
    ...pairs('overlap', 0.0003, 'hw~Y', 'hw~M', 'hw~C', 'hw~K'),
  ],
)

const puffHits = [
  base(0.5),
  hit('yel', 'spot', 82, 0.6, 0.15),
  hit('red', 'spot', 48, 0.6, 0.2),
  hit('blk', 'black', 10, 0.9, 0.1),
  hit('puff', 'expanding', 90, 0.8, 0.1, false),
]
const puffRelations = [
  ...pairs('touch', 0, 'yel~red', 'puff~red'),
  ...pairs('overlap', 0.0003, 'yel~blk', 'red~blk'),
]

describe('worked examples, common practice', () => {
  it('i: six screens, one head down, two flash units: one cool-down is missing', () => {
    expect(write(six, ring(10, 2, [6]))).toBe('base@1 FLASH@2 hw@4 yel@5 red@7 blu@8 FLASH@9 blk@10')
  })
  it('i with one flash unit does not fit one revolution, and says which thing is short', () => {
    expect(write(six, ring(10, 1, [6]))).toBe('FLASH_SHORT')
  })
  it('i with one flash unit in two revolutions: it fires in both, black comes the second time', () => {
    const s = solve(six, ring(10, 1, [6]), 'the press', { laps: 2 })
    if (!s.fits) throw new Error('fits')
    const said = s.best.events.map((e) => (e.kind === 'flash' ? 'FLASH' : six.hits[e.hit]?.id)).join(' ')
    expect(said).toBe('base FLASH hw yel red blu FLASH blk')
    expect(s.best.events.map((e) => e.lap)).toEqual([1, 1, 1, 1, 1, 1, 2, 2])
    expect(new Set(s.best.events.filter((e) => e.kind === 'flash').map((e) => e.station)).size).toBe(1)
  })
  it('what would make an impossible job possible is named', () => {
    const helps = (press: PressSpace) => whatHelps(six, press, 'the press').map((r) => r.rule)
    expect(helps(ring(10, 0))).toEqual(['HELP_UNIT'])
    expect(helps(ring(8, 2, [5, 6]))).toEqual(['HELP_PLACES', 'HELP_HEAD'])
    expect(helps(ring(6, 2))).toEqual(['HELP_LESS'])
    expect(helps({ ...MANUAL, hasFlash: false })).toEqual(['HELP_UNIT'])
    expect(helps({ ...MANUAL, heads: 4, down: 2 })).toEqual(['HELP_HEADS'])
    expect(helps({ ...MANUAL, heads: 5 })).toEqual(['HELP_LESS'])
    expect(helps({ ...MANUAL, heads: 4 })).toEqual([])
  })
  it('i with a smoothing screen on fourteen stations', () => {
    const flat = hit('flat', 'smoothing', 95, 0, 0.5, false)
    expect(write({ ...six, hits: [...six.hits, flat] }, ring(14, 2))).toBe(
      'base@1 FLASH@2 flat@3 hw@4 yel@5 red@6 blu@7 FLASH@8 blk@10',
    )
    expect(write({ ...six, hits: [...six.hits, flat] }, ring(14, 2, [6]))).toBe(
      'base@1 FLASH@2 flat@3 hw@4 yel@5 red@7 blu@8 FLASH@9 blk@11',
    )
  })
  it('ii: water-based', () => {
    expect(write(water, ring(12, 2))).toBe('base@1 FLASH@2 a@4 b@5 c@6 FLASH@7 top@9 line@10')
  })
  it('iii: process colours on black with the white printed twice', () => {
    expect(write(process, ring(14, 3))).toBe(
      'base@1 FLASH@2 base#2@4 FLASH@5 Y@7 M@8 C@9 K@10 FLASH@11 hw@13',
    )
  })
  it('iv: three opaque colours straight on brown, by hand', () => {
    const job = dark(
      [
        hit('cream', 'spot', 88, 0.9, 0.2, false),
        hit('orange', 'spot', 65, 0.85, 0.2, false),
        hit('green', 'spot', 40, 0.85, 0.2, false),
      ],
      pairs('touch', 0, 'cream~orange', 'orange~green', 'cream~green'),
    )
    expect(write(job, MANUAL)).toBe('cream FLASH orange FLASH green')
  })
  it('v: metallic on a choked base, by hand', () => {
    const job = dark(
      [base(0.35), hit('gold', 'metallic', 65, 0.8, 0.35), hit('hw', 'highlight', 96, 0.95, 0.05)],
      [...pairs('overlap', 0.001, 'base~gold'), ...pairs('overlap', 0.0004, 'gold~hw')],
    )
    expect(write(job, MANUAL)).toBe('base FLASH gold FLASH hw')
  })
  it('vi: expanding ink comes last and is not flashed', () => {
    expect(write(dark(puffHits, puffRelations), ring(10, 2))).toBe(
      'base@1 FLASH@2 yel@4 red@5 FLASH@6 blk@8 puff@9',
    )
  })
  it('vi in a shop that flashes every colour, by hand', () => {
    const every = dark(puffHits, puffRelations, { ...USUAL, flash: 'every' })
    expect(write(every, MANUAL)).toBe('base FLASH yel FLASH red FLASH blk FLASH puff')
  })
})

describe('jobs that cannot be', () => {
  it('a blend chain under an overlapping highlight names the three inks', () => {
    const job = dark(
      [
        hit('hw', 'highlight', 95, 0.9, 0.1),
        hit('yel', 'spot', 85, 0.5, 0.2),
        hit('red', 'spot', 50, 0.5, 0.2),
        hit('far', 'spot', 40, 0.5, 0.1),
      ],
      [...pairs('blend', 0, 'hw~yel', 'yel~red'), ...pairs('overlap', 0.0003, 'hw~red')],
    )
    const s = solve(job, MANUAL, 'Carousel')
    expect(s.fits).toBe(false)
    if (!s.fits) expect(s.reasons[0]).toMatchObject({ rule: 'CLASH', inputs: { names: 'hw, yel, red' } })
  })
  it('an order by hand that puts a colour before the base is refused', () => {
    expect(write({ ...six, explicit: ['yel', 'base'] }, ring(10, 2))).toMatch(/^BY_HAND .*BASE_FIRST/)
  })
  it('too many screens for the heads, no flash, too few stations, smoothing without a white', () => {
    expect(write(six, { ...MANUAL, heads: 5 } as PressSpace)).toBe('HEADS_SHORT')
    expect(write(six, { ...MANUAL, hasFlash: false } as PressSpace)).toBe('NO_FLASH')
    expect(write(six, ring(7, 2))).toBe('STATIONS_SHORT')
    expect(write(dark([base(0.4), hit('flat', 'smoothing', 90, 0, 0.4, false)], []), MANUAL)).toBe(
      'SMOOTH_ALONE',
    )
  })
})

/** What each event of the best plan is said to stand there for: `rule, names of the pair, points, why`. */
const said = (job: Job, press: PressSpace) => {
  const s = solve(job, press, 'the press')
  if (!s.fits) throw new Error('fits')
  return explain(job, s.tables, s.best.events, press).map(({ event, reasons }) => {
    const who = event.kind === 'flash' ? 'FLASH' : job.hits[event.hit]?.id
    const why = reasons.map(({ rule, inputs: { i, j, points, why, name } }) =>
      [rule, i, j, points, why, name].filter((x) => x !== undefined).join(' '),
    )
    return `${who}: ${why.join('; ')}`
  })
}

// Inside figures, each line read as a printer would: does it name the screens that decide, and only those?
describe('why each screen and flash stands where it stands', () => {
  const AREA = 'large area first and dark before light'
  const CMYK = 'dark before light and the stronger ink first and not yellow, magenta, cyan, black'
  it('a base, a blend under a black, and a cool-down that is missing', () => {
    expect(said(six, ring(10, 2, [6]))).toEqual([
      'base: BASE_FIRST hw base; BASE_FIRST yel base; BASE_FIRST red base; BASE_FIRST blu base; ORDER_ONLY',
      'FLASH: BASE_FLASH base hw; HL_OVERLAP base hw; BASE_FLASH base yel; BASE_FLASH base red; BASE_FLASH base blu',
      `hw: BLACK_LAST blk hw; BASE_FIRST hw base; ORDER_WET_RISK hw yel 2.5 ${AREA}`,
      `yel: BLACK_LAST blk yel; BASE_FIRST yel base; BLEND_WET hw yel; ORDER_WET_RISK hw yel 2.5 ${AREA}; ORDER_WET_RISK yel red 7.1 ${AREA}`,
      `red: BLACK_LAST blk red; BASE_FIRST red base; BLEND_WET yel red; ORDER_WET_RISK yel red 7.1 ${AREA}; ORDER_WET_RISK red blu 4.1 ${AREA}`,
      `blu: BLACK_LAST blk blu; BASE_FIRST blu base; BLEND_WET red blu; ORDER_WET_RISK red blu 4.1 ${AREA}`,
      'FLASH: HL_OVERLAP hw blk; BLACK_FLASH hw blk; BLACK_FLASH yel blk; BLACK_FLASH red blk; BLACK_FLASH blu blk',
      'blk: BASE_FIRST blk base; BLACK_LAST blk base; BLACK_LAST blk hw; BLACK_LAST blk yel; ORDER_ONLY; NO_COOL blk',
    ])
  })
  it('a white printed twice under process colours: each flash for its own pairs only', () => {
    expect(said(process, ring(14, 3))).toEqual([
      'base: BASE_FIRST base#2 base; BASE_FIRST Y base; BASE_FIRST M base; BASE_FIRST C base; ORDER_ONLY',
      'FLASH: BASE_FLASH base base#2',
      'base#2: BASE_FIRST Y base#2; BASE_FIRST M base#2; BASE_FIRST C base#2; BASE_FIRST K base#2; ORDER_ONLY',
      'FLASH: BASE_FLASH base#2 Y; BASE_FLASH base#2 M; BASE_FLASH base#2 C; BASE_FLASH base#2 K',
      `Y: BASE_FIRST Y base; BASE_FIRST Y base#2; ORDER_WET_RISK Y M 20.9 ${CMYK}`,
      `M: BASE_FIRST M base; BASE_FIRST M base#2; BLEND_WET Y M; ORDER_WET_RISK Y M 20.9 ${CMYK}; ORDER_WET_RISK M C 12.0 not yellow, magenta, cyan, black`,
      `C: BASE_FIRST C base; BASE_FIRST C base#2; BLEND_WET Y C; BLEND_WET M C; ORDER_WET_RISK M C 12.0 not yellow, magenta, cyan, black; ORDER_WET_RISK C K 21.0 ${CMYK}`,
      `K: BASE_FIRST K base; BASE_FIRST K base#2; BLEND_WET Y K; BLEND_WET M K; BLEND_WET C K; ORDER_WET_RISK C K 21.0 ${CMYK}`,
      'FLASH: HL_OVERLAP Y hw; HL_OVERLAP M hw; HL_OVERLAP C hw; HL_OVERLAP K hw',
      'hw: BASE_FIRST hw base; BASE_FIRST hw base#2; ORDER_ONLY',
    ])
  })
  it('puff last and unflashed, by hand', () => {
    expect(said(dark(puffHits, puffRelations), MANUAL)).toEqual([
      'base: BASE_FIRST yel base; BASE_FIRST red base; BASE_FIRST blk base; BLACK_LAST blk base; ORDER_ONLY',
      'FLASH: BASE_FLASH base yel; BASE_FLASH base red',
      `yel: BLACK_LAST blk yel; PUFF_LAST puff yel; BASE_FIRST yel base; ORDER_WET_RISK yel red 2.9 ${AREA}`,
      `red: BLACK_LAST blk red; PUFF_LAST puff red; BASE_FIRST red base; ORDER_WET_RISK yel red 2.9 ${AREA}`,
      'FLASH: BLACK_FLASH yel blk; BLACK_FLASH red blk',
      'blk: PUFF_LAST puff blk; BASE_FIRST blk base; BLACK_LAST blk base; BLACK_LAST blk yel',
      'puff: BASE_FIRST puff base; PUFF_LAST puff base; PUFF_LAST puff yel; PUFF_LAST puff red; PUFF_NOFLASH',
    ])
  })
  it('a smoothing screen stands hot behind its flash, and the next says that it owes it a place', () => {
    const flat = hit('flat', 'smoothing', 95, 0, 0.5, false)
    const lines = said({ ...six, hits: [...six.hits, flat] }, ring(14, 2))
    expect(lines.slice(1, 3)).toEqual([
      'FLASH: SMOOTH_HOT; BASE_FLASH base hw; HL_OVERLAP base hw; BASE_FLASH base yel; BASE_FLASH base red; BASE_FLASH base blu',
      'flat: SMOOTH_ORDER hw flat; SMOOTH_ORDER yel flat; SMOOTH_ORDER red flat; SMOOTH_ORDER blu flat',
    ])
    expect(lines[3]).toBe(
      `hw: SMOOTH_WHITE; BLACK_LAST blk hw; BASE_FIRST hw base; SMOOTH_ORDER hw flat; ORDER_WET_RISK hw yel 2.5 ${AREA}`,
    )
  })
  it('two that do not meet, alike in all: the order is free, and that is said', () => {
    const alike = [hit('a', 'spot', 50, 0.5, 0.2, false), hit('b', 'spot', 50, 0.5, 0.2, false)]
    expect(said({ ...dark(alike, []), darkCloth: false }, MANUAL)).toEqual([
      'a: ORDER_FREE a b',
      'b: ORDER_FREE a b',
    ])
  })
})

describe('how many cool-down places are missing', () => {
  const s = solve(six, ring(10, 2, [6]), 'the press')
  if (!s.fits) throw new Error('fits')
  const { tables } = s
  const index = (id: string) => six.hits.findIndex((h) => h.id === id)
  const events = (flashAt: number, printAt: number, lap?: 1 | 2): readonly Event[] => [
    { kind: 'flash', station: flashAt, ...(lap && { lap: 1 }) } as const,
    { kind: 'print', hit: index('blk'), station: printAt, ...(lap && { lap }) } as const,
  ]
  const missing = (flashAt: number, printAt: number, more: Partial<PressSpace> & object = {}, lap?: 1 | 2) =>
    missingCool(tables, events(flashAt, printAt, lap), 1, { ...ring(10, 2), ...more } as PressSpace)
  it('one place between flash and print is enough where one is wanted', () => {
    expect([missing(2, 3), missing(2, 4), missing(2, 5)]).toEqual([1, 0, 0])
  })
  it('two wanted, a wide flash, another lap, a press where the garment waits', () => {
    expect([missing(2, 3, { cool: 2 }), missing(2, 4, { cool: 2 }), missing(2, 5, { cool: 2 })]).toEqual([
      2, 1, 0,
    ])
    expect(missing(2, 4, { flashWidth: 2 })).toBe(1)
    expect(missing(2, 3, {}, 2)).toBe(0)
    expect(missingCool(tables, events(2, 3), 1, MANUAL)).toBe(0)
  })
  it('nothing is missing before a flash, or where there was none', () => {
    expect(missingCool(tables, events(2, 3), 0, ring(10, 2))).toBe(0)
    expect(missingCool(tables, events(2, 3).slice(1), 0, ring(10, 2))).toBe(0)
  })
})

describe('the pairs that leave wet contact risk', () => {
  const hits = [
    hit('pale', 'spot', 90, 0.5, 0.3, false),
    hit('mid', 'spot', 60, 0.5, 0.3, false),
    hit('deep', 'spot', 20, 0.5, 0.3, false),
    hit('ink', 'spot', 12, 0.5, 0.3, false),
  ]
  const job: Job = {
    ...dark(hits, pairs('touch', 0, 'pale~mid', 'mid~deep', 'pale~deep', 'deep~ink', 'pale~ink')),
    darkCloth: false,
    explicit: ['ink', 'deep', 'mid', 'pale'],
  }
  const s = solve(job, MANUAL, 'the press')
  if (!s.fits) throw new Error('fits')
  it('worst first, at most three, and what they come to is the risk that is told', () => {
    const worst = wetPairs(job, s.tables, s.best.events)
    const points = worst.map((r) => (r.inputs.points as { value: number }).value)
    expect(worst).toHaveLength(3)
    expect(points).toEqual([...points].sort((a, b) => b - a))
    expect(worst[0]?.inputs).toMatchObject({ i: 'ink', j: 'pale', state: 'wet' })
    expect(wetPairs(job, s.tables, s.best.events, 1)).toEqual(worst.slice(0, 1))
    const all = wetPairs(job, s.tables, s.best.events, 99).map(
      (r) => (r.inputs.points as { value: number }).value,
    )
    expect(wetRiskOf(job, s.tables, s.best.events)).toBeGreaterThan(all.reduce((sum, x) => sum + x - 0.5, 0))
  })
  it('light to dark leaves less of it than dark to light', () => {
    const right = solve({ ...job, explicit: [] }, MANUAL, 'the press')
    if (!right.fits) throw new Error('fits')
    expect(wetRiskOf(job, right.tables, right.best.events)).toBeLessThan(
      wetRiskOf(job, s.tables, s.best.events),
    )
  })
})

describe('reasons', () => {
  it('every event of a plan has at least one, and they name the right pair', () => {
    for (const [job, press] of [
      [six, ring(10, 2, [6])],
      [water, ring(12, 2)],
      [process, ring(14, 3)],
      [dark(puffHits, puffRelations), MANUAL],
    ] as const) {
      const s = solve(job, press, 'the press')
      if (!s.fits) throw new Error('fits')
      for (const e of explain(job, s.tables, s.best.events, press))
        expect(e.reasons.length).toBeGreaterThan(0)
    }
  })
  it('say what the other way would cost, and what wet contact risk is left', () => {
    const hits = [hit('light', 'spot', 85, 0.5, 0.2, false), hit('deep', 'spot', 30, 0.5, 0.2, false)]
    const job: Job = { ...dark(hits, pairs('touch', 0, 'light~deep')), darkCloth: false }
    const s = solve(job, MANUAL, 'the press')
    if (!s.fits) throw new Error('fits')
    const [first] = explain(job, s.tables, s.best.events, MANUAL)
    // By hand: dark before light 10 x 0.4 x 55/50 = 4.4; the stronger ink first 15 x 0.055 x 0.4 = 0.33
    expect(first?.reasons).toMatchObject([
      { rule: 'ORDER_WET_RISK', inputs: { i: 'light', j: 'deep', points: '4.7' } },
    ])
    const byHand = { ...job, explicit: ['deep', 'light'] }
    const forced = solve(byHand, MANUAL, 'the press')
    if (!forced.fits) throw new Error('fits')
    expect(wetPairs(byHand, forced.tables, forced.best.events)).toMatchObject([
      { rule: 'MUD', inputs: { i: 'deep', j: 'light', state: 'wet' } },
    ])
  })
})

describe('inks that dry in the screen', () => {
  const water = (...ids: string[]) =>
    ids.map((id, i): Hit => ({ ...hit(id, 'spot', 80 - 10 * i, 0.4, 0.2, false), system: 'waterBased' }))
  const four = (wetMost: 'any' | 'three') => dark(water('a', 'b', 'c', 'd'), [], { ...USUAL, wetMost })
  it('all stay wet together, or where the shop holds to it three at most', () => {
    expect(write(four('any'), MANUAL)).toBe('a b c d')
    expect(write(four('three'), MANUAL)).toBe('a b c FLASH d')
  })
  it('the flash says which would be too many', () => {
    const job = four('three')
    const s = solve(job, MANUAL, 'the press')
    if (!s.fits) throw new Error('fits')
    const flash = explain(job, s.tables, s.best.events, MANUAL).find((e) => e.event.kind === 'flash')
    expect(flash?.reasons).toMatchObject([{ rule: 'WET_MOST', inputs: { names: 'a, b, c, d' } }])
  })
  it('four that have to blend clash with it, and that is said', () => {
    const blend = { ...four('three'), relations: pairs('blend', 0, 'a~b', 'b~c', 'c~d') }
    expect(write(blend, MANUAL)).toContain('WET_MOST')
    expect(write({ ...blend, method: USUAL }, MANUAL)).toBe('a b c d')
  })
  it('plastisol is not counted', () => {
    const mixed = four('three')
    const hits = mixed.hits.map((h) => (h.id === 'd' ? { ...h, system: 'plastisol' } : h))
    expect(write({ ...mixed, hits }, MANUAL)).toBe('a b c d')
  })
})
