import { describe, expect, it } from 'vitest'
import type { ArtRelation, InkColour, Placement } from '../order'
import { degrees, lpi, mm } from '../quantity'
import type { FilmFacts, PairFacts, SetFacts } from './facts'
import { asRead, colourOf, overOf, relationOf, remeetings } from './measured'

const ink = (id: string, coverage: number, more: Partial<InkColour> = {}): InkColour => ({
  id,
  name: id,
  hex: '#808080',
  inkType: 'spot',
  opacity: 'ordinary',
  coverage,
  system: 'house',
  lowCure: false,
  ...more,
})

const print = (inks: readonly InkColour[], relations: readonly ArtRelation[] = []): Placement => ({
  id: 'P1',
  where: 'front',
  width: 0.28,
  height: 0.33,
  sizes: 'all',
  inks,
  relations,
})

const RECTANGLE = { x: 0, y: 0, width: 0.28, height: 0.33 }
const AREA = RECTANGLE.width * RECTANGLE.height

const facts = (coverage: number, more: Partial<FilmFacts> = {}): FilmFacts => ({
  width: 0.33,
  height: 0.483,
  dpi: 300,
  negative: false,
  either: false,
  opaque: false,
  translucent: 0,
  mislaid: undefined,
  inkArea: coverage * AREA,
  box: RECTANGLE,
  halftones: [],
  grain: 0,
  line: undefined,
  gap: undefined,
  specks: 0,
  dust: 0,
  grey: 0,
  marks: [],
  leftOut: [],
  misfit: undefined,
  ...more,
})

const tinted = (ruling: number, area: number) => ({
  ruling: lpi(ruling),
  angle: degrees(22.5),
  shape: 'dots' as const,
  confidence: 0.9,
  sure: true,
  tints: [0.1, 0.8] as const,
  area,
})

const pair = (a: number, b: number, how: PairFacts['how'], trap?: number): PairFacts => ({
  a,
  b,
  how,
  overlap: 0,
  trap:
    trap === undefined
      ? undefined
      : { least: trap / 2, median: trap, most: trap * 2, widest: trap * 3, edge: 0.1 },
  gap: undefined,
  stops: undefined,
})

const set = (films: readonly FilmFacts[], pairs: readonly PairFacts[] = []): SetFacts => ({
  facts: films,
  pairs,
  print: RECTANGLE,
  reference: 0,
  tiles: [],
})

describe('a colour as its film tells it', () => {
  it('covers its ink over the rectangle of the whole print', () => {
    expect(colourOf(facts(0.2), RECTANGLE).coverage).toBeCloseTo(0.2, 9)
    expect(colourOf(facts(0), RECTANGLE).coverage).toBe(0.001)
  })

  it('has the ruling of its largest halftone, and none of a mere corner', () => {
    const two = [tinted(35, 2e-4), tinted(55, 9e-4)]
    expect(colourOf(facts(0.2, { halftones: two }), RECTANGLE).ruling).toBe(lpi(55))
    expect(colourOf(facts(0.2, { halftones: [tinted(35, 0.5e-4)] }), RECTANGLE).ruling).toBeUndefined()
  })
})

it.each([
  ['apart', undefined],
  ['touching', { how: 'touch' }],
  ['blending', { how: 'blend' }],
  ['overprinting', { how: 'overlap' }],
] as const)('films that are %s', (how, relation) => {
  expect(relationOf(pair(0, 1, how))).toEqual(relation)
})

it('an overlap is as wide as half of its trap is at the least', () => {
  expect(relationOf(pair(0, 1, 'overlapping', 0.0003))).toEqual({ how: 'overlap', width: 0.0003 })
})

describe('a print as its films tell it', () => {
  const before = print([
    ink('I1', 0.12),
    ink('I2', 0.3, { ruling: lpi(50), angle: degrees(22), line: mm(0.3) }),
  ])

  it('takes coverage, ruling and size', () => {
    const read = asRead(before, ['I1', 'I2'], {
      ...set([facts(0.052), facts(0.3)]),
      print: { ...RECTANGLE, width: 0.26, height: 0.33 },
    })
    expect(read.width).toBe(0.26)
    expect(read.height).toBe(0.33)
    expect(read.inks[0]?.coverage).toBeCloseTo(0.056, 3)
    expect(read.inks[1]).not.toHaveProperty('ruling')
    expect(read.inks[1]).not.toHaveProperty('angle')
    expect(read.inks[1]).not.toHaveProperty('line')
  })

  it('keeps what is told alike within the reading’s own error', () => {
    const films = [
      facts(0.123),
      facts(0.298, { halftones: [tinted(50.4, 1e-3)], line: { width: mm(0.32), places: [] } }),
    ]
    const size = { ...RECTANGLE, width: 0.2805, height: 0.3295 }
    expect(asRead(before, ['I1', 'I2'], { ...set(films), print: size })).toEqual(before)
  })

  it('keeps what no film tells: colours without a film, and how they meet', () => {
    const relations: ArtRelation[] = [{ a: 'I1', b: 'I2', how: 'blend' }]
    const read = asRead(print(before.inks, relations), ['I1'], set([facts(0.12)]))
    expect(read.inks[1]).toEqual(before.inks[1])
    expect(read.relations).toEqual(relations)
  })

  it('passes over the base and films of no colour', () => {
    const read = asRead(
      before,
      ['base', '', 'I1'],
      set([facts(0.6), facts(0.5), facts(0.12)], [pair(0, 2, 'overprinting')]),
    )
    expect(read.relations).toEqual([])
    expect(read.inks).toEqual(before.inks)
  })

  it('takes how colours meet, and forgets meetings that films deny', () => {
    const three = print(
      [ink('I1', 0.1), ink('I2', 0.1), ink('I3', 0.1)],
      [
        { a: 'I2', b: 'I1', how: 'overlap', width: 0.0003 },
        { a: 'I1', b: 'I3', how: 'touch' },
      ],
    )
    const films = [facts(0.1), facts(0.1), facts(0.1)]
    const pairs = [pair(0, 1, 'overlapping', 0.00031), pair(0, 2, 'apart'), pair(1, 2, 'touching')]
    const read = asRead(three, ['I1', 'I2', 'I3'], set(films, pairs))
    // The first one is told alike, so it stays as it was written.
    expect(read.relations).toEqual([three.relations[0], { a: 'I2', b: 'I3', how: 'touch' }])
    expect(remeetings(three, read)).toEqual([
      { a: 'I1', b: 'I3', is: undefined },
      { a: 'I2', b: 'I3', is: { a: 'I2', b: 'I3', how: 'touch' } },
    ])
  })

  it('takes the choke of the base, and keeps what is told alike or not told at all', () => {
    const read = (said: Placement, choke?: number) => asRead(said, ['red'], set([facts(0.2)], []), choke)
    const plain = print([ink('red', 0.2)])
    expect(read(plain).choke).toBeUndefined()
    expect(read(plain, 0.00017).choke).toBe(0.00017)
    expect(read({ ...plain, choke: 0.00016 }, 0.00017).choke).toBe(0.00016)
    expect(read({ ...plain, choke: 0.0005 }, 0.00017).choke).toBe(0.00017)
    expect(read({ ...plain, choke: 0.0005 }).choke).toBe(0.0005)
  })
  it('of empty films it tells nothing', () => {
    expect(asRead(before, ['I1'], { ...set([facts(0)]), print: undefined })).toBe(before)
  })

  it('told twice changes nothing more', () => {
    const films = set([facts(0.052), facts(0.2)], [pair(0, 1, 'overlapping', 0.0005)])
    const once = asRead(before, ['I1', 'I2'], films)
    expect(asRead(once, ['I1', 'I2'], films)).toEqual(once)
    expect(remeetings(once, asRead(once, ['I1', 'I2'], films))).toEqual([])
  })
})

describe('which of two films lies over', () => {
  const area = (inkArea: number) => ({ ...facts(0.5), inkArea })
  const over = (how: PairFacts['how'], overlap: number, a: number, b: number) =>
    overOf({ ...pair(0, 1, how), overlap }, [area(a), area(b)])
  it('what is drawn wholly inside a solid: it would be hidden under it', () => {
    expect(over('overprinting', 10, 100, 10)).toBe(1)
    expect(over('overprinting', 9.7, 10, 100)).toBe(0)
  })
  it('nothing where they only cross, are alike, are trapped, or fade into each other', () => {
    expect(over('overprinting', 5, 100, 10)).toBeUndefined()
    expect(over('overprinting', 10, 10, 10)).toBeUndefined()
    expect(over('overlapping', 10, 100, 10)).toBeUndefined()
    expect(over('blending', 10, 100, 10)).toBeUndefined()
  })
})
