import { describe, expect, it } from 'vitest'
import { activity, evaporation, latent, regainIn, saturation } from './water'

const C = 273.15

describe('water', () => {
  it.each([
    [0, 611.2],
    [20, 2339],
    [40, 7384],
    [60, 19_940],
    [80, 47_390],
    [100, 101_400],
  ])('vapour pressure at %d °C: %d Pa (steam tables)', (t, pa) => {
    expect(saturation(C + t) / pa).toBeCloseTo(1, 2)
  })
  it.each([
    [20, 2453.5],
    [60, 2357.7],
    [100, 2256.4],
  ])('latent heat at %d °C: %d kJ/kg (steam tables), within half a percent', (t, kJ) => {
    expect(Math.abs(latent(C + t) / (kJ * 1000) - 1)).toBeLessThan(0.005)
  })
  it('cotton holds 7 to 9 % in the standard climate of 65 % (common practice, textile testing)', () => {
    expect(regainIn(0.65)).toBeGreaterThan(0.07)
    expect(regainIn(0.65)).toBeLessThan(0.09)
  })
  it('the curve of the regain reads the same both ways', () => {
    for (const humidity of [0.1, 0.5, 0.9]) expect(activity(regainIn(humidity))).toBeCloseTo(humidity, 12)
    expect(activity(0)).toBe(0)
  })
  it('a wet surface in moving air stays at the wet bulb (psychrometer formula, within 3 K)', () => {
    for (const [dry, humidity] of [
      [40, 0.2],
      [60, 0.1],
    ] as const) {
      const pv = humidity * saturation(C + dry)
      const wet = (balance: (t: number) => number) => {
        let [low, high] = [C - 5, C + dry]
        for (let i = 0; i < 60; i++) {
          const middle = (low + high) / 2
          if (balance(middle) > 0) low = middle
          else high = middle
        }
        return low
      }
      const ours = wet((t) => 20 * (C + dry - t) - latent(t) * evaporation(t, 20, 1, pv))
      // p_v = p_sat(wet) - 6.62e-4 p (t - wet), ventilated.
      const psychrometer = wet((t) => pv - (saturation(t) - 6.62e-4 * 101_325 * (C + dry - t)))
      expect(Math.abs(ours - psychrometer)).toBeLessThan(3)
    }
  })
  it('never runs backwards, and goes on past boiling', () => {
    expect(evaporation(C + 20, 5, 0.3, 2000)).toBe(0)
    const at = (t: number) => evaporation(C + t, 5, 1, 1000)
    expect(at(99)).toBeGreaterThan(at(95))
    expect(at(110)).toBeGreaterThan(at(100))
    expect(at(130)).toBeGreaterThan(at(110))
    expect(Number.isFinite(at(250))).toBe(true)
  })
  it('says what a kelvin more adds: its own central difference', () => {
    for (const t of [10, 45, 80, 97, 115, 160]) {
      const more = { perKelvin: Number.NaN }
      evaporation(C + t, 8, 0.9, 1500, more)
      const at = (by: number) => evaporation(C + t + by, 8, 0.9, 1500)
      const difference = (at(1e-3) - at(-1e-3)) / 2e-3
      expect(more.perKelvin, `${t}`).toBeCloseTo(difference, 9)
      if (at(0) > 0) expect(Math.abs(more.perKelvin / difference - 1)).toBeLessThan(1e-4)
    }
  })
})
