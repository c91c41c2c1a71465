import { type NumberAdvice, numberOf, q, type Reason } from '../advice'
import type { Press } from '../equipment'
import type { Cure } from '../heat'
import { INK, POT_LIFE } from '../ink'
import { driesInScreen } from '../order'
import { beltRate, type RunTime, runTime } from '../rate'
import type { Event } from '../sequence'
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

/** Set-up, pace and what both come to. */
export function timeOf({ ctx, press, hits, flashes, events, laps, cool, wide, cure }: Timed): RunTime {
  const { run, method, overrides } = ctx
  const groups: number[][] = [[]]
  let at = 0
  for (const e of events) {
    if (e.kind === 'flash') groups.push([])
    else groups.at(-1)?.push(numberOf((hits[at++] as HitPlan).stroke.strokes))
  }
  const panel = method.cure === 'panel'
  const most = panel ? 1 / numberOf(cure.dwell) : cure.belt && beltRate(numberOf(cure.belt))
  return runTime(
    {
      press,
      groups,
      laps,
      flash: Math.max(0, ...flashes.map((f) => numberOf(f.dwell))),
      cool: cool.kind === 'duration' ? numberOf(cool) : AUTOMATIC_COOL,
      coolHeads: coolHeadsIn(press, events, wide),
      pieces: run.quantity,
    },
    most,
    panel,
    overrides,
  )
}

/** Inks that dry in the screen, and whether the run is longer than they stay workable. */
export function potLife(
  separations: readonly Separation[],
  total: NumberAdvice | undefined,
): readonly Reason[] {
  const wet = separations.filter((s) => driesInScreen(s.system))
  const [first] = wet
  if (!first) return []
  const name = wet.map((s) => s.hit.name).join(', ')
  const flooded = INK.because('INK_FLOODED', { name })
  if (!total || numberOf(total) <= POT_LIFE) return [flooded]
  return [INK.because('INK_POT', { name, time: q('workTime', numberOf(total)) }), flooded]
}
