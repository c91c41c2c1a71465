import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changes, indexPath, isStructural, meet, misfit, overlaid, reversed } from './index'

const order = {
  title: 'Tees',
  lines: [
    {
      id: 'G1',
      sizes: [
        { size: 'S', quantity: 4 },
        { size: 'M', quantity: 8 },
      ],
    },
    { id: 'G2', sizes: [] },
  ],
  byHand: ['base', 'I1'],
}

describe('what changed', () => {
  it('is told field by field, items by their own key', () => {
    const after = {
      ...order,
      title: 'Hoods',
      lines: [
        {
          id: 'G1',
          sizes: [
            { size: 'M', quantity: 9 },
            { size: 'L', quantity: 1 },
          ],
        },
      ],
      byHand: ['I1', 'base'],
    }
    expect(changes(order, after)).toEqual([
      { path: ['title'], from: 'Tees', to: 'Hoods' },
      { path: ['lines', 'G2'], from: { item: order.lines[1], at: 1 }, to: undefined },
      {
        path: ['lines', 'G1', 'sizes', 'S'],
        from: { item: { size: 'S', quantity: 4 }, at: 0 },
        to: undefined,
      },
      {
        path: ['lines', 'G1', 'sizes', 'L'],
        from: undefined,
        to: { item: { size: 'L', quantity: 1 }, at: 1 },
      },
      { path: ['lines', 'G1', 'sizes', 'M', 'quantity'], from: 8, to: 9 },
      { path: ['byHand'], from: ['base', 'I1'], to: ['I1', 'base'] },
    ])
  })
  it('is nothing when nothing changed', () => expect(changes(order, structuredClone(order))).toEqual([]))
})

describe('undo beside someone else’s edit', () => {
  const mine = changes(order, { ...order, title: 'Hoods' })
  it('touches only what it changed', () => {
    const theirs = { ...order, title: 'Hoods', byHand: [] }
    expect(misfit(theirs, reversed(mine))).toBeUndefined()
    expect(overlaid(theirs, reversed(mine))).toEqual({ ...order, byHand: [] })
  })
  it('finds the field that moved on', () => {
    expect(misfit({ ...order, title: 'Aprons' }, reversed(mine))?.path).toEqual(['title'])
  })
  it('fits where it was made already', () => {
    const after = { ...order, title: 'Hoods', byHand: [] }
    expect(misfit({ ...order, title: 'Hoods' }, changes(order, after))).toBeUndefined()
    expect(misfit(after, changes(order, after))).toBeUndefined()
  })
  it('of an item that is gone leaves it gone', () => {
    const edit = changes(order, { ...order, lines: [{ id: 'G1', sizes: [] }, order.lines[1]] })
    const gone = { ...order, lines: [order.lines[1]] }
    expect(misfit(gone, reversed(edit))).toBeDefined()
    expect(overlaid(gone, reversed(edit))).toEqual(gone)
  })
})

describe('where a change is', () => {
  const [title, line, quantity] = [['title'], ['lines', 'G1'], ['lines', 'G1', 'sizes', 'M', 'quantity']].map(
    (path) => ({ path, from: 1, to: 2 }),
  )
  if (!title || !line || !quantity) throw new Error('no changes')
  it('two meet when one is inside the other', () => {
    expect(meet(line, quantity)).toBe(true)
    expect(meet(quantity, line)).toBe(true)
    expect(meet(title, line)).toBe(false)
  })
  it('is named by place for a form', () => {
    expect(indexPath(order, quantity.path)).toBe('lines.0.sizes.1.quantity')
    expect(indexPath(order, title.path)).toBe('title')
  })
  it('tells one value from a change of the structure', () => {
    expect(changes(order, { ...order, title: '' }).some(isStructural)).toBe(false)
    expect(changes(order, { ...order, lines: [] }).every(isStructural)).toBe(true)
    expect(changes(order, { ...order, byHand: [] }).every(isStructural)).toBe(true)
  })
})

describe('any two states (property)', () => {
  const leaf = fc.oneof(fc.integer(), fc.string({ maxLength: 3 }), fc.boolean())
  const list = fc
    .uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e'), { maxLength: 5 })
    .chain((ids) =>
      fc.tuple(
        ...ids.map((id) =>
          fc.record({ id: fc.constant(id), x: leaf, y: fc.option(leaf) }, { noNullPrototype: true }),
        ),
      ),
    )
  const state = fc.record(
    {
      a: leaf,
      list,
      plain: fc.array(leaf, { maxLength: 3 }),
      deep: fc.record({ list }, { noNullPrototype: true }),
    },
    { requiredKeys: ['list', 'plain'], noNullPrototype: true },
  )
  it('the changes lead there and back', () => {
    fc.assert(
      fc.property(state, state, (before, after) => {
        const list = changes(before, after)
        expect(misfit(before, list)).toBeUndefined()
        expect(overlaid(before, list)).toEqual(after)
        expect(misfit(after, reversed(list))).toBeUndefined()
        expect(overlaid(after, reversed(list))).toEqual(before)
        // Once is enough.
        expect(misfit(after, list)).toBeUndefined()
        expect(overlaid(after, list)).toEqual(after)
      }),
    )
  })
  it('two people’s edits of different fields both stay', () => {
    fc.assert(
      fc.property(state, leaf, fc.array(leaf), (base, a, plain) => {
        const merged = overlaid({ ...base, plain }, changes(base, { ...base, a }))
        expect(merged).toEqual({ ...base, a, plain })
      }),
    )
  })
})
