import { describe, expect, it } from 'vitest'
import { choiceOf, DEFAULT_METHOD } from '../advice'
import { FABRICS } from '../equipment'
import type { Cloth, InkColour } from '../order'
import { perCm } from '../quantity'
import { baseFor, inkMass, secondWhiteFor, whiteOverColours } from './index'

const cloth = (hex: string, weave: Cloth['weave'] = 'jersey'): Cloth => ({
  name: 'Cloth',
  hex,
  weave,
  cotton: 1,
  polyester: 0,
  weight: 0.18,
})
const ink = (
  id: string,
  hex: string,
  character: InkColour['character'] = 'spot',
  opacity: InkColour['opacity'] = 'ordinary',
): InkColour => ({
  id,
  name: id,
  hex,
  character,
  opacity,
  coverage: 0.2,
  system: 'plastisol',
  lowCure: false,
})
const base = (i: InkColour, on: Cloth, method = {}) => {
  const [advice] = baseFor([i], on, { ...DEFAULT_METHOD, ...method }, {})
  if (!advice) throw new Error('no advice')
  return { value: choiceOf(advice), rule: advice.reasons[0]?.rule }
}

const GOLDEN = cloth('#f4b223')
const BLACK = cloth('#1e1f21')

describe('base or none; common practice, no source', () => {
  it('on golden yellow: dark green no, red maybe, light green yes, white yes', () => {
    expect(base(ink('dark green', '#1d4d33'), GOLDEN).value).toBe('none')
    expect(base(ink('red', '#b8232c'), GOLDEN)).toEqual({ value: 'none', rule: 'BASE_MAYBE' })
    expect(base(ink('light green', '#93bf4f'), GOLDEN).value).toBe('base')
    expect(base(ink('white', '#f4f4f0', 'white'), GOLDEN).value).toBe('base')
  })
  it('black never, nothing on white, everything else on black, one hit on open canvas', () => {
    expect(base(ink('black', '#191a1b', 'black'), GOLDEN).value).toBe('none')
    expect(base(ink('red', '#b8232c'), cloth('#f6f6f6')).value).toBe('none')
    expect(base(ink('red', '#b8232c'), BLACK).value).toBe('base')
    expect(base(ink('white', '#f4f4f0', 'white', 'blocking'), cloth('#9c4a2a', 'canvas'))).toEqual({
      value: 'none',
      rule: 'BASE_OPEN_WEAVE',
    })
    expect(base(ink('puff', '#dddddd', 'expanding'), BLACK)).toEqual({
      value: 'none',
      rule: 'BASE_EXPANDING',
    })
    expect(base(ink('gloss', '#ffffff', 'clear'), BLACK).value).toBe('none')
  })
  it('process colours stand or fall together', () => {
    const set = [ink('Y', '#f7dc1e', 'yellow'), ink('K', '#2a2a2c', 'key')]
    expect(baseFor(set, GOLDEN, DEFAULT_METHOD, {}).map(choiceOf)).toEqual(['base', 'base'])
  })
  it('offers the base under all when two need it anyway', () => {
    const inks = [
      ink('dark green', '#1d4d33'),
      ink('light green', '#93bf4f'),
      ink('white', '#f4f4f0', 'white'),
    ]
    const [green] = baseFor(inks, GOLDEN, DEFAULT_METHOD, {})
    expect(green?.reasons.map((r) => r.rule)).toContain('BASE_OFFER')
  })
})

describe('second white', () => {
  const white = ink('white', '#f4f4f0', 'white')
  const advised = (on: Cloth, inks: InkColour[], based: string[], method = {}) =>
    secondWhiteFor(inks, new Set(based), on, { ...DEFAULT_METHOD, ...method }, {}).advised
  it('one hit on in-between cloth, two on black by the school, none without base', () => {
    expect(advised(cloth('#b3b5b8'), [white], ['white'])).toBe('none')
    expect(advised(BLACK, [white], ['white'])).toBe('highlight')
    expect(advised(BLACK, [white], ['white'], { white: 'smoothing' })).toBe('smoothing')
    expect(advised(BLACK, [ink('red', '#b8232c')], ['red'])).toBe('none')
    expect(advised(BLACK, [ink('red', '#b8232c')], ['red'], { white: 'sameScreen' })).toBe('sameScreen')
    expect(advised(BLACK, [white], [])).toBe('none')
  })
  it('a white over colours keeps its own screen; over black alone it does not need one', () => {
    const inks = [white, ink('red', '#b8232c'), ink('black', '#191a1b', 'black')]
    expect(whiteOverColours(white, inks, [{ a: 'white', b: 'red', how: 'overlap' }])).toBe(true)
    expect(whiteOverColours(white, inks, [{ a: 'black', b: 'white', how: 'overlap' }])).toBe(false)
    expect(whiteOverColours(white, inks, [{ a: 'white', b: 'red', how: 'touch' }])).toBe(false)
  })
})

describe('how much ink', () => {
  const need = {
    id: 'x',
    name: 'Red',
    width: 0.3,
    height: 0.35,
    coverage: 0.5,
    mesh: perCm(43),
    strokes: 1,
    hits: 1,
    pieces: 100,
  }
  it('area x coverage x deposit x pieces x waste + what stays behind, by hand', () => {
    // 0.105 m2 x 0.5 x (55.9 cm3/m2 x 0.6 x 1.2 g/cm3 = 40.3 g/m2) x 100 x 1.05 + 150 g = 372 g
    expect(inkMass(need, FABRICS, {}).advised * 1000).toBeCloseTo(372, 0)
  })
  it('rises with pieces, coverage and coarser mesh, and its range holds it', () => {
    const base_ = inkMass(need, FABRICS, {}).advised
    for (const more of [{ pieces: 200 }, { coverage: 0.9 }, { mesh: perCm(34) }, { hits: 2 }, { strokes: 2 }])
      expect(inkMass({ ...need, ...more }, FABRICS, {}).advised).toBeGreaterThan(base_)
    const { range, advised } = inkMass(need, FABRICS, {})
    expect(range[0]).toBeLessThan(advised)
    expect(range[1]).toBeGreaterThan(advised)
  })
})
