import type { Duration, Temperature } from '../quantity'
import { type DwellFrom, heatOf } from './runHeat'
import type { RunPlan } from './runPlan'

/** What the sheet says of a flash: its dwell along the run, and what a gun is to find. */
export interface SheetHeat {
  /** The hit behind which it is flashed. */
  readonly name: string
  readonly schedule: readonly DwellFrom[]
  readonly set: Duration
  /** Middle of the film straight after the flash as it is set, on the boards of the end of the run. */
  readonly film: Temperature
}

/** Of each flash under a unit, in their order; none where nothing is flashed, or the plan is of before heat was computed. */
export function sheetHeatOf(plan: RunPlan): readonly SheetHeat[] {
  const heat = heatOf(plan)
  const end = heat?.laps.at(-1)
  return (heat?.flashes ?? []).flatMap(({ name, schedule, set }, i) => {
    const film = end?.flashes[i]?.peak
    return film === undefined ? [] : [{ name, schedule, set, film }]
  })
}
