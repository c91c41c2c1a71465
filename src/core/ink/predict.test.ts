import { describe, expect, it } from 'vitest'
import { USUAL_LIMITS } from '../equipment'
import type { Cloth, OpacityClass } from '../order'
import { micron } from '../quantity'
import { opticsOf } from './optics'
import { changeWord, looksOf, tintsOf } from './predict'

const cloth = (hex: string, weave: Cloth['weave'] = 'jersey'): Cloth => ({
  name: 'cloth',
  hex,
  weave,
  cotton: 1,
  polyester: 0,
  weight: 0.18,
})
/** A colour through 61 T/cm, whites through 43 and 43. */
const FILMS = { direct: micron(19.3), onFilm: micron(20.5), base: micron(28.5), second: micron(30.2) }
const HEAVY = { ...FILMS, direct: micron(28.5) }
const looks = (hex: string, opacity: OpacityClass, on: Cloth, films = FILMS) =>
  looksOf(opticsOf(hex, opacity), on, films)

const MARIGOLD = cloth('#f4b223')
const BLACK = cloth('#1e1f21')

describe('facts of the trade (common practice, no source)', () => {
  it.each([
    ['black', '#1f1f1f', 'ordinary', 'match'],
    ['dark green', '#14583c', 'ordinary', 'match'],
    ['light green', '#7fd67a', 'ordinary', 'off'],
    ['white', '#f1f1f1', 'blocking', 'off'],
  ] as const)('%s straight on marigold cloth', (_, hex, opacity, wanted) => {
    expect(changeWord(looks(hex, opacity, MARIGOLD).direct.change, USUAL_LIMITS)).toBe(wanted)
  })
  it('light green and white on marigold are saved by one base', () => {
    expect(looks('#7fd67a', 'ordinary', MARIGOLD).based.change).toBeLessThan(7)
    expect(looks('#f1f1f1', 'blocking', MARIGOLD).based.change).toBeLessThan(7)
  })
  it('high-opacity orange and red straight on mid brown are visible changes at the most', () => {
    const brown = cloth('#7b5637')
    expect(looks('#f06a25', 'opaque', brown, HEAVY).direct.change).toBeLessThan(7)
    expect(looks('#c8262f', 'opaque', brown, HEAVY).direct.change).toBeLessThan(7)
  })
  it('one hit of white is opaque on natural, dull on black (inside figures, those of the model: L* 92.7 and 82.5)', () => {
    expect(looks('#f1f1f1', 'blocking', cloth('#ece3d0'), HEAVY).direct.lightness).toBeCloseTo(92.7, 0)
    const { direct, based } = looks('#f1f1f1', 'blocking', BLACK, HEAVY)
    expect(direct.lightness).toBeCloseTo(82.5, 0)
    expect(changeWord(direct.change, USUAL_LIMITS)).toBe('off')
    expect(based.lightness).toBeGreaterThan(87)
  })
})

describe('the words for a change', () => {
  it('begin just above the limits of the shop', () => {
    const limits = { ...USUAL_LIMITS, match: 3, visible: 7 }
    expect([3, 3.01, 7, 7.01].map((change) => changeWord(change, limits))).toEqual([
      'match',
      'visible',
      'visible',
      'off',
    ])
  })
})

describe('tints of a halftone', () => {
  const solid = (way: 'direct' | 'based' | 'twice') => looks('#c8262f', 'ordinary', BLACK)[way].lightness
  const tints = (way: 'direct' | 'based' | 'twice', on = BLACK) =>
    tintsOf(opticsOf('#c8262f', 'ordinary'), on, FILMS, way)
  const underneath = (way: 'based' | 'twice') =>
    looksOf(opticsOf('#f1f1f1', 'blocking'), BLACK, { ...FILMS, direct: FILMS.base })[
      way === 'based' ? 'direct' : 'based'
    ].lightness
  it('lie between what is below and the solid, in the order of their dots', () => {
    for (const way of ['based', 'twice'] as const) {
      const seen = tints(way)
      expect(seen.map((t) => t.dot)).toEqual([0.25, 0.5, 0.75])
      const rungs = [underneath(way), ...seen.map((t) => t.lightness), solid(way)]
      expect(rungs).toEqual([...rungs].sort((a, b) => b - a))
      expect(new Set(seen.map((t) => t.hex)).size).toBe(3)
    }
  })
  it('straight on black grow darker the fewer dots there are, on white lighter (Murray and Davies: a mean of two)', () => {
    const [few, , many] = tints('direct').map((t) => t.lightness)
    expect(few!).toBeLessThan(many!)
    const [fewOnWhite, , manyOnWhite] = tints('direct', cloth('#f4f4f4')).map((t) => t.lightness)
    expect(fewOnWhite!).toBeGreaterThan(manyOnWhite!)
  })
})

describe('whites under a colour', () => {
  it.each(['#f2d45c', '#5b9bc9', '#e0691e', '#7fd67a'])('each brings %s on black nearer to itself', (hex) => {
    const { direct, based, twice } = looks(hex, 'ordinary', BLACK)
    expect(based.change).toBeLessThan(direct.change)
    expect(twice.change).toBeLessThan(based.change)
    expect(twice.thickness).toBeCloseTo(FILMS.base + FILMS.second + FILMS.onFilm, 12)
  })
  it('the fibre tops of fleece show more of the cloth than jersey does', () => {
    const on = (weave: Cloth['weave']) => looks('#f1f1f1', 'blocking', cloth('#1e1f21', weave)).based.change
    expect(on('fleece')).toBeGreaterThan(on('jersey'))
  })
})
