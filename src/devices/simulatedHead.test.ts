import { describe, expect, it } from 'vitest'
import { driftOf, type Head, missOver, registrationAid, USUAL_HEAD } from '@/core/registration'
import { byHand, byTheAid, calibrated, marksAt } from './registering.fixtures'
import { simulatedHead, someHead } from './simulatedHead'

const MM = 1e-3
const FULL = marksAt(0.3, 0.36)
const CHEST = marksAt(0.09, 0.09)
const corners = (w: number, h: number) =>
  [-1, 1].flatMap((a) => [-1, 1].map((b) => ({ x: (a * w) / 2, y: (b * h) / 2 })))
const rms = (list: readonly number[]) => Math.sqrt(list.reduce((s, x) => s + x * x, 0) / list.length)
const SEEDS = Array.from({ length: 200 }, (_, i) => 10 * i + 1)
const STILL = { dx: 0, dy: 0, turn: 0 }

describe('a simulated head', () => {
  it('turns as its knobs say, less the play once', () => {
    const head = simulatedHead({ head: USUAL_HEAD, start: STILL, drift: STILL, scatter: 0 })
    for (const knob of [0, 1]) head.turn(knob, 1)
    expect(head.lies().dy).toBeCloseTo(1.25 * MM - USUAL_HEAD.play / 2, 9)
    for (const knob of [0, 1]) head.turn(knob, -1)
    expect(head.lies().dy).toBeCloseTo(USUAL_HEAD.play / 2, 9)
    head.turn(2, 2)
    expect(head.lies().dx).toBeCloseTo(2.5 * MM - USUAL_HEAD.play / 2, 9)
  })
  it('the same seed tells the same story; a lock moves it, and taking the lock off brings it back', () => {
    const [a, b] = [someHead(7), someHead(7)]
    expect(a.read(FULL, 0.1 * MM)).toEqual(b.read(FULL, 0.1 * MM))
    const before = a.lies()
    a.lock()
    expect(a.lies()).not.toEqual(before)
    a.unlock()
    expect(a.lies()).toEqual(before)
  })
})

describe('four screens on simulated heads, with the aid', () => {
  it('lie within 0.2 mm after two rounds at most, read with a loupe', () => {
    for (const seed of [1, 2, 3, 4]) {
      const head = someHead(seed * 100)
      expect(missOver(head.lies(), corners(0.3, 0.36))).toBeGreaterThan(0.2 * MM)
      byTheAid(head, FULL, 0.05 * MM, 2)
      expect(missOver(head.lies(), corners(0.3, 0.36))).toBeLessThan(0.2 * MM)
    }
  })
  it('a slack screen is told as what no turn mends, and is not turned', () => {
    const head = someHead(5, 0.6 * MM)
    const told = registrationAid(head.read(FULL, 0.05 * MM), USUAL_HEAD)
    expect('missing' in told ? undefined : told.stop).toBe(true)
    expect(byTheAid(head, FULL, 0.05 * MM, 3)).toBe(0)
  })
  it('errors after a round lie near those of the model (inside: rms .147 and .103 mm by the aid, .172 by hand; the lock is added here)', () => {
    const left = (by: (head: ReturnType<typeof someHead>) => void) =>
      rms(
        SEEDS.map((seed) => {
          const head = someHead(seed)
          by(head)
          head.unlock()
          return missOver(head.lies(), corners(0.3, 0.36))
        }),
      ) / MM
    const one = left((h) => void byTheAid(h, FULL, 0.1 * MM, 1))
    const hand = left((h) => byHand(h, FULL, 0.1 * MM, 2))
    expect(one).toBeGreaterThan(0.1)
    expect(one).toBeLessThan(0.2)
    expect(hand).toBeGreaterThan(0.12)
    expect(hand).toBeLessThan(0.25)
  })
  it('on a small print one round of the aid beats two by hand: left and right pull on each other there (geometry)', () => {
    const left = (by: (head: ReturnType<typeof someHead>) => void) =>
      rms(
        SEEDS.map((seed) => {
          const head = someHead(seed)
          by(head)
          return missOver(head.lies(), corners(0.09, 0.09))
        }),
      )
    expect(left((h) => void byTheAid(h, CHEST, 0.1 * MM, 1))).toBeLessThan(
      left((h) => byHand(h, CHEST, 0.1 * MM, 2)),
    )
  })
  it('the lock of a head is learnt from what is read before and after it, and turned against', () => {
    const drift = { dx: 0.3 * MM, dy: -0.2 * MM, turn: 0 }
    const head = simulatedHead({ head: USUAL_HEAD, start: STILL, drift, scatter: 0.03 * MM }, 3)
    const poseNow = () => {
      const told = registrationAid(head.read(FULL, 0.05 * MM), USUAL_HEAD)
      if ('missing' in told) throw new Error('not read')
      return told.pose
    }
    const locks = Array.from({ length: 6 }, () => {
      head.unlock()
      const before = poseNow()
      head.lock()
      const after = poseNow()
      return { dx: after.dx - before.dx, dy: after.dy - before.dy, turn: after.turn - before.turn }
    })
    const { against } = driftOf(locks)
    const misses = (aim?: typeof STILL) =>
      rms(
        SEEDS.slice(0, 60).map((seed) => {
          const start = { dx: 1 * MM, dy: 0.7 * MM, turn: 0.002 }
          const one = simulatedHead({ head: USUAL_HEAD, start, drift, scatter: 0.03 * MM }, seed)
          byTheAid(one, FULL, 0.05 * MM, 1, aim)
          return missOver(one.lies(), corners(0.3, 0.36))
        }),
      )
    expect(misses(against)).toBeLessThan(0.6 * misses())
  })
})

it('a head on a coarser thread, one knob cut the other way, comes right in one round once its knobs were tried', () => {
  const [left, right, side] = USUAL_HEAD.knobs
  const head: Head = {
    ...USUAL_HEAD,
    knobs: [
      { ...left, x: left.x - 10 * MM, pitch: 1.5 * MM },
      { ...right, pitch: 1.5 * MM },
      { ...side, y: side.y + 15 * MM, pitch: -1.5 * MM },
    ],
  }
  const missed = (tried: boolean) =>
    SEEDS.slice(0, 40).map((seed) => {
      const start = { dx: 1.2 * MM, dy: -0.9 * MM, turn: 0.003 }
      const truth = { head, start, drift: STILL, scatter: 0 }
      const known = tried ? calibrated(simulatedHead(truth, seed), FULL, 0.1 * MM) : USUAL_HEAD
      const own = simulatedHead(truth, seed + 1)
      byTheAid(own, FULL, 0.1 * MM, 1, undefined, known)
      return missOver(own.lies(), corners(0.3, 0.36))
    })
  // As assumed, the side knob goes the wrong way.
  expect(rms(missed(false))).toBeGreaterThan(0.4 * MM)
  expect(rms(missed(true))).toBeLessThan(0.2 * MM)
})
