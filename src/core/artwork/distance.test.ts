import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coarseDistance, coarseOf, components } from './coarse'
import { distancesOf, REACH } from './distance'
import { bitAt, CELL, emptyPlane, type Plane, tileCounts } from './plane'
import { blots, dust, plane, setBit } from './plane.fixtures'

/** The nearest pixel of the other kind, by looking at all of them. */
function byHand(p: Plane, x: number, y: number): number {
  const own = bitAt(p, x, y)
  let best = Number.POSITIVE_INFINITY
  for (let j = 0; j < p.height; j++)
    for (let i = 0; i < p.width; i++)
      if (bitAt(p, i, j) !== own) best = Math.min(best, Math.hypot(i - x, j - y))
  return best
}

describe('distance to the other side of the edge', () => {
  it('is exact within reach, and unknown beyond it (property, against looking at every pixel)', () => {
    fc.assert(
      fc.property(fc.oneof(blots(90), dust(90)), fc.nat(89), fc.nat(82), (p, x, y) => {
        const found = distancesOf(p, tileCounts(p)).nearest(x, y)
        const truth = byHand(p, x, y)
        if (truth > REACH) {
          // The film ends there, and outside it is clear: a full film has an edge at its border.
          if (found) expect(bitAt(p, found.x, found.y)).not.toBe(bitAt(p, x, y))
          return
        }
        expect(found?.d).toBeLessThanOrEqual(truth + 1e-9)
        if (found && found.x >= 0 && found.y >= 0 && found.x < p.width && found.y < p.height) {
          expect(found.d).toBeCloseTo(truth, 9)
          expect(Math.hypot(found.x - x, found.y - y)).toBeCloseTo(found.d, 9)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('reaches across the border of tiles, along rows, columns and aslant', () => {
    const p = emptyPlane(160, 160)
    setBit(p, 64, 64)
    const { nearest } = distancesOf(p, tileCounts(p))
    expect(nearest(60, 64)).toEqual({ d: 4, x: 64, y: 64 })
    expect(nearest(64, 50)).toEqual({ d: 14, x: 64, y: 64 })
    expect(nearest(61, 60)).toEqual({ d: 5, x: 64, y: 64 })
    expect(nearest(64, 64)?.d).toBe(1)
    expect(nearest(64 - REACH - 1, 64)).toBeUndefined()
  })

  it('finds nothing on an empty film', () => {
    const p = emptyPlane(200, 200)
    expect(distancesOf(p, tileCounts(p)).nearest(100, 100)).toBeUndefined()
  })
})

describe('the coarse grid', () => {
  it('holds a cell for every 8 x 8 pixels with ink (property)', () => {
    fc.assert(
      fc.property(blots(140), (p) => {
        const { columns, rows, filled } = coarseOf(p)
        for (let j = 0; j < rows; j++)
          for (let i = 0; i < columns; i++) {
            let ink = 0
            for (let y = 0; y < CELL; y++)
              for (let x = 0; x < CELL; x++) ink |= bitAt(p, i * CELL + x, j * CELL + y)
            expect(filled[j * columns + i]).toBe(ink)
          }
      }),
      { numRuns: 15 },
    )
  })

  it('measures to about a twelfth of the way: chamfer against true distance (property)', () => {
    fc.assert(
      fc.property(dust(200), (p) => {
        const coarse = coarseOf(p)
        const d = coarseDistance(coarse)
        const full = [...coarse.filled.keys()].filter((i) => coarse.filled[i])
        fc.pre(full.length > 0)
        for (let cell = 0; cell < d.length; cell += 7) {
          const [x, y] = [cell % coarse.columns, Math.floor(cell / coarse.columns)]
          const truth = Math.min(
            ...full.map((f) => Math.hypot((f % coarse.columns) - x, Math.floor(f / coarse.columns) - y)),
          )
          expect(Math.abs((d[cell] as number) - truth)).toBeLessThanOrEqual(0.09 * truth + 1e-6)
        }
      }),
      { numRuns: 15 },
    )
  })

  it('joins cells by side and corner, and leaves out what is too large', () => {
    const p = emptyPlane(128, 64)
    for (const [x, y] of [
      [1, 1],
      [9, 9],
      [60, 1],
    ] as const)
      setBit(p, x, y)
    const coarse = coarseOf(p)
    expect(components(coarse, 10).map((c) => c.length)).toEqual([2, 1])
    expect(components(coarse, 1).map((c) => c.length)).toEqual([1])
  })

  it('knows no distance on an empty film', () => {
    const d = coarseDistance(coarseOf(plane('....')))
    expect(Math.min(...d)).toBeGreaterThan(1e5)
  })
})
