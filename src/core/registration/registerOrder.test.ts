import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { registerOrder } from './registerOrder'

const screen = (id: string, isBase = false) => ({ id, name: id, isBase })
const base = screen('base', true)
const colours = ['a', 'b', 'c', 'd'].map((id) => screen(id))
const on = (found: ReturnType<typeof registerOrder>) => found.map((r) => `${r.id}>${r.on ?? 'film'}`)

describe('the order of registering', () => {
  it('begins with the base, and all else lies on it (common practice)', () => {
    expect(on(registerOrder([...colours, base], []))).toEqual([
      'base>film',
      'a>base',
      'b>base',
      'c>base',
      'd>base',
    ])
  })
  it('puts what touches last, and says where to look: its partner is printed by then', () => {
    const found = registerOrder([base, ...colours], [{ a: 'a', b: 'c', how: 'touch' }])
    expect(on(found)).toEqual(['base>film', 'b>base', 'd>base', 'a>base', 'c>base'])
    expect(found.at(-1)!.reason).toMatchObject({ rule: 'REGISTER_LOOK', inputs: { partner: 'a' } })
  })
  it('without a base begins with what most others meet; what does not meet that hangs on its partner', () => {
    const found = registerOrder(colours, [
      { a: 'b', b: 'a', how: 'blend' },
      { a: 'b', b: 'c', how: 'touch' },
      { a: 'c', b: 'd', how: 'overlap', width: 2e-4 },
    ])
    expect(found[0]).toMatchObject({ id: 'b' })
    expect(found.find((r) => r.id === 'd')).toMatchObject({ on: 'c', reason: { rule: 'REGISTER_OVERLAP' } })
    expect(found.find((r) => r.id === 'c')).toMatchObject({ on: 'b', reason: { rule: 'REGISTER_TOUCH' } })
  })
  it('has each screen once, on one that is registered already, whatever meets', () => {
    const id = fc.constantFrom('base', 'a', 'b', 'c', 'd', 'x')
    const how = fc.constantFrom('touch', 'overlap', 'blend', 'gap')
    fc.assert(
      fc.property(fc.array(fc.record({ a: id, b: id, how })), fc.boolean(), (relations, based) => {
        const screens = based ? [base, ...colours] : colours
        const found = registerOrder(screens, relations as never)
        expect(found.map((r) => r.id).sort()).toEqual(screens.map((s) => s.id).sort())
        for (const [i, r] of found.entries())
          if (i > 0) expect(found.slice(0, i).map((b) => b.id)).toContain(r.on)
      }),
    )
  })
})
