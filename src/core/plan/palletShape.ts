import { artAt } from '../registration'
import type { RunPlan } from './runPlan'

interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** The pallet as the loader sees it, metres; x from the centre line to the right, y down from its neck edge. */
export interface PalletShape {
  readonly pallet: Box
  readonly prints: readonly (Box & { readonly group: string })[]
  /** Lines drawn on pallets, 25 to 127 mm below the collar. */
  readonly lines: readonly number[]
  /** A neck lies at the end of the pallet. */
  readonly neck: boolean
}

/** Lines drawn on pallets, metres below the collar (common practice). */
export const PALLET_LINES = [0.025, 0.064, 0.089, 0.127] as const

/** Where the print lies on the pallet for each group of sizes. A left chest lies on the wearer's left: seen right. */
export function palletShape(plan: RunPlan): PalletShape {
  const { width, height } = plan.run.placement
  const { palletWidth, palletHeight } = plan.press
  const { groups, origin } = plan.placement
  const at = (group: string, y: number) => ({ group, x: -width / 2, y, width, height })
  const placed = groups.map((g) => ({ ...at(g.group, 0), ...artAt(plan.run.placement, origin, g) }))
  // What hangs off the pallet lands higher or lower: both ends are shown.
  const ends =
    plan.run.placement.where === 'offPallet'
      ? [
          at('highest', Math.min(...groups.map((g) => g.down.range[0]))),
          at('lowest', Math.max(...groups.map((g) => g.down.range[1]))),
        ]
      : []
  return {
    pallet: { x: -palletWidth / 2, y: 0, width: palletWidth, height: palletHeight },
    prints: [...placed, ...ends],
    lines: PALLET_LINES,
    neck: origin === 'collar' || origin === 'shoulder',
  }
}
