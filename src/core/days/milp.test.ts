import loadHighs, { type HighsSolution } from 'highs'
import { describe, expect, it } from 'vitest'
import { COST } from './cost'
import { type AskedRun, daysOf, drawing, problemOf } from './days.fixtures'
import { decode } from './decode'
import { firstPlan } from './firstPlan'
import type { DayRun, DaysProblem } from './problem'
import { Search } from './search'

/**
 * A shop that works day and night without crew, dryers and frames: what is left is a disjunctive programme that HiGHS (an open solver
 * of mixed integer programmes) solves to its proven end.
 */
function aroundTheClock(seed: number, count: number, presses: number): DaysProblem {
  const below = drawing(seed)
  const END = 6000
  const base = problemOf({
    presses,
    days: 5,
    runs: Array.from({ length: count }, (): AskedRun => {
      const long = 60 + below(240)
      return {
        on: Array.from({ length: presses }, () => ({ setUp: 10 + below(40), run: long + below(80) })),
        weight: 1 + below(3),
        due: 150 + below((count * 200) / presses),
        garments: below(3) === 0 ? below(300) : 0,
      }
    }),
  })
  return {
    ...base,
    end: END,
    people: count,
    presses: base.presses.map((p) => ({ ...p, works: [{ from: 0, to: END }], overtime: [] })),
  }
}

/** The programme in the LP format: which press, who before whom, when; what is late, and whether at all. */
function programme({ runs, presses, end }: DaysProblem): string {
  const all = runs.map((_, i) => i)
  const on = (i: number, p: number) => runs[i]?.on[p] ?? { setUp: 0, run: 0 }
  const rows: string[] = []
  for (const [i, run] of runs.entries()) {
    rows.push(`${presses.map((_, p) => `x${i}_${p}`).join(' + ')} = 1`)
    // The last piece: set-up begins at s, what both take depends on the press.
    const takes = presses.map((_, p) => `- ${on(i, p).setUp + on(i, p).run} x${i}_${p}`).join(' ')
    rows.push(`c${i} - s${i} ${takes} = 0`)
    rows.push(`c${i} ${presses.map((_, p) => `- ${on(i, p).run} x${i}_${p}`).join(' ')} >= ${run.garments}`)
    rows.push(`t${i} - c${i} >= -${run.due}`)
    rows.push(`t${i} - ${end} l${i} <= 0`)
    for (const k of all.slice(i + 1))
      for (const p of presses.keys()) {
        // On one press one ends before the other begins.
        rows.push(`s${k} - c${i} - ${end} y${i}_${k} - ${end} x${i}_${p} - ${end} x${k}_${p} >= -${3 * end}`)
        rows.push(`s${i} - c${k} + ${end} y${i}_${k} - ${end} x${i}_${p} - ${end} x${k}_${p} >= -${2 * end}`)
      }
  }
  const cost = runs.map(
    (r, i) =>
      `${r.weight * COST.lateMinute} t${i} + ${r.weight * COST.late} l${i} + ${r.weight * COST.sooner} c${i}`,
  )
  const binaries = all.flatMap((i) => [
    `l${i}`,
    ...presses.map((_, p) => `x${i}_${p}`),
    ...all.slice(i + 1).map((k) => `y${i}_${k}`),
  ])
  return [
    `Minimize\n obj: ${cost.join(' + ')}`,
    `Subject To\n${rows.map((r, i) => ` r${i}: ${r}`).join('\n')}`,
    `Bounds\n${all.map((i) => ` 0 <= s${i} <= ${end}\n 0 <= c${i} <= ${end}`).join('\n')}`,
    `Binary\n ${binaries.join(' ')}\nEnd`,
  ].join('\n')
}

/** The choice that a solution stands for. */
function choiceIn(problem: DaysProblem, { Columns }: HighsSolution) {
  const value = (name: string) => Number((Columns[name] as { Primal?: number } | undefined)?.Primal ?? 0)
  const order = problem.runs.map((_, i) => i).sort((a, b) => value(`s${a}`) - value(`s${b}`))
  return daysOf(
    problem,
    order,
    problem.runs.map((_, i) => problem.presses.findIndex((_, p) => value(`x${i}_${p}`) > 0.5)),
  )
}

describe('against a solver of mixed integer programmes (HiGHS, proven to its end)', () => {
  it.each([
    [2, 6, 2],
    [5, 6, 2],
    [1, 6, 3],
    [6, 6, 3],
    [2, 7, 2],
    [5, 7, 2],
    [5, 7, 3],
    [6, 7, 3],
  ])(
    'shop %i of %i runs on %i presses: the search comes to the proven least',
    async (seed, count, presses) => {
      const problem = aroundTheClock(seed, count, presses)
      const highs = await loadHighs()
      const solved = highs.solve(programme(problem), { time_limit: 60 })
      expect(solved.Status).toBe('Optimal')
      const proven = solved.ObjectiveValue
      // Its plan, placed here, costs what it says: both mean the same. Rounding of its times aside.
      const placed = decode(problem, choiceIn(problem, solved)).cost
      expect(Math.abs(placed - proven)).toBeLessThan(0.5)
      const search = new Search(problem, firstPlan(problem).choice, { seed: 1, evaluations: 30_000 })
      search.go(30_000)
      expect(search.answer().plan.cost).toBeLessThanOrEqual(proven + 0.5)
      expect(search.answer().plan.cost).toBeGreaterThanOrEqual(proven - 0.5)
    },
  )
})
