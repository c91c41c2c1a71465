import { expect, it } from 'vitest'
import { colourOfFile } from './names'

const COLOURS = [
  { id: 'I1', name: 'Moon yellow' },
  { id: 'I2', name: 'Comet blue' },
  { id: 'I3', name: 'Harbour white' },
]

it.each([
  ['star-chart base.svg', 'base'],
  ['03_UNDERBASE.tif', 'base'],
  ['moon-yellow.png', 'I1'],
  ['Chart Comet Blue (2).png', 'I2'],
  ['white.png', 'I3'],
  ['film 4.png', ''],
])('%s is for %s', (file, colour) => {
  expect(colourOfFile(file, COLOURS)).toBe(colour)
})

it('does not guess between two colours that fit alike', () => {
  expect(colourOfFile('blue.svg', [...COLOURS, { id: 'I4', name: 'Sky blue' }])).toBe('')
})
