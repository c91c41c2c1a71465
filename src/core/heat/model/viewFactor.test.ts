import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { meanFactor, spotFactor } from './viewFactor'

const PANEL = { width: 0.457, height: 0.457 }
const PRINT = { width: 0.3, height: 0.35 }

describe('view factors', () => {
  it('faces of a cube see a fifth of each other: 0.1998 (heat transfer handbooks)', () => {
    expect(meanFactor({ width: 1, height: 1 }, { width: 1, height: 1 }, 1)).toBeCloseTo(0.1998, 4)
  })
  it.each([
    [0.5, 0.5, 0.5, 0.1998],
    [2, 2, 1, 0.4153],
    [10, 10, 1, 0.8271],
  ])('equal squares of %d x %d at %d: the closed form of handbooks', (a, b, c, factor) => {
    const [x, y] = [a / c, b / c]
    const closed =
      (2 / (Math.PI * x * y)) *
      (Math.log(Math.sqrt(((1 + x * x) * (1 + y * y)) / (1 + x * x + y * y))) +
        x * Math.sqrt(1 + y * y) * Math.atan(x / Math.sqrt(1 + y * y)) +
        y * Math.sqrt(1 + x * x) * Math.atan(y / Math.sqrt(1 + x * x)) -
        x * Math.atan(x) -
        y * Math.atan(y))
    const found = meanFactor({ width: a, height: b }, { width: a, height: b }, c)
    expect(found).toBeCloseTo(closed, 6)
    expect(found).toBeCloseTo(factor, 3)
  })
  it('as counting rays finds it (Monte Carlo), at a spot and over the print', () => {
    const random = randomLcg(0.42)
    const hit = (x: number, y: number, d: number) => {
      // A ray by Lambert's law.
      const [r, phi] = [Math.sqrt(random()), 2 * Math.PI * random()]
      const up = Math.sqrt(1 - r * r)
      const [px, py] = [x + ((r * Math.cos(phi)) / up) * d, y + ((r * Math.sin(phi)) / up) * d]
      return Math.abs(px) <= PANEL.width / 2 && Math.abs(py) <= PANEL.height / 2 ? 1 : 0
    }
    const share = (at: () => readonly [number, number]) => {
      let sum = 0
      for (let i = 0; i < 200_000; i++) sum += hit(...at(), 0.065)
      return sum / 200_000
    }
    expect(spotFactor(PANEL, 0, 0, 0.065)).toBeCloseTo(
      share(() => [0, 0]),
      2,
    )
    expect(spotFactor(PANEL, 0.15, 0.175, 0.065)).toBeCloseTo(
      share(() => [0.15, 0.175]),
      2,
    )
    const anywhere = () => [(random() - 0.5) * PRINT.width, (random() - 0.5) * PRINT.height] as const
    expect(meanFactor(PRINT, PANEL, 0.065)).toBeCloseTo(share(anywhere), 2)
  })
  it('what a print sees of a panel, the panel sees of it by their areas (reciprocity)', () => {
    const there = meanFactor(PRINT, PANEL, 0.1) * PRINT.width * PRINT.height
    expect(meanFactor(PANEL, PRINT, 0.1) * PANEL.width * PANEL.height).toBeCloseTo(there, 12)
  })
  it('a farther panel is seen less, the corner less than the centre', () => {
    for (const d of [0.05, 0.1, 0.2, 0.5]) {
      expect(meanFactor(PRINT, PANEL, 2 * d)).toBeLessThan(meanFactor(PRINT, PANEL, d))
      expect(spotFactor(PANEL, 0.15, 0.175, d)).toBeLessThan(meanFactor(PRINT, PANEL, d))
      expect(meanFactor(PRINT, PANEL, d)).toBeLessThan(spotFactor(PANEL, 0, 0, d))
    }
  })
})
