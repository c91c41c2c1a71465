import { describe, expect, it } from 'vitest'
import { drawn, type Shape, slab, within } from './film.fixtures'
import { DPI } from './filmsDrawn.fixtures'
import { meetingOf, readFilm, settle } from './index'

/** Round dots of 45 lpi whose tint changes along the film. */
const fading = (tint: (x: number) => number, degrees: number): Shape => {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  const pitch = 25.4 / 45
  return (x, y) => {
    const [u, v] = [x * c - y * s, x * s + y * c]
    const [a, b] = [Math.round(u / pitch) * pitch, Math.round(v / pitch) * pitch]
    const t = Math.max(0, Math.min(0.75, tint(x)))
    return Math.hypot(u - a, v - b) - Math.sqrt(t / Math.PI) * pitch
  }
}
const FIELD = slab(30, 20, 54, 32)
const down = (x: number) => 0.75 * (1 - (x - 3) / 54)
const up = (x: number) => 0.75 * ((x - 3) / 54)
const met = (a: Shape, b: Shape) =>
  meetingOf(settle([a, b].map((s) => readFilm(drawn(60, 40, DPI, within(s, FIELD)), DPI))), 0, 1)

describe('a fade of two colours (drawn truth)', () => {
  it('that is built as one has no stop', () => {
    const pair = met(fading(down, 22.5), fading(up, 52.5))
    expect(pair.how).toBe('blending')
    expect(pair.stops).toBeUndefined()
  })

  it.each([
    ['the first', 0],
    ['the second', 1],
  ])('%s stops midway: told which, where, and at what tints', (_, odd) => {
    const cut = (f: (x: number) => number, keep: (x: number) => boolean) => (x: number) =>
      keep(x) ? f(x) : 0
    const pair =
      odd === 0
        ? met(
            fading(
              cut(down, (x) => x < 36),
              22.5,
            ),
            fading(up, 52.5),
          )
        : met(
            fading(down, 22.5),
            fading(
              cut(up, (x) => x > 24),
              52.5,
            ),
          )
    expect(pair.stops?.of).toBe(odd)
    expect(pair.stops?.tint).toBeGreaterThan(0.2)
    const at = odd === 0 ? 36 : 24
    for (const place of pair.stops?.places ?? []) expect(Math.abs(place.x * 1000 - at)).toBeLessThan(3)
  })

  it('a slow fade over a large print is told too', () => {
    const large = slab(60, 50, 104, 60)
    const slow = (x: number) => 0.75 - (0.55 * (x - 8)) / 104
    const rising = (x: number) => (x < 60 ? 0 : 0.2 + 0.01 * (x - 60))
    const films = [fading(slow, 22.5), fading(rising, 22.5)].map((s) =>
      readFilm(drawn(120, 100, DPI, within(s, large)), DPI),
    )
    const pair = meetingOf(settle(films), 0, 1)
    expect(pair.stops?.of).toBe(1)
    for (const place of pair.stops?.places ?? []) expect(Math.abs(place.x * 1000 - 60)).toBeLessThan(6)
  })

  it('the edge of the art where both end is none', () => {
    const pair = met(
      fading(() => 0.4, 22.5),
      fading(() => 0.3, 52.5),
    )
    expect(pair.stops).toBeUndefined()
  })
})
