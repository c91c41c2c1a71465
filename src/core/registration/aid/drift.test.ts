import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { message } from '../../advice'
import { registrationAid } from './aid'
import { driftOf, knownHeads, lockingOn } from './drift'
import { driftSaid, lockSaid } from './driftSaid'
import type { Pose } from './fit'
import { USUAL_HEAD } from './knobs'

const MM = 1e-3
const mm = (x: number) => x * MM
/** Millimetres, the turn as millimetres at 150. */
const lock = (dx: number, dy: number, arm: number): Pose => ({
  dx: dx * MM,
  dy: dy * MM,
  turn: (arm * MM) / 0.15,
})
const near = (n: number, dx: number, dy = 0, arm = 0) => Array.from({ length: n }, () => lock(dx, dy, arm))

describe('how a head moves when it is locked', () => {
  it('four locks (worked figures of the model, inside)', () => {
    const { mean, spread } = driftOf([
      lock(0.18, -0.07, 0.05),
      lock(0.22, -0.11, 0.02),
      lock(0.15, -0.04, 0.08),
      lock(0.2, -0.09, 0.06),
    ])
    expect([mean.dx / MM, mean.dy / MM, (mean.turn * 0.15) / MM]).toEqual([
      expect.closeTo(0.1513, 3),
      expect.closeTo(-0.0625, 3),
      expect.closeTo(0.0427, 3),
    ])
    expect([spread.dx / MM, spread.dy / MM, (spread.turn * 0.15) / MM]).toEqual([
      expect.closeTo(0.0879, 3),
      expect.closeTo(0.0712, 3),
      expect.closeTo(0.0685, 3),
    ])
  })
  it('is turned against from the third lock on, and only the way it is sure of', () => {
    expect(driftOf([]).against).toEqual({ dx: 0, dy: 0, turn: 0 })
    expect(driftOf(near(2, 0.3)).against.dx).toBeCloseTo(0, 9)
    const { against, mean } = driftOf(near(3, 0.3))
    expect(against.dx).toBe(-mean.dx)
    expect(Math.abs(against.dy) + Math.abs(against.turn)).toBe(0)
  })
  it('one odd lock hardly counts', () => {
    const steady = driftOf(near(10, 0.1))
    const odd = driftOf([...near(10, 0.1), lock(2, 0, 0)])
    expect(odd.mean.dx - steady.mean.dx).toBeLessThan(0.05 * MM)
    expect(odd.changedAt).toBeUndefined()
  })
  it('a head that was changed is told, and its new way learnt within three locks', () => {
    const found = driftOf([...near(20, 0.1, 0.05), ...near(3, -0.35, 0.05)])
    // Two of the last three say so.
    expect(found.changedAt).toBe(22)
    expect(found.mean.dx / MM).toBeCloseTo(-0.35, 1)
  })
  it('comes as near as locks allow: the mean of many is the mean they scatter about; turned about, so is it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: -0.2, max: 0.2, noNaN: true }),
            fc.double({ min: -0.2, max: 0.2, noNaN: true }),
          ),
          {
            minLength: 1,
            maxLength: 40,
          },
        ),
        (list) => {
          const locks = list.map(([x, y]) => lock(x, y, 0))
          const { mean, spread, against } = driftOf(locks)
          const xs = locks.map((l) => l.dx)
          expect(mean.dx).toBeLessThanOrEqual(Math.max(0, ...xs) + 1e-12)
          expect(mean.dx).toBeGreaterThanOrEqual(Math.min(0, ...xs) - 1e-12)
          expect(spread.dx).toBeGreaterThan(0)
          const back = driftOf(locks.map((l) => ({ dx: -l.dx, dy: -l.dy, turn: -l.turn })))
          expect(back.mean.dx).toBeCloseTo(-mean.dx, 9)
          expect(back.against.dy).toBeCloseTo(-against.dy, 9)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('a head whose lock is known', () => {
  const against = { dx: -0.2e-3, dy: 0.1e-3, turn: 0 }
  const at = (dx: number, dy: number) =>
    [
      { name: 'left', x: -0.16, y: 0 },
      { name: 'right', x: 0.16, y: 0 },
      { name: 'top', x: 0, y: 0.19 },
    ].map((m) => ({ ...m, dx, dy, spread: 0.05e-3 }))
  const aid = (dx: number, dy: number, aim?: typeof against) => {
    const found = registrationAid(at(dx, dy), USUAL_HEAD, aim)
    if ('missing' in found) throw new Error('not read')
    return found
  }
  it('is left where locking will bring it right, and turned where it is right before', () => {
    expect(aid(against.dx, against.dy, against).leave).toBe(true)
    expect(aid(0, 0, against).leave).toBe(false)
    expect(aid(0, 0).leave).toBe(true)
  })
  it('is turned to where it has to lie before, as nothing is turned to its target', () => {
    const [there, from] = [aid(0.6e-3, 0.3e-3, against), aid(0.8e-3, 0.2e-3)]
    expect(there.correction.turns.map((t) => t.exact)).toEqual(
      from.correction.turns.map((t) => expect.closeTo(t.exact, 9)),
    )
  })
  it('says what is known, and when it is turned against', () => {
    const rules = (n: number) => driftSaid(driftOf(near(n, 0.3)), 4).map((r) => r.rule)
    expect(rules(0)).toEqual([])
    expect(rules(2)).toEqual(['AID_LOCKS', 'AID_UNSURE'])
    expect(rules(3)).toEqual(['AID_LOCKS', 'AID_AGAINST'])
    const changed = driftSaid(driftOf([...near(20, 0.1, 0.05), ...near(3, -0.35, 0.05)]), 4)
    expect(changed.map((r) => r.rule)[0]).toBe('AID_OTHER')
    expect(message(lockSaid(lock(-0.12, 0.05, 0)), 'metric')).toContain(
      '0.12 mm left and 0.05 mm away from you',
    )
  })
})

describe('what locking leaves off', () => {
  const lock = (head: number, dx: number, n: number) => ({
    ...{ pressId: 'four', head, at: `2026-11-0${n}T08:00:00Z`, dx: mm(dx), dy: 0, turn: 0 },
  })
  const read = { dx: mm(0.05), dy: mm(0.05), turn: 2.8e-4 }
  const steady = [1, 2, 3, 4, 5, 6].map((n) => lock(2, 0.2, n))
  it('of a head is only known from its third lock on, and of several from where all are', () => {
    const known = knownHeads([...steady, lock(3, 0.1, 1), lock(3, 0.1, 2)])
    expect(known.map((k) => [k.head, k.drift.locks])).toEqual([
      [2, 6],
      [3, 2],
    ])
    expect(lockingOn(known, [2], read)).toBeDefined()
    expect(lockingOn(known, [2, 3], read)).toBeUndefined()
    expect(lockingOn(known, [], read)).toBeUndefined()
  })
  it('is less where the head is turned against its drift, and never nothing', () => {
    const against = lockingOn(knownHeads(steady), [2], read)!
    expect(against.dx).toBeLessThan(mm(0.12))
    expect(against.dx).toBeGreaterThanOrEqual(mm(0.02) - 1e-12)
    // A head that goes now left, now right is not turned against: all of it stays.
    const wild = knownHeads([0.3, -0.3, 0.3, -0.3, 0.3, -0.3].map((dx, i) => lock(4, dx, i + 1)))
    expect(lockingOn(wild, [4], read)!.dx).toBeGreaterThan(against.dx)
  })
  it('counts the worst of the heads', () => {
    const wild = [0.3, -0.3, 0.3, -0.3].map((dx, i) => lock(4, dx, i + 1))
    const known = knownHeads([...steady, ...wild])
    expect(lockingOn(known, [2, 4], read)).toEqual(lockingOn(known, [4], read))
  })
})
