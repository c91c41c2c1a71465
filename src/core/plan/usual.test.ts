import { expect, it } from 'vitest'
import { message } from '../advice'
import { type ShopAndShelf, TEMPLATES } from '../equipment'
import { unusual } from './usual'

const asked = (path: string, value: unknown) => {
  const reason = unusual(path, value)
  return reason && message(reason, 'metric')
}

it('asks of a value that is possible and unusual, in words, and of no other', () => {
  expect(asked('shop.frames.12.tension', 50_000)).toBe(
    'Look whether it is meant: usual is 15 N/cm to 45 N/cm.',
  )
  // Ten times the ounces, grams typed as kilograms, a mesh by the inch typed by the centimetre: slips of the unit.
  expect(asked('lines.0.cloth.weight', 1.8)).toBe('Look whether it is meant: usual is 100 g/m² to 450 g/m².')
  expect(asked('shop.frames.0.mesh', 23_000)).toContain('16 T/cm to 185 T/cm')
  expect(asked('placements.0.inks.1.ruling', 55)).toContain('25 lpi to 75 lpi')
  for (const [path, value] of [
    ['shop.frames.12.tension', 2500],
    ['lines.0.cloth.weight', 0.18],
    ['lines.0.sizes.3.quantity', 0],
    ['shop.name', 'Fulmar'],
    ['shop.frames.0.tension', 'abc'],
    ['shop.frames.0.tension', Number.NaN],
    ['nowhere', 3],
  ] as const)
    expect(asked(path, value)).toBeUndefined()
})

/** Every number in plain data with the path to it. */
function* numbersIn(data: unknown, path = ''): Generator<readonly [string, number]> {
  if (typeof data === 'number') yield [path, data]
  else if (typeof data === 'object' && data !== null)
    for (const [key, value] of Object.entries(data)) yield* numbersIn(value, path ? `${path}.${key}` : key)
}

it.each(TEMPLATES.map((t) => [t.name, t.shelf] as const))(
  'finds nothing to ask of %s',
  (_, shelf: ShopAndShelf) => {
    const numbers = [...numbersIn(shelf)]
    expect(numbers.length).toBeGreaterThan(50)
    expect(numbers.filter(([path, value]) => unusual(path, value))).toEqual([])
  },
)
