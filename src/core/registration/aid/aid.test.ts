import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { registrationAid } from './aid'
import { asOperatorSees, explain, linesOf, type MarkReading, missing, offAt, type Pose, poseOf } from './fit'
import { correct, missOver, USUAL_HEAD } from './knobs'
import { chance, verdictOn } from './verdict'

const MM = 1e-3
/** Marks at the edges of a full front, millimetres. */
const AT = { L: [-160, 0], R: [160, 0], T: [0, 190], B: [0, -190] } as const
type Mark = keyof typeof AT
const marks = (
  read: Partial<Record<Mark, readonly [dx: number | undefined, dy: number | undefined]>>,
  spread = 0.1,
): readonly MarkReading[] =>
  Object.entries(read).map(([name, [dx, dy]]) => ({
    name,
    x: AT[name as Mark][0] * MM,
    y: AT[name as Mark][1] * MM,
    ...(dx !== undefined && { dx: dx * MM }),
    ...(dy !== undefined && { dy: dy * MM }),
    spread: spread * MM,
  }))
const fitted = (read: readonly MarkReading[]) => {
  const found = explain(linesOf(read))
  if (!found) throw new Error('not determined')
  return found
}
const verdict = (read: readonly MarkReading[]) => verdictOn(linesOf(read), 0.2)
const CORNERS = [-1, 1].flatMap((a) => [-1, 1].map((b) => ({ x: a * 0.15, y: b * 0.18 })))

describe('where a screen lies (worked figures of the model, inside)', () => {
  const T1 = marks({ L: [0.42, -0.18], R: [0.38, 0.46], T: [0.02, 0.15], B: [0.8, 0.12] })
  it('four marks, both ways', () => {
    const found = fitted(T1)
    const { dx, dy, turn } = poseOf(found)
    expect([dx / MM, dy / MM]).toEqual([expect.closeTo(0.405, 4), expect.closeTo(0.1375, 4)])
    expect(turn).toBeCloseTo(0.0020308, 6)
    expect(Math.sqrt(found.covariance[0]?.[0] ?? 0) / MM).toBeCloseTo(0.05, 4)
    expect(Math.sqrt(found.covariance[2]?.[2] ?? 0)).toBeCloseTo(2.847e-4, 6)
    expect(found.rss).toBeCloseTo(0.1458, 3)
    expect(found.spare).toBe(5)
    expect(chance(found.rss, found.spare)).toBeGreaterThan(0.99)
    expect(verdict(T1)).toEqual({ kind: 'fine' })
  })
  it('single lines of different spread', () => {
    const T2 = [
      ...marks({ T: [0, undefined], B: [0, undefined] }, 0.08),
      ...marks({ L: [undefined, 0.3] }, 0.1),
      ...marks({ R: [undefined, 0] }, 0.08),
    ]
    const found = fitted(T2)
    const { dx, dy, turn } = poseOf(found)
    expect(dx / MM).toBeCloseTo(0, 6)
    expect(dy / MM).toBeCloseTo(0.128804, 5)
    expect(turn).toBeCloseTo(-0.000334, 6)
    expect(found.rss).toBeCloseTo(3.533, 2)
    expect(found.spare).toBe(1)
  })
  it('lines of one way alone determine nothing, and which is missing is told', () => {
    const lines = linesOf(marks({ L: [undefined, 0.1], R: [undefined, 0.2], T: [undefined, 0.1] }))
    expect(explain(lines)).toBeUndefined()
    expect(missing(lines)).toBe('x')
  })
  it('a screen that has grown', () => {
    const T4 = marks({ L: [-0.04, -0.1], R: [0.44, -0.1], T: [0.2, 0.185], B: [0.2, -0.385] })
    const found = fitted(T4)
    expect(found.rss).toBeCloseTo(27.765, 2)
    expect(chance(found.rss, found.spare)).toBeCloseTo(0.00229, 4)
    const said = verdict(T4)
    expect(said.kind).toBe('scale')
    if (said.kind === 'scale') expect(said.strain).toBeCloseTo(1.5e-3, 6)
  })
  it('a screen that is bent', () => {
    const T5 = marks({ L: [0, 0.4], R: [0, 0.4], T: [0, 0], B: [0, 0] }, 0.05)
    expect(poseOf(fitted(T5)).dy / MM).toBeCloseTo(0.2, 6)
    expect(fitted(T5).rss).toBeCloseTo(64, 3)
    expect(verdict(T5)).toEqual({ kind: 'bent' })
  })
  it('a sign that was written wrong', () => {
    const T6 = marks({ L: [0.1, -0.5], R: [0.1, 0.5], T: [0.1, 0.5], B: [0.1, 0.5] })
    expect(fitted(T6).rss).toBeCloseTo(54.25, 1)
    const said = verdict(T6)
    expect(said.kind === 'sign' && [said.line.mark, said.line.axis]).toEqual([0, 'y'])
  })
  it('what is turned, rounded together, and play taken up', () => {
    const { turns, left } = correct(poseOf(fitted(T1)), USUAL_HEAD, T1)
    expect(turns.map((t) => t.exact)).toEqual([0.3117, -0.5331, 0.3583].map((t) => expect.closeTo(t, 3)))
    expect(turns.map((t) => t.turns)).toEqual([0.25, -0.5, 0.25])
    expect(turns.map((t) => t.moves)).toEqual([[0.25], [-0.75, 0.25], [0.25]])
    const atMarks = T1.map((m) => Math.hypot(left.dx - m.y * left.turn, left.dy + m.x * left.turn))
    const rms = Math.sqrt(atMarks.reduce((sum, e) => sum + e * e, 0) / atMarks.length)
    expect(rms / MM).toBeCloseTo(0.0594, 2)
  })
})

describe('whatever is read', () => {
  const anyPose: fc.Arbitrary<Pose> = fc.record({
    dx: fc.double({ min: -2e-3, max: 2e-3, noNaN: true }),
    dy: fc.double({ min: -2e-3, max: 2e-3, noNaN: true }),
    turn: fc.double({ min: -4e-3, max: 4e-3, noNaN: true }),
  })
  const seen = ({ dx, dy, turn }: Pose) =>
    marks(
      Object.fromEntries(
        Object.entries(AT).map(([name, [x, y]]) => [
          name,
          [(dx - y * MM * turn) / MM, (dy + x * MM * turn) / MM],
        ]),
      ),
    )
  it('the fit of a pose is the pose', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        const found = poseOf(fitted(seen(pose)))
        expect(Math.abs(found.dx - pose.dx)).toBeLessThan(1e-9)
        expect(Math.abs(found.dy - pose.dy)).toBeLessThan(1e-9)
        expect(Math.abs(found.turn - pose.turn)).toBeLessThan(1e-9)
      }),
    )
  })
  it('the told turns land within what rounding to an eighth leaves', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        const { left, turns } = correct(pose, USUAL_HEAD, CORNERS)
        // Half a step of each knob, as far out as the corner is.
        expect(missOver(left, CORNERS)).toBeLessThan(0.16e-3)
        for (const t of turns) {
          expect((t.turns * 8) % 1).toBeCloseTo(0, 9)
          expect(Math.abs(t.turns - t.exact)).toBeLessThanOrEqual(1 / 8 + 1e-9)
          // Every move ends the same way, and adds up.
          if (t.moves.length > 0) expect(t.moves.at(-1)).toBeGreaterThan(0)
          expect(t.moves.reduce((a, b) => a + b, 0)).toBeCloseTo(t.turns, 9)
        }
      }),
    )
  })
  it('with the collar towards the operator the same knobs are turned for what the operator sees', () => {
    // Offsets are typed as the operator sees them; only the marks of the art have changed places.
    fc.assert(
      fc.property(anyPose, (pose) => {
        const there = asOperatorSees(
          seen(pose).map((m) => ({ ...m, x: -m.x, y: -m.y })),
          true,
        )
        const turns = (read: readonly MarkReading[]) =>
          correct(poseOf(fitted(read)), USUAL_HEAD, CORNERS).turns.map((t) => t.exact)
        expect(turns(there)).toEqual(turns(seen(pose)).map((t) => expect.closeTo(t, 9)))
      }),
    )
  })
  it('what is far out is known less well (geometry)', () => {
    const found = fitted(seen({ dx: 0, dy: 0, turn: 0 }))
    expect(offAt(found, 0.15, 0.18).sdX).toBeGreaterThan(offAt(found, 0, 0).sdX)
    expect(offAt(found, 0, 0)).toMatchObject({ dx: expect.closeTo(0, 9), dy: expect.closeTo(0, 9) })
  })
  it('more marks never make it less sure', () => {
    const all = seen({ dx: 0, dy: 0, turn: 0 })
    for (const few of [all.slice(0, 2), all.slice(0, 3)])
      for (const i of [0, 1, 2])
        expect(fitted(all).covariance[i]?.[i]).toBeLessThanOrEqual(fitted(few).covariance[i]?.[i] ?? 0)
  })
})

describe('the aid', () => {
  const rules = (read: readonly MarkReading[]) => {
    const aid = registrationAid(read, USUAL_HEAD)
    return 'missing' in aid ? [aid.missing.rule] : aid.reasons.map((r) => r.rule)
  }
  it('tells turns only where turning mends it', () => {
    expect(rules(marks({ L: [0.4, 0.1], R: [0.4, 0.1], T: [0.4, 0.1], B: [0.4, 0.1] }))).toEqual([
      'AID_LIES',
      'AID_LEFT',
    ])
    expect(rules(marks({ L: [0.02, 0], R: [0, 0.02], T: [0, 0], B: [0, 0] }))).toEqual([
      'AID_LIES',
      'AID_LEAVE',
    ])
    expect(rules(marks({ L: [-0.6, 0], R: [0.6, 0], T: [0, 0.6], B: [0, -0.6] }))).toEqual([
      'AID_LIES',
      'AID_SCALE',
    ])
    expect(rules(marks({}))).toEqual(['AID_NO_X'])
  })
})

describe('what the job forgives', () => {
  const off = marks({ L: [0.12, 0], R: [0.12, 0], T: [0.12, 0], B: [0.12, 0] }, 0.02)
  const told = (allows?: number) => {
    const found = registrationAid(off, USUAL_HEAD, undefined, allows)
    if ('missing' in found) throw new Error('not read')
    return { leave: found.leave, rules: found.reasons.map((r) => r.rule) }
  }
  it('is left where it forgives what may lie off, the reading counted in; turned where it does not', () => {
    expect(told(0.3 * MM)).toEqual({ leave: true, rules: ['AID_LIES', 'AID_HOLDS'] })
    expect(told(0.12 * MM)).toEqual({ leave: false, rules: ['AID_LIES', 'AID_LEFT'] })
    expect(told().leave).toBe(false)
  })
  it('never takes a screen for good that has grown', () => {
    const grown = marks({ L: [-0.2, 0], R: [0.2, 0], T: [0, 0.2], B: [0, -0.2] }, 0.02)
    const found = registrationAid(grown, USUAL_HEAD, undefined, 5 * MM)
    expect('missing' in found ? undefined : [found.leave, found.stop]).toEqual([false, true])
  })
})
