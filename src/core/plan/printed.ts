import type { Reason } from '../advice'
import {
  type Event,
  explain,
  movesIn,
  muddyPairs,
  mudPoints,
  notProven,
  SEQUENCE,
  whatHelps,
} from '../sequence'
import { cellsOf } from './cells'
import { type Hung, hangScreens } from './hanging'
import { type Ordering, printOf } from './ordering'
import type { SequencePlan } from './runPlan'

/** The order of printing that was found, or that of the art where none fits. */
export interface Printed {
  readonly events: readonly Event[]
  readonly sequence: SequencePlan
  /** Stations that a flash unit takes. */
  readonly wide: number
  readonly heads: Hung['heads']
  readonly whyHit: ReadonlyMap<number, readonly Reason[]>
  readonly whyFlash: readonly (readonly Reason[])[]
}

/** Looks for the order of printing, and says why each hit and flash stands where it does. */
export function printedIn(found: Ordering, byHand: boolean): Printed {
  const { job, separations, press, space } = found
  const solution = found.solver(space, press.name, { laps: 2 })
  const wide = (space.kind === 'stations' && space.flashWidth) || 1
  if (!solution.fits) {
    const events = separations.map((_, hit): Event => ({ kind: 'print', hit }))
    const reasons = [...solution.reasons, ...(solution.pressShort ? whatHelps(job, space, press.name) : [])]
    const sequence = { fits: false, byHand, laps: 1, mud: 0, moves: 0, cells: [], reasons } as const
    return { events, sequence, wide, heads: hungFor(found, events).heads, whyHit: new Map(), whyFlash: [] }
  }
  const { tables, laps, best } = solution
  const { events } = best
  const explained = explain(job, tables, events, space)
  const { heads, moves } = hungFor(found, events)
  return {
    events,
    wide,
    heads,
    sequence: {
      fits: true,
      byHand,
      laps,
      mud: mudPoints(job, tables, events),
      moves,
      cells: cellsOf(press, events, separations, wide),
      reasons: [
        ...(laps === 2 ? [SEQUENCE.because('TWO_LAPS')] : []),
        ...notProven(best),
        ...muddyPairs(job, tables, events),
      ],
    },
    whyHit: new Map(
      explained.flatMap((e) => (e.event.kind === 'print' ? [[e.event.hit, e.reasons] as const] : [])),
    ),
    whyFlash: explained.filter((e) => e.event.kind === 'flash').map((e) => e.reasons),
  }
}

/** Where every screen hangs, and the handgrips that takes. */
function hungFor({ ctx, job, press, space }: Ordering, events: readonly Event[]): Hung {
  const prints = events.flatMap((e) => (e.kind === 'print' ? [{ ...e, of: job.hits[e.hit] }] : []))
  if (space.kind === 'stations') {
    const heads = new Map(
      prints.flatMap(({ of, station }) => (of && station !== undefined ? [[of.id, station] as const] : [])),
    )
    return { heads, moves: movesIn(job, events, space) }
  }
  // By hand the second base hit goes through the same screen.
  const screens = prints.flatMap(({ of }) => (of && of.role !== 'base2' ? [of.id] : []))
  return hangScreens(ctx.shop, press, printOf(ctx), screens)
}
