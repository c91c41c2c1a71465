import type { Overrides, Reason } from '../advice'
import type { FlashUnit } from '../equipment'
import { flashDwell, rackDry } from '../heat'
import type { Event, Job } from '../sequence'
import type { FlashPlan } from './runPlan'

/** Before, choices were kept by the flash's place in the order. */
const placeKey = (at: number) => `dwell.${at + 1}`

/** Each flash with the hit that it gels: a choice of its dwell stays with that hit, wherever it is printed. */
export function planFlashes(
  events: readonly Event[],
  { hits }: Job,
  units: readonly FlashUnit[],
  driesInScreen: boolean,
  why: readonly (readonly Reason[])[],
  overrides: Overrides,
): readonly FlashPlan[] {
  const behind = events.flatMap((e, at) => {
    const print = e.kind === 'flash' ? events[at - 1] : undefined
    return print?.kind === 'print' ? (hits[print.hit] ?? []) : []
  })
  return behind.map((hit, i) => {
    const unit = units[i % units.length]
    const old = overrides[placeKey(i)]
    const own = old === undefined ? overrides : { [`dwell.${hit.id}`]: old, ...overrides }
    const dwell = unit ? flashDwell(hit, unit, driesInScreen, own) : rackDry(hit, own)
    return { unit, dwell, reasons: why[i] ?? [] }
  })
}
