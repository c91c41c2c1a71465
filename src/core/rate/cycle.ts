import type { Duration } from '../quantity'
import { keysOf } from '../quantity'
import { carouselCycle, type Rhythm, rhythmsOf } from './carousel'
import {
  AS_IT_IS,
  type CycleNeed,
  RESOURCES,
  type Resource,
  type Scale,
  SKILLS,
  TIMES,
  workOf,
} from './times'

const sum = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0)

/** Places on the drying rack of a bench. */
export const DRYING_PLACES = 24

/**
 * Seconds for one piece at a steady pace: closed forms, fitted to common practice, never timed in this shop.
 *
 * @example four screens, flashed two-stroke base, four pallets, alone: 30.0 s, 120 an hour
 */
export function cycleTime(need: CycleNeed, scale: Scale = AS_IT_IS): Duration {
  const { press, crew, groups, laps, cool, pieces } = need
  const work = workOf(need, scale)
  const screens = groups.flat().length
  const flashes = groups.length - 1
  const printing = sum(work.groups)
  const m = SKILLS[crew.skill].factor
  switch (press.kind) {
    case 'single':
      return work.hand + printing + flashes * (work.flash + work.cool)
    case 'manual':
      return bestRhythm(need, scale).seconds
    case 'automatic': {
      const ends = [m * scale.hand * TIMES.autoLoad, m * scale.hand * TIMES.autoUnload]
      const stations = groups.flat().map((n) => scale.print * (TIMES.autoFlood + n * TIMES.autoStroke))
      const index = scale.turn * TIMES.autoIndex
      const slowest = Math.max(
        ...(crew.size === 'alone' ? [sum(ends)] : ends),
        ...stations,
        flashes > 0 ? work.flash : 0,
      )
      // A garment cools in the empty stations and while it travels; the next print waits for that.
      const first = scale.print * (TIMES.autoFlood + (groups.at(-1)?.[0] ?? 1) * TIMES.autoStroke)
      const cooled =
        flashes > 0 && cool > 0 ? (index + first + work.flash + work.cool) / (need.coolHeads + 2) : 0
      return laps * Math.max(index + slowest, cooled)
    }
    case 'bench': {
      const n = Math.max(1, Math.min(pieces, DRYING_PLACES))
      const hand = m * scale.hand * (TIMES.benchPlace + TIMES.benchRegister + TIMES.benchRack)
      const one = hand + m * scale.print * (TIMES.flood + TIMES.stroke)
      const dry = scale.cool * cool
      const between = Math.max(TIMES.benchSwap, dry - (n - 1) * one)
      const last = Math.max(TIMES.benchSwap, dry - n * one)
      return (screens * n * one + (screens - 1) * between + last) / n
    }
    default:
      return press satisfies never
  }
}

/** The rhythm in which a carousel is quickest. */
export function bestRhythm(
  need: CycleNeed,
  scale: Scale = AS_IT_IS,
): { readonly seconds: Duration; readonly rhythm: Rhythm } {
  const pallets = need.press.kind === 'manual' ? need.press.pallets : 1
  const alone = need.crew.size === 'alone'
  const work = workOf(need, scale)
  return rhythmsOf(pallets, work.groups.length, alone)
    .map((rhythm) => ({ rhythm, seconds: carouselCycle(work, pallets, rhythm, alone) }))
    .reduce((a, b) => (b.seconds < a.seconds - 1e-9 ? b : a))
}

/** What a tenth quicker would bring, as a share of pieces more. */
export interface Gain {
  readonly resource: Resource
  readonly gain: number
}

/** What limits the pace, worst first: a resource is a bottleneck by what it brings to quicken it. */
export function bottlenecks(need: CycleNeed): readonly Gain[] {
  const now = cycleTime(need)
  return keysOf(RESOURCES)
    .map((resource) => ({
      resource,
      gain: now / cycleTime(need, { ...AS_IT_IS, [resource]: 0.9 }) - 1,
    }))
    .filter((g) => g.gain > 5e-4)
    .sort((a, b) => b.gain - a.gain)
}
