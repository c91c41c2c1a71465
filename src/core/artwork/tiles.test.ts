import { describe, expect, it } from 'vitest'
import { disc, drawn, mark, type Shape, slab, together } from './film.fixtures'
import { DPI } from './filmsDrawn.fixtures'
import { greyOf, joined, readFilm, settle, tilesIn } from './index'

/** Corner marks of 8 mm whose corner is at a place, opening left or right and up or down. */
const corner = (x: number, y: number, right: 1 | -1, down: 1 | -1): Shape =>
  together(slab(x + right * 4, y, 8.3, 0.3), slab(x, y + down * 4, 0.3, 8.3))
/** Art of 140 x 80 mm on two sheets of 90 x 100, their seam at 80 of the first and 10 of the second. */
const art: Shape = together(disc(70, 50, 34), slab(70, 20, 130, 6), slab(20, 80, 20, 8))
const first = together(corner(80, 4, -1, 1), corner(80, 96, -1, -1), (x, y) => Math.max(art(x, y), x - 80))
const second = together(corner(10, 4, 1, 1), corner(10, 96, 1, -1), (x, y) =>
  Math.max(art(x + 70, y), 10 - x),
)
const film = (shape: Shape) => readFilm(drawn(90, 100, DPI, shape), DPI)

describe('two tiles of one film (drawn truth)', () => {
  it('are known by their corner marks, whichever comes first, and joined they are the whole art', () => {
    for (const [films, dx] of [
      [[film(first), film(second)], 70],
      [[film(second), film(first)], -70],
    ] as const) {
      const [tiles] = tilesIn(films)
      if (!tiles) throw new Error('not seen')
      expect(Math.abs((tiles.dx / DPI) * 25.4 - dx)).toBeLessThan(0.1)
      expect(Math.abs((tiles.dy / DPI) * 25.4)).toBeLessThan(0.1)
      const plane = joined(films, tiles)
      expect((plane.width / DPI) * 25.4).toBeCloseTo(160, 0)
      const one = readFilm({ width: plane.width, height: plane.height, grey: greyOf(plane) }, DPI, false)
      const [facts] = settle([one]).facts
      const whole = settle([readFilm(drawn(160, 100, DPI, art), DPI)]).facts[0]
      expect(facts?.marks).toEqual([])
      expect(Math.abs((facts?.inkArea ?? 0) - (whole?.inkArea ?? 0)) * 1e6).toBeLessThan(10)
      expect((facts?.box?.width ?? 0) * 1000).toBeCloseTo((whole?.box?.width ?? 1) * 1000, 0)
    }
  })

  it('films that carry their marks in the same places are none, nor films of other marks', () => {
    const frame = together(mark(45, 6), mark(45, 94), mark(6, 50), mark(84, 50))
    const corners = together(
      corner(4, 4, 1, 1),
      corner(86, 4, -1, 1),
      corner(4, 96, 1, -1),
      corner(86, 96, -1, -1),
    )
    for (const marks of [frame, corners])
      expect(
        tilesIn([film(together(marks, disc(40, 50, 9))), film(together(marks, disc(50, 50, 9)))]),
      ).toEqual([])
    expect(tilesIn([film(first), film(disc(45, 50, 20))])).toEqual([])
  })
})
