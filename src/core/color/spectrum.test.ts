import { converter } from 'culori'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PAIRS } from './ciede2000.fixtures'
import { BANDS, difference, hexOf, type Lab, labOf, reflectanceOf } from './index'
import { WEIGHTS } from './spectrum'

const weight = (nm: number) => WEIGHTS[1][BANDS.indexOf(nm)] as number
const toLab = converter('lab65')
const lab = (l: number, a: number, b: number): Lab => ({ l, a, b })

describe('difference of colours', () => {
  it.each(PAIRS)('%s %s %s and %s %s %s: %s, both ways', (l1, a1, b1, l2, a2, b2, wanted) => {
    expect(difference(lab(l1, a1, b1), lab(l2, a2, b2))).toBeCloseTo(wanted, 4)
    expect(difference(lab(l2, a2, b2), lab(l1, a1, b1))).toBeCloseTo(wanted, 4)
  })
})

describe('reflectance to colour', () => {
  it('all light is white, none is black', () => {
    const flat = (r: number) => labOf(BANDS.map(() => r))
    expect(flat(1)).toMatchObject({
      l: expect.closeTo(100, 5),
      a: expect.closeTo(0, 4),
      b: expect.closeTo(0, 4),
    })
    expect(flat(0).l).toBeCloseTo(0, 5)
    // L* = 116 Y^(1/3) - 16 (CIE 15): 18 % is the photographer's middle grey, L* 49.5.
    expect(flat(0.18).l).toBeCloseTo(116 * Math.cbrt(0.18) - 16, 5)
  })
  it('the white is that of sRGB, (0.3127, 0.3290) (IEC 61966-2-1); its eye is the CIE 1931 observer’s', () => {
    const [x = 0, y = 0, z = 0] = WEIGHTS.map((w) => w.reduce((a, b) => a + b, 0))
    expect(y).toBeCloseTo(1, 6)
    expect(x / (x + y + z)).toBeCloseTo(0.3127, 4)
    expect(y / (x + y + z)).toBeCloseTo(0.329, 4)
    // The eye is keenest at 555 nm: the two bands beside it weigh most.
    const heaviest = [...BANDS].sort((a, b) => weight(b) - weight(a)).slice(0, 2)
    expect(heaviest.sort()).toEqual([540, 560])
  })
})

describe('the smoothest reflectance of a colour', () => {
  it('looks like the colour, and reflects no more than all and no less than nothing (property)', () => {
    const channel = fc.integer({ min: 0, max: 255 })
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const hex = `#${[r, g, b].map((x) => x.toString(16).padStart(2, '0')).join('')}`
        const curve = reflectanceOf(hex)
        expect(Math.min(...curve)).toBeGreaterThan(0)
        expect(Math.max(...curve)).toBeLessThan(1)
        // Darker than any print they are taken for black; a few strong dark ones a step greyer.
        const target = toLab(hex)
        if (target && target.l >= 10) expect(difference(labOf(curve), target)).toBeLessThan(2)
      }),
      { numRuns: 60 },
    )
  })
  it.each(['#f2d45c', '#5b9bc9', '#e0691e', '#1f2a44', '#b5192b', '#00ff00', '#fbfbe8'])(
    'of %s is that very colour',
    (hex) => {
      expect(hexOf(reflectanceOf(hex))).toBe(hex)
    },
  )
  it('of a grey is flat', () => {
    const curve = reflectanceOf('#777777')
    expect(Math.max(...curve) - Math.min(...curve)).toBeLessThan(1e-4)
  })
  it('of black and white keeps within what a print can be', () => {
    expect(reflectanceOf('#000000')).toEqual(BANDS.map(() => expect.closeTo(0.004, 6)))
    expect(reflectanceOf('#ffffff')).toEqual(BANDS.map(() => expect.closeTo(0.98, 6)))
    expect(() => reflectanceOf('ink')).toThrow('not a colour')
  })
})
