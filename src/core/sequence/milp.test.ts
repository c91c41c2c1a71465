import fc from 'fast-check'
import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { anyJob, anyRing } from './jobs.fixtures'
import { milpOf } from './milp.fixtures'
import { solve } from './solve'

// Reference: HiGHS, a solver of mixed integer programs (package `highs`); it knows nothing of printing.
describe('the assignment against a mixed integer program', () => {
  it('costs the same, or neither finds any', async () => {
    const solver = await highs()
    let fitted = 0
    fc.assert(
      fc.property(
        anyJob(5).filter((j) => j.hits.every((h) => h.role !== 'smoothing' && h.role !== 'expanding')),
        anyRing.filter((r) => r.cool <= 1 && r.flashWidth === 1),
        (job, ring) => {
          fc.pre(job.method.flash !== 'afterBase' && job.method.wetMost === 'any')
          const found = solve(job, ring, 'press')
          const answer = solver.solve(milpOf(job, ring), { mip_rel_gap: 0 })
          if (answer.Status === 'Infeasible') expect(found.fits).toBe(false)
          else {
            expect(answer.Status).toBe('Optimal')
            expect(found.fits).toBe(true)
            if (found.fits) expect(Math.abs(found.best.cost - 1000 * answer.ObjectiveValue)).toBeLessThan(20)
            fitted++
          }
        },
      ),
      { numRuns: 40, seed: 31 },
    )
    expect(fitted).toBeGreaterThan(8)
  }, 120_000)
})
