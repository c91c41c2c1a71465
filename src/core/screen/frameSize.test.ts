import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Frame } from '../equipment'
import { mm, perCm } from '../quantity'
import { holds, sizesIn, sizeTaken } from './frameSize'

/** Sizes in mm; standard frames of the trade are about 58 x 79 cm, all-over ones 119 x 132 cm (common practice). */
const frame = (width: number, height: number, mesh = 43): Frame => ({
  id: `${width}.${height}.${mesh}`,
  width: mm(width),
  height: mm(height),
  mesh: perCm(mesh),
  tension: 2500,
  state: 'clean',
  readings: [],
})
const small = frame(580, 790)
const large = frame(1190, 1320)
const print = (width: number, height: number, press = {}) => ({ width: mm(width), height: mm(height), press })
const enough = () => 0

describe('frames by size', () => {
  it('an everyday print takes the small one, an all-over one the large one, in whatever order they stand', () => {
    for (const free of [
      [small, large],
      [large, small],
    ]) {
      expect(sizeTaken(free, print(280, 350), [], enough)).toEqual([small])
      expect(sizeTaken(free, print(900, 1000), [], enough)).toEqual([large])
    }
  })
  it('what the press does not take is not taken; where nothing fits, the largest that does', () => {
    const press = { frameWidth: mm(600), frameHeight: mm(800) }
    expect(sizeTaken([small, large], print(900, 1000, press), [], enough)).toEqual([small])
  })
  it('a size that lacks meshes gives way to the next, and of two alike screens that are there decide', () => {
    const short = (frames: readonly Frame[]) => (frames.includes(small) ? 2 : 0)
    expect(sizeTaken([small, large], print(280, 350), [], short)).toEqual([large])
    expect(sizeTaken([small, large], print(280, 350), [large], enough)).toEqual([large])
  })
  it('where no one size has all of them, every size that holds the print', () => {
    const short = (frames: readonly Frame[]) => 2 - frames.length
    expect(sizeTaken([small, large], print(280, 350), [], short)).toHaveLength(2)
  })
  it('whatever is taken holds the print, as long as any frame does; and it is of one size when nothing lacks', () => {
    const side = fc.integer({ min: 300, max: 1400 })
    fc.assert(
      fc.property(
        fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 8 }),
        side,
        side,
        (rows, w, h) => {
          const free = rows.map(([x, y], i) => ({ ...frame(x, y), id: `${i}` }))
          const taken = sizeTaken(free, print(w, h), [], enough)
          expect(taken.length).toBeGreaterThan(0)
          expect(sizesIn(taken)).toHaveLength(1)
          if (sizesIn(free).length > 1 && free.some((f) => holds(f, print(w, h))))
            expect(taken.every((f) => holds(f, print(w, h)))).toBe(true)
        },
      ),
    )
  })
})
