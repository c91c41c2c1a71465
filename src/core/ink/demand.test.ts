import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type InkRoom, STARTER_RACK, USUAL_INK_ROOM } from '../equipment'
import { inkDemand } from './demand'
import type { Can } from './stock'

const ORANGE = '#d8622a' as const
const WHITE = '#f4f4f0' as const
const [first, second] = STARTER_RACK.filter((i) => i.system === 'plastisol' && i.code !== 'W1')
if (!first || !second) throw new Error('a rack of three')
const formula = (name: string, a: number) => ({
  id: name,
  ...{ name, system: 'plastisol', target: { L: 60, a: 40, b: 50 } },
  parts: [
    { code: first.code, share: a },
    { code: second.code, share: 1 - a },
  ],
})
const ROOM = {
  ...USUAL_INK_ROOM,
  rack: STARTER_RACK,
  formulas: [formula('Buoy orange', 0.5), formula('Kelp', 0.25)],
} as unknown as InkRoom
const need = (
  runId: string,
  name: string,
  mass: number,
  more: { hex?: `#${string}`; due?: string } = {},
) => ({
  ...{ runId, name, mass, system: 'plastisol', expands: false },
  ...{ hex: more.hex ?? ORANGE, due: more.due ?? '2026-12-04' },
})
const can = (code: string, mass: number): Can => ({
  ...{ id: `C-${code}`, code, lot: '', received: '', opened: '', mass },
})
const begins = new Map([
  ['R-1', 100],
  ['R-2', 200],
  ['R-3', 300],
])

describe('ink that all runs want', () => {
  it('is kept for whoever prints first, not for who is due first', () => {
    const needs = [
      need('R-2', 'White', 0.4, { hex: WHITE, due: '2026-12-01' }),
      need('R-1', 'White', 0.4, { hex: WHITE }),
    ]
    const [white] = inkDemand(needs, begins, ROOM, [can('W1', 0.5)], []).inks
    expect(white?.needs.map((n) => [n.need.runId, n.kept.toFixed(1)])).toEqual([
      ['R-1', '0.4'],
      ['R-2', '0.1'],
    ])
    expect(white?.by).toBe(200)
  })
  it('one colour of several runs is one batch, wanted by the first of them', () => {
    const needs = [need('R-3', 'Buoy orange', 0.2), need('R-2', 'Buoy orange', 0.3)]
    const [orange, ...others] = inkDemand(needs, begins, ROOM, [], []).inks
    expect(others).toEqual([])
    expect(orange?.short).toBeCloseTo(0.5)
    expect(orange?.by).toBe(200)
  })
  it('what two mixes take from one can is added up: it is to buy, by when the first falls short', () => {
    const needs = [need('R-1', 'Buoy orange', 0.4), need('R-2', 'Kelp', 0.4, { hex: '#2a6a4a' })]
    const { buy } = inkDemand(needs, begins, ROOM, [can(first.code, 0.25), can(second.code, 9)], [])
    // Orange takes 0.2 of the first ink, kelp 0.1: 0.25 is there.
    expect(buy).toHaveLength(1)
    expect(buy[0]).toMatchObject({ code: first.code, by: 200, into: ['Kelp'] })
    expect(buy[0]?.short).toBeCloseTo(0.05)
  })
  it('what is printed from a can is not there to be mixed with', () => {
    const mixed = { ...formula('Pale', 0.5), parts: [{ code: 'W1', share: 1 }] }
    const room = { ...ROOM, formulas: [mixed] } as unknown as InkRoom
    const needs = [need('R-1', 'White', 0.4, { hex: WHITE }), need('R-2', 'Pale', 0.4, { hex: '#b0d0c0' })]
    const { buy } = inkDemand(needs, begins, room, [can('W1', 0.5)], [])
    expect(buy.map((b) => [b.code, b.short.toFixed(1), b.into])).toEqual([['W1', '0.3', ['Pale']]])
  })
  it('a run without a place comes last; what no formula is known for is not bought', () => {
    const needs = [need('R-9', 'Rope brown', 0.2, { hex: '#6b4423' })]
    const { inks, buy } = inkDemand(needs, begins, ROOM, [], [])
    expect([inks[0]?.by, buy]).toEqual([undefined, []])
  })
  it('no gram is promised twice: what is kept, mixed in and bought is what is there and comes, whatever is wanted', () => {
    const anyNeed = fc.record({
      run: fc.constantFrom('R-1', 'R-2', 'R-3', 'R-9'),
      name: fc.constantFrom('Buoy orange', 'Kelp'),
      mass: fc.double({ min: 0.01, max: 2, noNaN: true }),
    })
    fc.assert(
      fc.property(
        fc.array(anyNeed, { maxLength: 8 }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (asked, there) => {
          const needs = asked.map((a) => need(a.run, a.name, a.mass))
          const { inks, buy } = inkDemand(needs, begins, ROOM, [can(first.code, there)], [])
          const wanted = inks.reduce(
            (sum, i) => sum + i.short * (i.mix?.parts.find((p) => p.code === first.code)?.share ?? 0),
            0,
          )
          const bought = buy.find((b) => b.code === first.code)?.short ?? 0
          const lacks = Math.max(0, wanted - there)
          expect(bought).toBeLessThanOrEqual(lacks + 1e-9)
          expect(bought).toBeGreaterThanOrEqual(lacks - 1e-3)
        },
      ),
    )
  })
})
