import { randomLcg, randomNormal, randomUniform } from 'd3-random'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { centreOf, type HeadTurn, knobsOf, MOST_TURN, moveBy } from './headLearn'
import {
  CLAMPED_HEAD,
  correct,
  type Head,
  headAt,
  missOver,
  type Place,
  turnedBy,
  USUAL_CENTRE,
} from './knobs'
import { knobsSaid, turnedSaid } from './knobsSaid'

const MM = 1e-3
const CORNERS = [-1, 1].flatMap((a) => [-1, 1].map((b) => ({ x: a * 150 * MM, y: b * 180 * MM })))
type Three = readonly [number, number, number]

/** A head whose adjusters stand so far from the usual places, on such a thread. */
const headWith = (left: number, right: number, side: number, pitches: Three): Head => {
  const [l, r, s] = CLAMPED_HEAD.knobs
  return {
    ...CLAMPED_HEAD,
    knobs: [
      { ...l, x: l.x + left * MM, pitch: pitches[0] * MM },
      { ...r, x: r.x + right * MM, pitch: pitches[1] * MM },
      { ...s, y: s.y + side * MM, pitch: pitches[2] * MM },
    ],
  }
}

/** What turns do on a head, as it is read. */
const noted = (
  head: Head,
  [left, right, side]: Three,
  off: Three = [0, 0, 0],
  centre: Place = USUAL_CENTRE,
): HeadTurn => {
  const made = turnedBy(headAt(head, centre), [left, right, side])
  return {
    ...{ pressId: 'p', head: 1, at: '2026-11-30T08:00', left, right, side, back: false, ...centre },
    ...{ dx: made.dx + off[0], dy: made.dy + off[1], turn: made.turn + off[2] },
  }
}
const TWICE: readonly Three[] = [
  [2, 0, 0],
  [0, 2, 0],
  [0, 0, 2],
]
/** As far as two readings of four marks by eye lie apart by chance, seeded. */
const chance = (seed: number) => {
  const normal = randomNormal.source(randomLcg((seed * 0.618034) % 1))(0, 1)
  return (): Three => [0.07 * MM * normal(), 0.07 * MM * normal(), (0.06 * normal()) / 150]
}

describe('what a head is learnt to be', () => {
  it('nothing noted: the usual one', () => {
    expect(knobsOf([])).toEqual({ head: CLAMPED_HEAD, moves: 0 })
  })

  it('two full turns of each knob, read again and again without error, show thread and places (geometry)', () => {
    const true_ = headWith(-9, 6, 14, [1.5, 1.5, 1.5])
    const again = Array.from({ length: 8 }, () => TWICE).flat()
    const { head, moves } = knobsOf(again.map((t) => noted(true_, t)))
    expect(moves).toBe(24)
    for (const [i, k] of head.knobs.entries()) {
      expect(k.pitch / MM).toBeCloseTo(1.5, 2)
      // Pulled towards the usual head by as much as a reading by eye leaves open.
      expect(Math.abs(k.x - (true_.knobs[i]?.x ?? 0)) / MM).toBeLessThan(5)
      expect(Math.abs(k.y - (true_.knobs[i]?.y ?? 0)) / MM).toBeLessThan(5)
    }
  })

  it.each([1.25, 1.5, 1, 1.5875, 2])(
    'a thread of %f mm is told from the others by one trial of each knob',
    (thread) => {
      const read = chance(thread * 1000)
      const { head } = knobsOf(
        TWICE.map((t) => noted(headWith(5, -8, 10, [thread, thread, thread]), t, read())),
      )
      for (const k of head.knobs) expect(Math.abs(k.pitch / MM - thread)).toBeLessThan(0.06)
    },
  )

  it('a knob that is cut the other way is found by one trial', () => {
    const { head } = knobsOf(TWICE.map((t) => noted(headWith(0, 0, 0, [-1.25, 1.25, -1.25]), t)))
    expect(head.knobs.map((k) => Math.sign(k.pitch))).toEqual([-1, 1, -1])
    const said = knobsSaid({ head, moves: 3 }, 4).map(
      (r) => `${r.rule} ${r.inputs.name ?? ''} ${r.inputs.way ?? ''}`,
    )
    expect(said).toEqual(['HEAD_KNOWN  ', 'HEAD_SENSE left towards you', 'HEAD_SENSE side to the left'])
  })

  it('where the art lay does not matter: what one print teaches holds for another', () => {
    const true_ = headWith(10, -7, 16, [1.25, 1.25, 1.25])
    const chest: Place = { x: 100 * MM, y: -210 * MM }
    const byFront = knobsOf(TWICE.map((t) => noted(true_, t))).head
    const byChest = knobsOf(TWICE.map((t) => noted(true_, t, [0, 0, 0], chest))).head
    for (const turns of TWICE) {
      const [a, b] = [byFront, byChest].map((h) => turnedBy(headAt(h, chest), turns))
      expect(Math.hypot((a?.dx ?? 0) - (b?.dx ?? 0), (a?.dy ?? 0) - (b?.dy ?? 0)) / MM).toBeLessThan(0.06)
    }
  })

  it('play is learnt from a knob that is turned back, and how far past it is turned follows', () => {
    const worn = headWith(0, 0, 0, [1.25, 1.25, 1.25])
    const back = (play: number): HeadTurn => {
      // What is lost of the way back is the play (geometry).
      const made = noted(worn, [0, 0, -2])
      return { ...made, back: true, dx: made.dx + play * MM }
    }
    const loose = knobsOf([...TWICE.map((t) => noted(worn, t)), back(0.4), back(0.4)]).head
    expect(Math.abs(loose.play / MM - 0.4)).toBeLessThan(0.08)
    const tight = knobsOf([...TWICE.map((t) => noted(worn, t)), back(0), back(0)]).head
    expect(tight.play / MM).toBeLessThan(0.05)
    const past = (head: Head) =>
      correct({ dx: 1 * MM, dy: 0, turn: 0 }, headAt(head, USUAL_CENTRE), CORNERS).turns[2]?.moves[1] ?? 0
    expect(past(loose)).toBeGreaterThan(past(tight))
    // No play is below nothing, whatever is noted.
    const gained = knobsOf([back(-3)]).head.play
    expect(gained).toBeGreaterThanOrEqual(0)
    expect(gained / MM).toBeLessThan(0.05)
  })

  it('one wrong note among six does not spoil it', () => {
    const true_ = headWith(8, -5, 12, [1.25, 1.25, 1.25])
    const good = [...TWICE, ...TWICE].map((t) => noted(true_, t))
    const wrong = { ...noted(true_, [2, 0, 0]), left: 0, right: 2 }
    const [one, other] = [knobsOf(good).head, knobsOf([...good, wrong]).head]
    for (const [i, k] of other.knobs.entries())
      expect(Math.abs(k.pitch - (one.knobs[i]?.pitch ?? 0)) / MM).toBeLessThan(0.05)
  })

  it('whatever is noted, knobs keep their sides, and no number is out of its range', () => {
    const any = (most: number) => fc.double({ min: -most, max: most, noNaN: true })
    const note = fc.record({
      ...{ left: any(MOST_TURN.turns), right: any(MOST_TURN.turns), side: any(MOST_TURN.turns) },
      ...{ x: any(MOST_TURN.from), y: any(MOST_TURN.from) },
      back: fc.boolean(),
      ...{ dx: any(MOST_TURN.move), dy: any(MOST_TURN.move), turn: any(MOST_TURN.turn) },
    })
    fc.assert(
      fc.property(fc.array(note, { maxLength: 8 }), (notes) => {
        const { head } = knobsOf(notes.map((n) => ({ ...n, pressId: 'p', head: 1, at: '2026-11-30T08:00' })))
        const [left, right, side] = head.knobs
        expect(left.x).toBeLessThan(-0.1)
        expect(right.x).toBeGreaterThan(0.1)
        expect(Math.abs(side.y)).toBeLessThan(0.3)
        for (const k of head.knobs) {
          expect(Math.abs(k.pitch)).toBeGreaterThan(0.9 * MM)
          expect(Math.abs(k.pitch)).toBeLessThan(2.4 * MM)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('what is left after one round falls with what is noted (inside figure: simulated heads)', () => {
    const left = (trials: number, thread: number) => {
      let sum = 0
      for (let seed = 1; seed <= 60; seed++) {
        const even = randomUniform.source(randomLcg((seed * 0.754877) % 1))(-1, 1)
        const read = chance(seed)
        const true_ = headWith(12 * even(), 12 * even(), 20 * even(), [thread, thread, thread])
        const notes = Array.from({ length: trials }, () => TWICE.map((t) => noted(true_, t, read()))).flat()
        const [a, b, c] = read()
        const pose = { dx: 20 * a, dy: 20 * b, turn: 10 * c }
        const { turns } = correct(pose, headAt(knobsOf(notes).head, USUAL_CENTRE), CORNERS)
        const by = turnedBy(
          headAt(true_, USUAL_CENTRE),
          turns.map((t) => t.turns),
        )
        sum += missOver({ dx: pose.dx + by.dx, dy: pose.dy + by.dy, turn: pose.turn + by.turn }, CORNERS) ** 2
      }
      return Math.sqrt(sum / 60) / MM
    }
    const usual = [0, 1, 4].map((n) => left(n, 1.25)) as unknown as Three
    expect(usual[1]).toBeLessThan(usual[0])
    expect(usual[2]).toBeLessThan(usual[1])
    // Another thread than assumed is found by the first trial of each knob.
    expect(left(1, 1.5)).toBeLessThan(0.3 * left(0, 1.5))
  })
})

it('what turns did is told beside what they should have done', () => {
  const here = headAt(CLAMPED_HEAD, USUAL_CENTRE)
  const should = turnedBy(here, [0, 0, 2])
  expect(should.dx / MM).toBeCloseTo(2.5, 6)
  // In closed form the same as by the inverse; turned back it is less by the play.
  for (const [left, right, side] of [...TWICE, [0.5, -1, 0.25] as const]) {
    const closed = moveBy(here, { left, right, side, back: false })
    const solved = turnedBy(here, [left, right, side])
    for (const k of ['dx', 'dy', 'turn'] as const) expect(closed[k]).toBeCloseTo(solved[k], 12)
  }
  expect(moveBy(here, { left: 0, right: 0, side: -2, back: true }).dx / MM).toBeCloseTo(-2.4, 9)
  const [did, by] = turnedSaid(
    { dx: 3 * MM, dy: 0, turn: 0 },
    { left: 0, right: 0, side: 2, back: false },
    here,
    CORNERS,
  )
  expect(did?.rule).toBe('HEAD_TURNED')
  expect(by?.inputs).toMatchObject({ side: 'right', off: { value: expect.closeTo(0.5 * MM, 6) } })
})

it('the centre of a print from the clamped end, either way round (T10: 580 x 790 frame, full front at 335)', () => {
  const position = { top: 155 * MM, height: 360 * MM, side: 100 * MM, frameHeight: 790 * MM }
  // Collar away: the clamped end is the collar end; the wearer's left lies to the right.
  const away = centreOf(position, false)
  expect([away.x / MM, away.y / MM].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([100, -335])
  const towards = centreOf(position, true)
  expect([towards.x / MM, towards.y / MM].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([-100, -455])
})
