import { describe, expect, it } from 'vitest'
import type { Press } from '../equipment'
import { beltRate, cycleTime, runTime, sustained } from './rate'

const pallet = { id: 'p', name: 'Press', palletWidth: 0.4, palletHeight: 0.5, board: 'aluminium' } as const
const four: Press = { ...pallet, kind: 'manual', heads: 6, down: [], pallets: 4 }
const automatic: Press = { ...pallet, kind: 'automatic', stations: [] }
const single: Press = { ...pallet, kind: 'single', heads: 4, down: [] }
const benchPress: Press = { ...pallet, kind: 'bench' }
const BASE_AND_THREE = [[2], [1, 1, 1]]
const need = { press: four, groups: BASE_AND_THREE, flash: 8, cool: 20, pieces: 100 }
const perHour = (seconds: number) => 3600 / seconds

// Common practice, no source; the times are fitted to it, so these are checks of the arithmetic, not of the press.
describe('rates', () => {
  it('four screens with a flashed base on four pallets, alone: 30.0 s, 120 an hour', () => {
    expect(cycleTime(need)).toBeCloseTo(30.0, 1)
  })
  it('an automatic with a 6 s flash: 500 an hour; 8 s: about 391; unflashed: the loader sets about 620', () => {
    const auto = { ...need, press: automatic }
    expect(perHour(cycleTime({ ...auto, flash: 6 }))).toBeCloseTo(500, 0)
    expect(perHour(cycleTime({ ...auto, flash: 8 }))).toBeCloseTo(391, 0)
    expect(perHour(cycleTime({ ...auto, groups: [[1, 1]] }))).toBeCloseTo(620.7, 0)
  })
  it('one station, three colours: about 117 an hour burst, 103 sustained', () => {
    const cycle = cycleTime({ ...need, press: single, groups: [[1, 1, 1]] })
    expect(perHour(cycle)).toBeGreaterThan(110)
    expect(perHour(cycle)).toBeLessThan(135)
    expect(sustained(cycle, 3) * 3600).toBeLessThan(perHour(cycle))
  })
  it('a bench with two colours: about 59 an hour in batches of 8, 126 in batches of 24', () => {
    const bench = { ...need, press: benchPress, groups: [[1], [1]], cool: 240 }
    expect(perHour(cycleTime({ ...bench, pieces: 8 }))).toBeCloseTo(58.6, 0)
    expect(perHour(cycleTime({ ...bench, pieces: 500 }))).toBeCloseTo(125.9, 0)
  })
  it('a belt of 1.2 m/min takes 96 an hour (geometry)', () => {
    expect(beltRate(1.2 / 60) * 3600).toBeCloseTo(96)
  })
})

describe('a run', () => {
  it('never goes faster than its dryer or panel, and says so', () => {
    const free = runTime(need, undefined, false, {})
    const belt = runTime(need, 50 / 3600, false, {})
    expect(belt.rate.advised * 3600).toBeCloseTo(50)
    expect(belt.rate.reasons.map((r) => r.rule)).toContain('RATE_DRYER')
    expect(runTime(need, 50 / 3600, true, {}).rate.reasons.map((r) => r.rule)).toContain('RATE_PANEL')
    expect(belt.total.advised).toBeGreaterThan(free.total.advised)
  })
  it('is set-up plus pieces over pace', () => {
    const { setup, rate, total } = runTime(need, undefined, false, { setup: 1200, rate: 100 / 3600 })
    expect(setup.chosen).toBe(1200)
    expect(rate.chosen).toBeCloseTo(100 / 3600)
    expect(total.advised).toBeCloseTo(1200 + 3600)
  })
})
