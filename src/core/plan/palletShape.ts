import { numberOf } from '../advice'
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
}

/** Lines drawn on pallets, metres below the collar (common practice). */
export const PALLET_LINES = [0.025, 0.064, 0.089, 0.127] as const

/** Where the print lies on the pallet for each group of sizes. A left chest lies on the wearer's left: seen right. */
export function palletShape(plan: RunPlan): PalletShape {
  const { width, height } = plan.run.placement
  const { palletWidth, palletHeight } = plan.press
  return {
    pallet: { x: -palletWidth / 2, y: 0, width: palletWidth, height: palletHeight },
    prints: plan.placement.groups.flatMap((g) => {
      const at = (group: string, y: number) => {
        const x = (g.side ? numberOf(g.side) : 0) - width / 2
        return { group, x, y, width, height }
      }
      const placed = at(g.group, numberOf(g.down))
      if (plan.placement.origin !== 'edge') return [placed]
      // What hangs off the pallet lands higher or lower: both ends are shown.
      const [highest, lowest] = g.down.range
      return [placed, at('highest', highest), at('lowest', lowest)]
    }),
    lines: PALLET_LINES,
  }
}
