import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { disc, drawn, grown, mark, outside, type Shape, slab, together } from './film.fixtures'
import { DPI } from './filmsDrawn.fixtures'
import { type GreyImage, readFilm, settle, TURNS, type Turn, turnedAgain, turnImage } from './index'

const MARKS = together(mark(50, 6), mark(50, 114), mark(6, 60), mark(94, 60))
/** A head with an eye and a beak: no two ways round are alike. */
const head = disc(42, 48, 24)
const beak = slab(76, 40, 26, 9, 20)
const eye = disc(34, 40, 5)
const body = slab(34, 88, 34, 22, -12)
const film = (shape: Shape, marks = MARKS) => drawn(100, 120, DPI, together(marks, shape))
const SET: readonly Shape[] = [
  outside(together(head, body), grown(eye, -0.2)),
  together(beak, eye),
  grown(together(head, beak, body), -0.2),
]
const turns = Object.keys(TURNS) as Turn[]
const settled = (images: readonly GreyImage[]) => settle(images.map((i) => readFilm(i, DPI)))

describe('a film that lies another way than the others', () => {
  it('right ones are left in peace', () => {
    for (const { mislaid } of settled(SET.map((s) => film(s))).facts) expect(mislaid).toBeUndefined()
  })

  // The first film of the set or the last, in turn: each way round is slow to read.
  it.each(turns.map((turn, i) => ({ turn, odd: i % 2 === 0 ? 0 : 2 })))(
    '$turn: it is told which, and how to turn it; turned back it is right',
    ({ turn, odd }) => {
      const images = SET.map((s, i) => (i === odd ? turnImage(film(s), turn) : film(s)))
      const { facts } = settled(images)
      expect(facts[odd]?.mislaid?.turn).toBe(turn)
      expect(facts.filter((f) => f.mislaid).length).toBe(1)
      const right = images.map((image, i) => (i === odd ? turnImage(image, turn) : image))
      expect(settled(right).facts.every((f) => !f.mislaid)).toBe(true)
    },
  )

  it('elsewhere, without marks: on another sheet it is laid on the others, on the same one it is told only', () => {
    const none = slab(-50, -50, 1, 1)
    const away: Shape = (x, y) => (SET[2] as Shape)(x - 6, y + 4)
    const images = [film(SET[0] as Shape, none), film(SET[1] as Shape, none), film(away, none)]
    for (const laid of [true, false]) {
      const sheet = { width: 1100, height: 1300 }
      const set = settled(images.map((image, i) => (laid && i === 2 ? { ...image, sheet } : image)))
      expect(set.facts[2]?.mislaid).toMatchObject({ turn: undefined, laid })
      expect(Math.abs((set.facts[2]?.mislaid?.dx ?? 0) * 1000 + 6)).toBeLessThan(0.8)
      expect(Math.abs((set.facts[2]?.mislaid?.dy ?? 0) * 1000 - 4)).toBeLessThan(0.8)
      expect(Math.abs((set.facts[2]?.box?.x ?? 0) - (set.facts[0]?.box?.x ?? 0)) * 1000 < 3).toBe(laid)
    }
  })

  it('a shadow, which is what casts it, moved, is left where it lies', () => {
    const none = slab(-50, -50, 1, 1)
    const shadow: Shape = (x, y) => (SET[2] as Shape)(x - 3, y - 3)
    const set = settled([film(SET[2] as Shape, none), film(shadow, none)])
    expect(set.facts.every((f) => !f.mislaid?.laid)).toBe(true)
    expect(Math.abs((set.facts[1]?.box?.x ?? 0) - (set.facts[0]?.box?.x ?? 0)) * 1000).toBeCloseTo(3, 0)
    // With marks there is no doubt, and nothing to say.
    for (const { mislaid } of settled([film(SET[2] as Shape), film(shadow)]).facts)
      expect(mislaid).toBeUndefined()
  })

  it('a row of shapes that repeat, each colour beside the next, is not moved along', () => {
    const flag = (x: number, y: number): Shape => outside(slab(x, y, 9, 16), slab(x + 5, y + 8, 9, 9, 30))
    const row = (at: number) =>
      together(flag(20 + at, 34), flag(60 + at, 34), flag(20 + at, 84), flag(60 + at, 84))
    for (const { mislaid } of settled([film(row(0)), film(row(12)), film(row(24))]).facts)
      expect(mislaid).toBeUndefined()
  })

  it('art that is alike both ways round is not turned', () => {
    const ring = outside(disc(50, 60, 30), disc(50, 60, 20))
    const fill = disc(50, 60, 20.2)
    for (const { mislaid } of settled([film(ring), turnImage(film(fill), 'mirrored')]).facts)
      expect(mislaid).toBeUndefined()
  })

  it('films that share no edge are left in peace', () => {
    for (const { mislaid } of settled([film(disc(30, 30, 8)), film(slab(65, 80, 20, 30, 10))]).facts)
      expect(mislaid).toBeUndefined()
  })
})

it('two turns alike are none, and two that differ are the third (property)', () => {
  const image = fc
    .tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 }))
    .chain(([width, height]) =>
      fc
        .uint8Array({ minLength: width * height, maxLength: width * height })
        .map((grey): GreyImage => ({ width, height, grey })),
    )
  fc.assert(
    fc.property(image, (i) => {
      for (const turn of turns) expect(turnImage(turnImage(i, turn), turn)).toEqual(i)
      for (const a of turns)
        for (const b of turns) {
          const both = turnedAgain(a, b)
          expect(turnImage(turnImage(i, a), b)).toEqual(both ? turnImage(i, both) : i)
        }
    }),
  )
})
