import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_RACK, USUAL_INK_ROOM } from '../equipment'
import type { WantedInk } from './serve'
import type { Batch, Can } from './stock'
import { inksWanted } from './wanted'

const ROOM = { ...USUAL_INK_ROOM, rack: STARTER_RACK, formulas: [] }
const want = (name: string, hex: `#${string}`, mass: number): WantedInk => ({
  name,
  hex,
  system: 'plastisol',
  mass,
  expands: false,
})
/** As white as the white of the rack: it is printed straight from the can. */
const WHITE = '#f4f4f0' as const
const can = (mass: number): Can => ({ id: 'C-1', code: 'W1', lot: '', received: '', opened: '', mass })

describe('what the runs want, ink by ink', () => {
  it('one ink of two runs is one line, with what both want', () => {
    const [white, ...others] = inksWanted(
      [want('White', WHITE, 0.4), want('white ', WHITE, 0.3)],
      ROOM,
      [can(2)],
      [],
    )
    expect(others).toEqual([])
    expect(white?.wanted).toBeCloseTo(0.7)
    expect(white?.short).toBe(0)
    expect(white?.needs.map((n) => n.kept)).toEqual([0.4, 0.3])
  })
  it('two inks from one can never get more than is in it; who is due first goes first', () => {
    const inks = inksWanted(
      [want('Base white', WHITE, 0.4), want('Harbour white', WHITE, 0.3)],
      ROOM,
      [can(0.5)],
      [],
    )
    expect(inks.map((i) => [i.needs[0]?.need.name, i.short.toFixed(2)])).toEqual([
      ['Harbour white', '0.20'],
      ['Base white', '0.00'],
    ])
  })
  it('what has neither tub nor can nor formula is short whole, and stands first', () => {
    const inks = inksWanted(
      [want('White', WHITE, 0.1), want('Rope brown', '#6b4423', 0.2)],
      ROOM,
      [can(1)],
      [],
    )
    expect(inks.map((i) => i.needs[0]?.need.name)).toEqual(['Rope brown', 'White'])
    expect(inks[0]).toMatchObject({ short: 0.2, kept: 0, mix: undefined })
  })
  it('what is on the bench under its name counts as on its way', () => {
    const brown = want('Rope brown', '#6b4423', 0.5)
    const batch: Batch = {
      id: 'B-1',
      name: 'rope brown',
      system: 'plastisol',
      target: { l: 30, a: 10, b: 20 },
      runId: '',
      hitId: '',
      wanted: 0.4,
      begun: '2026-11-20T08:00',
      mixed: undefined,
      expires: undefined,
      state: 'mixing',
      parts: [],
      poured: {},
      mass: 0.1,
      drawdowns: [],
    }
    const [ink] = inksWanted([brown], ROOM, [], [], [batch])
    expect(ink?.coming).toBeCloseTo(0.4)
    expect(ink?.short).toBeCloseTo(0.1)
    expect(inksWanted([brown], ROOM, [], [], [{ ...batch, system: 'waterBased' }])[0]?.coming).toBe(0)
  })
  it('no gram is promised twice, nothing wanted is lost, more in the can never leaves more short (property)', () => {
    const needs = fc.array(
      fc.record({
        name: fc.constantFrom('A', 'B', 'C'),
        mass: fc.double({ min: 0.01, max: 2, noNaN: true }),
      }),
      { maxLength: 12 },
    )
    fc.assert(
      fc.property(needs, fc.double({ min: 0, max: 6, noNaN: true }), (asked, mass) => {
        const all = asked.map((a) => want(a.name, WHITE, a.mass))
        const tubs: Batch[] = []
        const inks = inksWanted(all, ROOM, [can(mass)], tubs)
        const sum = (of: (i: (typeof inks)[number]) => number) => inks.reduce((s, i) => s + of(i), 0)
        expect(sum((i) => i.kept)).toBeLessThanOrEqual(mass + 1e-9)
        expect(sum((i) => i.wanted)).toBeCloseTo(
          all.reduce((s, a) => s + a.mass, 0),
          9,
        )
        for (const i of inks) expect(i.kept + i.short).toBeCloseTo(i.wanted, 5)
        const more = inksWanted(all, ROOM, [can(mass + 1)], tubs)
        expect(more.reduce((s, i) => s + i.short, 0)).toBeLessThanOrEqual(sum((i) => i.short) + 1e-9)
      }),
    )
  })
})
