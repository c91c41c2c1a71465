import { Places } from './place'
import type { DaysChoice, DaysProblem } from './problem'

/** So many runs are tried in every order on every press. */
export const FEW = 6
/** Placed at the most: what takes more is not proven. */
const MOST = 400_000

/** The least that can be found, with what it costs. */
export interface Least {
  readonly order: readonly number[]
  readonly press: readonly number[]
  readonly cost: number
}

/**
 * Tries every order of a few runs on all of their presses, as long as it can come to less than is known: what it costs only grows with
 * each run. It goes on only as far as it is told to.
 */
export class Exact {
  isDone = false
  /** Every order was tried, or can come to no less. */
  isProven = false
  least: Least
  private placed = 0
  private readonly tries: Iterator<void>

  /**
   * @param known a choice that stands, with its cost: only what costs less is taken
   * @param besides what a choice costs beyond what is placed, never below 0
   */
  constructor(
    problem: DaysProblem,
    known: Least,
    overtime: DaysChoice['overtime'],
    presses: readonly (readonly number[])[],
    besides: (order: readonly number[], press: readonly number[]) => number,
  ) {
    this.least = known
    this.tries = this.all(problem, overtime, presses, besides)
  }

  /** Places so many runs more. */
  go(count: number): void {
    for (let i = 0; i < count && !this.isDone; i++) {
      this.isProven = this.tries.next().done === true
      this.isDone = this.isProven || ++this.placed >= MOST
    }
  }

  private *all(
    problem: DaysProblem,
    overtime: DaysChoice['overtime'],
    presses: readonly (readonly number[])[],
    besides: (order: readonly number[], press: readonly number[]) => number,
  ): Generator<void> {
    const places = new Places(problem, undefined, 1)
    places.work(overtime)
    const n = problem.runs.length
    const order: number[] = []
    const press = [...this.least.press]
    const isIn = new Uint8Array(n)
    const ahead = problem.runs.flatMap((r, i) => (r.pin?.started ? [i] : []))
    const self = this
    function* from(depth: number): Generator<void> {
      if (depth === n) {
        const cost = places.cost + besides(order, press)
        if (cost < self.least.cost - 1e-9) self.least = { order: [...order], press: [...press], cost }
        return
      }
      // What has begun stands first.
      const begun = ahead.find((i) => isIn[i] === 0)
      for (let run = 0; run < n; run++) {
        const after = problem.runs[run]?.after?.run
        if (isIn[run] || (begun !== undefined && run !== begun) || (after !== undefined && !isIn[after]))
          continue
        for (const on of presses[run] ?? []) {
          places.next(run, on, depth)
          isIn[run] = 1
          order.push(run)
          press[run] = on
          yield
          if (places.cost < self.least.cost - 1e-9) yield* from(depth + 1)
          order.pop()
          isIn[run] = 0
          places.back(depth, run)
        }
      }
    }
    yield* from(0)
  }
}
