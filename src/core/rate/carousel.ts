import type { Duration } from '../quantity'
import { cycleRatio, type Wait } from './cycleRatio'
import type { Motions, Work } from './times'

/** How the pallets of a carousel take turns: all in one phase, or each one phase behind its neighbour. */
export const PATTERNS = {
  lap: 'all pallets base, then all colours',
  staggered: 'base and colours in turn',
} as const
export type Pattern = keyof typeof PATTERNS

/** A rhythm of printer and loader. */
export interface Rhythm {
  readonly pattern: Pattern
  /** Pallets past the front at which the loader works. */
  readonly loaderAt: number
}

/** What is to be done while the carousel stands. */
export interface Stop {
  /** Groups printed on the garment that is there. */
  readonly groups: readonly number[]
  /** Then it is changed here, and the first group is printed on the new one. */
  readonly changes: boolean
  /** Seconds of work at the front, and the motions it is made of. */
  readonly front: Duration
  readonly motions: Motions
  /** The pallet that leaves the front goes under the flash, and has to cool before it comes back. */
  readonly flashed: boolean
  /** The garment is finished: a loader changes it further on. */
  readonly reload: boolean
}

/**
 * The stops of one period, in which every pallet finishes one garment. A loader changes garments past the front: each group
 * has a stop of its own. Alone, the printer changes the garment at the front and lays the first group on the new one at once.
 */
export function stopsOf(work: Work, pallets: number, { pattern }: Rhythm, alone: boolean): readonly Stop[] {
  const { groups, motions, hand, handMotions } = work
  const flashes = groups.length > 1
  const visits = alone ? Math.max(1, groups.length - 1) : groups.length
  return Array.from({ length: visits * pallets }, (_, stop): Stop => {
    const visit = Math.floor(stop / pallets)
    const v = (pattern === 'lap' ? visit : visit + (stop % pallets)) % visits
    const last = v === visits - 1
    const flow = { flashed: alone ? flashes : !last, reload: !alone && last }
    if (!alone)
      return { groups: [v], changes: false, front: groups[v] ?? 0, motions: motions[v] ?? [], ...flow }
    const own = flashes ? (groups[v + 1] ?? 0) : 0
    return {
      groups: flashes ? [v + 1] : [],
      changes: last,
      front: own + (last ? hand + (groups[0] ?? 0) : 0),
      motions: [
        ...((flashes && motions[v + 1]) || []),
        ...(last ? [...handMotions, ...(motions[0] ?? [])] : []),
      ],
      ...flow,
    }
  })
}

/** Every rhythm that a carousel allows. */
export const rhythmsOf = (pallets: number, groups: number, alone: boolean): readonly Rhythm[] =>
  (groups > 1 ? (['staggered', 'lap'] as const) : (['lap'] as const)).flatMap((pattern) =>
    Array.from({ length: alone ? 1 : Math.max(1, pallets - 2) }, (_, i) => ({
      pattern,
      loaderAt: Math.min(pallets - 1, i + 2),
    })),
  )

/**
 * Seconds a garment at a carousel: the flash stands one past the front, the loader further on; a pallet prints again once it
 * is cool. The longest circle of waits over one period decides.
 */
export function carouselCycle(work: Work, pallets: number, rhythm: Rhythm, alone: boolean): Duration {
  const { hand, turn, flash, cool } = work
  const stops = stopsOf(work, pallets, rhythm, alone)
  const n = stops.length
  // Two moments a stop: the carousel stands, and work at the front begins.
  const rest = (j: number) => 2 * (j % n)
  const front = (j: number) => 2 * (j % n) + 1
  const wait = (from: number, at: number, to: number, later: number, seconds: number): Wait => ({
    from,
    to,
    seconds,
    tokens: Math.floor(later / n) - Math.floor(at / n),
  })
  const waits = stops.flatMap((stop, j): Wait[] => {
    const at = j + rhythm.loaderAt
    return [
      wait(rest(j), j, front(j), j, 0),
      wait(front(j), j, rest(j + 1), j + 1, stop.front + turn),
      ...(stop.flashed
        ? [
            wait(rest(j + 1), j + 1, rest(j + 2), j + 2, flash + turn),
            wait(rest(j + 1), j + 1, front(j + pallets), j + pallets, flash + cool),
          ]
        : []),
      ...(stop.reload ? [wait(rest(at), at, rest(at + 1), at + 1, hand + turn)] : []),
    ]
  })
  return cycleRatio(2 * n, waits) / pallets
}
