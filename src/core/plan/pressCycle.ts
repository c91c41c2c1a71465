import { numberOf, q, type Reason } from '../advice'
import { bestRhythm, DRYING_PLACES, type RunTime, stopsOf, workOf } from '../rate'
import { PLAN } from './definition'
import { stopOf } from './heatRound'
import type { RunPlan } from './runPlan'

/** What is done while the carousel stands once. Pallets are counted from 1. */
export interface CycleStep {
  /** The pallet at the front. */
  readonly pallet: number
  /** Hits printed on it, in their order. */
  readonly front: readonly string[]
  /** The lone printer changes the garment at the front, and prints these on the new one. */
  readonly changed: readonly string[] | undefined
  /** The pallet under the flash, one past the front. */
  readonly flash: number | undefined
  /** The pallet that the loader unloads and loads. */
  readonly load: number | undefined
}

export interface PressCycle {
  readonly why: Reason
  /** How long a pallet stands under the flash; none where nothing is flashed under a unit. */
  readonly stands?: Reason | undefined
  /** One period; none on a bench. */
  readonly steps: readonly CycleStep[]
  readonly loader: boolean
}

/** Hits between two flashes, in their order. */
export function groupsOf(plan: RunPlan): readonly (readonly string[])[] {
  const groups: string[][] = [[]]
  for (const cell of plan.sequence.cells) {
    if (cell.kind === 'flash') groups.push([])
    else if (cell.kind === 'print') groups.at(-1)?.push(cell.hitId)
  }
  return groups
}

/** Who does what at each stop of a manual carousel, so that two people can follow it; batches on a bench. */
export function pressCycle(plan: RunPlan): PressCycle | undefined {
  const { press, time } = plan
  if (!time) return undefined
  const rate = q('rate', time.burst)
  if (press.kind === 'bench')
    return {
      why: PLAN.because('BATCH', {
        places: q('count', Math.min(DRYING_PLACES, plan.run.quantity)),
        rate,
      }),
      steps: [],
      loader: false,
    }
  if (press.kind !== 'manual') return undefined
  const { need } = time
  const { rhythm, alone } = bestRhythm(need)
  const loader = !alone
  const groups = groupsOf(plan)
  const stops = stopsOf(workOf(need), press.pallets, rhythm, alone)
  const n = stops.length
  const palletAt = (j: number) => (((j % press.pallets) + press.pallets) % press.pallets) + 1
  const steps = stops.map((stop, j): CycleStep => {
    const before = stops[(j - 1 + n) % n]
    const reloaded = stops[(j - rhythm.loaderAt + n) % n]
    return {
      pallet: palletAt(j),
      front: stop.groups.flatMap((g) => groups[g] ?? []),
      changed: stop.changes ? (groups[0] ?? []) : undefined,
      flash: before?.flashed ? palletAt(j - 1) : undefined,
      load: reloaded?.reload ? palletAt(j - rhythm.loaderAt) : undefined,
    }
  })
  const inputs = {
    crew: loader ? 'a printer and a loader' : 'one person',
    pallets: q('count', press.pallets),
    pattern: groups.length < 2 ? 'all colours at each stop' : PATTERN_WORDS[rhythm.pattern],
    rate,
  }
  return { why: PLAN.because('DANCE', inputs), stands: standsUnder(plan, time), steps, loader }
}

/** The stop of a carousel against the longest dwell. */
function standsUnder(plan: RunPlan, time: RunTime): Reason | undefined {
  const lit = plan.flashes.flatMap(({ unit, dwell }) => (unit ? [{ unit, dwell: numberOf(dwell) }] : []))
  const [longest] = lit.sort((a, b) => b.dwell - a.dwell)
  if (!longest) return undefined
  const { name, side, mount = 'timed' } = longest.unit
  return PLAN.because(CYCLE[mount], {
    where: `under ${name}${side ? `, ${side === 'behind' ? side : `on the ${side}`}` : ''}`,
    stop: q('duration', Math.round(stopOf(plan, time))),
    dwell: q('duration', longest.dwell),
  })
}

const CYCLE = { timed: 'CYCLE_TIMED', swings: 'CYCLE_SWINGS', fixed: 'CYCLE_STAYS' } as const

const PATTERN_WORDS = {
  lap: 'one round before the flash, one after it',
  staggered: 'before and after the flash in turn',
} as const
