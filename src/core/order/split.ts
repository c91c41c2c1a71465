import { type ChoiceAdvice, q, type Reason } from '../advice'
import { lightness } from '../color'
import { CLOTH_GROUPS, type ClothGroup, ORDER } from './definition'
import type { GarmentLine, Order, Placement } from './order'
import { isPrinted } from './sizes'
import { isPolyester, toneOf } from './tone'

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

export const groupLabel = (group: string): string =>
  (CLOTH_GROUPS as Readonly<Record<string, string>>)[group] ?? group

const advisedGroup = ({ cloth }: GarmentLine) =>
  isPolyester(cloth) ? (`${toneOf(cloth)}-poly` as const) : toneOf(cloth)

/** The cloth group of a garment line, with the reason; the lead may put it with any other group. */
export function clothGroup(line: GarmentLine): ChoiceAdvice<ClothGroup> {
  const { cloth } = line
  const reasons = [
    ORDER.because('CLOTH_GROUP', {
      cloth: cloth.name,
      tone: toneOf(cloth),
      L: q('count', lightness(cloth.hex).L),
    }),
    ...(isPolyester(cloth)
      ? [ORDER.because('CLOTH_POLYESTER', { cloth: cloth.name, share: q('share', cloth.polyester) })]
      : []),
  ]
  return ORDER.choice(
    'group',
    { of: { id: line.id, name: cloth.name }, advised: advisedGroup(line), reasons },
    line.group === '' ? {} : { [`group.${line.id}`]: line.group },
  )
}

/** Sizes that a run prints, each once. */
export const sizesOf = ({ lines, placement }: Pick<Run, 'lines' | 'placement'>): readonly string[] => [
  ...new Set(lines.flatMap((l) => printedSizes(l, placement).map((s) => s.size))),
]

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
        ORDER.because('PLACEMENT_RUN', { placement: placement.id }),
        ...(placement.sizes === 'all' ? [] : [ORDER.because('KIDS_ART', { sizes: placement.sizes })]),
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
