import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { degrees } from '../quantity'
import { artBox } from './agreement'
import type { FilmFacts } from './facts'
import { baseFindings, type FilmFinding, filmFindings } from './findings'
import type { Mark } from './marks'
import type { BaseFacts } from './set'

const MARKS = [
  { x: 0.03, y: 0.01, shape: 'cross' as const },
  { x: 0.03, y: 0.05, shape: 'cross' as const },
]
const STRAIGHT = { dx: 0, dy: 0, rotation: 0, scale: 1, worst: 0.00002 }

const facts = (more: Partial<FilmFacts> = {}): FilmFacts => ({
  width: 0.3,
  height: 0.4,
  dpi: 300,
  negative: false,
  either: false,
  opaque: false,
  translucent: 0,
  mislaid: undefined,
  inkArea: 0.01,
  box: { x: 0, y: 0, width: 0.1, height: 0.1 },
  halftones: [],
  grain: 0,
  line: undefined,
  gap: undefined,
  specks: 0,
  dust: 0,
  grey: 0,
  marks: MARKS,
  leftOut: [],
  misfit: STRAIGHT,
  ...more,
})

/** 50 dots an inch. */
const DOTS = {
  ...{ ruling: 50 / 0.0254, angle: 0, shape: 'dots' as const, tints: [0.3, 0.3] as const, area: 0.01 },
  ...{ confidence: 0.9, sure: true },
}

const rules = (...films: readonly FilmFacts[]) =>
  filmFindings(
    films,
    films.map((_, i) => `film ${i + 1}`),
  ).map((f) => f.reason.rule)

describe('what is said of films', () => {
  it('that agree: so, and nothing else', () => {
    expect(rules(facts(), facts())).toEqual(['MARKS_AGREE'])
  })

  it('alone: nothing', () => {
    expect(rules(facts({ marks: [] }))).toEqual([])
  })

  it.each([
    ['MARKS_NONE', facts({ marks: [] }), facts({ marks: [] })],
    ['MARKS_MISSING', facts(), facts({ marks: MARKS.slice(1) })],
    ['MARKS_SHIFTED', facts(), facts({ misfit: { ...STRAIGHT, dx: 0.0004 } })],
    ['MARKS_TURNED', facts(), facts({ misfit: { ...STRAIGHT, rotation: degrees(0.1) } })],
    ['MARKS_STRETCHED', facts(), facts({ misfit: { ...STRAIGHT, scale: 1.002 } })],
  ])('%s', (rule, a, b) => {
    expect(rules(a, b)).toEqual([rule])
  })

  it('a film too much turned or stretched stops, and comes first', () => {
    const found = filmFindings(
      [facts({ negative: true }), facts({ misfit: { ...STRAIGHT, rotation: 0.002 }, specks: 400 })],
      ['red.png', 'blue.png'],
    )
    expect(found.map((f) => f.reason.severity)).toEqual(['Stop', 'Note', 'Note'])
    expect(message((found[0] as (typeof found)[0]).reason, 'metric')).toBe(
      'blue.png is turned by 0.11° against the others: its marks cannot meet. Export it again.',
    )
  })

  it.each<[string, Partial<FilmFacts>]>([
    ['FILM_EITHER', { negative: true, either: true }],
    ['FILM_OPAQUE', { opaque: true }],
    ['FILM_TRANSLUCENT', { translucent: 0.2 }],
    ['FILM_GREY', { grey: 0.001 }],
    ['FILM_GRAIN', { grain: 0.001 }],
    ['FILM_LOW', { dpi: 150 }],
    ['FILM_COARSE_DOTS', { dpi: 200, halftones: [DOTS] }],
    ['FILM_TURNED', { mislaid: { turn: 'mirrored', dx: 0, dy: 0, then: 0.9, laid: false } }],
    ['FILM_OFF', { mislaid: { turn: undefined, dx: 0.02, dy: 0, then: 0.9, laid: true } }],
    ['FILM_MOVED', { mislaid: { turn: undefined, dx: 0.02, dy: 0, then: 0.9, laid: false } }],
    ['FILM_SHEET', { width: 0.2, misfit: undefined }],
    ['LEFT_OUT', { leftOut: [{ kind: 'label', x: 0, y: 0, width: 0.02, height: 0.004 }] }],
  ])('%s, of the film it is about', (rule, more) => {
    const found = filmFindings([facts(), facts(more)], ['red.png', 'blue.png'])
    const own = found.find((f) => f.reason.rule === rule)
    expect(own?.film).toBe(rule === 'LEFT_OUT' ? undefined : 1)
    if (rule !== 'LEFT_OUT') expect(message((own as FilmFinding).reason, 'metric')).toContain('blue.png')
  })

  it('steps of tone follow from the pixels of a dot, and drawings are not coarse', () => {
    const told = (more: Partial<FilmFacts>) =>
      filmFindings([facts(), facts(more)], ['a', 'b']).find((f) => f.reason.rule === 'FILM_COARSE_DOTS')
        ?.reason
    // 200 dpi at 50 lpi: four pixels across, sixteen in a dot, seventeen tones with none (by hand).
    const reason = told({ dpi: 200, halftones: [DOTS] })
    expect(reason && message(reason, 'metric')).toContain(
      '50 lpi are so few pixels wide that they know 17 steps',
    )
    expect(reason && message(reason, 'metric')).toContain('Export it at 500 dpi')
    expect(told({ dpi: 300, halftones: [DOTS] })).toBeUndefined()
    expect(told({ dpi: 200, halftones: [{ ...DOTS, sure: false }] })).toBeUndefined()
    const low = (more: Partial<FilmFacts>) => rules(facts(more)).includes('FILM_LOW')
    expect([low({ dpi: 199 }), low({ dpi: 200 }), low({ dpi: 150, box: undefined })]).toEqual([
      true,
      false,
      false,
    ])
  })

  it('two tiles are told by their names', () => {
    const [told] = filmFindings([facts(), facts()], ['left.png', 'right.png'], [], [{ a: 0, b: 1 }])
    expect(message((told as FilmFinding).reason, 'metric')).toContain('left.png and right.png')
  })

  it('what repeats without confidence is asked about, a halftone is not', () => {
    const screen = { ruling: 1000, angle: 0, shape: 'dots' as const, tints: [0.3, 0.3] as const, area: 0.01 }
    expect(rules(facts({ halftones: [{ ...screen, confidence: 0.2, sure: false }] }))).toEqual([
      'FILM_REPEATS',
    ])
    expect(rules(facts({ halftones: [{ ...screen, confidence: 0.9, sure: true }] }))).toEqual([])
  })

  it('an empty film is watched', () => {
    expect(rules(facts(), facts({ box: undefined }))).toContain('FILM_EMPTY')
    // Plain grey is no solid ink, and no empty film.
    const grey = rules(facts(), facts({ box: undefined, grey: 4e-4 }))
    expect(grey).toContain('FILM_GREY')
    expect(grey).not.toContain('FILM_EMPTY')
  })

  it('a handful of specks is not worth a word', () => {
    expect(rules(facts({ specks: 12 }), facts())).toEqual(['MARKS_AGREE'])
  })
})

describe('what is said of a base', () => {
  const none = { area: 0, places: [] }
  const base: BaseFacts = { uncovered: none, peep: none, bare: none, needless: none, choke: undefined }
  const area = (mm2: number) => ({ area: mm2 * 1e-6, places: [] })

  it('in order: nothing', () => {
    expect(baseFindings(base)).toEqual([])
  })

  it('the rim of pixels is no finding', () => {
    expect(baseFindings({ ...base, peep: area(0.3) })).toEqual([])
  })

  it('all four, worst first, in square millimetres or centimetres', () => {
    const found = baseFindings({
      uncovered: area(2),
      peep: area(3),
      bare: area(4000),
      needless: area(5),
      choke: undefined,
    })
    expect(found.map((r) => r.rule)).toEqual(['BASE_OPEN', 'BASE_PEEPS', 'BASE_BARE', 'BASE_NEEDLESS'])
    expect(message(found[0] as (typeof found)[0], 'metric')).toContain('2 mm²')
    expect(message(found[2] as (typeof found)[0], 'metric')).toContain('40 cm²')
  })
})

describe('the rectangle of the art', () => {
  const mark = (x: number, y: number): Mark => ({
    x,
    y,
    shape: 'cross',
    box: { left: x - 10, right: x + 10, top: y - 10, bottom: y + 10 },
  })
  const whole = { left: 0, top: 0, right: 600, bottom: 800 }

  it('is the whole film without marks, or with one', () => {
    expect(artBox([], 600, 800)).toEqual(whole)
    expect(artBox([mark(300, 20)], 600, 800)).toEqual(whole)
  })

  it('lies inside marks at the middle of the sides', () => {
    const sides = [mark(300, 30), mark(300, 770), mark(30, 400), mark(570, 400)]
    expect(artBox(sides, 600, 800)).toEqual({ left: 40, top: 40, right: 560, bottom: 760 })
  })

  it('reaches to the middle of marks in the corners, so that art between them is not cut', () => {
    const corners = [mark(30, 30), mark(570, 30), mark(30, 770), mark(570, 770)]
    expect(artBox(corners, 600, 800)).toEqual({ left: 30, top: 30, right: 570, bottom: 770 })
  })

  it('is not cut by the marks that are left when some are missing', () => {
    expect(artBox([mark(300, 30), mark(300, 770), mark(30, 400)], 600, 800)).toEqual({
      ...whole,
      top: 40,
      bottom: 760,
    })
    expect(artBox([mark(300, 30), mark(30, 400)], 600, 800)).toEqual(whole)
  })

  it('may lie off the middle of the film', () => {
    const off = [mark(150, 30), mark(150, 300), mark(30, 165), mark(270, 165)]
    expect(artBox(off, 600, 800)).toEqual({ left: 40, top: 40, right: 260, bottom: 290 })
  })
})
