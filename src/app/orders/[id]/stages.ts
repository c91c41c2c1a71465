import type { School } from '@/core/advice'
import { numberOf } from '@/core/advice'
import type { Order } from '@/core/order'
import { type RunPlan, screensOf } from '@/core/plan'
import { type System, writeQuantity } from '@/core/quantity'

/** The stages of the traveller, in working order, with the schools that belong to each. */
export const STAGES = {
  order: { label: 'Order', schools: [] },
  art: { label: 'Art', schools: [] },
  screens: { label: 'Screens', schools: ['baseMesh', 'ruling', 'offContact'] },
  ink: { label: 'Ink', schools: ['white', 'inBetween', 'darkCloth', 'ink'] },
  sequence: { label: 'Sequence', schools: ['flash', 'colourOrder', 'wetMost', 'stroke', 'release'] },
  placement: { label: 'Placement', schools: ['placement'] },
  heat: { label: 'Heat', schools: ['cure', 'cureTemperature'] },
  run: { label: 'Run', schools: [] },
} as const satisfies Record<string, { label: string; schools: readonly School[] }>

export type StageName = keyof typeof STAGES
export const STAGE_NAMES = Object.keys(STAGES) as StageName[]
export const isStage = (name: string): name is StageName => Object.hasOwn(STAGES, name)

/** The stage at which a warning is settled, by the room its rule stands in. */
const STAGE_OF: readonly (readonly [RegExp, StageName])[] = [
  [/^(MESH|FRAME|TENSION|OFF_(?!PALLET))/, 'screens'],
  [/^(BASE|WHITE|INK)/, 'ink'],
  [/^(PLACE|WIDTH|PALLET|OFF_PALLET)/, 'placement'],
  [/^(FLASH_WATER|CURE|DWELL|BELT|POLY|BLEND_HOT)/, 'heat'],
  [/^(RATE|SETUP|TIME)/, 'run'],
]
export const stageOf = (rule: string): StageName =>
  STAGE_OF.find(([test]) => test.test(rule))?.[1] ?? 'sequence'

/** The stage that shows a computed setting, by the start of its key. */
const SHOWN_AT: Readonly<Record<StageName, readonly string[]>> = {
  order: [],
  art: [],
  screens: ['mesh', 'offContact'],
  ink: ['base', 'white', 'coverage', 'ink', 'film'],
  sequence: ['blade', 'angle', 'pressure', 'time', 'strokes', 'flood', 'bladeLength', 'direction', 'press'],
  placement: ['down', 'side'],
  heat: ['dwell', 'flashHeight', 'coolDown', 'cureFilm', 'cureDwell', 'dryer', 'belt'],
  run: ['setup', 'rate', 'total'],
}
export const stageShowing = (key: string): StageName =>
  STAGE_NAMES.find((name) => SHOWN_AT[name].includes(key.split('.')[0] ?? '')) ?? 'sequence'

const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

/** What is settled at a stage, in a few words; empty while there is no plan. */
export function settledWords(
  stage: StageName,
  order: Order,
  plan: RunPlan | undefined,
  units: System,
): string {
  if (stage === 'order') {
    const pieces = order.lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + (s.quantity || 0), 0)
    return count(pieces, 'piece')
  }
  if (stage === 'art') return count(order.placements.length, 'print')
  if (!plan) return ''
  switch (stage) {
    case 'screens':
      return count(screensOf(plan), 'screen')
    case 'ink': {
      const grams = plan.hits.reduce((sum, h) => sum + (h.ink ? numberOf(h.ink) : 0), 0)
      return writeQuantity('mass', grams, units)
    }
    case 'sequence':
      return plan.sequence.fits
        ? `${plan.press.name}, ${count(plan.flashes.length, 'flash', 'flashes')}`
        : 'does not fit'
    case 'placement': {
      const [first] = plan.placement.groups
      return first ? writeQuantity('length', numberOf(first.down), units) : ''
    }
    case 'heat':
      return writeQuantity('temperature', numberOf(plan.cure.film), units)
    case 'run':
      return plan.time ? writeQuantity('workTime', numberOf(plan.time.total), units) : ''
    default:
      return stage satisfies never
  }
}
