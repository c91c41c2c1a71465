import { describe, expect, it } from 'vitest'
import { choiceOf, DEFAULT_METHOD, type Reason } from '../advice'
import { FABRICS, type InkRoom, STARTER_RACK, USUAL_INK_ROOM } from '../equipment'
import type { Cloth, InkColour } from '../order'
import { perCm } from '../quantity'
import { dryFilm, fabricOf } from '../screen'
import { baseCoverage, baseFor, expectedLooks, type InkFacts, secondWhiteFor } from './index'

const ROOM: InkRoom = { ...USUAL_INK_ROOM, rack: STARTER_RACK }

// What is said of a base, and in which order; the limits are table values, the words common practice, no source.
const cloth = (hex: string, more: Partial<Cloth> = {}): Cloth => ({
  name: 'Cloth',
  hex,
  weave: 'jersey',
  cotton: 1,
  polyester: 0,
  weight: 0.18,
  ...more,
})
const [WHITE, NAVY, GOLDEN] = [cloth('#f6f6f6'), cloth('#1f2a44'), cloth('#f4b223')]
const ink = (id: string, hex: string, more: Partial<InkColour> = {}): InkColour => ({
  id,
  name: id,
  hex,
  inkType: 'spot',
  opacity: 'ordinary',
  coverage: 0.2,
  system: 'house',
  lowCure: false,
  ...more,
})
const through = (mesh: number, onFilm: boolean) =>
  dryFilm(fabricOf(FABRICS, perCm(mesh)), 1, 'plastisol', onFilm)
const facts = (more: Partial<InkFacts> = {}, method = {}): InkFacts => ({
  room: ROOM,
  method: { ...DEFAULT_METHOD, ...method },
  films: () => ({
    direct: through(61, false),
    onFilm: through(61, true),
    base: through(43, false),
    second: through(90, true),
  }),
  where: 'front',
  look: 'bright',
  ...more,
})
const said = (of: InkColour, on: Cloth, more: Partial<InkFacts> = {}, method = {}) => {
  const [advice] = baseFor([of], on, facts(more, method), {})
  return advice && [choiceOf(advice), ...advice.reasons.map((r: Reason) => r.rule)]
}
const all = (inks: readonly InkColour[], on: Cloth, method = {}) =>
  baseFor(inks, on, facts({}, method), {}).map((a) =>
    [choiceOf(a), ...a.reasons.map((r) => r.rule)].join(' '),
  )

describe('what is said of a base', () => {
  const yellow = ink('yellow', '#f1d768')
  it.each([
    ['black', ink('k', '#191a1b', { inkType: 'black' }), NAVY, ['none', 'BASE_BLACK']],
    ['puff', ink('p', '#dcdcd6', { inkType: 'expanding' }), NAVY, ['none', 'BASE_EXPANDING']],
    ['clear', ink('c', '#ffffff', { inkType: 'clear' }), NAVY, ['none', 'BASE_CLEAR']],
    ['metallic on dark', ink('m', '#b06a3d', { inkType: 'metallic' }), NAVY, ['base', 'BASE_FLAKES_DARK']],
    ['metallic on light', ink('m', '#b06a3d', { inkType: 'metallic' }), WHITE, ['none', 'BASE_FLAKES']],
    ['a colour on white', yellow, WHITE, ['none', 'BASE_HOLDS', 'KNOWN_CLASS']],
    ['a weak colour on navy', yellow, NAVY, ['base', 'BASE_SWALLOWED', 'KNOWN_CLASS']],
    [
      'white on navy',
      ink('w', '#f4f4f0', { inkType: 'white', opacity: 'blocking' }),
      NAVY,
      ['base', 'BASE_WHITE', 'BASE_SWALLOWED', 'KNOWN_CLASS'],
    ],
  ] as const)('%s', (_, of, on, wanted) => expect(said(of, on)).toEqual(wanted))
  it('a label and an item off the pallet take one hit, whatever the cloth', () => {
    const white = ink('w', '#f4f4f0', { inkType: 'white', opacity: 'blocking' })
    expect(said(white, NAVY, { where: 'neckLabel' })).toEqual(['none', 'BASE_LABEL'])
    expect(said(white, NAVY, { where: 'offPallet' })).toEqual(['none', 'BASE_ONE_PASS'])
  })
  it('a blocking ink on open weave, and only such a one', () => {
    const canvas = cloth('#9c4a2a', { weave: 'canvas' })
    expect(said(ink('o', '#d2601e', { opacity: 'blocking' }), canvas)).toEqual(['none', 'BASE_OPEN_WEAVE'])
    expect(said(yellow, canvas)?.[1]).not.toBe('BASE_OPEN_WEAVE')
    expect(said(ink('o', '#d2601e', { opacity: 'blocking' }), NAVY)?.[1]).not.toBe('BASE_OPEN_WEAVE')
  })
  it('flakes print straight on dark where the shop prints direct and they cover', () => {
    const copper = ink('m', '#b06a3d', { inkType: 'metallic', opacity: 'opaque' })
    expect(said(copper, NAVY, {}, { darkCloth: 'direct' })).toEqual(['none', 'BASE_FLAKES'])
    const thin = { ...copper, opacity: 'ordinary' } as const
    expect(said(thin, NAVY, {}, { darkCloth: 'direct' })).toEqual(['base', 'BASE_FLAKES_DARK'])
  })
  it('between match and visible: a question on light and in-between cloth, the practice on dark', () => {
    const limits = { ...ROOM.limits, match: 0, visible: 100 }
    const room = { ...ROOM, limits }
    expect(said(yellow, GOLDEN, { room })).toEqual(['none', 'BASE_MAYBE', 'KNOWN_CLASS'])
    expect(said(yellow, NAVY, { room })).toEqual(['base', 'BASE_BRIGHT', 'KNOWN_CLASS'])
    expect(said(yellow, NAVY, { room }, { darkCloth: 'direct' })).toEqual([
      'none',
      'BASE_DIRECT',
      'KNOWN_CLASS',
    ])
  })
  it('tells the difference, the limits and by how much', () => {
    const [advice] = baseFor([yellow], NAVY, facts(), {})
    const looks = expectedLooks(yellow, NAVY, facts())
    const { change, based, over, toned } = advice?.reasons[0]?.inputs ?? {}
    const { visible } = ROOM.limits
    expect(change).toEqual({ kind: 'difference', value: looks?.direct.change })
    expect(based).toEqual({ kind: 'difference', value: looks?.based.change })
    expect(toned).toEqual({ kind: 'difference', value: visible })
    expect(over).toEqual({ kind: 'difference', value: (looks?.direct.change ?? 0) - visible })
    const [holds] = baseFor([yellow], WHITE, facts(), {})
    const direct = expectedLooks(yellow, WHITE, facts())?.direct.change ?? 0
    expect(holds?.reasons[0]?.inputs.within).toEqual({
      kind: 'difference',
      value: ROOM.limits.match - direct,
    })
  })
  it('an ink whose formula was read is known by it', () => {
    const formula = { name: 'yellow', parts: [{ code: 'Y1', share: 1 }] }
    const room = {
      ...ROOM,
      formulas: [{ ...formula, id: 'F', system: 'plastisol', target: { l: 80, a: 0, b: 60 } }],
    } as never
    expect(said(yellow, NAVY, { room })?.at(-1)).toBe('KNOWN_READ')
  })
  it('process colours stand or fall together', () => {
    const four = (['yellow', 'magenta', 'cyan', 'key'] as const).map((inkType, i) =>
      ink(inkType, ['#f4e020', '#d0207f', '#1f9fd8', '#202020'][i] ?? '', {
        inkType,
        opacity: 'transparent',
      }),
    )
    expect(new Set(all(four, NAVY).map((w) => w.split(' ')[0]))).toEqual(new Set(['base']))
    expect(new Set(all(four, WHITE).map((w) => w.split(' ')[0]))).toEqual(new Set(['none']))
  })
})

describe('a base on in-between cloth', () => {
  const needs = [ink('light green', '#7fd67a'), ink('sky', '#5b9bc9', { opacity: 'transparent' })]
  const holds = ink('deep', '#1d3a2a', { opacity: 'blocking' })
  const black = ink('k', '#191a1b', { inkType: 'black' })
  it('goes under all but black where the shop does so once two need it', () => {
    const words = all([...needs, holds, black], GOLDEN, { inBetween: 'allButBlack' })
    expect(words[0]).toMatch(/^base BASE_SWALLOWED/)
    expect(words[2]).toMatch(/^base BASE_ALL /)
    expect(words[3]).toBe('none BASE_BLACK')
    const one = all([needs[0] as InkColour, holds], GOLDEN, { inBetween: 'allButBlack' })
    expect(one[1]).toMatch(/^none /)
    expect(all([...needs, holds], NAVY, { inBetween: 'allButBlack' })[2]).not.toContain('BASE_ALL')
  })
  it('is offered only to what would be seen to gain', () => {
    const gains = ink('red', '#d8402f', { opacity: 'opaque' })
    const words = all([...needs, gains, holds, black], GOLDEN)
    const offered = words.map((w) => w.includes('BASE_OFFER'))
    const looks = [gains, holds].map((i) => expectedLooks(i, GOLDEN, facts()))
    expect(offered.slice(0, 2)).toEqual([false, false])
    looks.forEach((l, i) => {
      const seen = (l?.direct.change ?? 0) - (l?.based.change ?? 0) >= 1
      expect(offered[2 + i], String(i)).toBe(seen && words[2 + i]?.startsWith('none'))
    })
    expect(offered[4]).toBe(false)
  })
})

describe('the second white', () => {
  const white = ink('w', '#f4f4f0', { inkType: 'white', opacity: 'blocking' })
  const red = ink('red', '#c02030')
  const told = (
    inks: readonly InkColour[],
    based: readonly string[],
    on: Cloth,
    more: Partial<InkFacts> = {},
    method = {},
  ) => {
    const a = secondWhiteFor(inks, new Set(based), on, facts(more, method), {})
    return [a.advised, a.choices.map((c) => c.value).join(), ...a.reasons.map((r) => r.rule)]
  }
  const ALL = 'none,highlight,sameScreen,smoothing'
  it('says why there is none, one or two', () => {
    expect(told([red], [], NAVY)).toEqual(['none', 'none', 'WHITE_NONE'])
    expect(told([red], ['red'], NAVY)).toEqual(['none', 'none,sameScreen', 'WHITE_NO_WHITE'])
    expect(told([red], ['red'], NAVY, {}, { white: 'sameScreen' })).toEqual([
      'sameScreen',
      'none,sameScreen',
      'WHITE_CARRIES',
    ])
    expect(told([red], ['red'], GOLDEN, {}, { white: 'sameScreen' })[0]).toBe('none')
    expect(told([white, red], ['w', 'red'], NAVY).slice(0, 3)).toEqual(['highlight', ALL, 'WHITE_PRACTICE'])
    expect(told([white, red], ['w'], NAVY)).toContain('WHITE_ALONE')
    expect(told([white, red], ['w', 'red'], NAVY, { look: 'soft' })).toEqual(['none', ALL, 'WHITE_SOFT'])
    expect(told([white, red], ['w', 'red'], NAVY, { look: 'flattest' })).toEqual([
      'smoothing',
      ALL,
      'WHITE_FLATTEST',
    ])
    expect(told([{ ...white, system: 'discharge' }, red], ['w', 'red'], NAVY)).toContain('WHITE_UNKNOWN')
  })
  it('one hit is enough where it is a match and bright', () => {
    expect(told([white, red], ['w', 'red'], WHITE)).toEqual(['none', ALL, 'WHITE_ONE'])
    const dull = { ...ROOM, limits: { ...ROOM.limits, white: 99 } }
    expect(told([white, red], ['w', 'red'], WHITE, { room: dull })[0]).toBe('highlight')
  })
  it('what lies within the error of the prediction is not called dull, what lies beyond is', () => {
    const at = (white_: number) => ({
      ...ROOM,
      limits: { ...ROOM.limits, white: white_ },
    })
    const looks = expectedLooks(white, NAVY, facts())
    const reached = looks?.based.lightness ?? 0
    expect(told([white, red], ['w', 'red'], NAVY, { room: at(reached + 9) })).not.toContain('WHITE_SHORT')
    expect(told([white, red], ['w', 'red'], NAVY, { room: at(reached + 10) })).toContain('WHITE_SHORT')
  })
})

it('a base covers at most what stands on it together, at least the largest of it', () => {
  const { advised, range } = baseCoverage(
    [ink('a', '#000000', { coverage: 0.3 }), ink('b', '#000000', { coverage: 0.5 })],
    {},
  )
  expect(advised).toBeCloseTo(0.8, 12)
  expect(range).toEqual([0.5, advised])
  expect(
    baseCoverage([ink('a', '#000000', { coverage: 0.9 }), ink('b', '#000000', { coverage: 0.9 })], {})
      .advised,
  ).toBe(1)
})
