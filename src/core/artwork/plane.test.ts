import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  bitAt,
  copyPlane,
  despeckle,
  eachBit,
  edgeWord,
  emptyPlane,
  FULL,
  popcount,
  TILE,
  tileCounts,
  tileEdges,
} from './plane'
import { blots, dust, letters, plane, setBit } from './plane.fixtures'

const word = fc.integer({ min: 0, max: 0xffffffff })

describe('words', () => {
  it('popcount counts the ones of the binary number (property)', () => {
    fc.assert(
      fc.property(word, (w) => {
        expect(popcount(w | 0)).toBe([...w.toString(2)].filter((b) => b === '1').length)
      }),
    )
  })

  it('eachBit names every bit once, lowest first (property)', () => {
    fc.assert(
      fc.property(word, (w) => {
        const bits: number[] = []
        eachBit(w | 0, (b) => bits.push(b))
        expect(bits).toEqual(Array.from({ length: 32 }, (_, i) => i).filter((i) => (w >>> i) & 1))
      }),
    )
  })
})

describe('planes', () => {
  it('are padded with none to whole tiles, and none lies outside', () => {
    const p = emptyPlane(65, 1)
    expect([p.tilesX, p.tilesY, p.stride, p.bits.length]).toEqual([2, 1, 4, 4 * TILE])
    expect([bitAt(p, -1, 0), bitAt(p, 65, 0), bitAt(p, 0, 1)]).toEqual([0, 0, 0])
  })

  it('a copy is a plane of its own', () => {
    const p = plane('#.')
    const q = copyPlane(p)
    setBit(q, 1, 0)
    expect([letters(p), letters(q)]).toEqual([['#.'], ['##']])
  })

  it('tiles count their ink (property)', () => {
    fc.assert(
      fc.property(blots(150), (p) => {
        const counts = tileCounts(p)
        for (let t = 0; t < counts.length; t++) {
          let n = 0
          const [x0, y0] = [(t % p.tilesX) * TILE, Math.floor(t / p.tilesX) * TILE]
          for (let y = y0; y < y0 + TILE; y++) for (let x = x0; x < x0 + TILE; x++) n += bitAt(p, x, y)
          expect(counts[t]).toBe(n)
          expect(counts[t]).toBeLessThanOrEqual(FULL)
        }
      }),
      { numRuns: 20 },
    )
  })

  it('tiles count the changes along their rows and columns (property)', () => {
    fc.assert(
      fc.property(blots(130), (p) => {
        const edges = tileEdges(p, tileCounts(p))
        const t = 0
        let n = 0
        for (let y = 0; y < TILE; y++)
          for (let x = 0; x < TILE; x++) {
            if (x + 1 < TILE && bitAt(p, x, y) !== bitAt(p, x + 1, y)) n++
            if (y + 1 < TILE && bitAt(p, x, y) !== bitAt(p, x, y + 1)) n++
          }
        expect(edges[t]).toBe(n)
      }),
      { numRuns: 20 },
    )
  })

  it('the edge is ink with none beside, above or below it; the border of the film is one (property)', () => {
    fc.assert(
      fc.property(fc.oneof(blots(100), dust(70)), (p) => {
        for (let y = 0; y < p.height; y++)
          for (let w = 0; w * 32 < p.width; w++) {
            const found = edgeWord(p, y, w)
            for (let b = 0; b < 32; b++) {
              const x = w * 32 + b
              const beside = [bitAt(p, x - 1, y), bitAt(p, x + 1, y), bitAt(p, x, y - 1), bitAt(p, x, y + 1)]
              expect((found >>> b) & 1).toBe(bitAt(p, x, y) && beside.includes(0) ? 1 : 0)
            }
          }
      }),
      { numRuns: 20 },
    )
  })
})

describe('specks', () => {
  it('single pixels go and single pinholes fill, pairs stay', () => {
    const p = plane('........######', '.#......######', '........##.###', '....##..######', '........######')
    const { plane: clean, specks } = despeckle(p, () => true)
    expect(specks).toBe(2)
    expect(letters(clean)).toEqual([
      '........######',
      '........######',
      '........######',
      '....##..######',
      '........######',
    ])
  })

  it('halftone is left alone', () => {
    const p = plane('...', '.#.', '...')
    const { plane: same, specks } = despeckle(p, () => false)
    expect([specks, letters(same)]).toEqual([0, ['...', '.#.', '...']])
  })

  it('no lone pixel is left, and nothing but lone pixels changed (property)', () => {
    fc.assert(
      fc.property(dust(70), (p) => {
        const { plane: clean, specks } = despeckle(p, () => true)
        let changed = 0
        for (let y = 0; y < p.height; y++)
          for (let x = 0; x < p.width; x++) {
            let round = 0
            for (let j = -1; j <= 1; j++) for (let i = -1; i <= 1; i++) round += bitAt(p, x + i, y + j)
            if (bitAt(p, x, y) && round === 1) expect(bitAt(clean, x, y)).toBe(0)
            if (bitAt(p, x, y) !== bitAt(clean, x, y)) changed++
          }
        expect(changed).toBe(specks)
      }),
      { numRuns: 30 },
    )
  })
})
