import { expect, it } from 'vitest'
import { degrees, lpi, perCm } from '../quantity'
import { beatOf, moireRisk } from './moire'

it.each([
  [45, 40.7],
  [22.5, 1.8],
  [0, 2.5],
])(
  '55 lpi on 61 T/cm at %s degrees beats every %s mm (worked by the difference of frequencies)',
  (angle, period) => {
    expect(beatOf(lpi(55), degrees(angle), perCm(61)).period * 1000).toBeCloseTo(
      period,
      angle === 45 ? -0.3 : 1,
    )
  },
)

it('the plain pattern at 45 degrees is called so, the safe single angle is not (common practice, no source)', () => {
  expect(moireRisk(beatOf(lpi(55), degrees(45), perCm(61)))).toBe('plain')
  expect(moireRisk(beatOf(lpi(55), degrees(22.5), perCm(61)))).toBe('none')
})

it('turning the halftone by a right angle changes nothing (symmetry)', () => {
  const a = beatOf(lpi(45), degrees(12), perCm(90))
  const b = beatOf(lpi(45), degrees(102), perCm(90))
  expect(b.period).toBeCloseTo(a.period, 9)
})

it('is what trying every wave of the halftone against every wave of the mesh finds (brute force)', () => {
  const rotated = (x: number, y: number, by: number) =>
    [x * Math.cos(by) - y * Math.sin(by), x * Math.sin(by) + y * Math.cos(by)] as const
  const ramp = (period: number) => (period >= 0.3 ? 0 : Math.min(1, Math.max(0, (period - 0.001) / 0.005)))
  const tried = (ruling: number, angle: number, mesh: number) => {
    let best = 0
    let periods: number[] = []
    for (let i = -12; i <= 12; i++)
      for (let j = -12; j <= 12; j++)
        for (let m = -2; m <= 2; m++)
          for (let n = -2; n <= 2; n++) {
            const order = Math.abs(i) + Math.abs(j)
            const woven = Math.abs(m) + Math.abs(n)
            if (order === 0 || order > 12 || woven === 0 || woven > 2) continue
            const [x, y] = rotated(i * ruling, j * ruling, angle)
            const period = 1 / Math.hypot(x - m * mesh, y - n * mesh)
            const strength = (order ** -1.5 / woven) * ramp(period)
            if (strength > best + 1e-12) {
              best = strength
              periods = [period]
            } else if (strength > 0 && Math.abs(strength - best) <= 1e-12) periods.push(period)
          }
    return { best, periods }
  }
  for (let k = 0; k < 120; k++) {
    const [ruling, angle, mesh] = [
      lpi(30 + ((k * 7) % 45)),
      degrees((k * 11.3) % 90),
      perCm(40 + ((k * 13) % 110)),
    ]
    const found = beatOf(ruling, angle, mesh)
    const { best, periods } = tried(ruling, angle, mesh)
    expect(found.strength).toBeCloseTo(best, 9)
    if (best > 0) expect(Math.min(...periods.map((p) => Math.abs(p - found.period) / p))).toBeLessThan(1e-6)
  }
})
