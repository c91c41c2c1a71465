import { expect, it } from 'vitest'
import { whereToLook } from './whereToLook'

const MM = 1e-3
/** A film of 330 x 483 mm, its art 200 x 300 mm in the middle. */
const PRINT = { x: 65 * MM, y: 90 * MM, width: 200 * MM, height: 300 * MM }
const at = (x: number, y: number, width: number, length: number) => ({
  ...{ x: x * MM, y: y * MM, width: width * MM, length: length * MM },
})

it('the narrowest meeting stands first, the longer one of two alike', () => {
  const looks = whereToLook(
    'Buoy red',
    [
      { other: 'Coal black', tight: [at(100, 100, 0.3, 5), at(200, 150, 0.11, 5)] },
      { other: 'the base', tight: [at(65, 390, 0.1, 20)] },
    ],
    PRINT,
  )
  expect(looks.map((l) => l.reason.inputs.other)).toEqual(['the base', 'Coal black', 'Coal black'])
  // The lower left corner of the art: to the left of its middle, and away from the collar.
  expect(looks[0]?.x).toBeCloseTo(-100 * MM, 9)
  expect(looks[0]?.y).toBeCloseTo(-150 * MM, 9)
  expect(looks[1]?.reason.inputs.width).toMatchObject({ value: 0.11 * MM })
})

it('no more places than someone looks at, none without films that meet', () => {
  const many = Array.from({ length: 9 }, (_, i) => at(70 + 21 * i, 200, 0.1, 3))
  expect(whereToLook('Buoy red', [{ other: 'Coal black', tight: many }], PRINT)).toHaveLength(4)
  // What lies within one look is told once.
  const near = [at(100, 200, 0.1, 3), at(110, 205, 0.3, 3)]
  expect(whereToLook('Buoy red', [{ other: 'Coal black', tight: near }], PRINT)).toHaveLength(1)
  expect(whereToLook('Buoy red', [], PRINT)).toEqual([])
})
