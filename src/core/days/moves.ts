import type { DaysChoice } from './problem'

/** The plan that people have seen, and what it costs to depart from it. */
export interface Shown {
  readonly press: readonly number[]
  /** Place of each run in the sequence of its press; none of a run that was not in it. */
  readonly rank: readonly (number | undefined)[]
  /** How much a change of press weighs, by run: more for what begins soon. */
  readonly freeze: readonly number[]
}

/** A plan as people see it: presses, and places by when set-up begins. */
export function shownOf(
  runs: number,
  booked: readonly { readonly run: number; readonly press: number; readonly setUp: number }[],
  freeze: (setUp: number) => number,
): Shown {
  const press = new Array<number>(runs).fill(-1)
  const rank = new Array<number | undefined>(runs).fill(undefined)
  const weight = new Array<number>(runs).fill(1)
  const sequence = [...booked].sort((a, b) => a.setUp - b.setUp)
  for (const [i, b] of sequence.entries()) {
    press[b.run] = b.press
    rank[b.run] = i
    weight[b.run] = freeze(b.setUp)
  }
  return { press, rank, freeze: weight }
}

/** Length of the longest sequence that only rises. */
function longestRising(list: readonly number[]): number {
  const tails: number[] = []
  for (const x of list) {
    let [low, high] = [0, tails.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((tails[middle] as number) < x) low = middle + 1
      else high = middle
    }
    tails[low] = x
  }
  return tails.length
}

/**
 * How much an order departs from what was shown: runs on another press, by their weight, and those that must change their place
 * on their press. A run that begins later in its place has not moved.
 */
export function movesFrom(shown: Shown, { order, press }: Pick<DaysChoice, 'order' | 'press'>): number {
  let moves = 0
  const stay: number[][] = []
  for (const run of order) {
    const rank = shown.rank[run]
    if (rank === undefined) continue
    const on = press[run] as number
    if (on !== shown.press[run]) moves += shown.freeze[run] as number
    else {
      stay[on] ??= []
      stay[on]?.push(rank)
    }
  }
  for (const list of stay) if (list) moves += list.length - longestRising(list)
  return moves
}
