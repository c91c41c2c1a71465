import type { Prepared } from './prepared'
import type { State } from './state'

/**
 * The inks of a run that are still to be mixed: one after the other by one pair of hands, behind those of runs that were placed
 * before; what was mixed for another run is there for this one, too.
 *
 * @returns when all of them are there; 0 where none is missing
 */
export function inksFor(state: State, { problem, mixedAt }: Prepared, at: number): number {
  let ready = 0
  for (const ink of problem.runs[at]?.mixes ?? []) {
    if (state.mixed[ink] === 0) {
      const count = (state.sums[3] as number) + 1
      state.sums[3] = count
      state.mixed[ink] = mixedAt[count] ?? Number.POSITIVE_INFINITY
    }
    ready = Math.max(ready, state.mixed[ink] as number)
  }
  return ready
}
