import { expect, it } from 'vitest'
import { degrees, lpi, perCm } from '../quantity'
import { beatOf, moireRisk } from './moire'

it.each([
  [45, 40.7],
  [22.5, 1.8],
  [0, 2.5],
])(
  '55 lpi on 61 T/cm at %s degrees beats every %s mm (worked by the difference of frequencies)',
  (angle, period) => {
    expect(beatOf(lpi(55), degrees(angle), perCm(61)).period * 1000).toBeCloseTo(
      period,
      angle === 45 ? -0.3 : 1,
    )
  },
)

it('the plain pattern at 45 degrees is called so, the safe single angle is not (common practice, no source)', () => {
  expect(moireRisk(beatOf(lpi(55), degrees(45), perCm(61)))).toBe('plain')
  expect(moireRisk(beatOf(lpi(55), degrees(22.5), perCm(61)))).toBe('none')
})

it('turning the halftone by a right angle changes nothing (symmetry)', () => {
  const a = beatOf(lpi(45), degrees(12), perCm(90))
  const b = beatOf(lpi(45), degrees(102), perCm(90))
  expect(b.period).toBeCloseTo(a.period, 9)
})
