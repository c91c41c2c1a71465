import { describe, expect, it } from 'vitest'
import { agree } from './agreement'
import type { Film } from './film'
import type { Mark } from './marks'

const mark = (x: number, y: number): Mark => ({
  x,
  y,
  shape: 'cross',
  box: { left: x - 20, right: x + 20, top: y - 20, bottom: y + 20 },
})

const SIDES = [
  [500, 100],
  [500, 1400],
  [100, 750],
  [900, 750],
] as const

/** Marks of a film that lies `dx`, `dy` off and is turned by radians about the middle of its marks. */
const marks = (dx = 0, dy = 0, turn = 0) =>
  SIDES.map(([x, y]) => {
    const [u, v] = [x - 500, y - 750]
    return mark(
      500 + u * Math.cos(turn) - v * Math.sin(turn) + dx,
      750 + u * Math.sin(turn) + v * Math.cos(turn) + dy,
    )
  })

/** A film as far as its marks go. */
const film = (own: readonly Mark[]) =>
  ({ dpi: 300, marks: own, packed: { bits: { width: 1000, height: 1500 } } }) as unknown as Film

describe('films compared by their marks', () => {
  it('that agree have no misfit', () => {
    const { films, places } = agree([film(marks()), film(marks()), film(marks())])
    expect(places).toHaveLength(4)
    for (const f of films) expect(f.misfit).toMatchObject({ dx: 0, dy: 0, scale: 1, worst: 0 })
  })

  it('the odd one is named, wherever it comes in the set', () => {
    for (const odd of [0, 1, 2]) {
      const set = [0, 1, 2].map((i) => film(i === odd ? marks(12, -7) : marks()))
      const { films, reference } = agree(set)
      expect(reference).not.toBe(odd)
      expect(films[odd]?.misfit?.dx).toBeCloseTo(12, 9)
      expect(films[odd]?.misfit?.dy).toBeCloseTo(-7, 9)
    }
  })

  it('a turn is a turn, and no shift', () => {
    const { films } = agree([film(marks()), film(marks()), film(marks(0, 0, 0.004))])
    expect(films[2]?.misfit?.rotation).toBeCloseTo(0.004, 9)
    expect(Math.hypot(films[2]?.misfit?.dx ?? 9, films[2]?.misfit?.dy ?? 9)).toBeLessThan(1e-6)
  })

  it('a mark that only one film in three carries is art', () => {
    const star = mark(500, 700)
    const { places, films } = agree([film([...marks(), star]), film(marks()), film(marks())])
    expect(places).toHaveLength(4)
    expect(films[0]?.marks).toHaveLength(4)
  })

  it('a film without marks has no misfit, and does not become the measure', () => {
    const { films, reference } = agree([film([]), film(marks()), film(marks())])
    expect(reference).not.toBe(0)
    expect(films[0]).toEqual({ marks: [], misfit: undefined })
  })

  it('one mark in common tells nothing of turn and size', () => {
    const { films } = agree([film(marks().slice(0, 1)), film(marks().slice(0, 1))])
    expect(films[1]?.misfit).toBeUndefined()
  })

  it('films whose marks lie far apart share none', () => {
    expect(agree([film(marks()), film(marks(200, 0)), film(marks(-200, 0))]).places).toEqual([])
  })
})
