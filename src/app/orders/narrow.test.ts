import { describe, expect, it } from 'vitest'
import { listPath, narrowed, narrowedBy } from './narrow'

const NONE = { is: '', press: '', due: '' } as const

describe('a list of orders, narrowed by its address', () => {
  it('what makes no sense in the address narrows nothing', () => {
    expect(narrowedBy({})).toEqual(NONE)
    expect(narrowedBy({ is: 'toString', press: ['a', 'b'], due: 'constructor' })).toEqual(NONE)
  })

  it('a state, what is waited for, a press and a day', () => {
    expect(narrowed(narrowedBy({ is: 'packed' }), '2026-11-30')).toEqual({ state: 'packed' })
    expect(narrowed(narrowedBy({ is: 'garments' }), '2026-11-30')).toEqual({ waits: 'garments' })
    expect(narrowed(narrowedBy({ press: 'The Twelve' }), '2026-11-30')).toEqual({ press: 'The Twelve' })
    expect(narrowed(narrowedBy({ due: 'late' }), '2026-12-01')).toEqual({ dueBy: '2026-11-30' })
    expect(narrowed(narrowedBy({ due: 'week' }), '2026-12-28')).toEqual({ dueBy: '2027-01-04' })
  })

  it('the address of a list is read back as it was written', () => {
    const by = narrowedBy({ is: 'art', press: 'A & B', due: 'week' })
    const query = new URL(listPath('x', 'current', by), 'http://shop').searchParams
    expect(narrowedBy(Object.fromEntries(query))).toEqual(by)
    expect(listPath('', 'current', NONE)).toBe('/orders')
  })
})
