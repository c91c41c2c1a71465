import { q, type Reason } from '../advice'
import type { FlashKind, FlashUnit, Press } from '../equipment'
import { HEAT } from '../heat'
import { driesInScreen } from '../order'
import { isBase } from '../sequence'
import type { Separation } from './hits'

/**
 * How well a kind of unit suits what it has to dry, 0 best (common practice): water-based colours want moving air, their base is
 * quickest to the touch under quartz, plastisol takes what is quickest; a gun is the last that anyone takes.
 */
const SUITS = {
  waterBase: { quartz: 0, air: 1, panel: 2, gun: 4 },
  water: { air: 0, quartz: 1, panel: 2, gun: 4 },
  plastisol: { quartz: 0, panel: 0, air: 1, gun: 4 },
} as const satisfies Record<string, Record<FlashKind, number>>

/** What is usual though no air moves: its vapour is no reason to look elsewhere. */
export const isUsual = (unit: FlashUnit, s: Separation): boolean => unit.kind === 'quartz' && isBase(s.hit)

/** A unit that the shop keeps for other inks, and a gun for what stands none, are taken where nothing else is there. */
const KEPT = 3
const SPOILS = 6

function misfit(unit: FlashUnit, s: Separation): number {
  const water = driesInScreen(s.system)
  const kind = water ? (isBase(s.hit) ? 'waterBase' : 'water') : 'plastisol'
  const kept = unit.suits !== undefined && (unit.suits === 'water') !== water
  return SUITS[kind][unit.kind] + (kept ? KEPT : 0) + (unit.kind === 'gun' && s.can.noGun ? SPOILS : 0)
}

/** Ways to give units to flashes are tried one by one up to so many of either; beyond, one after another takes its best. */
const TRIED = 6

/**
 * The unit of every flash, by what the ink behind it needs. On an automatic each unit stands at one place: as many flashes as there
 * are units have one each. Elsewhere one that suits may flash again.
 *
 * @param inks that are flashed, in print order
 */
export function unitsFor(
  inks: readonly Separation[],
  units: readonly FlashUnit[],
  press: Press,
): readonly { readonly unit: FlashUnit | undefined; readonly why: readonly Reason[] }[] {
  const once = press.kind === 'automatic' && inks.length <= units.length
  const taken = once ? bestOnce(inks, units) : inks.map((s, i) => best(s, turned(units, i)))
  const mixed = new Set(units.map((u) => `${u.kind} ${u.suits ?? ''}`)).size > 1
  return inks.map((s, i) => {
    const unit = taken[i]
    if (!unit || !mixed) return { unit, why: [] }
    const inputs = { unit: unit.name, name: s.hit.name, units: q('count', units.length) }
    const better = Math.min(...units.map((u) => misfit(u, s)))
    return { unit, why: [HEAT.because(misfit(unit, s) > better ? 'UNIT_LEFT' : 'UNIT_SUITS', inputs)] }
  })
}

/** Of units that suit alike, each in its turn. */
const turned = (units: readonly FlashUnit[], by: number): readonly FlashUnit[] =>
  units.map((_, i) => units[(i + by) % units.length] as FlashUnit)

const best = (s: Separation, units: readonly FlashUnit[]): FlashUnit | undefined =>
  units.reduce<FlashUnit | undefined>((a, b) => (a && misfit(a, s) <= misfit(b, s) ? a : b), undefined)

/** Each unit once, with the least misfit in all; the first way in the order of the units where several are alike. */
function bestOnce(inks: readonly Separation[], units: readonly FlashUnit[]): readonly FlashUnit[] {
  const [first, ...rest] = inks
  if (!first) return []
  const without = (unit: FlashUnit) => units.filter((u) => u !== unit)
  if (units.length > TRIED) {
    const unit = best(first, units) as FlashUnit
    return [unit, ...bestOnce(rest, without(unit))]
  }
  const sum = (way: readonly FlashUnit[]) =>
    way.reduce((total, unit, i) => total + misfit(unit, inks[i] as Separation), 0)
  return units
    .map((unit) => [unit, ...bestOnce(rest, without(unit))])
    .reduce((a, b) => (sum(b) < sum(a) ? b : a))
}
