import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseQuantity, perCm, showQuantity } from './index'

const typed = (text: string) => {
  const read = parseQuantity('meshCount', text, 'inch')
  return read.ok ? read.value : Number.NaN
}
const shown = (mesh: number) => showQuantity('meshCount', mesh, 'inch').number

describe('meshes by the count they are sold by (trade names, from memory)', () => {
  it.each([
    [43, '110'],
    [61, '156'],
    [90, '230'],
    [120, '305'],
  ])('%d T/cm is a %s', (mesh, name) => {
    expect(shown(perCm(mesh))).toBe(name)
    expect(typed(name)).toBe(perCm(mesh))
  })
  it('reckoned or by its name it is one mesh: 109 and 110 are one tally', () => {
    expect(typed('109')).toBe(typed('110'))
    expect(typed('229 tpi')).toBe(typed('230'))
  })
  it('what is shown is read back as what it was; a finer mesh never shows a smaller count (property)', () => {
    const mesh = fc.integer({ min: 10, max: 200 })
    fc.assert(
      fc.property(mesh, mesh, (a, b) => {
        expect(shown(typed(shown(perCm(a))))).toBe(shown(perCm(a)))
        expect(Math.abs(typed(shown(perCm(a))) - perCm(a))).toBeLessThan(25)
        if (a < b) expect(Number(shown(perCm(a)))).toBeLessThanOrEqual(Number(shown(perCm(b))))
      }),
    )
  })
})
