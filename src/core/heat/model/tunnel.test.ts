import { describe, expect, it } from 'vitest'
import { USUAL_AMBIENT } from './garment'
import { C, takesOf } from './heat.fixtures'
import { FABRICS, INKS, type InkKind } from './materials'
import { beltWindow, type Load, pass, shiftFor, type TunnelKind, tunnelOf } from './tunnel'

const HEATED = { infrared: 2.4, gas: 3.6 } as const
const load = (ink: InkKind, fabric: keyof typeof FABRICS = 'cotton'): Load => ({
  fabric: FABRICS[fabric],
  ink: INKS[ink],
  takes: takesOf(ink),
  ambient: USUAL_AMBIENT,
})
const film = (least: number, most: number) => ({ least: least + C, most: most + C })
/** Seconds in the heated length at the highest belt speed, and at the lowest. */
function dwells(kind: TunnelKind, ink: InkKind, least: number, most: number, fabric?: keyof typeof FABRICS) {
  const w = beltWindow(tunnelOf(kind, HEATED[kind]), load(ink, fabric), film(least, most))
  return {
    short: w.most === undefined ? Number.NaN : HEATED[kind] / w.most,
    long: w.least === undefined ? Number.POSITIVE_INFINITY : HEATED[kind] / w.least,
  }
}

describe('facts of the trade (common practice; the tunnels are tuned to the first two)', () => {
  it.each(['infrared', 'gas'] as const)('%s: plastisol at 160 °C in about a minute', (kind) => {
    expect(dwells(kind, 'base', 160, 190).short).toBeGreaterThan(40)
    expect(dwells(kind, 'base', 160, 190).short).toBeLessThan(75)
  })
  it.each(['infrared', 'gas'] as const)('%s: water-based ink wants 90 to 150 s', (kind) => {
    for (const ink of ['highSolids', 'waterBased'] as const) {
      expect(dwells(kind, ink, 155, 190).short).toBeGreaterThan(85)
      expect(dwells(kind, ink, 155, 190).short).toBeLessThan(150)
    }
  })
  it('metallic takes longer than plain plastisol, expanding ink has a window with two ends', () => {
    expect(dwells('infrared', 'metallic', 170, 190).short).toBeGreaterThan(60)
    const puff = dwells('infrared', 'expanding', 165, 180)
    expect(puff.short).toBeLessThan(puff.long)
    expect(puff.long).toBeLessThan(150)
  })
  it('an ordinary tunnel is too hot for low-cure ink on polyester: at 60 s its set points have to come down', () => {
    expect(dwells('infrared', 'low', 132, 150, 'polyester').long).toBeLessThan(60)
    expect(shiftFor('infrared', 2.4, load('low', 'polyester'), 2.4 / 60, 132 + C)).toBeLessThan(-20)
  })
  it('damp cloth takes longer', () => {
    const peaks = [0, 0.04, 0.075, 0.12, 0.2].map(
      (regain) => pass(tunnelOf('infrared', 2.4), { ...load('base'), regain }, 2.4 / 60).peak,
    )
    expect(peaks).toEqual([...peaks].sort((a, b) => b - a))
  })
})

// What another program that was written from the same equations came to: figures of the inside, no check from outside.
describe('inside figures', () => {
  it.each([
    ['infrared', 'base', 160, 190, 56],
    ['infrared', 'metallic', 170, 190, 66.1],
    ['infrared', 'expanding', 165, 180, 60.3],
    ['infrared', 'highSolids', 155, 190, 99.8],
    ['infrared', 'waterBased', 155, 190, 95.4],
    ['gas', 'base', 160, 190, 47.7],
    ['gas', 'metallic', 170, 190, 74.4],
    ['gas', 'expanding', 165, 180, 56.8],
    ['gas', 'highSolids', 155, 190, 91],
    ['gas', 'waterBased', 155, 190, 93.6],
  ] as const)('%s, %s: %d to %d °C in %d s', (kind, ink, least, most, seconds) => {
    expect(Math.abs(dwells(kind, ink, least, most).short / seconds - 1)).toBeLessThan(0.1)
  })
  it('damp cloth for 60 s in the infrared tunnel: 175, 167, 159, 146 and 121 °C', () => {
    for (const [regain, peak] of [
      [0, 175],
      [0.04, 167],
      [0.075, 159],
      [0.12, 146],
      [0.2, 121],
    ] as const) {
      const found = pass(tunnelOf('infrared', 2.4), { ...load('base'), regain }, 2.4 / 60).peak - C
      expect(Math.abs(found - peak)).toBeLessThan(3)
    }
  })
})

describe('what always holds', () => {
  it('a slower belt is never cooler and never cures less', () => {
    let before = { peak: 0, cure: 0 }
    for (const speed of [0.2, 0.1, 0.05, 0.03, 0.02, 0.01]) {
      const now = pass(tunnelOf('gas', 3.6), load('waterBased'), speed)
      expect(now.peak).toBeGreaterThanOrEqual(before.peak - 1e-6)
      expect(now.cure).toBeGreaterThanOrEqual(before.cure)
      before = now
    }
  })
  it('the window is where it says: on it the print is cured, a little faster it is not', () => {
    const zones = tunnelOf('infrared', 2.4)
    const { most = 0 } = beltWindow(zones, load('base'), film(160, 190))
    expect(pass(zones, load('base'), most).peak).toBeGreaterThanOrEqual(160 + C - 1e-6)
    expect(pass(zones, load('base'), most * 1.02).peak).toBeLessThan(160 + C)
  })
  it('a tunnel that never gets there has no speed', () => {
    expect(beltWindow(tunnelOf('infrared', 2.4, -200), load('base'), film(160, 190)).most).toBeUndefined()
  })
  it('the shift that cures at a speed does, and a little less does not', () => {
    const speed = 2.4 / 45
    const shift = shiftFor('infrared', 2.4, load('base'), speed, 160 + C)
    expect(pass(tunnelOf('infrared', 2.4, shift), load('base'), speed).peak).toBeGreaterThanOrEqual(160 + C)
    expect(pass(tunnelOf('infrared', 2.4, shift - 1), load('base'), speed).peak).toBeLessThan(160 + C)
  })
  it('the profile runs along the whole belt', () => {
    const p = pass(tunnelOf('gas', 3.6), load('waterBased'), 0.04, true)
    expect(p.along.at(-1)?.at).toBeCloseTo(3.6 + 0.6, 6)
    expect(Math.max(...p.along.map((a) => a.film))).toBeCloseTo(p.peak, 9)
    expect(p.dry).toBeGreaterThan(5)
    expect(pass(tunnelOf('gas', 3.6), load('base'), 0.04).dry).toBeUndefined()
  })
})
