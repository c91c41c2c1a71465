import { describe, expect, it } from 'vitest'
import { changes } from '@/core/change'
import { shelfSchema } from '@/core/equipment'
import { orderSchema } from '@/core/order'
import { screenNames } from '@/core/plan'
import { DEMO_INKS, DEMO_SHELF, demoOrders } from '@/store/demo'
import { changeWords, editLabel } from './changeWords'
import { FIELDS } from './fieldNames'
import { HATCHES, hatchCss, hatchId, hatchOf } from './hatch'

const [order] = demoOrders('2026-11-23')
if (!order) throw new Error('no order')
const told = (before: unknown, after: unknown, units: 'metric' | 'inch' = 'metric') =>
  changes(before, after).map((c) => {
    const { label, from, to } = changeWords(c, units)
    return `${label}: ${from} -> ${to}`
  })

describe('a change in words', () => {
  it('names the field and both values', () => {
    expect(told(order, { ...order, customer: 'Tern & Co' })).toEqual([
      'Customer: Tide Observatory -> Tern & Co',
    ])
    expect(told(order, { ...order, notes: '' })).toEqual([expect.stringMatching(/^Notes: .+ -> none$/)])
  })
  it('says where it was made, in the reader’s units', () => {
    const wider = { ...order, placements: order.placements.map((p) => ({ ...p, width: 0.3048 })) }
    expect(told(order, wider)[0]).toMatch(/^Print P1, width: .+ mm -> 304.8 mm$/)
    expect(told(order, wider, 'inch')[0]).toMatch(/ -> 12 in$/)
    const more = {
      ...order,
      lines: order.lines.map((l) => ({ ...l, sizes: l.sizes.map((s) => ({ ...s, quantity: 1 })) })),
    }
    expect(told(order, more)[0]).toBe('Garments G1 Size S, pieces: 24 -> 1')
  })
  it('names items that came and went, times and switches', () => {
    const { shop } = DEMO_SHELF
    const [first, ...rest] = shop.presses
    expect(told(DEMO_SHELF, { ...DEMO_SHELF, shop: { ...shop, presses: rest } })[0]).toBe(
      `Press, ${first?.id}: Carousel Four -> none`,
    )
    const late = { ...shop, hours: { ...shop.hours, to: 64_800 } }
    expect(told(DEMO_SHELF, { ...DEMO_SHELF, shop: late })).toEqual(['To: 16:30 -> 18:00'])
    const down = {
      ...shop,
      presses: shop.presses.map((p) => (p.kind === 'manual' ? { ...p, down: [2] } : p)),
    }
    expect(told(DEMO_SHELF, { ...DEMO_SHELF, shop: down })[0]).toBe(
      'Press four, heads out of service: none -> 2',
    )
  })
  it('names own choices by their settings and screens', () => {
    const list = changes({ overrides: {} }, { overrides: { offContact: 0.003 } })
    expect(list[0] && changeWords(list[0], 'inch')).toEqual({
      label: 'Own choice, off-contact',
      from: 'none',
      to: '1/8 in',
    })
    expect(editLabel(list)).toBe('Own choice, off-contact')
    const squeegee = changes({ overrides: { 'squeegee.I1': '70' } }, { overrides: { 'squeegee.I1': '80' } })
    expect(editLabel(squeegee, screenNames(order))).toBe(
      `Own choice, squeegee, ${order.placements[0]?.inks[0]?.name.toLowerCase()}`,
    )
  })
  it('has words for every field of the shop and of an order, and for every practice', () => {
    const without = new Set<string>()
    const walk = (schema: object, around: string) => {
      const { fields = {}, innerType } = schema as { fields?: Record<string, object>; innerType?: object }
      for (const [name, of] of Object.entries(fields)) {
        if (around !== 'method' && !Object.hasOwn(FIELDS, name)) without.add(name)
        walk(of, name)
      }
      if (innerType) walk(innerType, around)
    }
    for (const schema of [shelfSchema, orderSchema]) walk(schema.describe(), '')
    expect([...without]).toEqual([])
    expect(changeWords({ path: ['shop', 'method', 'label'], from: 'a', to: 'b' }, 'metric').label).toBe(
      'Neck label',
    )
  })
  it('counts what else an edit did', () => {
    expect(editLabel(changes(order, { ...order, customer: 'A', title: 'B', notes: 'C' }))).toBe(
      'Customer and 2 more',
    )
    expect(editLabel([])).toBe('')
  })
})

describe('hatching for colours', () => {
  it('has a pattern for every colour, and tells most inks of the shelf apart', () => {
    const ids = new Set(HATCHES.map(hatchId))
    for (const ink of DEMO_INKS) expect(ids).toContain(hatchId(hatchOf(ink.hex)))
    expect(new Set(DEMO_INKS.map((i) => hatchId(hatchOf(i.hex)))).size).toBeGreaterThanOrEqual(6)
  })
  it('stands closer for darker colours', () => {
    expect(hatchOf('#191a1b').gap).toBeLessThan(hatchOf('#808080').gap)
    expect(hatchOf('#808080').gap).toBeLessThan(hatchOf('#f4f4f0').gap)
  })
  it('is painted without blue', () => {
    for (const ink of DEMO_INKS)
      for (const [, blue = ''] of hatchCss(ink.hex).matchAll(/#[0-9a-f]{4}([0-9a-f]{2})/g))
        expect(blue).toBe('00')
  })
})
