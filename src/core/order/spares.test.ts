import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SIZE_NAMES } from './sizes'
import { cameOver, cameShort, sparesOf } from './spares'

const sizes = (...pieces: readonly number[]) =>
  pieces.map((quantity, i) => ({ size: SIZE_NAMES[i] ?? 'M', quantity }))

describe('spare garments to order', () => {
  it('2 to 3 %, more for many colours (common practice, no source)', () => {
    expect(sparesOf(sizes(100, 100), 1).total).toBe(4)
    expect(sparesOf(sizes(100, 100), 5).total).toBe(6)
    expect(sparesOf(sizes(100, 100), 8).total).toBe(10)
  })

  it('one piece has one spare, none has none; what is most of goes first', () => {
    expect(sparesOf(sizes(1), 1).total).toBe(1)
    expect(sparesOf(sizes(0), 4).total).toBe(0)
    expect(sparesOf([], 4).total).toBe(0)
    expect(sparesOf(sizes(5, 20, 20, 3), 2).bySize.map((s) => s.quantity)).toEqual([0, 1, 0, 0])
  })

  it('sizes make up the total; more pieces or colours never want less; nothing wanted has no spare (property)', () => {
    const pieces = fc.array(fc.integer({ min: 0, max: 10_000 }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(pieces, fc.integer({ min: 0, max: 14 }), fc.nat({ max: 500 }), (each, colours, more) => {
        const { total, bySize } = sparesOf(sizes(...each), colours)
        expect(bySize.reduce((sum, s) => sum + s.quantity, 0)).toBe(total)
        bySize.forEach((s, i) => {
          if (each[i] === 0) expect(s.quantity).toBe(0)
        })
        const [first = 0, ...rest] = each
        expect(sparesOf(sizes(first + more, ...rest), colours).total).toBeGreaterThanOrEqual(total)
        expect(sparesOf(sizes(...each), colours + 1).total).toBeGreaterThanOrEqual(total)
      }),
    )
  })

  it('more for what was never printed before', () => {
    expect(sparesOf(sizes(100, 100), 1, true).total).toBe(6)
    expect(sparesOf(sizes(100), 1, true).reasons.map((r) => r.rule)).toEqual(['SPARES', 'SPARES_FIRST'])
  })

  it('what came short of all sizes: spare ones of another do not help, and what was not counted is whole', () => {
    const came = (quantity: number, received?: number) => ({ size: 'M' as const, quantity, received })
    expect(cameShort([came(10, 8), came(10, 14), came(5), came(4, 0)])).toBe(6)
  })

  it('short, spare, or not counted', () => {
    expect(cameOver({ size: 'M', quantity: 10, received: 8 })).toBe(-2)
    expect(cameOver({ size: 'M', quantity: 10, received: 11 })).toBe(1)
    expect(cameOver({ size: 'M', quantity: 10 })).toBeUndefined()
  })
})
