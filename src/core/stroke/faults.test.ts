import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD } from '../advice'
import type { Press } from '../equipment'
import { FAULTS, type Fault, remedies } from './faults'
import { strokeFor } from './stroke'

const press: Press = {
  id: 'p',
  name: 'Press',
  palletWidth: 0.4,
  palletHeight: 0.5,
  palletMaterial: 'aluminium',
  kind: 'manual',
  heads: 6,
  down: [],
  pallets: 4,
}
const stroke = (use: 'top' | 'halftone' | 'base', overrides = {}, at: Press = press) =>
  strokeFor(
    {
      hitId: 'x',
      screen: { id: '', words: '' },
      name: 'Red',
      use,
      mesh: 7700,
      darkCloth: true,
      offPallet: false,
      driesInScreen: false,
      height: 0.33,
      system: 'plastisol',
      thin: false,
      schools: DEFAULT_METHOD,
    },
    at,
    { squeegees: [], approved: [] },
    DEFAULT_METHOD,
    overrides,
  )
const changes = (fault: Fault, of = stroke('top')) =>
  remedies(fault, 'Red', of).map((r) => r.change && [r.change.key, r.change.value])

// What printers change first; common practice, no source.
describe('what to change first for what is seen', () => {
  it('patches: more pressure, slower, an extra stroke', () => {
    const [first, second, third] = changes('patchy')
    expect(first).toEqual(['pressure.x', 'firm'])
    expect(second?.[0]).toBe('time.x')
    expect(second?.[1]).toBeGreaterThan(1.3)
    expect(third).toEqual(['strokes.x', 2])
  })
  it('clumpy dots: less pressure, harder squeegee', () => {
    const firm = stroke('halftone', { 'pressure.x': 'firm' })
    expect(changes('clumpy', firm).slice(0, 2)).toEqual([
      ['pressure.x', 'medium'],
      ['squeegee.x', '90'],
    ])
  })
  it('on a press with a scale pressure goes in small increments', () => {
    const scale: Press = { ...press, pressure: { scale: 'turns', light: 2, medium: 3, firm: 5 } }
    const [first] = changes('patchy', stroke('top', {}, scale))
    expect(first).toEqual(['gauge.x', 3.375])
    expect(changes('clumpy', stroke('top', {}, scale))[0]).toEqual(['gauge.x', 2.625])
  })
  it('what is at its end is not offered: light stays light, one stroke stays one, upright stays upright', () => {
    const least = stroke('top', { 'pressure.x': 'light', 'angle.x': 0 })
    const keys = (f: Fault) => changes(f, least).map((c) => c?.[0])
    expect(keys('through')).toEqual(['time.x'])
    expect(keys('smeared')).toEqual(['time.x'])
  })
  it('prints that differ: nothing but an even hand', () => {
    expect(remedies('uneven', 'Red', stroke('halftone')).map((r) => [r.reason.rule, r.change])).toEqual([
      ['FAULT_EVEN', undefined],
    ])
  })
  it('taken, a remedy is what the stroke then is', () => {
    for (const fault of Object.keys(FAULTS) as Fault[])
      for (const { change } of remedies(fault, 'Red', stroke('base'))) {
        if (!change) continue
        const after = stroke('base', { [change.key]: change.value })
        const setting = Object.values(after).find((a) => a?.key === change.key)
        expect(setting?.chosen).toBe(change.value)
      }
  })
})
