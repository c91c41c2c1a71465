import { numberOf, type Overrides, type Reason } from '../advice'
import type { FlashUnit, Press } from '../equipment'
import { coldDwell, flashDwell, rackDry, type ShopAir } from '../heat'
import type { Cloth, Placement } from '../order'
import type { Temperature } from '../quantity'
import type { Event } from '../sequence'
import { boardOf, fittedOf, heatedCloth, type UnitsSet, unitOver, wetFilm } from './heatedOf'
import type { Separation } from './hits'
import type { FlashPlan } from './runPlan'
import { isUsual, unitsFor } from './unitsFor'

/** Before, choices were kept by the flash's place in the order. */
const placeKey = (at: number) => `dwell.${at + 1}`

/** What is under which units, and in what air. */
interface Flashing {
  readonly units: readonly FlashUnit[]
  readonly press: Press
  readonly cloth: Cloth
  readonly print: Placement
  readonly ambient: ShopAir
  readonly set: UnitsSet
  /** The boards that the dwell is for, kelvin. */
  readonly boards: Temperature
}

/** Each flash with the hit that it gels: a choice of its dwell stays with that hit, wherever it is printed. */
export function planFlashes(
  events: readonly Event[],
  separations: readonly Separation[],
  { units, press, cloth, print, ambient, set, boards }: Flashing,
  why: readonly (readonly Reason[])[],
  overrides: Overrides,
): readonly FlashPlan[] {
  const behind = events.flatMap((e, at) => {
    const printed = events.slice(0, at).flatMap((b) => (b.kind === 'print' ? (separations[b.hit] ?? []) : []))
    const separation = e.kind === 'flash' && events[at - 1]?.kind === 'print' ? printed.at(-1) : undefined
    const below = printed.slice(0, -1).filter((s) => s.hit.role !== 'smoothing')
    return separation ? [{ separation, below: below.map((s) => wetFilm(s, cloth).ink) }] : []
  })
  const taken = unitsFor(
    behind.map((b) => b.separation),
    units,
    press,
  )
  return behind.map(({ separation, below }, i) => {
    const { hit } = separation
    const { unit, why: suits = [] } = taken[i] ?? {}
    const old = overrides[placeKey(i)]
    const own = old === undefined ? overrides : { [`dwell.${hit.id}`]: old, ...overrides }
    if (!unit) return { unit, dwell: rackDry(hit, own), reasons: why[i] ?? [] }
    const waiting = {
      board: boardOf(press),
      fabric: heatedCloth(cloth),
      fitted: fittedOf(unit),
      ambient: { air: numberOf(ambient.air), humidity: numberOf(ambient.humidity) },
      below,
      unit: unitOver(unit, print, set),
      ...wetFilm(separation, cloth),
    }
    const told = flashDwell(hit, unit, waiting, boards, own)
    const dwell = isUsual(unit, separation)
      ? { ...told, reasons: told.reasons.filter((r) => r.rule !== 'FLASH_WATER') }
      : told
    const cold = coldDwell(waiting, numberOf(dwell))
    return { unit, dwell, ...(cold !== undefined && { cold }), reasons: [...(why[i] ?? []), ...suits] }
  })
}
