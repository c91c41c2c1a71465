import { numberOf, q, type Reason } from '../advice'
import type { FlashUnit } from '../equipment'
import { cureUnder, filmAfter, HEAT, WARM_BOARD, type Waiting } from '../heat'
import type { Duration, Length, Temperature } from '../quantity'
import { thickest } from './cureHeat'
import { boardOf, fittedOf, unitOver } from './heatedOf'
import type { RunPlan } from './runPlan'

/** A print that is cured under a flash panel instead of in a tunnel. */
export interface PanelCure {
  /** Until its corners are cured; none when never. */
  readonly time: Duration | undefined
  /** Of the middle then. */
  readonly film: Temperature | undefined
  readonly reasons: readonly Reason[]
}

/** Heights that are tried where the panel is too near, metres. */
const HEIGHTS: readonly Length[] = [0.075, 0.1, 0.125, 0.15, 0.2]

/**
 * How long a print wants under the panel of its press, and what that does to its middle.
 *
 * @returns undefined where it is cured in a tunnel, or nothing but a gun is there
 */
export function panelCure(plan: RunPlan, flashes: readonly FlashUnit[]): PanelCure | undefined {
  const unit = flashes.find((f) => f.pressId === plan.press.id && f.kind !== 'gun')
  const film = thickest(plan)
  if (plan.method.cure !== 'panel' || !unit || !film) return undefined
  const { load, most } = film
  const under = (above: Length): Waiting => ({
    ...load,
    board: boardOf(plan.press),
    fitted: fittedOf(unit),
    below: [],
    unit: { ...unitOver(unit, plan.run.placement, plan), height: above },
  })
  const at = (above: Length) => cureUnder(under(above), WARM_BOARD)
  const above = unitOver(unit, plan.run.placement, plan).height
  const found = at(above)
  const said = { unit: unit.name, height: q('length', above) }
  if (!found) return { time: undefined, film: undefined, reasons: [HEAT.because('PANEL_NEVER', said)] }
  const cures = HEAT.because('PANEL_CURES', {
    ...said,
    time: q('duration', found.time),
    film: q('temperature', found.film),
    cloth: q('temperature', found.cloth),
  })
  const near = found.film > most ? [tooNear(at, above, most, said)] : []
  const set = numberOf(plan.cure.dwell)
  const then = filmAfter(under(above), WARM_BOARD, set, 0)
  const long =
    near.length === 0 && then > most
      ? [
          HEAT.because('PANEL_LONG', {
            dwell: q('duration', set),
            film: q('temperature', then),
            limit: q('temperature', most),
            time: q('duration', found.time),
          }),
        ]
      : []
  const short =
    set < found.time
      ? [HEAT.because('PANEL_SHORT', { dwell: q('duration', set), time: q('duration', found.time) })]
      : []
  return { ...found, reasons: [cures, ...near, ...long, ...short] }
}

/** The least height at which the middle stands it until the corners are cured. */
function tooNear(
  at: (above: Length) => ReturnType<typeof cureUnder>,
  above: Length,
  most: Temperature,
  said: { readonly unit: string },
): Reason {
  const limit = q('temperature', most)
  for (const height of HEIGHTS.filter((h) => h > above)) {
    const found = at(height)
    if (found && found.film <= most)
      return HEAT.because('PANEL_LIFT', {
        ...said,
        limit,
        height: q('length', height),
        time: q('duration', found.time),
      })
  }
  return HEAT.because('PANEL_SHUT', { ...said, limit })
}
