import type { CauseId } from '../../trouble'
import type { Draws } from '../draw'
import type { TruePress, TrueScreen } from '../truePress'
import { CLOTH_FAULTS } from './cloth'
import { HEAT_FAULTS } from './heat'
import { INK_FAULTS } from './ink'
import type { Plant } from './plants'
import { REGISTER_FAULTS } from './register'
import { SCREEN_FAULTS } from './screen'
import { STROKE_FAULTS } from './stroke'

/** One for every cause of the tables: a change of the true state, never a symptom. */
const FAULTS: Readonly<Record<CauseId, Plant>> = {
  ...HEAT_FAULTS,
  ...STROKE_FAULTS,
  ...SCREEN_FAULTS,
  ...REGISTER_FAULTS,
  ...INK_FAULTS,
  ...CLOTH_FAULTS,
}

type Where = (s: TrueScreen) => boolean
const isWet: Where = (s) => s.plan.overlap > 0
const isSpecial: Where = (s) => s.plan.role === 'metallic' || s.plan.role === 'expander'

/** Screens that a fault can sit at; any that prints an image where nothing is said. */
const WHERE: Readonly<Partial<Record<CauseId, Where>>> = {
  wetTrap: (s) => s.plan.blackOnWhite,
  tooWet: (s) => isWet(s) && !s.plan.blackOnWhite,
  notStirred: isSpecial,
  additive: (s) => s.plan.role === 'expander',
  meshCoarse: (s) => s.plan.ruling !== undefined,
  driedIn: (s) => s.plan.waterBased,
  softStencil: () => true,
}
/** Register faults show on what is laid on another. */
const UPPER: readonly CauseId[] = [
  'setUp',
  'lockDrift',
  'rotated',
  'looseHead',
  'slack',
  'filmSize',
  'gapHigh',
]

/** The screen that a fault is planted at; none where the plan has none for it. */
function screenFor(press: TruePress, cause: CauseId, draws: Draws): TrueScreen | undefined {
  const printing = press.screens.filter((s) => s.plan.role !== 'smoothing')
  const fit = printing.filter(WHERE[cause] ?? (() => true))
  const upper = UPPER.includes(cause) && fit.length > 1 ? fit.slice(1) : fit
  return draws.one(upper)
}

/**
 * Whether a fault can matter on a plan at all.
 *
 * @returns false for a flash fault without a flash, an expander's without an expander, and so on
 */
export function canPlant({ plan, screens }: TruePress, cause: CauseId): boolean {
  const has = (of: Where) => screens.some((s) => s.plan.role !== 'smoothing' && of(s))
  if (cause in HEAT_FAULTS && NO_FLASH.every((c) => c !== cause) && plan.flashes.length === 0) return false
  switch (cause) {
    case 'puffTwice':
    case 'additive':
      return has((s) => s.plan.role === 'expander')
    case 'notStirred':
      return has(isSpecial)
    case 'wetTrap':
      return has((s) => s.plan.blackOnWhite)
    case 'tooWet':
      return has((s) => isWet(s) && !s.plan.blackOnWhite)
    case 'firstPrints':
    case 'dirtyInk':
    case 'dirtyBack':
      return has(isWet)
    case 'meshCoarse':
      return has((s) => s.plan.ruling !== undefined)
    case 'driedIn':
      return has((s) => s.plan.waterBased)
    case 'noBlock':
      return plan.cloth.polyester
    case 'oneHit':
      return plan.cloth.dark && has((s) => s.plan.role === 'base' || s.plan.role === 'white')
    case 'chokeSmall':
      return plan.choke !== undefined
    case 'shrinks':
      return plan.flashes.length > 0
    case 'coldSmooth':
      return screens.some((s) => s.plan.role === 'smoothing')
    case 'looseBoard':
    case 'lowBoard':
      return plan.boards > 1
    default:
      return true
  }
}

const NO_FLASH: readonly CauseId[] = ['underCure', 'dryerZone', 'dryerHot', 'coldBoards', 'puffTwice']

/** Plants a fault; of the planting stream alone. @returns the screen it sits at, by its place */
export function plant(press: TruePress, cause: CauseId): number {
  const { planting } = press.streams
  const screen = screenFor(press, cause, planting) ?? press.screens[0]
  if (!screen) return -1
  FAULTS[cause](press, planting, screen)
  return press.screens.indexOf(screen)
}
