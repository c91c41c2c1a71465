import type { Duration } from '../quantity'
import { keysOf } from '../quantity'
import { carouselCycle, type Rhythm, rhythmsOf } from './carousel'
import {
  AS_IT_IS,
  automaticTimes,
  type CycleNeed,
  printingOf,
  RESOURCES,
  type Resource,
  type Scale,
  SKILLS,
  type StrokeGroups,
  TIMES,
  type Work,
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
  const { press, crew, groups, laps, cool } = need
  const work = workOf(need, scale)
  const flashes = groups.length - 1
  const printing = sum(work.groups)
  switch (press.kind) {
    case 'single':
      return work.hand + printing + flashes * (work.flash + work.cool)
    case 'manual':
      return palletCycle(need, scale)
    case 'automatic': {
      const { ends, index } = automaticTimes(need, scale)
      const stations = groups.flat().map((struck) => scale.print * printingOf(struck))
      const slowest = Math.max(
        ...(crew.size === 'alone' ? [sum(ends)] : ends),
        ...stations,
        flashes > 0 ? work.flash : 0,
      )
      // A garment cools in the empty stations and while it travels; the next print waits for that.
      const first = scale.print * firstAfterFlash(groups)
      const cooled =
        flashes > 0 && cool > 0 ? (index + first + work.flash + work.cool) / (need.coolHeads + 2) : 0
      return laps * Math.max(index + slowest, cooled)
    }
    case 'bench':
      return benchCycle(need, work, scale)
    default:
      return press satisfies never
  }
}

/** Seconds of the first print after the last flash of an automatic. */
export const firstAfterFlash = (groups: StrokeGroups): Duration => {
  const first = groups.at(-1)?.[0]
  return first ? printingOf(first) : 0
}

/** Inks that meet wet build up on the backs of the screens: so many prints are not good yet (common practice, 6 to 12). */
export const FIRST_PRINTS = [6, 12] as const

/** The usual number of them; none where nothing is printed wet on wet. */
export const firstPrints = (groups: StrokeGroups): number =>
  groups.some((g) => g.length > 1) ? (FIRST_PRINTS[0] + FIRST_PRINTS[1]) / 2 : 0

/**
 * One screen after another. A single colour goes from the hinge to the belt; several are printed in batches, one colour across
 * all of a batch, which dries on a rack, or piece by piece under a flash unit or heat gun: one of the two, never both.
 */
function benchCycle({ groups, crew, pieces, flash }: CycleNeed, work: Work, scale: Scale): Duration {
  const screens = groups.flat()
  const printing = sum(work.groups)
  if (screens.length < 2) return work.hand + printing
  // First prints that are not good yet go through in the same batch.
  const n = Math.max(1, Math.min(pieces + firstPrints(groups), DRYING_PLACES))
  const m = SKILLS[crew.skill].factor * scale.hand
  const lay = m * (TIMES.benchPlace + TIMES.benchRegister + TIMES.benchRack)
  const ones = screens.map((struck) => lay + SKILLS[crew.skill].factor * scale.print * printingOf(struck))
  if (flash > 0) {
    const between = ones.slice(0, -1).map((one) => Math.max(TIMES.benchSwap, work.cool - (n - 1) * one))
    return sum(ones) + (screens.length - 1) * work.flash + (sum(between) + TIMES.benchSwap) / n
  }
  const dry = work.cool
  const between = ones.slice(0, -1).map((one) => Math.max(TIMES.benchSwap, dry - (n - 1) * one))
  const last = Math.max(TIMES.benchSwap, dry - n * (ones.at(-1) ?? 0))
  return sum(ones) + (sum(between) + last) / n
}

/** How the pallets take turns, who does it, and the seconds a garment in strict turns. */
export interface BestRhythm {
  readonly rhythm: Rhythm
  /** One person does all of it: a second only watches, where two would wait for each other. */
  readonly alone: boolean
  readonly seconds: Duration
}

/** The rhythm in which a carousel is quickest; two people fall back to that of one where it is. */
export function bestRhythm(need: CycleNeed, scale: Scale = AS_IT_IS): BestRhythm {
  const pallets = need.press.kind === 'manual' ? need.press.pallets : 1
  const crews = need.crew.size === 'alone' ? (['alone'] as const) : (['loader', 'alone'] as const)
  return crews
    .flatMap((size) => {
      const alone = size === 'alone'
      const work = workOf({ ...need, crew: { ...need.crew, size } }, scale)
      return rhythmsOf(pallets, work.groups.length, alone).map(
        (rhythm): BestRhythm => ({ rhythm, alone, seconds: carouselCycle(work, pallets, rhythm, alone) }),
      )
    })
    .reduce((a, b) => (b.seconds < a.seconds - 1e-9 ? b : a))
}

/**
 * Seconds a garment at a carousel. Strict turns fit some numbers of pallets better than one more (an odd one alternates by
 * itself); people skip or double a turn, so more pallets are taken to be no slower than fewer (assumed).
 */
export function palletCycle(need: CycleNeed, scale: Scale = AS_IT_IS): Duration {
  const { press } = need
  if (press.kind !== 'manual') return bestRhythm(need, scale).seconds
  const counts = Array.from({ length: Math.max(1, press.pallets - 1) }, (_, i) => press.pallets - i)
  return Math.min(
    ...counts.map((pallets) => bestRhythm({ ...need, press: { ...press, pallets } }, scale).seconds),
  )
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
