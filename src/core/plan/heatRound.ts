import { numberOf } from '../advice'
import type { Press } from '../equipment'
import { AS_TABLED, boardsAlong, type Happening, type Round } from '../heat'
import type { Duration, Temperature } from '../quantity'
import type { RunTime } from '../rate'
import { boardOf, heatedCloth, unitOver, wetFilm } from './heatedOf'
import type { Cell, RunPlan } from './runPlan'

/** What of a plan heat follows from. */
export type Paced = Pick<
  RunPlan,
  | 'run'
  | 'cloth'
  | 'press'
  | 'sequence'
  | 'hits'
  | 'flashes'
  | 'ambient'
  | 'flashHeight'
  | 'panelTemperature'
  | 'coolDown'
  | 'time'
>

/** Pallets that go round: of an automatic one at each station, at loading and at unloading. */
export const palletsOf = (press: Press): number =>
  press.kind === 'manual' ? press.pallets : press.kind === 'automatic' ? press.stations.length + 2 : 1

/** An index of an automatic, and a turn by hand, seconds (assumed). */
export const INDEX: Duration = 1.5
const TURN: Duration = 1

/** Garments a second in a burst: the boards know the pace that the lead set. */
const burstOf = ({ burst, rate }: RunTime): number => (burst * numberOf(rate)) / rate.advised

/** Seconds that a pallet stands before it goes on, in a burst. */
export const stopOf = (plan: Paced, time: RunTime): Duration => {
  const visits = plan.press.kind === 'automatic' ? plan.sequence.laps : Math.max(1, plan.flashes.length)
  return 1 / (burstOf(time) * (plan.press.kind === 'automatic' || plan.press.kind === 'manual' ? visits : 1))
}

/**
 * One lap of a pallet as heat sees it: what is printed, flashed and waited for, with the times of the plan's own pace.
 *
 * @returns undefined where nothing is flashed, or nothing can be printed
 */
export function roundOf(plan: Paced): Round | undefined {
  const { press, time, ambient } = plan
  if (!time || !plan.sequence.fits || plan.flashes.every((f) => !f.unit || f.unit.kind === undefined))
    return undefined
  const print = (hitId: string): Happening | undefined => {
    const hit = plan.hits.find((h) => h.hit.id === hitId)
    if (!hit || hit.hit.role === 'smoothing') return undefined
    return { kind: 'print', name: hit.hit.name, ...wetFilm(hit, plan.cloth) }
  }
  const units = new Map<string, Extract<Happening, { kind: 'flash' }>['unit']>()
  const flash = (at: number, name: string): Happening | undefined => {
    const f = plan.flashes[at]
    if (!f?.unit) return undefined
    const { id } = f.unit
    const unit = units.get(id) ?? unitOver(f.unit, plan.run.placement, plan)
    units.set(id, unit)
    // Of an automatic each unit is lit by the stop's own clock.
    const stays = f.unit.mount === 'fixed' && press.kind === 'manual'
    return { kind: 'flash', name, unit, time: numberOf(f.dwell), least: stays ? stopOf(plan, time) : 0 }
  }
  return {
    board: boardOf(press),
    fabric: heatedCloth(plan.cloth),
    // Contact and loss are the press's: any of its units that was read knows them.
    fitted: plan.flashes.find((f) => f.unit?.calibration)?.unit?.calibration ?? AS_TABLED,
    ambient: { air: numberOf(ambient.air), humidity: numberOf(ambient.humidity) },
    happenings: [
      { kind: 'load' },
      ...(press.kind === 'automatic'
        ? inStops(plan, stopOf(plan, time), print, flash)
        : byHand(plan, time, print, flash)),
    ],
  }
}

type Made<Of> = (of: Of) => Happening | undefined
const wait = (time: Duration): readonly Happening[] => (time > 0 ? [{ kind: 'wait', time }] : [])
const inCell = (cell: number, happenings: readonly Happening[]): readonly Happening[] =>
  happenings.map((h) => ({ ...h, cell }))

/** The name of the hit that a flash lies behind. */
const nameBefore = (plan: Paced, at: number): string => {
  const cell = plan.sequence.cells.slice(0, at).findLast((c) => c.kind === 'print')
  return plan.hits.find((h) => cell?.kind === 'print' && h.hit.id === cell.hitId)?.hit.name ?? ''
}

/** Station after station of an automatic, each as long as a stop; then off, and the next one on. */
function inStops(
  plan: Paced,
  stop: Duration,
  print: Made<string>,
  flash: (at: number, name: string) => Happening | undefined,
): readonly Happening[] {
  const at = (cell: Cell, i: number): readonly Happening[] => {
    if (cell.kind === 'print') {
      const one = print(cell.hitId)
      return one ? [...wait(stop / 2), one, ...wait(stop / 2)] : wait(stop)
    }
    if (cell.kind !== 'flash') return wait(stop)
    const one = flash(cell.flash, nameBefore(plan, i))
    if (one?.kind !== 'flash') return wait(stop)
    const dwell = one.time === 'needed' ? 0 : one.time
    return [...wait(INDEX), one, ...wait(stop - INDEX - dwell)]
  }
  const { cells } = plan.sequence
  // It is loaded before the first place, and taken off behind the last.
  return [
    ...inCell(0, wait(stop)),
    ...cells.flatMap((cell, i) => inCell(i, at(cell, i))),
    ...inCell(cells.length - 1, wait(stop)),
  ]
}

/** By hand: strokes, flashes and cool-downs as planned; what is left of the lap is waited on the way, in equal parts. */
function byHand(
  plan: Paced,
  time: RunTime,
  print: Made<string>,
  flash: (at: number, name: string) => Happening | undefined,
): readonly Happening[] {
  const cool = plan.coolDown?.kind === 'duration' ? numberOf(plan.coolDown) : 0
  const struck = (hitId: string) => {
    const stroke = plan.hits.find((h) => h.hit.id === hitId)?.stroke
    return stroke ? numberOf(stroke.strokes) * numberOf(stroke.time) : 0
  }
  const parts = plan.sequence.cells.flatMap((cell, i): readonly (readonly Happening[])[] => {
    if (cell.kind === 'print') {
      const one = print(cell.hitId)
      return [inCell(i, [...wait(struck(cell.hitId)), ...(one ? [one] : [])])]
    }
    if (cell.kind !== 'flash') return []
    const one = flash(cell.flash, nameBefore(plan, i))
    return one ? [inCell(i, [...wait(TURN), one, ...wait(cool)])] : []
  })
  const lasts = (h: Happening) => {
    if (h.kind === 'wait') return h.time
    return h.kind === 'flash' && h.time !== 'needed' ? Math.max(h.time, h.least) : 0
  }
  const took = parts.flat().reduce((sum, h) => sum + lasts(h), 0)
  const left = Math.max(0, palletsOf(plan.press) / burstOf(time) - took)
  const flashes = plan.flashes.length
  const share = wait(left / (flashes + 1))
  // On its way the garment waits before it is printed, and after each flash while others are under the unit.
  return [
    ...inCell(0, share),
    ...parts.flatMap((p) =>
      p.some((h) => h.kind === 'flash') ? [...p, ...inCell(p[0]?.cell ?? 0, share)] : p,
    ),
  ]
}

/** Laps that are worked out; how the boards go on follows from how they began. */
const BEGIN = 4

/**
 * How warm the boards are when the run ends, about: each lap adds a share of what the one before added.
 *
 * @returns undefined where nothing is flashed, or nothing can be printed
 */
export function boardsAtEnd(plan: Paced): Temperature | undefined {
  const round = roundOf(plan)
  if (!round) return undefined
  const laps = Math.max(1, Math.ceil(plan.run.quantity / palletsOf(plan.press)))
  const boards = boardsAlong(round, Math.min(laps, BEGIN))
  const [b = 0, c = 0, d = 0] = boards.slice(-3)
  if (laps <= BEGIN) return boards.at(-1)
  const share = c - b > 1e-6 ? Math.min(0.98, Math.max(0, (d - c) / (c - b))) : 0
  return d + ((d - c) * share * (1 - share ** (laps - BEGIN))) / (1 - share)
}
