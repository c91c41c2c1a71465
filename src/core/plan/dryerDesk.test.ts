import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { celsius } from '../quantity'
import { type CureJob, cureJobOf, dryerDesk } from './index'
import { jobFor, planFor } from './plan.fixtures'

const job = (runId: string, due: string, film: number, belt = 0.04, dryerId = 'one'): CureJob => ({
  orderId: 'O-1',
  runId,
  words: 'Tern, tees',
  due,
  pieces: 48,
  dryerId,
  inks: 'Plastisol',
  film: celsius(film),
  dwell: 60,
  belt,
  reasons: [],
})
const ids = (jobs: readonly CureJob[], dryer = 'one') => dryerDesk(jobs, dryer).map((l) => l.job.runId)
const rules = (jobs: readonly CureJob[]) => dryerDesk(jobs, 'one').map((l) => l.change.map((r) => r.rule))

describe('the tunnel of a plan', () => {
  it('has film, dwell and belt of the plan, and the inks in words', () => {
    const plan = planFor()
    const { order } = jobFor()
    const found = cureJobOf(order, plan)
    expect(found).toMatchObject({ orderId: order.id, runId: plan.run.id, pieces: plan.run.quantity })
    expect(found?.film).toBeGreaterThan(celsius(150))
    expect(found?.belt).toBeCloseTo(2.4 / (found?.dwell ?? 1), 6)
    expect(found?.reasons.length).toBeGreaterThan(1)
  })
})

describe('the dryer desk', () => {
  it('goes by what is due first, and of a day by what changes least', () => {
    const jobs = [
      job('low', '2026-12-01', 130),
      job('late', '2026-12-03', 160),
      job('metal', '2026-12-01', 170),
      job('plain', '2026-12-01', 160),
      job('elsewhere', '2026-12-01', 160, 0.04, 'two'),
    ]
    expect(ids(jobs)).toEqual(['metal', 'plain', 'low', 'late'])
    expect(ids(jobs, 'two')).toEqual(['elsewhere'])
  })
  it('tells what to change: nothing, the belt, the set points and how long that takes', () => {
    const day = '2026-12-01'
    expect(
      rules([job('a', day, 170), job('b', day, 170), job('c', day, 170, 0.02), job('d', day, 160, 0.02)]),
    ).toEqual([[], ['DESK_SAME'], ['DESK_BELT'], ['DESK_FILM']])
    const time = (from: number, to: number) =>
      dryerDesk([job('a', '2026-12-01', from), job('b', '2026-12-02', to)], 'one')[1]?.change[0]?.inputs.time
    // Walls give heat off more slowly than panels put it in (common practice, no source).
    expect(time(170, 130)).toMatchObject({ value: 40 * 45 })
    expect(time(130, 170)).toMatchObject({ value: 40 * 30 })
  })
  it('loses no job and never takes a later day first', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 120, max: 180 })), {
          maxLength: 12,
        }),
        (drawn) => {
          const jobs = drawn.map(([d, film], i) => job(String(i), `2026-12-0${d}`, film))
          const lines = dryerDesk(jobs, 'one')
          expect(lines.map((l) => l.job.runId).sort()).toEqual(jobs.map((j) => j.runId).sort())
          const days = lines.map((l) => l.job.due)
          expect(days).toEqual([...days].sort())
        },
      ),
      { numRuns: 200 },
    )
  })
})
