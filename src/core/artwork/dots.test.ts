import { describe, expect, it } from 'vitest'
import { lpi, perCm } from '../quantity'
import { lostDots, smallestDot } from './dots'

const tpi = (n: number) => n / 0.0254
const halftone = (least: number, most: number, ruling = 55, sure = true) => ({
  halftones: [
    {
      ruling: lpi(ruling),
      angle: 0.39,
      shape: 'dots' as const,
      confidence: 0.9,
      sure,
      tints: [least, most] as const,
      area: 0.01,
      lightest: { x: 0.1, y: 0.2 },
    },
  ],
})
const FABRICS = [43, 61, 77, 90, 120, 140].map(perCm)

describe('the smallest dot that a mesh holds', () => {
  // Inside figures of the model: a dot needs one mesh pitch (assumed).
  it.each([
    [230, 55, 0.045],
    [230, 45, 0.03],
    [230, 65, 0.063],
    [156, 55, 0.098],
  ])('%s tpi at %s lpi: %s', (mesh, ruling, share) => {
    expect(smallestDot(tpi(mesh), lpi(ruling))).toBeCloseTo(share, 3)
  })

  it('a dot of the smallest tint is as wide as a thread pitch (geometry of round dots)', () => {
    const [mesh, ruling] = [perCm(90), lpi(55)]
    const wide = (2 * Math.sqrt(smallestDot(mesh, ruling) / Math.PI)) / ruling
    expect(wide).toBeCloseTo(1 / mesh, 9)
  })

  it('what is lost is told with its place and the mesh that would hold it', () => {
    const [told] = lostDots('red.png', halftone(0.04, 0.6), perCm(61), FABRICS)
    expect(told?.reason.rule).toBe('DOTS_LOST')
    expect(told?.place).toEqual({ x: 0.1, y: 0.2 })
    // The coarsest of the shop that does.
    const holds = FABRICS.find((m) => smallestDot(m, lpi(55)) <= 0.04)
    expect(told?.reason.inputs.holds).toMatchObject({ value: holds })
    expect(lostDots('red.png', halftone(0.04, 0.6), perCm(120), FABRICS)).toEqual([])
  })

  it('holes alike; where no mesh holds them, so', () => {
    const rules = (least: number, most: number) =>
      lostDots('red.png', halftone(least, most), perCm(61), FABRICS).map((l) => l.reason.rule)
    expect(rules(0.2, 0.95)).toEqual(['HOLES_LOST'])
    expect(rules(0.012, 0.5)).toEqual(['DOTS_LOST_NONE'])
    expect(rules(0.5, 0.988)).toEqual(['HOLES_LOST_NONE'])
    // Clear film and solids hold no dots at all.
    expect(rules(0.002, 0.999)).toEqual([])
  })

  it('of what may be a pattern nothing is told', () => {
    expect(lostDots('red.png', halftone(0.04, 0.6, 55, false), perCm(43), FABRICS)).toEqual([])
  })
})
