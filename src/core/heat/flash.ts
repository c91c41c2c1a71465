import type { RuleOf } from '../advice'
import { type NumberAdvice, type Overrides, q, type Reason, type ShopMethod, type Subject } from '../advice'
import type { FlashKind, FlashUnit, Press } from '../equipment'
import { celsius, mm, seconds, type Temperature } from '../quantity'
import { HEAT } from './definition'
import { dwellOn, PANELS, type Waiting } from './model'

interface Dwell {
  readonly rule: RuleOf<typeof HEAT>
  /** Seconds: shortest, usual, longest. */
  readonly time: readonly [number, number, number]
}

const DWELLS: Readonly<Record<FlashKind, Dwell>> = {
  panel: { rule: 'FLASH_PANEL', time: [5, 8, 10] },
  quartz: { rule: 'FLASH_QUARTZ', time: [4, 6, 8] },
  air: { rule: 'FLASH_AIR', time: [8, 10, 12] },
  gun: { rule: 'FLASH_GUN', time: [30, 38, 45] },
}

/** A board that has been printed on for a while: what a dwell is for until the run is known. */
export const WARM_BOARD: Temperature = celsius(45)
/** Dwells are set to half a second. */
const HALF = 0.5
/** So far a dwell is off at a unit that was never read, one standard deviation, s (figures of the model). */
const UNREAD = 2.5
/** Nobody waits so long for each garment, s (assumed). */
const SLOW = 60

/**
 * Dwell under one flash, seconds: what its corners need on boards so warm; no longer than its middle stands. Where the unit never
 * gets there, what common practice says for such a unit.
 *
 * @param boards kelvin: of a run, as they are at its end
 * @param behind the hit that it gels: a choice is kept with it, wherever the flash comes in the order
 */
export function flashDwell(
  behind: Subject,
  unit: FlashUnit,
  waiting: Waiting,
  boards: Temperature,
  overrides: Overrides,
): NumberAdvice {
  const { rule, time } = DWELLS[unit.kind]
  const [low, usual, high] = time.map(seconds) as [number, number, number]
  const { needed, limit } = dwellOn(waiting, boards)
  const cold = dwellOn(waiting, waiting.ambient.air).needed
  const wet = waiting.ink.water > 0 && unit.kind !== 'air'
  const stands = limit === undefined ? high : Math.max(HALF, Math.floor(limit / HALF) * HALF)
  const shut = needed !== undefined && limit !== undefined && needed > limit
  // Where no dwell is right, the middle is kept open: corners can be flashed again.
  const wanted = needed === undefined ? usual : Math.ceil(needed / HALF - 1e-6) * HALF
  const advised = shut ? stands : wanted
  const of = { name: behind.name, unit: unit.name }
  const reasons: Reason[] = [HEAT.because(rule)]
  if (needed === undefined) reasons.push(HEAT.because('RUN_NEVER', of))
  else {
    const inputs = { needed: q('duration', needed), boards: q('temperature', boards) }
    reasons.push(HEAT.because('FLASH_NEEDS', inputs))
    if (limit !== undefined)
      reasons.push(
        shut
          ? HEAT.because('RUN_NO_WINDOW', { ...of, needed: inputs.needed, limit: q('duration', limit) })
          : HEAT.because('FLASH_CLOSES', { limit: q('duration', limit) }),
      )
  }
  if (needed !== undefined && needed > SLOW)
    reasons.push(HEAT.because('FLASH_SLOW', { ...of, needed: q('duration', needed) }))
  const { calibration } = unit
  reasons.push(
    calibration
      ? HEAT.because('FLASH_AS_READ', {
          unit: unit.name,
          day: calibration.on,
          gain: q('share', calibration.gain),
          spread: q('duration', calibration.dwellSpread),
        })
      : HEAT.because('FLASH_UNREAD', { unit: unit.name, spread: q('duration', UNREAD) }),
  )
  if (wet) reasons.push(HEAT.because('FLASH_WATER'))
  reasons.push(HEAT.because('FLASH_USUAL', { low: q('duration', low), high: q('duration', high) }))
  if (cold !== undefined && needed !== undefined && cold > needed + HALF)
    reasons.push(HEAT.because('FLASH_COLD', { cold: q('duration', cold) }))
  return HEAT.number(
    'dwell',
    { of: behind, advised, range: [advised, Math.max(advised, stands)], reasons },
    overrides,
  )
}

/** Dwell for the first prints, on boards as cold as the room, to the half second above; none where it is no longer. */
export function coldDwell(waiting: Waiting, dwell: number): number | undefined {
  const { needed, limit } = dwellOn(waiting, waiting.ambient.air)
  // Where no dwell is right the middle is kept open, on cold boards too.
  if (needed === undefined || (limit !== undefined && needed > limit)) return undefined
  const cold = Math.ceil(needed / HALF - 1e-6) * HALF
  return cold > dwell ? cold : undefined
}

/** Drying of one colour on a rack, seconds, where a bench has no flash unit. */
export const rackDry = (behind: Subject, overrides: Overrides): NumberAdvice =>
  HEAT.number(
    'dwell',
    { of: behind, advised: 240, range: [120, 480], reasons: [HEAT.because('DRY_RACK')] },
    overrides,
  )

/** Height of the panel over the pallet, metres. */
export const flashHeight = (overrides: Overrides): NumberAdvice =>
  HEAT.number(
    'flashHeight',
    {
      advised: mm(65),
      range: [mm(50), mm(75)],
      reasons: [HEAT.because('FLASH_HEIGHT')],
    },
    overrides,
  )

/** Mean temperature of the panel, kelvin: of the first unit that has one; none where all are guns. */
export function panelTemperature(
  units: readonly FlashUnit[],
  overrides: Overrides,
): NumberAdvice | undefined {
  const unit = units.find((u) => u.kind !== 'gun')
  if (!unit || unit.kind === 'gun') return undefined
  const { temperature: advised, set: range } = PANELS[unit.kind]
  const reasons = [HEAT.because('PANEL_USUAL', { unit: unit.name, panel: q('temperature', advised) })]
  return HEAT.number('panelTemperature', { advised, range, reasons }, overrides)
}

/**
 * Cool-down between a flash and the next print: seconds where the garment waits, empty heads on an automatic.
 */
export function coolDown(press: Press, method: Pick<ShopMethod, 'cool'>, overrides: Overrides): NumberAdvice {
  const sticks = HEAT.because('COOL_STICKS')
  const advice = (kind: 'count' | 'duration', values: readonly [number, number, number], why: Reason) => {
    const [low, advised, high] = values
    return HEAT.number('coolDown', { kind, advised, range: [low, high], reasons: [why, sticks] }, overrides)
  }
  switch (press.kind) {
    case 'automatic':
      return advice('count', [1, 1, 2], HEAT.because('COOL_AUTOMATIC'))
    case 'manual': {
      const idle = Math.max(0, press.pallets - 2)
      const why = HEAT.because('COOL_MANUAL', {
        pallets: q('count', press.pallets),
        idle: q('count', idle),
      })
      return advice('duration', [10, 20, 30], why)
    }
    case 'single':
      return method.cool === 'on'
        ? advice('duration', [0, 0, 40], HEAT.because('COOL_ON'))
        : advice('duration', [20, 30, 40], HEAT.because('COOL_SINGLE'))
    case 'bench':
      return advice('duration', [20, 30, 40], HEAT.because('COOL_BENCH'))
    default:
      return press satisfies never
  }
}
