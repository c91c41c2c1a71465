import { expect, it } from 'vitest'
import { isHex, legibleOn, lightness } from './index'

// CIE 15: L* of the white point is 100, of no light 0; mid grey #777777 about 50 (IEC 61966-2-1, by hand).
it.each([
  ['#ffffff', 100, 0],
  ['#000000', 0, 0],
  ['#777777', 50.03, 0],
])('L* and chroma of %s', (hex, L, chroma) => {
  expect(lightness(hex).L).toBeCloseTo(L, 1)
  expect(lightness(hex).chroma).toBeCloseTo(chroma, 1)
})

it('refuses what is no colour', () => {
  expect(isHex('#12345g')).toBe(false)
  expect(isHex('#12345a')).toBe(true)
  expect(() => lightness('ink')).toThrow('not a colour')
})

it('writes black on yellow and white on navy', () => {
  expect(legibleOn('#f4d223')).toBe('#000000')
  expect(legibleOn('#1f2a44')).toBe('#ffffff')
})
