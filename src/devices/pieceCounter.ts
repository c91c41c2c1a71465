import { randomLcg } from 'd3-random'
import type { Share } from '@/core/quantity'

/** A counter over the belt. It knows no size, misses what lies on another piece, and takes a flapping sleeve for one more. */
export interface PieceCounter {
  readonly name: string
  /** How many pieces it counted while this many seconds went by. */
  readonly after: (seconds: number) => number
}

/** Of a hundred pieces about so many are missed and counted twice (assumed). */
const MISSES: Share = 0.01
const DOUBLES: Share = 0.006

/**
 * A simulated counter behind a dryer that pieces leave at an even pace.
 *
 * @param pace pieces a second
 */
export function simulatedCounter(pace: number, seed = 1): PieceCounter {
  const random = randomLcg(seed)
  let due = 0
  return {
    name: 'Simulated piece counter',
    after: (seconds) => {
      due += pace * seconds
      let counted = 0
      for (; due >= 1; due--) {
        const luck = random()
        counted += luck < MISSES ? 0 : luck < MISSES + DOUBLES ? 2 : 1
      }
      return counted
    },
  }
}
