import type { Reason } from '../advice'
import {
  type Event,
  explain,
  movesIn,
  notApproved,
  SEQUENCE,
  wetPairs,
  wetRiskOf,
  whatHelps,
} from '../sequence'
import { cellsOf } from './cells'
import { type Mounted, mountScreens } from './mounted'
import { type Ordering, printOf } from './ordering'
import type { SequencePlan } from './runPlan'

/** The order of printing that was found, or that of the art where none fits. */
export interface Printed {
  readonly events: readonly Event[]
  readonly sequence: SequencePlan
  /** Stations that a flash unit takes. */
  readonly wide: number
  readonly heads: Mounted['heads']
  readonly whyHit: ReadonlyMap<number, readonly Reason[]>
  readonly whyFlash: readonly (readonly Reason[])[]
}

/** Looks for the order of printing, and says why each hit and flash stands where it does. */
export function printedIn(found: Ordering, byHand: boolean): Printed {
  const { job, separations, press, space } = found
  const advised = found.solver(space, press.name, { laps: 2 })
  const wished = press.kind === 'automatic' && advised.fits && found.ctx.overrides.laps === 'two'
  const solution = wished ? found.solver(space, press.name, { laps: 2, twice: true }) : advised
  const wide = (space.kind === 'stations' && space.flashWidth) || 1
  if (!solution.fits) {
    const events = separations.map((_, hit): Event => ({ kind: 'print', hit }))
    const reasons = [...solution.reasons, ...(solution.pressShort ? whatHelps(job, space, press.name) : [])]
    const sequence = { fits: false, byHand, laps: 1, wetRisk: 0, moves: 0, cells: [], reasons } as const
    return { events, sequence, wide, heads: mountedFor(found, events).heads, whyHit: new Map(), whyFlash: [] }
  }
  const { tables, laps, best } = solution
  const { events } = best
  const explained = explain(job, tables, events, space)
  const { heads, moves } = mountedFor(found, events)
  return {
    events,
    wide,
    heads,
    sequence: {
      fits: true,
      byHand,
      laps,
      revolutions: revolutions(found, advised.fits ? advised.laps : 1),
      wetRisk: wetRiskOf(job, tables, events),
      moves,
      cells: cellsOf(press, events, separations, wide),
      reasons: [
        ...(laps === 2
          ? [SEQUENCE.because(wished && advised.fits && advised.laps === 1 ? 'LAPS_WISHED' : 'TWO_LAPS')]
          : []),
        ...notApproved(best),
        ...wetPairs(job, tables, events),
      ],
    },
    whyHit: new Map(
      explained.flatMap((e) => (e.event.kind === 'print' ? [[e.event.hit, e.reasons] as const] : [])),
    ),
    whyFlash: explained.filter((e) => e.event.kind === 'flash').map((e) => e.reasons),
  }
}

/** How often every garment goes round an automatic: once where it fits, unless the lead wants room and time between. */
const revolutions = ({ press, ctx: { overrides } }: Ordering, laps: 1 | 2) =>
  press.kind === 'automatic'
    ? SEQUENCE.choice(
        'laps',
        {
          advised: laps === 1 ? 'one' : 'two',
          reasons: [SEQUENCE.because(laps === 1 ? 'LAPS_ONE' : 'LAPS_TWO')],
        },
        overrides,
      )
    : undefined

/** Where every screen is mounted, and the set-up moves that takes. */
function mountedFor({ ctx, job, press, space }: Ordering, events: readonly Event[]): Mounted {
  const prints = events.flatMap((e) => (e.kind === 'print' ? [{ ...e, of: job.hits[e.hit] }] : []))
  if (space.kind === 'stations') {
    const heads = new Map(
      prints.flatMap(({ of, station }) => (of && station !== undefined ? [[of.id, station] as const] : [])),
    )
    return { heads, moves: movesIn(job, events, space) }
  }
  // By hand the second base hit goes through the same screen.
  const screens = prints.flatMap(({ of }) => (of && of.role !== 'base2' ? [of.id] : []))
  return mountScreens(ctx.shop, press, printOf(ctx), screens)
}
