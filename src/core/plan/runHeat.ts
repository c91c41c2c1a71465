import { q, type Reason } from '../advice'
import { clothHeat, emptyFlashes, HEAT, type Lap, type Round, runLaps } from '../heat'
import type { Duration, Temperature } from '../quantity'
import { palletsOf, roundOf, stopOf } from './heatRound'
import type { RunPlan } from './runPlan'
import { windowOpeners } from './windowOpeners'

/** Over the first a film is tacky under the next screen, over the second it sticks (common practice; a setting of the model). */
const SAFE = { tacky: 328.15, sticks: 338.15 } as const
/** So near to gelled no finger tells. */
const NEARLY = 0.97
/** Laps after which nothing changes any more on any board. */
const MOST_LAPS = 400
/** Boards that rise by less in the rest of the run have settled, K. */
const SETTLED = 1
/** And boards that rise by less never warmed, K. */
const RISES = 3
/** Dwells are set to half a second, and set anew once they are off by more than that, and by more than a seventh. */
const HALF = 0.5
const ANEW = 0.5
const SHARE = 0.15

/** A dwell from a garment on. */
export interface DwellFrom {
  readonly from: number
  readonly time: Duration
}

/** One flash along a run. */
export interface FlashAlong {
  readonly name: string
  /** Of its dwell, for whoever sets it. */
  readonly key: string
  /** As it is set now. */
  readonly set: Duration
  /** What to set, garment by garment, where each flash is as long as its corners need. */
  readonly schedule: readonly DwellFrom[]
  readonly reasons: readonly Reason[]
}

/** Heat along a run: computed from the plan, worked out beside it. */
export interface RunHeat {
  readonly round: Round
  readonly pallets: number
  readonly pieces: number
  readonly laps: readonly Lap[]
  readonly flashes: readonly FlashAlong[]
  /** Garments after which the boards have settled, and as warm as they then are. */
  readonly settles: { readonly garment: number; readonly board: Temperature } | undefined
  readonly reasons: readonly Reason[]
  readonly safe: Temperature
  /** The press, and seconds of its stop where it is an automatic. */
  readonly pace: { readonly name: string; readonly stop: Duration | undefined }
}

/** The lap that a garment goes, counted from 0. */
const lapOf = (garment: number, pallets: number) => Math.floor((garment - 1) / pallets)
const firstOf = (lap: number, pallets: number) => lap * pallets + 1

/**
 * How boards and films warm along a run, what to set and what goes wrong with what is set.
 *
 * @returns undefined where nothing is flashed under a unit, or nothing can be printed
 */
export function heatOf(plan: RunPlan): RunHeat | undefined {
  const round = roundOf(plan)
  if (!round || !plan.time) return undefined
  const pallets = palletsOf(plan.press)
  const count = Math.min(MOST_LAPS, Math.max(1, Math.ceil(plan.run.quantity / pallets)))
  const laps = runLaps(round, count)
  const asNeeded = runLaps(
    {
      ...round,
      happenings: round.happenings.map((h) => (h.kind === 'flash' ? { ...h, time: 'needed' } : h)),
    },
    count,
  )
  const stop = stopOf(plan, plan.time)
  const units = plan.flashes.filter((f) => f.unit)
  const flashes = (laps[0]?.flashes ?? []).map((first, i): FlashAlong => {
    const schedule = scheduleOf(
      asNeeded.map((l) => {
        const { needed, limit } = l.flashes[i] ?? {}
        // Where no dwell is right the middle is kept open.
        if (needed === undefined || limit === undefined || needed <= limit) return needed
        return Math.max(HALF, Math.floor(limit / HALF) * HALF)
      }),
      pallets,
    )
    return {
      name: first.name,
      key: units[i]?.dwell.key ?? '',
      set: first.time,
      schedule,
      reasons: [
        ...schedule.map((s) =>
          HEAT.because('RUN_DWELL', {
            name: first.name,
            dwell: q('duration', s.time),
            from: q('count', s.from),
          }),
        ),
        ...wrongWith(plan, round, laps, i, pallets, stop),
        ...clothHeat(
          plan.cloth,
          Math.max(...laps.map((l) => l.flashes[i]?.cloth ?? 0)),
          `${first.name}, under the flash:`,
        ),
      ],
    }
  })
  const settles = settling(laps, pallets)
  return {
    round,
    pallets,
    pieces: plan.run.quantity,
    laps,
    flashes,
    settles,
    reasons: [
      ...flashes.flatMap((f) => f.reasons),
      ...sticking(laps, pallets),
      ...(settles
        ? [
            HEAT.because('RUN_SETTLES', {
              press: plan.press.name,
              boards: q('temperature', settles.board),
              pieces: q('count', settles.garment),
            }),
          ]
        : []),
    ],
    safe: SAFE.tacky,
    pace: { name: plan.press.name, stop: plan.press.kind === 'automatic' ? stop : undefined },
  }
}

/** A garment's own lap. @param garment 1 to the last of the run */
export const lapAt = ({ laps, pallets }: RunHeat, garment: number): Lap | undefined =>
  laps[Math.min(laps.length - 1, Math.max(0, lapOf(garment, pallets)))]

/** Set to the half second above what is needed, anew only when it is off by more than a second. */
function scheduleOf(needed: readonly (Duration | undefined)[], pallets: number): readonly DwellFrom[] {
  const out: DwellFrom[] = []
  for (const [lap, need] of needed.entries()) {
    if (need === undefined) continue
    const now = out.at(-1)
    if (now && need <= now.time + 1e-9 && now.time - need <= Math.max(ANEW, SHARE * now.time)) continue
    out.push({ from: firstOf(lap, pallets), time: Math.ceil(need / HALF - 1e-6) * HALF })
  }
  return out
}

function settling(laps: readonly Lap[], pallets: number): RunHeat['settles'] {
  const end = laps.at(-1)
  if (!end || laps.length < 2) return undefined
  if (end.board - (laps[0]?.board ?? end.board) < RISES) return undefined
  const at = laps.findIndex((l) => Math.abs(l.board - end.board) < SETTLED)
  // Still rising at the end: it has not settled.
  const before = laps[Math.floor(laps.length * 0.8)]
  if (!before || Math.abs(before.board - end.board) > SETTLED) return undefined
  return { garment: firstOf(at, pallets), board: end.board }
}

/** What is wrong with a flash as it is set. */
function wrongWith(
  plan: RunPlan,
  round: Round,
  laps: readonly Lap[],
  i: number,
  pallets: number,
  stop: Duration,
): readonly Reason[] {
  const of = (lap: Lap | undefined) => lap?.flashes[i]
  const [first, end] = [of(laps[0]), of(laps.at(-1))]
  if (!first || !end) return []
  const { name } = first
  const unit = plan.flashes.filter((f) => f.unit)[i]?.unit
  if (first.needed === undefined) return [HEAT.because('RUN_NEVER', { name, unit: unit?.name ?? '' })]
  const dwell = q('duration', first.time)
  const isShut = (f: Lap['flashes'][number] | undefined) =>
    f?.needed !== undefined && f.limit !== undefined && f.needed > f.limit
  // Boards warm as the run goes on: where the last of it is shut too, that is what has to be opened.
  const shut = laps.findLast((l) => isShut(of(l)))
  if (shut) {
    const { needed = 0, limit = 0 } = of(shut) ?? {}
    const later = laps[laps.indexOf(shut) + 1]
    return [
      HEAT.because('RUN_NO_WINDOW', { name, needed: q('duration', needed), limit: q('duration', limit) }),
      ...(later ? [HEAT.because('RUN_WARM_OPENS', { name, boards: q('temperature', later.board) })] : []),
      ...windowOpeners(round, i, shut.board, plan.press.kind === 'automatic' ? stop : undefined),
    ]
  }
  const gelled = laps.findIndex((l) => (of(l)?.ready ?? 1) >= NEARLY)
  const over = laps.findIndex((l) => (of(l)?.closed ?? 0) > 1)
  const limit = of(laps[Math.max(0, over)])?.limit
  const stands =
    unit?.mount === 'fixed' && plan.press.kind === 'manual' && end.limit !== undefined && stop > end.limit
  return [
    ...(gelled > 0
      ? [
          HEAT.because('RUN_UNDER', {
            name,
            dwell,
            until: q('count', firstOf(gelled, pallets)),
            empty: emptyWords(round, i, laps[gelled]?.board ?? 0),
            needed: q('duration', first.needed),
          }),
        ]
      : []),
    ...(gelled < 0
      ? [
          HEAT.because('RUN_UNDER_ALL', {
            name,
            dwell,
            pieces: q('count', plan.run.quantity),
            needed: q('duration', end.needed ?? first.needed),
          }),
        ]
      : []),
    ...(over >= 0 && limit !== undefined
      ? [
          HEAT.because('RUN_OVER', {
            name,
            dwell,
            from: q('count', firstOf(over, pallets)),
            limit: q('duration', limit),
          }),
        ]
      : []),
    ...(stands && end.limit !== undefined
      ? [HEAT.because('RUN_STANDS', { name, stop: q('duration', stop), limit: q('duration', end.limit) })]
      : []),
  ]
}

/** How the boards are brought to where the flash as it is set gels: in empty flashes of the same length. */
function emptyWords(round: Round, i: number, warm: Temperature): string {
  const flash = round.happenings.filter((h) => h.kind === 'flash')[i]
  if (flash?.kind !== 'flash' || flash.time === 'needed') return 'no empty flashes are enough'
  const count = emptyFlashes(round, flash.unit, flash.time, warm)
  if (count === undefined) return 'no empty flashes are enough'
  return count === 1 ? 'one empty flash for each' : `${count} empty flashes for each`
}

/** Prints on a film that is too warm: each screen is told once, with the worst of it. */
function sticking(laps: readonly Lap[], pallets: number): readonly Reason[] {
  return (laps[0]?.prints ?? []).flatMap((_, i) => {
    const film = (lap: Lap | undefined) => lap?.prints[i]?.film ?? 0
    const [sticks, tacky] = [SAFE.sticks, SAFE.tacky].map((limit) =>
      laps.findIndex((l) => film(l) > limit),
    ) as [number, number]
    const at = sticks >= 0 ? sticks : tacky
    const name = laps[0]?.prints[i]?.name ?? ''
    if (at < 0) return []
    const hottest = Math.max(...laps.map((l) => film(l)))
    const inputs = { name, film: q('temperature', hottest), from: q('count', firstOf(at, pallets)) }
    return [
      sticks >= 0
        ? HEAT.because('RUN_STICKS', { ...inputs, safe: q('temperature', SAFE.sticks) })
        : HEAT.because('RUN_TACKY', { ...inputs, safe: q('temperature', SAFE.tacky) }),
    ]
  })
}
