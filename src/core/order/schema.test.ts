import { describe, expect, it } from 'vitest'
import { withAt as putAt, refusedNowhere } from '../nonsense.fixtures'
import { checkOrder } from './index'

const ink = (id: string) => ({
  id,
  name: 'Red',
  hex: '#b8232c',
  inkType: 'spot',
  opacity: 'opaque',
  coverage: 0.2,
  system: 'house',
  lowCure: false,
})
const good = {
  id: 'O-1001',
  customer: 'Tide Observatory',
  title: '',
  due: '2026-12-01',
  notes: '',
  lines: [
    {
      id: 'G1',
      style: 'Tee',
      group: '',
      cloth: { name: 'Navy', hex: '#1f2a44', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 },
      sizes: [{ size: 'M', quantity: 10 }],
    },
  ],
  placements: [
    {
      id: 'P1',
      where: 'front',
      width: 0.28,
      height: 0.33,
      sizes: 'all',
      inks: [ink('I1'), ink('I2')],
      relations: [{ a: 'I1', b: 'I2', how: 'overlap', width: 0.0003 }],
    },
  ],
}

const withAt = (path: string, value: unknown) => putAt(good, path, value)

it('a whole order passes, with and without its optional parts', () => {
  expect(checkOrder(good)).toMatchObject({ ok: true, value: good })
  expect(checkOrder(withAt('placements[0].inks[0].ruling', 1968))).toMatchObject({ ok: true })
  expect(checkOrder(withAt('placements[0].relations', []))).toMatchObject({ ok: true })
})

describe('every mistake is told at its place', () => {
  it('whatever stands where it should not', () => {
    expect(refusedNowhere(good, checkOrder as never)).toEqual([])
  })
  it.each([
    ['customer', '  ', 'Customer is missing.'],
    ['due', 'soon', 'A date is written 2026-12-01, and must be one that there is.'],
    ['due', '2026-13-45', 'A date is written 2026-12-01, and must be one that there is.'],
    ['notes', 'x'.repeat(2001), 'Notes: at most 2000 characters.'],
    ['lines[0].style', '', 'Style is missing.'],
    ['lines[0].cloth.hex', 'navy', 'A colour is written #1f2a44.'],
    ['lines[0].cloth.weave', 'lace', 'Choose one of the list.'],
    ['lines[0].cloth.weight', 'heavy', 'Not a cloth weight: type, for example, 180 g/m2 or 5.3 oz/yd2.'],
    ['lines[0].cloth.weight', 2, 'Between 20 g/m² and 600 g/m² (0.6 oz/yd² and 17.7 oz/yd²), please.'],
    ['lines[0].cloth.polyester', 0.5, 'The fibres are more than 100 % together.'],
    ['lines[0].sizes[0].quantity', 1.5, 'A whole number of pieces.'],
    ['lines[0].sizes[0].quantity', -1, 'Not below 0.'],
    ['lines[0].sizes[0].quantity', Number.NaN, 'A whole number of pieces.'],
    ['placements[0].width', 0, 'Between 10 mm and 1200 mm (13/32 in and 47 1/4 in), please.'],
    ['placements[0].height', undefined, 'Type, for example, 305 mm or 12 in.'],
    ['placements[0].inks[1].name', '', 'Ink is missing.'],
    ['placements[0].inks[1].coverage', 1.2, 'Between 0.1 % and 100 %, please.'],
    ['placements[0].inks[1].ruling', 'fine', 'Not a ruling: type, for example, 55 lpi.'],
    ['placements[0].relations[0].b', 'I1', 'Choose two different colours.'],
  ])('%s = %j', (path, value, message) => {
    const checked = checkOrder(withAt(path, value))
    expect(checked.ok).toBe(false)
    if (!checked.ok) expect(checked.errors[path]).toBe(message)
  })
  it('sizes twice, meetings twice, meetings of a colour that is gone', () => {
    const twice = [
      { size: 'M', quantity: 1 },
      { size: 'M', quantity: 2 },
    ]
    const meet = { a: 'I1', b: 'I2', how: 'touch' }
    const wrong = (path: string, value: unknown) => {
      const checked = checkOrder(withAt(path, value))
      return checked.ok ? '' : checked.errors[path]
    }
    expect(wrong('lines[0].sizes', twice)).toBe('Each size once.')
    expect(wrong('placements[0].relations', [meet, { ...meet, a: 'I2', b: 'I1' }])).toBe(
      'Two colours meet once.',
    )
    expect(wrong('placements[0].relations', [{ ...meet, b: 'I9' }])).toBe(
      'A meeting names a colour that is gone.',
    )
  })
})
