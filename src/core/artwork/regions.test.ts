import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { descreen } from './descreen'
import { median, Widths } from './histogram'
import { type GreyImage, inkTable, levelsOf, otsu } from './levels'
import { type Box, inkIn, pack, within } from './pack'
import { bitAt, type Plane } from './plane'
import { blots, letters, plane } from './plane.fixtures'
import { SMALLEST, sharesOf } from './preview'

/** Closing by a square of side `k`, pixel by pixel: spread, then shrink back. */
function closedByHand(p: Plane, k: number): readonly string[] {
  const known = new Map<number, boolean>()
  const near = (x: number, y: number) => {
    for (let j = 0; j < k; j++) for (let i = 0; i < k; i++) if (bitAt(p, x - i, y - j)) return true
    return false
  }
  const spread = (x: number, y: number) => {
    const found = known.get(y * 1000 + x) ?? near(x, y)
    known.set(y * 1000 + x, found)
    return found
  }
  return Array.from({ length: p.height }, (_, y) =>
    Array.from({ length: p.width }, (_, x) => {
      for (let j = 0; j < k; j++) for (let i = 0; i < k; i++) if (!spread(x + i, y + j)) return '.'
      return '#'
    }).join(''),
  )
}

describe('de-screening', () => {
  it('is the closing by a square (property, against doing it pixel by pixel)', () => {
    fc.assert(
      fc.property(blots(80), fc.integer({ min: 2, max: 9 }), (p, k) => {
        expect(letters(descreen(p, () => k))).toEqual(closedByHand(p, k))
      }),
      { numRuns: 8 },
    )
  })

  it('is so for dots that stand more than a word apart (property)', () => {
    fc.assert(
      fc.property(blots(70), fc.integer({ min: 31, max: 64 }), (p, k) => {
        expect(letters(descreen(p, () => k))).toEqual(closedByHand(p, k))
      }),
      { numRuns: 6 },
    )
  })

  it('bridges dots, keeps the outer edge, and leaves flat tiles alone', () => {
    const p = plane('............', '.#.#.#.#....', '............', '.#.#.#.#....', '............')
    expect(letters(descreen(p, () => 2))).toEqual([
      '............',
      '.#######....',
      '.#######....',
      '.#######....',
      '............',
    ])
    expect(letters(descreen(p, () => 0))).toEqual(letters(p))
  })
})

const grey = (rows: readonly (readonly number[])[]): GreyImage => ({
  width: rows[0]?.length ?? 0,
  height: rows.length,
  grey: Uint8Array.from(rows.flat()),
})

/** A film of `n` pixels by a grey for each. */
const film = (n: number, of: (i: number) => number): GreyImage => ({
  width: n,
  height: n,
  grey: Uint8Array.from({ length: n * n }, (_, i) => of(i)),
})

describe('levels', () => {
  it('Otsu parts two heaps between them (published: Otsu 1979)', () => {
    const h = new Float64Array(256)
    h[40] = 500
    h[44] = 300
    h[200] = 900
    const at = otsu(h)
    expect(at).toBeGreaterThanOrEqual(44)
    expect(at).toBeLessThan(200)
  })

  it('black and white are believed where they occur', () => {
    expect(
      levelsOf(
        film(100, (i) => (i % 5 === 0 ? 0 : 255)),
        5,
      ),
    ).toEqual({ ink: 0, clear: 255, inverted: false })
  })

  it('a scan has its own black and its own paper', () => {
    const noise = (i: number) => ((i * 7919) % 9) - 4
    const scan = film(120, (i) => (i % 5 === 0 ? 45 : 225) + noise(i))
    const { ink, clear } = levelsOf(scan, 5)
    expect(Math.abs(ink - 45)).toBeLessThan(6)
    expect(Math.abs(clear - 225)).toBeLessThan(6)
  })

  it('dots that hardly reach black still count by full black', () => {
    const faint = film(120, (i) => (i % 7 === 0 ? 60 + ((i * 31) % 120) : 255))
    expect(levelsOf(faint, 5).ink).toBe(0)
  })

  it('a dark frame makes a negative, unless someone knows better', () => {
    const dark = film(100, (i) => (i % 100 > 20 && i % 100 < 60 && i > 2000 && i < 6000 ? 255 : 0))
    expect(levelsOf(dark, 8)).toEqual({ ink: 255, clear: 0, inverted: true })
    expect(levelsOf(dark, 8, false).inverted).toBe(false)
  })

  it('the table runs from none at clear film to all at full ink, either way round', () => {
    for (const levels of [
      { ink: 0, clear: 255, inverted: false },
      { ink: 255, clear: 0, inverted: true },
    ]) {
      const table = inkTable(levels)
      expect([table[levels.clear], table[levels.ink]]).toEqual([0, 255])
      expect(table[128]).toBeGreaterThan(120)
      expect(table[128]).toBeLessThan(135)
    }
  })
})

describe('packing', () => {
  const table = inkTable({ ink: 0, clear: 255, inverted: false })

  it('takes half ink for ink, and counts greys by their share', () => {
    const packed = pack(grey([[255, 200, 127, 0]]), table)
    expect(letters(packed.bits)).toEqual(['..##'])
    expect(packed.inkSums[0]).toBeCloseTo(0 + 55 / 255 + 128 / 255 + 1, 6)
  })

  const corner = fc.integer({ min: 0, max: 130 })
  it('sums any rectangle less any other as pixel by pixel does (property)', () => {
    const image = film(130, (i) => ((i * 2654435761) % 3 === 0 ? 0 : 255))
    const packed = pack(image, table)
    const box = fc.tuple(corner, corner, corner, corner).map(
      ([a, b, c, d]): Box => ({
        left: Math.min(a, b),
        right: Math.max(a, b),
        top: Math.min(c, d),
        bottom: Math.max(c, d),
      }),
    )
    fc.assert(
      fc.property(box, box, (art, hole) => {
        let truth = 0
        for (let y = art.top; y < art.bottom; y++)
          for (let x = art.left; x < art.right; x++)
            if (!within(hole, x, y)) truth += bitAt(packed.bits, x, y)
        expect(inkIn(packed, art, [hole])).toBeCloseTo(truth, 6)
      }),
      { numRuns: 40 },
    )
  })
})

describe('previews', () => {
  it('show the share of ink of every square at every size (property)', () => {
    fc.assert(
      fc.property(blots(100), fc.integer({ min: 0, max: SMALLEST }), (p, level) => {
        const side = 2 ** level
        const n = Math.ceil(100 / side)
        const shares = sharesOf(p, level, 0, 0, n, n)
        for (let j = 0; j < n; j++)
          for (let i = 0; i < n; i++) {
            let ink = 0
            for (let y = 0; y < side; y++)
              for (let x = 0; x < side; x++) ink += bitAt(p, i * side + x, j * side + y)
            expect(shares[j * n + i]).toBe(Math.round((255 * ink) / side ** 2))
          }
      }),
      { numRuns: 25 },
    )
  })

  it('show nothing beyond the film', () => {
    expect([...sharesOf(plane('#'), 0, -1, 0, 3, 1)]).toEqual([0, 255, 0])
  })
})

describe('widths', () => {
  const px = fc.array(
    fc.integer({ min: -40, max: 400 }).map((n) => n / 4),
    { minLength: 1, maxLength: 80 },
  )

  it('quantiles are values that occur, in rising order (property)', () => {
    fc.assert(
      fc.property(px, (list) => {
        const widths = new Widths()
        for (const w of list) widths.add(w)
        const sorted = [...list].sort((a, b) => a - b)
        const quantiles = [0.05, 0.5, 0.95].map((q) => widths.at(q) as number)
        for (const v of quantiles) expect(sorted).toContain(v)
        expect(quantiles).toEqual([...quantiles].sort((a, b) => a - b))
        expect(widths.below(sorted[0] as number)).toBe(0)
        expect(widths.below((sorted.at(-1) as number) + 1)).toBe(list.length)
        expect(widths.count).toBe(list.length)
      }),
    )
  })

  it('one noisy value is not the least of many', () => {
    const widths = new Widths()
    widths.add(0)
    for (let i = 0; i < 500; i++) widths.add(6)
    expect(widths.least(12)).toBe(6)
    expect(new Widths().least(12)).toBeUndefined()
  })

  it('too short an edge has no spread', () => {
    const widths = new Widths()
    for (let i = 0; i < 10; i++) widths.add(2)
    expect(widths.spread(12)).toBeUndefined()
    expect(widths.spread(5)).toEqual({ least: 2, median: 2, most: 2, widest: 2, edge: 10 })
  })

  it('the median lies in the middle', () => {
    expect([median([3, 1, 2]), median([4, 1, 3, 2])]).toEqual([2, 2.5])
  })
})

describe('packing four pixels at a time', () => {
  const size = fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 20 }))
  const film = size.chain(([width, height]) =>
    fc
      .array(fc.constantFrom(0, 0, 0, 255, 255, 255, 128, 1), {
        minLength: width * height,
        maxLength: width * height,
      })
      .map((grey): GreyImage => ({ width, height, grey: Uint8Array.from(grey) })),
  )

  it.each([
    ['ink is dark', { ink: 0, clear: 255, inverted: false }],
    ['ink is light', { ink: 255, clear: 0, inverted: true }],
  ])('finds each pixel and sums each cell where %s (property)', (_, levels) => {
    const table = inkTable(levels)
    fc.assert(
      fc.property(film, (image) => {
        const { bits, cells } = pack(image, table)
        const sums = new Int16Array(cells.length)
        for (let y = 0; y < image.height; y++)
          for (let x = 0; x < image.width; x++) {
            const ink = table[image.grey[y * image.width + x] ?? 0] ?? 0
            expect(bitAt(bits, x, y)).toBe(ink >= 128 ? 1 : 0)
            const cell = (y >> 3) * bits.tilesX * 8 + (x >> 3)
            sums[cell] = (sums[cell] ?? 0) + ink
          }
        expect(cells).toEqual(sums)
      }),
    )
  })
})
