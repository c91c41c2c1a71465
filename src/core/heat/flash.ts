import type { RuleOf } from '../advice'
import { type NumberAdvice, type Overrides, q, type Reason, type Subject } from '../advice'
import type { FlashKind, FlashUnit, Press } from '../equipment'
import { mm, seconds } from '../quantity'
import { HEAT } from './definition'

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

/** Water has to leave before the film gels: longer, up to the limit. */
const WATER_LONGER = 1.25

/**
 * Dwell under one flash, seconds, by kind of unit.
 *
 * @param behind the hit that it gels: a choice is kept with it, wherever the flash comes in the order
 */
export function flashDwell(
  behind: Subject,
  unit: FlashUnit,
  driesInScreen: boolean,
  overrides: Overrides,
): NumberAdvice {
  const { rule, time } = DWELLS[unit.kind]
  const [low, usual, high] = time.map(seconds) as [number, number, number]
  const slower = driesInScreen && unit.kind !== 'air' ? WATER_LONGER : 1
  const reasons: Reason[] = [HEAT.because(rule)]
  if (driesInScreen && unit.kind !== 'air') reasons.push(HEAT.because('FLASH_WATER'))
  if (unit.kind !== 'gun') reasons.push(HEAT.because('FLASH_LIMIT'))
  reasons.push(HEAT.because('FLASH_COLD'))
  return HEAT.number(
    'dwell',
    {
      of: behind,
      advised: usual * slower,
      range: [low, high * slower],
      reasons,
    },
    overrides,
  )
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

/**
 * Cool-down between a flash and the next print: seconds where the garment waits, empty heads on an automatic.
 */
export function coolDown(press: Press, overrides: Overrides): NumberAdvice {
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
      return advice('duration', [20, 30, 40], HEAT.because('COOL_SINGLE'))
    case 'bench':
      return advice('duration', [20, 30, 40], HEAT.because('COOL_BENCH'))
    default:
      return press satisfies never
  }
}
