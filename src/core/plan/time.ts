import { choiceOf, type NumberAdvice, numberOf, q, type Reason } from '../advice'
import type { Hours, Press } from '../equipment'
import type { Cure } from '../heat'
import { INK, POT_LIFE } from '../ink'
import { driesInScreen, laidFlat, sizesOf } from '../order'
import type { Duration, Length } from '../quantity'
import {
  beltRate,
  type Cap,
  onBelt,
  RATE,
  type RunTime,
  runTime,
  type StrokeGroups,
  type Struck,
} from '../rate'
import type { Event } from '../sequence'
import { type Flood, longer } from '../stroke'
import type { Context } from './hitPlans'
import type { Separation } from './hits'
import type { FlashPlan, HitPlan } from './runPlan'

/** Stations that lie between the last flash of an automatic and the next print, as the order has it. */
function coolHeadsIn(press: Press, events: readonly Event[], wide: number): number {
  if (press.kind !== 'automatic') return 0
  const places = press.stations.map((s) => s.number)
  const at = events.findLastIndex((e) => e.kind === 'flash')
  const [flash, print] = [events[at]?.station, events[at + 1]?.station]
  return flash === undefined || print === undefined
    ? 0
    : Math.max(0, places.indexOf(print) - places.indexOf(flash) - wide)
}

/** The film of an automatic cools about so long while its garment travels on, seconds. */
const AUTOMATIC_COOL = 10

/** What a run takes: how it is printed, flashed and cured. */
interface Timed {
  readonly ctx: Context
  readonly press: Press
  readonly hits: readonly HitPlan[]
  readonly flashes: readonly FlashPlan[]
  readonly events: readonly Event[]
  readonly laps: 1 | 2
  readonly cool: NumberAdvice
  /** Stations that a flash unit takes. */
  readonly wide: number
  readonly cure: Cure
}

/** Seconds of a flood over a usual print, by how it is done (assumed but for the usual). */
const FLOODED = { even: 1, hard: 1, slow: 1.6, full: 1.2 } as const satisfies Record<Flood, Duration>

/** Screens between two flashes as the plan strikes them: strokes, seconds of each, and of the flood. */
function struckIn(events: readonly Event[], hits: readonly HitPlan[], height: Length): StrokeGroups {
  const groups: Struck[][] = [[]]
  let at = 0
  for (const e of events) {
    if (e.kind === 'flash') {
      groups.push([])
      continue
    }
    const { strokes, time, flood } = (hits[at++] as HitPlan).stroke
    groups.at(-1)?.push({
      strokes: numberOf(strokes),
      stroke: numberOf(time),
      flood: FLOODED[choiceOf(flood)] * longer(height),
    })
  }
  return groups
}

/** Laying a piece under a heat press and lifting it, s (from memory). */
const LAID_UNDER: Duration = 12

/** What the cure lets through: a panel one at a time, a belt what lies on it. */
function capOf({ ctx: { run, shop, method }, cure }: Timed): Cap | undefined {
  if (method.cure === 'press') {
    const most = 1 / (numberOf(cure.dwell) + LAID_UNDER)
    const inputs = { handling: q('duration', LAID_UNDER), most: q('rate', most) }
    return { most, why: RATE.because('RATE_PRESS', inputs) }
  }
  if (method.cure === 'panel') {
    const most = 1 / numberOf(cure.dwell)
    return { most, why: RATE.because('RATE_PANEL', { most: q('rate', most) }) }
  }
  const dryer = shop.dryers.find((d) => d.id === (cure.dryer && choiceOf(cure.dryer)))
  if (!cure.belt || !dryer) return undefined
  const lies = onBelt(dryer.beltWidth, laidFlat(sizesOf(run)))
  const most = beltRate(numberOf(cure.belt), lies)
  const inputs = { most: q('rate', most), lanes: q('count', lies.lanes), pitch: q('length', lies.pitch) }
  return { most, why: RATE.because('RATE_DRYER', inputs) }
}

/** Set-up, pace and what both come to. */
export function timeOf(timed: Timed): RunTime {
  const { ctx, press, hits, flashes, events, laps, cool, wide } = timed
  const { run, overrides } = ctx
  // On a bench without a unit the rack dries, and nothing else waits.
  const racked = press.kind === 'bench' && flashes.some((f) => !f.unit)
  const dwell = Math.max(0, ...flashes.map((f) => numberOf(f.dwell)))
  return runTime(
    {
      press,
      groups: struckIn(events, hits, run.placement.height),
      laps,
      flash: racked ? 0 : dwell,
      cool: racked ? dwell : cool.kind === 'duration' ? numberOf(cool) : AUTOMATIC_COOL,
      offPallet: run.placement.where === 'offPallet',
      coolHeads: coolHeadsIn(press, events, wide),
      pieces: run.quantity,
    },
    capOf(timed),
    overrides,
    ctx.shop.setupPerScreen,
  )
}

/** After so long at a steady pace a crew tires (common practice). */
const STEADY: Duration = 5 * 3600

/** What a long run asks of crew and ink: a second crew, fresh batches by pot life, relief at breaks, wash-out overnight. */
export function longRun(
  separations: readonly Separation[],
  hits: readonly HitPlan[],
  time: RunTime | undefined,
  hours: Hours,
): readonly Reason[] {
  const printing = time ? numberOf(time.total) - numberOf(time.setup) : 0
  const crew = printing > STEADY ? [RATE.because('LONG_CREW', { time: q('workTime', printing) })] : []
  const wet = separations.filter((s) => driesInScreen(s.system))
  const [first] = wet
  if (!first) return crew
  const name = wet.map((s) => s.hit.name).join(', ')
  const flooded = INK.because('INK_FLOODED', { name })
  if (printing <= POT_LIFE) return [...crew, flooded]
  const batches = Math.ceil(printing / POT_LIFE)
  const ids = new Set(wet.map((s) => s.hit.id))
  const ink = hits.reduce((sum, h) => sum + (h.ink && ids.has(h.hit.id) ? numberOf(h.ink) : 0), 0)
  const day = Math.max(3600, hours.to - hours.from - hours.breaks.reduce((sum, b) => sum + b.to - b.from, 0))
  const nights = Math.ceil((time ? numberOf(time.total) : 0) / day) - 1
  return [
    ...crew,
    INK.because('INK_POT', {
      name,
      time: q('workTime', printing),
      pot: q('workTime', POT_LIFE),
      batches: q('count', batches),
      each: q('mass', ink / batches),
    }),
    ...(hours.breaks.length > 0 ? [INK.because('INK_BREAKS', { name })] : []),
    ...(nights > 0
      ? [INK.because('INK_NIGHTS', { nights: q('count', nights), screens: q('count', wet.length) })]
      : []),
    flooded,
  ]
}
