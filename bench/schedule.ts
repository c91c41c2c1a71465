/**
 * The shop's days: the first answer by rule, and what a search makes of it after 5 and 30 s, against the rule and against the best of
 * some long runs; what a press that fails for 6 hours costs with moves and without; small shops against every choice tried.
 */

import { performance } from 'node:perf_hooks'
import { decode, firstPlan, Search } from '../src/core/days'
import { daysOf } from '../src/core/days/days.fixtures'
import { largeShop } from '../src/core/days/many.fixtures'
import { shownOf } from '../src/core/days/moves'
import { SMALL } from './size'

const [RUNS, PRESSES] = SMALL ? [20, 3] : [200, 6]
const [SHORT, LONG] = SMALL ? [0.2, 0.4] : [5, 30]
const BEST_OF = SMALL ? 1 : 9
const SMALL_SHOPS = SMALL ? 2 : 8
const round = (x: number, digits = 2) => x.toFixed(digits)

// Four runs: nothing is better than the best of all choices.
const gaps = Array.from({ length: SMALL_SHOPS }, (_, i) => {
  const { problem } = daysOf.random(11 + 13 * i, 4)
  const best = daysOf.best(problem)
  const search = new Search(problem, firstPlan(problem).choice, { seed: 1, evaluations: 20_000 })
  search.go(20_000)
  return Math.max(0, search.answer().plan.cost / best - 1)
})
console.log(
  `four runs, ${SMALL_SHOPS} shops: at most ${round(100 * Math.max(...gaps))} % over the best of all choices`,
)

const problem = largeShop(RUNS, PRESSES, 5)
firstPlan(largeShop(RUNS, PRESSES, 6))
const began = performance.now()
const first = firstPlan(problem)
const firstTook = performance.now() - began
console.log(
  `first answer, ${RUNS} runs on ${PRESSES} presses: ${round(firstTook, 0)} ms, cost ${round(first.plan.cost, 0)}`,
)

/** Costs after so many seconds, and the choice then. */
function searched(seed: number, seconds: readonly number[]) {
  const search = new Search(problem, first.choice, { seed, evaluations: SMALL ? 600 : 60_000 })
  const from = performance.now()
  return seconds.map((s) => {
    while (!search.isDone && performance.now() - from < 1000 * s) search.go(50)
    return search.answer()
  })
}
const [afterShort = first, afterLong = first] = searched(1, [SHORT, LONG])
const [short, long] = [afterShort.plan.cost, afterLong.plan.cost]
const others = Array.from({ length: BEST_OF }, (_, i) => searched(2 + i, [LONG])[0]?.plan.cost ?? long)
const best = Math.min(long, ...others)
console.log(
  `search: ${SHORT} s ${round(short, 0)}, ${LONG} s ${round(long, 0)}, best of ${BEST_OF + 1}: ${round(best, 0)}`,
)

// The first press stands still for six hours of its first day: everything later, or moved.
const begins = problem.presses[0]?.works[0]?.from ?? 0
const down = { from: begins, to: begins + 360 }
const failed = {
  ...problem,
  presses: problem.presses.map((p, i) => ({
    ...p,
    works:
      i > 0
        ? p.works
        : p.works.flatMap((s) =>
            [
              { from: s.from, to: Math.min(s.to, down.from) },
              { from: Math.max(s.from, down.to), to: s.to },
            ].filter((x) => x.to > x.from),
          ),
  })),
}
const shifted = decode(failed, afterLong.choice).cost
const rescue = new Search(failed, afterLong.choice, {
  ...{ seed: 1, evaluations: SMALL ? 600 : 60_000, movePrice: 120 },
  shown: shownOf(RUNS, afterLong.plan.booked, (setUp) => (setUp < begins + 240 ? 4 : 2)),
})
const rescueBegan = performance.now()
while (!rescue.isDone && performance.now() - rescueBegan < 1000 * SHORT) rescue.go(50)
const rescued = rescue.answer().plan.cost
console.log(
  `a press down for 6 h: undisturbed ${round(long, 0)}, only later ${round(shifted, 0)}, after ${SHORT} s with moves ${round(rescued, 0)}`,
)

console.log(
  `schedule: first ${round(firstTook, 0)} ms, ${SHORT} s/rule ${round(short / first.plan.cost)}, ${LONG} s/rule ${round(long / first.plan.cost)}, ${LONG} s/best ${round(long / best)}, rescue/only later ${round(rescued / shifted)}, rescue/undisturbed ${round(rescued / long)}, gap of four runs ${round(Math.max(...gaps), 4)}`,
)
