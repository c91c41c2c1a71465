import { describe, expect, it } from 'vitest'
import { choiceOf, DEFAULT_METHOD, message } from '../advice'
import { FABRICS, type InkRoom, STARTER_RACK, USUAL_INK_ROOM } from '../equipment'
import { type Cloth, type InkColour, isProcess, OPACITIES } from '../order'
import { perCm } from '../quantity'
import { dryFilm, fabricOf } from '../screen'
import { inOrder } from './formula'
import {
  baseFor,
  expectedLooks,
  type Films,
  type InkFacts,
  type InkNeed,
  inkMass,
  secondWhiteFor,
  whiteOverColours,
} from './index'
import { issued } from './issued'

const ROOM: InkRoom = { ...USUAL_INK_ROOM, rack: STARTER_RACK }

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
  inkType: InkColour['inkType'] = 'spot',
  opacity: InkColour['opacity'] = 'ordinary',
): InkColour => ({
  id,
  name: id,
  hex,
  inkType,
  opacity,
  coverage: 0.2,
  system: 'plastisol',
  lowCure: false,
})
/** Films as they are usually printed: colours through 61 T/cm, strong ones and whites through 43, process through 120. */
const usual = (i: InkColour): Films => {
  const through = (mesh: number, onFilm: boolean) =>
    dryFilm(fabricOf(FABRICS, perCm(mesh)), 1, 'plastisol', onFilm)
  const own = isProcess(i) ? 120 : OPACITIES[i.opacity].opacity >= 0.7 ? 43 : 61
  return {
    direct: through(own, false),
    onFilm: through(own, true),
    base: through(43, false),
    second: through(90, true),
  }
}
const facts = (method = {}): InkFacts => ({
  films: usual,
  room: ROOM,
  method: { ...DEFAULT_METHOD, ...method },
  where: 'front',
  look: 'bright',
})
const base = (i: InkColour, on: Cloth, method = {}) => {
  const [advice] = baseFor([i], on, facts(method), {})
  if (!advice) throw new Error('no advice')
  return { value: choiceOf(advice), rule: advice.reasons[0]?.rule }
}

const GOLDEN = cloth('#f4b223')
const BLACK = cloth('#1e1f21')

/** Finished inks as the rack mixes them; invented, in the spirit of what such inks are. */
const MIXES = {
  'dark green': { G1: 0.58, B2: 0.08, Y2: 0.2, K1: 0.045, X1: 0.095 },
  red: { R1: 0.11, M1: 0.12, X1: 0.77 },
  'light green': { G1: 0.12, Y1: 0.42, W1: 0.16, X1: 0.3 },
  'strong orange': { O1: 0.78, W1: 0.22 },
  'strong red': { R1: 0.94, W1: 0.06 },
  grey: { W1: 0.96, K1: 0.04 },
  cyan: { B2: 0.34, X1: 0.66 },
  magenta: { M1: 0.42, R1: 0.04, X1: 0.54 },
  yellow: { Y1: 0.32, X1: 0.68 },
  key: { K1: 0.12, X1: 0.88 },
  white: { W1: 1 },
} as const
const MIXED: InkRoom = {
  ...ROOM,
  formulas: Object.entries(MIXES).map(([name, parts]) => ({
    id: name,
    name,
    system: 'plastisol',
    target: { l: 50, a: 0, b: 0 },
    // The recipes are by volume.
    parts: inOrder(
      Object.entries(parts).map(([code, share]) => ({
        code,
        share: share * STARTER_RACK.find((i) => i.code === code)!.density,
      })),
    ),
  })),
}
const BROWNS = { mid: cloth('#7b5637'), dark: cloth('#3f2d22') }
const HEATHER = cloth('#b3b5b8')
const NATURAL = cloth('#ece3d0')
const change = (i: InkColour, on: Cloth) => expectedLooks(i, on, { ...facts(), room: MIXED })!
const verdict = (i: InkColour, on: Cloth, method = {}) => {
  const [advice] = baseFor([i], on, { ...facts(method), room: MIXED }, {})
  return [choiceOf(advice!), advice!.reasons[0]!.rule]
}

describe('base or none from mixed inks (facts of the trade: common practice, no source; figures: inside figures, those of the model)', () => {
  it('on golden yellow: black and dark green no, red borderline, light green and white yes', () => {
    expect(verdict(ink('black', '#191a1b', 'black'), GOLDEN)).toEqual(['none', 'BASE_BLACK'])
    expect(verdict(ink('dark green', '#1d4d33'), GOLDEN)).toEqual(['none', 'BASE_HOLDS'])
    expect(verdict(ink('red', '#e2323f'), GOLDEN)).toEqual(['none', 'BASE_MAYBE'])
    expect(verdict(ink('light green', '#93bf4f'), GOLDEN)).toEqual(['base', 'BASE_SWALLOWED'])
    expect(verdict(ink('white', '#f4f4f0', 'white', 'blocking'), GOLDEN)).toEqual(['base', 'BASE_WHITE'])
  })
  it.each([
    ['dark green', 'spot', 'ordinary', GOLDEN, 2.93, 0.55],
    ['red', 'spot', 'ordinary', GOLDEN, 5.02, 1.35],
    ['light green', 'spot', 'ordinary', GOLDEN, 12.98, 4.15],
    ['strong orange', 'spot', 'opaque', BROWNS.mid, 5.89, 2.89],
    ['strong red', 'spot', 'opaque', BROWNS.mid, 4.36, 1.9],
    ['strong red', 'spot', 'opaque', BROWNS.dark, 5.07, 2.09],
    ['white', 'white', 'blocking', NATURAL, 4.03, undefined],
    ['white', 'white', 'blocking', BLACK, 8.01, undefined],
  ] as const)('%s (%s, %s): the change by the cloth', (name, inkType, opacity, on, direct, based) => {
    const looks = change(ink(name, '#808080', inkType, opacity), on)
    expect(Math.abs(looks.direct.change - direct)).toBeLessThan(0.8)
    if (based !== undefined) expect(Math.abs(looks.based.change - based)).toBeLessThan(0.8)
    expect(looks.how).toBe('curves')
  })
  it('strong orange and red go direct on brown, a visible change, where the shop takes that; else on a base', () => {
    for (const on of Object.values(BROWNS))
      for (const name of ['strong orange', 'strong red'] as const) {
        const looks = change(ink(name, '#d05020', 'spot', 'opaque'), on)
        expect(looks.direct.change).toBeLessThan(7)
        expect(verdict(ink(name, '#d05020', 'spot', 'opaque'), on, { darkCloth: 'direct' })[0]).toBe('none')
      }
    expect(verdict(ink('strong orange', '#d05020', 'spot', 'opaque'), BROWNS.dark)).toEqual([
      'base',
      'BASE_BRIGHT',
    ])
  })
  it('grey of white and a little black covers brown, black and red', () => {
    for (const on of [...Object.values(BROWNS), BLACK, cloth('#b5192b')])
      expect(verdict(ink('grey', '#8a8a8a', 'spot', 'opaque'), on)).toEqual(['none', 'BASE_HOLDS'])
  })
  it('process set: none on white, one base on heather, and the worst of the four decides for all', () => {
    const set = (['yellow', 'magenta', 'cyan', 'key'] as const).map((c) => ink(c, '#808080', c))
    const on = (c: Cloth) => baseFor(set, c, { ...facts(), room: MIXED }, {}).map(choiceOf)
    expect(on(cloth('#f6f6f6'))).toEqual(['none', 'none', 'none', 'none'])
    expect(on(HEATHER)).toEqual(['base', 'base', 'base', 'base'])
    // The worst of the four: 13.99 without, 5.09 on one base; on black 8.13 on one.
    const worst = (c: Cloth, way: 'direct' | 'based') => Math.max(...set.map((i) => change(i, c)[way].change))
    expect(Math.abs(worst(HEATHER, 'direct') - 13.99)).toBeLessThan(0.8)
    expect(Math.abs(worst(HEATHER, 'based') - 5.09)).toBeLessThan(0.8)
    expect(Math.abs(worst(BLACK, 'based') - 8.13)).toBeLessThan(0.8)
  })
})

describe('base or none from colour and class; common practice, no source', () => {
  it('on golden yellow: dark green no, a bright thin red asks, light green yes, white yes', () => {
    expect(base(ink('dark green', '#1d4d33'), GOLDEN).value).toBe('none')
    expect(base(ink('light green', '#7fd67a'), GOLDEN).value).toBe('base')
    expect(base(ink('white', '#f4f4f0', 'white', 'blocking'), GOLDEN).value).toBe('base')
  })
  it('black never, nothing on white, everything bright on black, one hit on open canvas', () => {
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
    expect(base(ink('copper', '#b06a3d', 'metallic', 'opaque'), BLACK, { darkCloth: 'direct' }).rule).toBe(
      'BASE_FLAKES',
    )
    expect(base(ink('copper', '#b06a3d', 'metallic', 'opaque'), BLACK).value).toBe('base')
    expect(base(ink('pearl', '#d0c8b0', 'metallic'), BLACK).rule).toBe('BASE_FLAKES_DARK')
  })
  it('says how far it is from the limit, and how the ink is known', () => {
    const [advice] = baseFor([ink('red', '#b8232c')], BLACK, facts(), {})
    const words = advice!.reasons.map((r) => message(r, 'metric'))
    expect(words[0]).toMatch(
      /red straight on Cloth: ΔE 18\.\d from the same deposit on white \(CIEDE2000\), over the limit 7\.0 by 11\.\d/,
    )
    expect(words[1]).toMatch(/known by its colour and how it covers.*nine of ten predictions lie within 9\.6/)
  })
  it('another shop with other limits decides otherwise', () => {
    const strict = { ...ROOM, limits: { ...ROOM.limits, match: 1, visible: 2 } }
    const green = ink('dark green', '#1d4d33')
    expect(baseFor([green], GOLDEN, { ...facts(), room: strict }, {}).map(choiceOf)).toEqual(['base'])
  })
  it('process colours stand or fall together', () => {
    const set = [ink('Y', '#f7dc1e', 'yellow'), ink('K', '#2a2a2c', 'key')]
    expect(baseFor(set, GOLDEN, facts(), {}).map(choiceOf)).toEqual(['base', 'base'])
  })
  it('offers the base under all when two need it anyway', () => {
    const inks = [
      ink('dark green', '#1d4d33'),
      ink('light green', '#7fd67a'),
      ink('white', '#f4f4f0', 'white'),
    ]
    const [green] = baseFor(inks, GOLDEN, facts(), {})
    expect(green?.reasons.map((r) => r.rule)).toContain('BASE_OFFER')
  })
})

describe('second white', () => {
  const white = ink('white', '#f1f1f1', 'white', 'blocking')
  const RED = ink('red', '#b8232c')
  const advised = (on: Cloth, inks: InkColour[], based: string[], method = {}) =>
    secondWhiteFor(inks, new Set(based), on, facts(method), {}).advised
  it('one hit on in-between cloth, two on black by the practice, none without base', () => {
    expect(advised(cloth('#f0f0ee'), [white], ['white'])).toBe('none')
    expect(advised(BLACK, [white, RED], ['white', 'red'])).toBe('highlight')
    expect(advised(BLACK, [white], ['white'])).toBe('sameScreen')
    // A yellow cloth shows through one hit though it is light enough: the difference to the wanted white decides.
    for (const hex of ['#f4b223', '#b8d236', '#8fc4e8'])
      expect(advised(cloth(hex), [white, RED], ['white', 'red']), hex).toBe('highlight')
    // White alone on its base is the same image twice: one screen.
    expect(advised(GOLDEN, [white], ['white'])).toBe('sameScreen')
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
  const need: InkNeed = {
    id: 'x',
    name: 'Red',
    width: 0.3,
    height: 0.35,
    coverage: 0.5,
    hitting: {
      inkType: 'spot',
      isBase: false,
      system: 'plastisol',
      weave: 'jersey',
      onFilm: false,
      mesh: perCm(77),
      strokes: 1,
    },
    struck: 1,
    hits: 1,
    pieces: 100,
  }
  it('area x coverage x deposit x pieces x waste + what stays behind, by hand', () => {
    // 0.105 m2 x 0.5 x 60 g/m2 x 100 x 1.05 + 150 g = 480.75 g
    expect(inkMass(need, FABRICS, 1, {}).advised * 1000).toBeCloseTo(480.75, 2)
  })
  it('rises with pieces, coverage and coarser mesh, and its range holds it', () => {
    const base_ = inkMass(need, FABRICS, 1, {}).advised
    for (const more of [
      { pieces: 200 },
      { coverage: 0.9 },
      { hitting: { ...need.hitting, mesh: perCm(34) } },
      { hits: 2 },
      { hitting: { ...need.hitting, strokes: 2 } },
      { hitting: { ...need.hitting, weave: 'fleece' as const } },
      { hitting: { ...need.hitting, inkType: 'white' as const } },
      { struck: 1.1 },
    ])
      expect(inkMass({ ...need, ...more }, FABRICS, 1, {}).advised).toBeGreaterThan(base_)
    const { range, advised } = inkMass(need, FABRICS, 1, {})
    expect(range[0]).toBeLessThan(advised)
    expect(range[1]).toBeGreaterThan(advised)
  })
  // The films that the heat has to warm (assumed there too), g/m2, each through its usual mesh with its usual strokes.
  it.each([
    ['base', { isBase: true, inkType: 'white', mesh: 61, strokes: 2 }, 110],
    ['top', { mesh: 77 }, 60],
    ['metallic', { inkType: 'metallic', mesh: 43 }, 120],
    ['high-solids base', { isBase: true, mesh: 61, strokes: 2, system: 'highSolids' }, 100],
    ['water-based base', { isBase: true, mesh: 61, strokes: 2, system: 'waterBased' }, 80],
  ] as const)('%s', (_, { mesh, ...more }, grams) => {
    const hit = { ...need.hitting, ...more, mesh: perCm(mesh) }
    expect(issued(hit, FABRICS) * 1000).toBeCloseTo(grams, 6)
  })
  it('is heavier where white, on rough cloth and through coarse mesh, and a second hit drinks no cloth', () => {
    const of = (more: object) => issued({ ...need.hitting, ...more }, FABRICS)
    expect(of({ inkType: 'white' })).toBeGreaterThan(1.1 * of({}))
    expect(of({ weave: 'fleece' })).toBeGreaterThan(of({ weave: 'coarse' }))
    expect(of({ weave: 'coarse' })).toBeGreaterThan(of({}))
    expect(of({ weave: 'fleece', onFilm: true })).toBeCloseTo(of({}), 12)
    // A one-hit white through 43 T/cm: a heavy print, as practitioners want it.
    expect(of({ inkType: 'white', mesh: perCm(43) })).toBeGreaterThan(0.12)
  })
  it('what weigh-backs say counts for the ink laid, not for what stays behind, and says so', () => {
    const heavy = inkMass(need, FABRICS, 1.2, {})
    const laid = (kg: number) => kg - 0.15
    expect(laid(heavy.advised)).toBeCloseTo(1.2 * laid(inkMass(need, FABRICS, 1, {}).advised), 9)
    expect(heavy.reasons.map((r) => r.rule)).toContain('INK_LAID')
  })
})
