import { numberOf, type Practice, type Reason } from '@/core/advice'
import type { Order } from '@/core/order'
import { type RoomId, type RunPlan, roomOfRule, screensOf, shownWith } from '@/core/plan'
import { keysOf, type System, writeQuantity } from '@/core/quantity'

/** The stages of the traveller, in working order, with the practices that belong to each. */
export const STAGES = {
  order: { label: 'Order', practices: [] },
  art: { label: 'Art', practices: [] },
  screens: { label: 'Screens', practices: ['baseMesh', 'baseTones', 'ruling', 'offContact'] },
  ink: { label: 'Ink', practices: ['white', 'whiteAgain', 'smooth', 'inBetween', 'darkCloth', 'ink'] },
  sequence: {
    label: 'Sequence',
    practices: [
      'flash',
      'colourOrder',
      'highlight',
      'blackTrap',
      'wetMost',
      'blade',
      'highSolids',
      'stroke',
      'release',
    ],
  },
  placement: { label: 'Placement', practices: ['placement', 'placementSizes'] },
  heat: { label: 'Heat', practices: ['cool', 'cure', 'cureTemperature'] },
  run: { label: 'Run', practices: [] },
} as const satisfies Record<string, { label: string; practices: readonly Practice[] }>

export type StageName = keyof typeof STAGES
export const STAGE_NAMES = keysOf(STAGES)
export const isStage = (name: string): name is StageName => Object.hasOwn(STAGES, name)

/** The stage that a room's settings and warnings are settled at. */
const STAGE_OF: Readonly<Record<RoomId, StageName>> = {
  order: 'order',
  artwork: 'art',
  plan: 'sequence',
  ink: 'ink',
  screen: 'screens',
  schedule: 'screens',
  days: 'run',
  sequence: 'sequence',
  stroke: 'sequence',
  registration: 'placement',
  heat: 'heat',
  rate: 'run',
  record: 'run',
  trouble: 'sequence',
  safety: 'heat',
  choices: 'sequence',
}
const stageAt = (room: RoomId | undefined) => (room === undefined ? 'sequence' : STAGE_OF[room])

/** The stage that shows a computed setting. */
export const stageShowing = (key: string): StageName => stageAt(shownWith(key))

/** The stage at which a warning is settled: one about the lead's own choice where that is made. */
export const stageOf = ({ rule, inputs }: Pick<Reason, 'rule' | 'inputs'>): StageName =>
  typeof inputs.key === 'string' ? stageShowing(inputs.key) : stageAt(roomOfRule(rule))

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
      return writeQuantity('temperature', numberOf(plan.cure.inkFilm), units)
    case 'run':
      return plan.time ? writeQuantity('workTime', numberOf(plan.time.total), units) : ''
    default:
      return stage satisfies never
  }
}
