import { randomLcg, randomNormal } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { disc, dots, drawn, type Shape, slab, together, within } from './film.fixtures'
import { type GreyImage, readFilm, settle } from './index'

/** A film as a flatbed gives it back: soft by a few pixels, ink not black, film not white, both with noise. */
function scanned({ width, height, grey }: GreyImage, blur: number, noise = 5): GreyImage {
  const rng = randomNormal.source(randomLcg(0.3))(0, noise)
  let soft = Float64Array.from(grey)
  for (let pass = 0; pass < blur; pass++)
    for (const [dx, dy] of [
      [1, 0],
      [0, 1],
    ] as const) {
      const from = soft
      soft = Float64Array.from(from, (v, i) => {
        const x = i % width
        const y = Math.floor(i / width)
        const at = (u: number, w: number) =>
          from[Math.min(height - 1, Math.max(0, w)) * width + Math.min(width - 1, Math.max(0, u))] ?? 0
        return v / 2 + (at(x - dx, y - dy) + at(x + dx, y + dy)) / 4
      })
    }
  return {
    width,
    height,
    grey: Uint8Array.from(soft, (v) => Math.round(Math.min(255, Math.max(0, 34 + (v / 255) * 190 + rng())))),
  }
}
const ink = (image: GreyImage) => (settle([readFilm(image, 300)]).facts[0]?.inkArea ?? 0) * 1e6

describe('soft scans keep their coverage within a point (drawn truth, blurred and with noise)', () => {
  const cases = [1, 3].flatMap((blur) =>
    [20, 35, 55].flatMap((lpi) => [0.05, 0.15, 0.4].map((tint) => ({ blur, lpi, tint }))),
  )
  it.each(cases)('$tint at $lpi lpi, soft by $blur', ({ blur, lpi, tint }) => {
    // 30 x 30 mm of tint on a film of 40 x 40, with a solid that shows what ink is.
    const shape = together(within(dots(lpi / 25.4, 22.5, tint), slab(18, 18, 30, 30)), slab(37, 20, 4, 38))
    const truth = tint * 900 + 4 * 38
    expect(Math.abs(ink(scanned(drawn(40, 40, 300, shape), blur)) - truth) / 900).toBeLessThan(0.01)
  })

  it('and bold shapes', () => {
    expect(
      Math.abs(ink(scanned(drawn(40, 40, 300, disc(20, 20, 12)), 3)) - Math.PI * 144) / 1600,
    ).toBeLessThan(0.003)
  })
})

describe('unscreened greys', () => {
  /** A fade from clear to full from left to right, as a picture has it before it is screened. */
  const fade = (): GreyImage => {
    const image = drawn(40, 40, 300, slab(37, 20, 4, 38))
    const px = 300 / 25.4
    for (let y = Math.round(5 * px); y < Math.round(35 * px); y++)
      for (let x = Math.round(3 * px); x < Math.round(33 * px); x++)
        image.grey[y * image.width + x] = Math.round(255 * (1 - (x / px - 3) / 30))
    return image
  }
  it('count by their share, and are told', () => {
    const [facts] = settle([readFilm(fade(), 300)]).facts
    expect(((facts?.inkArea ?? 0) * 1e6 - 4 * 38) / 900).toBeCloseTo(0.5, 2)
    // From a tenth to nine tenths of the fade.
    expect((facts?.grey ?? 0) * 1e6).toBeGreaterThan(0.7 * 900)
  })
  it('are not seen in line art, halftones and soft scans of them', () => {
    const tint: Shape = together(
      within(dots(45 / 25.4, 22.5, 0.3), slab(18, 18, 30, 30)),
      slab(37, 20, 4, 38),
    )
    for (const image of [drawn(40, 40, 300, tint), scanned(drawn(40, 40, 300, tint), 2)])
      expect((settle([readFilm(image, 300)]).facts[0]?.grey ?? 1) * 1e6).toBeLessThan(20)
  })
})

describe('dust', () => {
  it('of a pixel or two is taken away and told, and makes no meeting of films that stay apart', () => {
    const dusty = (shape: Shape, seed: number) => {
      const image = drawn(60, 60, 300, shape)
      const rng = randomLcg(seed)
      for (let i = 0; i < 300; i++) {
        const at =
          Math.floor(rng() * (image.height - 2)) * image.width + Math.floor(rng() * (image.width - 2))
        image.grey[at] = 0
        if (i % 2) image.grey[at + 1] = 0
      }
      return readFilm(image, 300)
    }
    const set = settle([dusty(slab(20, 30, 19.65, 30), 0.1), dusty(slab(40, 30, 19.65, 30), 0.7)])
    for (const facts of set.facts) {
      expect(facts.specks).toBeGreaterThan(100)
      expect(facts.dust * 1e6).toBeGreaterThan(0.5)
      expect(facts.dust * 1e6).toBeLessThan(4)
    }
    expect(set.facts[0]?.box?.width).toBeLessThan(0.021)
  })
})
