import { because, type ChoiceAdvice, q, type Reason, ruleTable } from '../advice'
import { lightness } from '../color'
import type { GarmentLine, Order, Placement } from './order'
import { isPrinted } from './sizes'
import { isPolyester, toneOf } from './tone'

export const SPLIT_RULES = ruleTable({
  CLOTH_GROUP: {
    says: '{cloth} is {tone} cloth (L* {L}): colours on {tone} cloth share one decision about the base.',
    source: 'common practice',
  },
  CLOTH_POLYESTER: {
    says: '{cloth} is {share} polyester: its dye bleeds when hot, so it cures apart from cotton.',
    source: 'common practice',
  },
  PLACEMENT_RUN: {
    says: '{placement} is a set-up of its own: one cloth group, one placement, one run.',
    source: 'common practice',
  },
  KIDS_ART: { says: 'A second artwork for {sizes} sizes needs its own screens.', source: 'common practice' },
})

/** One set-up on one press: one cloth group x one placement. */
export interface Run {
  /** `R-1002-P1-dark`. */
  readonly id: string
  readonly placement: Placement
  readonly group: string
  readonly lines: readonly GarmentLine[]
  readonly quantity: number
  readonly reasons: readonly Reason[]
}

/** Groups of cloth that share a set-up, and what they are called. */
export const CLOTH_GROUPS: Readonly<Record<string, string>> = {
  dark: 'Dark cloth',
  'in-between': 'In-between cloth',
  light: 'Light cloth',
  'dark-poly': 'Dark polyester',
  'in-between-poly': 'In-between polyester',
  'light-poly': 'Light polyester',
  apart: 'Apart from the rest',
}
export const groupLabel = (group: string): string => CLOTH_GROUPS[group] ?? group

const advisedGroup = (line: GarmentLine) => `${toneOf(line.cloth)}${isPolyester(line.cloth) ? '-poly' : ''}`

/** The cloth group of a garment line, with the reason; the lead may put it with any other group. */
export function clothGroup(line: GarmentLine): ChoiceAdvice {
  const { cloth } = line
  const reasons = [
    because(SPLIT_RULES, 'CLOTH_GROUP', {
      cloth: cloth.name,
      tone: toneOf(cloth),
      L: q('count', lightness(cloth.hex).L),
    }),
    ...(isPolyester(cloth)
      ? [because(SPLIT_RULES, 'CLOTH_POLYESTER', { cloth: cloth.name, share: q('share', cloth.polyester) })]
      : []),
  ]
  return {
    key: `group.${line.id}`,
    label: 'Cloth group',
    kind: 'choice',
    advised: advisedGroup(line),
    choices: Object.entries(CLOTH_GROUPS).map(([value, label]) => ({ value, label })),
    reasons,
    ...(line.group === '' ? {} : { chosen: line.group }),
  }
}

const groupOf = (line: GarmentLine) => line.group || advisedGroup(line)

/** Garments of the line that this placement is printed on. */
export const printedSizes = (line: GarmentLine, placement: Placement) =>
  line.sizes.filter((s) => s.quantity > 0 && isPrinted(s.size, placement.sizes))

/**
 * Splits an order into runs by placement and cloth group. A group without garments for a placement makes no run.
 *
 * @example navy and heather tees, one front: two runs
 */
export function splitOrder(order: Order): readonly Run[] {
  return order.placements.flatMap((placement) => {
    const groups = [...new Set(order.lines.map(groupOf))]
    return groups.flatMap((group): Run[] => {
      const lines = order.lines
        .filter((line) => groupOf(line) === group)
        .map((line) => ({ ...line, sizes: printedSizes(line, placement) }))
        .filter((line) => line.sizes.length > 0)
      if (lines.length === 0) return []
      const reasons = [
        because(SPLIT_RULES, 'PLACEMENT_RUN', { placement: placement.id }),
        ...(placement.sizes === 'all' ? [] : [because(SPLIT_RULES, 'KIDS_ART', { sizes: placement.sizes })]),
        ...lines.flatMap((line) => clothGroup(line).reasons),
      ]
      const quantity = lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + s.quantity, 0)
      return [
        {
          id: `R-${order.id.replace(/^O-/, '')}-${placement.id}-${group}`,
          placement,
          group,
          lines,
          quantity,
          reasons,
        },
      ]
    })
  })
}

/** The cloth that is hardest to print on decides for the run: the darkest. */
export function hardestCloth(run: Run) {
  const cloths = run.lines.map((l) => l.cloth)
  const [first, ...rest] = cloths
  if (!first) throw new Error(`run ${run.id} has no garments`)
  return rest.reduce((a, b) => (lightness(b.hex).L < lightness(a.hex).L ? b : a), first)
}
