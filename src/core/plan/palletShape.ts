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

const LINES = [0.025, 0.064, 0.089, 0.127] as const

/** Where the print lies on the pallet for each group of sizes. A left chest lies on the wearer's left: seen right. */
export function palletShape(plan: RunPlan): PalletShape {
  const { width, height } = plan.run.placement
  const { palletWidth, palletHeight } = plan.press
  const middle = plan.placement.side === undefined ? 0 : numberOf(plan.placement.side)
  return {
    pallet: { x: -palletWidth / 2, y: 0, width: palletWidth, height: palletHeight },
    prints: plan.placement.groups.map((g) => ({
      group: g.group,
      x: middle - width / 2,
      y: numberOf(g.down),
      width,
      height,
    })),
    lines: LINES,
  }
}
