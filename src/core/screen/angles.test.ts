import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { InkColour } from '../order'
import { degrees, lpi } from '../quantity'
import { anglesTooNear, beatBetween } from './index'

const ink = (name: string, inkType: InkColour['inkType'], angle: number, ruling = 65): InkColour => ({
  id: name,
  name,
  hex: '#808080',
  inkType,
  opacity: 'transparent',
  coverage: 0.3,
  ruling: lpi(ruling),
  angle: degrees(angle),
  system: 'house',
  lowCure: false,
})
const rules = (...inks: InkColour[]) => anglesTooNear(inks).map((r) => r.rule)

describe('angles of process colours', () => {
  // Common practice, no source: 30 degrees between the strong three, yellow 15 from two of them.
  it('the usual set stands well', () => {
    expect(
      rules(ink('c', 'cyan', 15), ink('m', 'magenta', 75), ink('y', 'yellow', 0), ink('k', 'key', 45)),
    ).toEqual([])
  })
  it('alike, too near, and across the quarter turn', () => {
    expect(rules(ink('c', 'cyan', 45), ink('m', 'magenta', 45))).toEqual(['ANGLES_ALIKE'])
    expect(rules(ink('c', 'cyan', 45), ink('m', 'magenta', 52.5))).toEqual(['ANGLES_NEAR'])
    expect(rules(ink('c', 'cyan', 5), ink('m', 'magenta', 85))).toEqual(['ANGLES_NEAR'])
    expect(rules(ink('c', 'cyan', 45), ink('m', 'magenta', 60))).toEqual([])
    expect(rules(ink('c', 'cyan', 45), ink('y', 'yellow', 45))).toEqual([])
    expect(rules(ink('a', 'spot', 45), ink('b', 'spot', 45))).toEqual([])
  })
  // Geometry: two gratings of one ruling, turned against each other, beat with 1 / (2 f sin(angle / 2)).
  it('beats as two turned gratings do (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 85, noNaN: true }),
        fc.double({ min: 1, max: 45, noNaN: true }),
        (f, d) => {
          const expected = 1 / (2 * lpi(f) * Math.sin(degrees(d) / 2))
          expect(beatBetween(lpi(f), lpi(f), degrees(d)) / expected).toBeCloseTo(1, 6)
        },
      ),
    )
  })
})
