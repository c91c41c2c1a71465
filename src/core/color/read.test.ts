import { describe, expect, it } from 'vitest'
import { labOfHex, readColour } from './index'

describe('a colour that is typed or pasted', () => {
  it.each(['#0b5d7a', '0b5d7a', ' 0B5D7A ', '#0B5d7A'])('%s is one by its hex', (text) => {
    expect(readColour(text)).toEqual(labOfHex('#0b5d7a'))
  })
  it.each([
    '52.1 -3 20',
    '52.1, -3, 20',
    '52.1,-3,20',
    '52,1; -3,0; 20',
    'L* 52.1 a* -3 b* 20',
    'L*=52.1; a*=−3; b*=20',
    'lab(52.1, -3, 20)',
    'lab(52.1 -3 20)',
    '52.1\t-3\t20',
    '52,1 -3 20',
  ])('%s is L* 52.1, a* -3, b* 20', (text) => {
    expect(readColour(text)).toEqual({ l: 52.1, a: -3, b: 20 })
  })
  it.each([
    '',
    '#0b5d7',
    'teal',
    '52 -3',
    '52 -3 20 4',
    '152 -3 20',
    '-1 0 0',
    '50 900 0',
    '#12345g',
    'NaN NaN NaN',
  ])('“%s” is none', (text) => {
    expect(readColour(text)).toBeUndefined()
  })
})
