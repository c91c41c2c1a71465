import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mm } from '../quantity'
import { WHERES, type Where } from './order'
import { isSize, sizeMoved, usualSize } from './usualSize'

const wheres = Object.keys(WHERES) as Where[]

describe('the size of a print', () => {
  it('follows what is usual: a front that becomes a sleeve is as large as a sleeve', () => {
    expect(sizeMoved('front', 'sleeve', usualSize('front'))).toEqual(usualSize('sleeve'))
    const own = { width: mm(200), height: mm(90) }
    expect(sizeMoved('front', 'sleeve', own)).toEqual(own)
  })
  // Handbook of the trade: within 12 in on an adult range, or it runs into the seams of the smaller sizes.
  it.each(wheres.filter((w) => w !== 'allOver'))('%s keeps within 305 mm', (where) =>
    expect(usualSize(where).width).toBeLessThanOrEqual(mm(305)),
  )
  // Common practice: the largest usual all-over print is about 23 x 32 in.
  it('all-over is about 23 by 32 in', () => {
    expect(usualSize('allOver').width / 0.0254).toBeCloseTo(23, 0)
    expect(usualSize('allOver').height / 0.0254).toBeCloseTo(32, 0)
  })
  it('goes there and back (property)', () => {
    const where = fc.constantFrom(...wheres)
    fc.assert(
      fc.property(where, where, (a, b) => {
        const there = sizeMoved(a, b, usualSize(a))
        expect(isSize(sizeMoved(b, a, there), usualSize(a))).toBe(true)
      }),
    )
  })
})
