import { randomLcg, randomNormal } from 'd3-random'

/** Numbers drawn for one matter alone. */
export interface Draws {
  /** Evenly from low to high. */
  readonly between: (low: number, high: number) => number
  readonly normal: (sd: number) => number
  readonly chance: (p: number) => boolean
  readonly one: <T>(of: readonly T[]) => T | undefined
}

function drawsFrom(source: () => number): Draws {
  const standard = randomNormal.source(source)(0, 1)
  return {
    between: (low, high) => low + (high - low) * source(),
    normal: (sd) => sd * standard(),
    chance: (p) => source() < p,
    one: (of) => of[Math.floor(source() * of.length)],
  }
}

/** Streams apart, so that a fault that draws does not shift what a run without it would have drawn. */
export interface Streams {
  readonly press: Draws
  readonly planting: Draws
  readonly caller: Draws
  readonly later: Draws
}

const STREAMS = ['press', 'planting', 'caller', 'later'] as const

/** @param seed a whole number; the same seed draws the same */
export function streamsOf(seed: number): Streams {
  const root = randomLcg(((seed >>> 0) + 0.5) / 4294967296)
  const starts = STREAMS.map(() => root())
  return Object.fromEntries(
    STREAMS.map((name, i) => [name, drawsFrom(randomLcg(starts[i]))]),
  ) as unknown as Streams
}
