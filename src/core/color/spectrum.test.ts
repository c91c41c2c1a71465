import { converter } from 'culori'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PAIRS } from './ciede2000.fixtures'
import {
  BANDS,
  difference,
  hexOf,
  hexOfLab,
  type Lab,
  type Light,
  labOf,
  labOfHex,
  reflectanceOf,
  reflectanceOfLab,
  WHITE_OF,
  xyzOf,
} from './index'
import { labOfXyz, WEIGHTS, xyzOfLab } from './spectrum'

const weight = (nm: number) => WEIGHTS.D65[1][BANDS.indexOf(nm)] as number
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
    const [x = 0, y = 0, z = 0] = WEIGHTS.D65.map((w) => w.reduce((a, b) => a + b, 0))
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

/** The observer as sums of lobes (published: Wyman, Sloan, Shirley 2013, good to about 0.02), an independent hand. */
const lobe = (nm: number, middle: number, below: number, above: number) =>
  Math.exp(-0.5 * ((nm - middle) / (nm < middle ? below : above)) ** 2)
const EYE = [
  (nm: number) =>
    1.056 * lobe(nm, 599.8, 37.9, 31) + 0.362 * lobe(nm, 442, 16, 26.7) - 0.065 * lobe(nm, 501.1, 20.4, 26.2),
  (nm: number) => 0.821 * lobe(nm, 568.8, 46.9, 40.5) + 0.286 * lobe(nm, 530.9, 16.3, 31.1),
  (nm: number) => 1.217 * lobe(nm, 437, 11.8, 36) + 0.681 * lobe(nm, 459, 26, 13.8),
]
/** Illuminant A is a Planckian of 2848 K by its definition (published: CIE 15). */
const lamp = (nm: number) => nm ** -5 / (Math.exp(1.435e7 / (2848 * nm)) - 1)

describe('other lights', () => {
  it.each([
    ['D50', [0.96422, 1, 0.82521]],
    ['A', [1.0985, 1, 0.35585]],
  ] as const)('the white of %s is the published one (CIE 15)', (light, white) => {
    WHITE_OF[light].forEach((w, i) => {
      expect(w).toBeCloseTo(white[i]!, 3)
    })
  })
  it.each(['#c8262f', '#2456a6', '#7fd67a', '#f2d45c', '#6b4f3a'])(
    'lamplight on %s, against lobes and Planck',
    (hex) => {
      const curve = reflectanceOf(hex)
      const at = (nm: number) => {
        const i = Math.min(14, Math.max(0, Math.floor((nm - 400) / 20)))
        const t = Math.min(1, Math.max(0, (nm - BANDS[i]!) / 20))
        return curve[i]! + t * (curve[i + 1]! - curve[i]!)
      }
      const nodes = Array.from({ length: 76 }, (_, i) => 380 + 5 * i)
      const total = (f: (nm: number) => number) => nodes.reduce((n, nm) => n + lamp(nm) * f(nm), 0)
      const own = EYE.map((eye, i) => (total((nm) => eye(nm) * at(nm)) / total(eye)) * WHITE_OF.A[i]!)
      const lab = labOfXyz(own as unknown as [number, number, number], 'A')
      expect(difference(lab, labOf(curve, 'A'))).toBeLessThan(1.2)
    },
  )
  it('a reading told for D50 gives a curve that has it, and its daylight colour is near (property)', () => {
    const part = fc.double({ min: -18, max: 18, noNaN: true })
    fc.assert(
      fc.property(fc.double({ min: 35, max: 75, noNaN: true }), part, part, (l, a, b) => {
        for (const light of ['D50', 'A', 'D65'] as const satisfies readonly Light[])
          expect(difference(labOf(reflectanceOfLab({ l, a, b }, light), light), { l, a, b })).toBeLessThan(
            0.05,
          )
      }),
      { numRuns: 25 },
    )
  })
  it('XYZ and CIELAB go there and back, and agree with a reference library for daylight (culori)', () => {
    for (const hex of ['#ff6f61', '#00a7b5', '#101820', '#fdfdfd']) {
      const own = labOfHex(hex)
      const theirs = toLab(hex)!
      for (const axis of ['l', 'a', 'b'] as const) expect(own[axis]).toBeCloseTo(theirs[axis], 6)
      expect(hexOfLab(own)).toBe(hex)
      expect(labOfXyz(xyzOfLab(own, 'A'), 'A').b).toBeCloseTo(own.b, 9)
    }
    expect(xyzOf(BANDS.map(() => 1))[1]).toBeCloseTo(1, 6)
  })
})
