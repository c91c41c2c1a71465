import { difference, type Lab } from '../color'
import type { BaseInk, Part } from '../equipment'
import type { Mass, Share } from '../quantity'
import { type Condition, colourOn, type MixInk, mixed, mixInk } from './formula'

/** What is in the tub: kg by code. */
export type Poured = Readonly<Record<string, Mass>>

const total = (poured: Poured): Mass => Object.values(poured).reduce((a, b) => a + b, 0)

/** Parts in kg, largest first. @param batch kg in all, above 0 */
export const amounts = (
  parts: readonly Part[],
  batch: Mass,
): readonly { readonly code: string; readonly mass: Mass }[] =>
  [...parts].sort((a, b) => b.share - a.share).map(({ code, share }) => ({ code, mass: share * batch }))

/** A part may be off by this share of itself; a scale tells no less than half a tenth of a gram. */
const OFF: Share = 0.02
const TOLD: Mass = 0.05e-3

/** Within these a part is right. */
export const band = (part: Mass): readonly [low: Mass, high: Mass] => {
  const off = Math.max(TOLD, OFF * part)
  return [part - off, part + off]
}

/** How an over-pour is put right. */
export interface Restored {
  /** kg of each part to add, none negative. */
  readonly add: Poured
  /** kg in the tub then. */
  readonly total: Mass
  /** Share to take out of the stirred tub before adding; 0 when it fits. */
  readonly out: Share
  /** Money for what is added. */
  readonly cost: number
}

/**
 * The smallest additions that make what was poured the formula again. What is not in the formula cannot be undone: none.
 *
 * @param off a part may stay above its share by this much of itself (0: exactly the formula)
 * @param capacity kg that the tub holds
 */
export function restored(
  parts: readonly Part[],
  poured: Poured,
  rack: readonly BaseInk[],
  off: Share = 0,
  capacity: Mass = Number.POSITIVE_INFINITY,
): Restored | undefined {
  const of = (code: string) => poured[code] ?? 0
  const alien = Object.entries(poured).some(([code, mass]) => mass > 0 && !parts.some((p) => p.code === code))
  if (alien) return undefined
  const wanted = Math.max(total(poured), ...parts.map((p) => of(p.code) / (p.share * (1 + off))))
  // What was over-poured stays; the others share the rest in their ratio.
  const high = parts.filter((p) => of(p.code) > p.share * wanted)
  const rest = parts.filter((p) => !high.includes(p))
  const left = wanted - high.reduce((sum, p) => sum + of(p.code), 0)
  const shares = rest.reduce((sum, p) => sum + p.share, 0)
  const out = wanted > capacity ? 1 - capacity / wanted : 0
  const add = Object.fromEntries(
    parts.map((p) => [
      p.code,
      high.includes(p) ? 0 : Math.max(0, (left * p.share) / shares - of(p.code)) * (1 - out),
    ]),
  )
  const price = (code: string) => rack.find((i) => i.code === code)?.cost ?? 0
  const cost = Object.entries(add).reduce((sum, [code, mass]) => sum + mass * price(code), 0)
  return { add, total: wanted * (1 - out), out, cost }
}

/** How far what is in the tub lies from the formula, CIEDE2000; none when an ink is not on the rack. */
export function offBy(
  parts: readonly Part[],
  poured: Poured,
  rack: readonly BaseInk[],
  on: Condition,
): number | undefined {
  const all = total(poured)
  const share = parts.map((p) => ({ code: p.code, mass: p.share * all }))
  const actual = Object.entries(poured).map(([code, mass]) => ({ code, mass }))
  const colour = (of: readonly { readonly code: string; readonly mass: Mass }[]): Lab | undefined => {
    const inks = of.flatMap(({ code, mass }): { mass: Mass; of: MixInk }[] => {
      const ink = rack.find((i) => i.code === code)
      return ink && mass > 0 ? [{ mass, of: mixInk(ink) }] : []
    })
    return inks.length === of.filter((o) => o.mass > 0).length && inks.length > 0
      ? colourOn(mixed(inks), on)
      : undefined
  }
  const [a, b] = [colour(share), colour(actual)]
  return a && b && difference(a, b)
}

/**
 * What the tub would have to hold after every part, so that a scale without tare can be read too.
 *
 * @param tare kg of the empty tub
 */
export function cumulative(parts: readonly { readonly mass: Mass }[], tare: Mass): readonly Mass[] {
  let sum = tare
  return parts.map(({ mass }) => {
    sum += mass
    return sum
  })
}

/** Two codes or names that a tired eye takes for one another: where they differ; none when they differ more. */
export function lookAlike(a: string, b: string): number | undefined {
  const [x, y] = [a.toLowerCase(), b.toLowerCase()]
  if (x === y || Math.abs(x.length - y.length) > 1) return undefined
  const [long, short] = x.length >= y.length ? [x, y] : [y, x]
  const at = [...long].findIndex((char, i) => char !== short[i])
  const same =
    long.length === short.length
      ? long.slice(at + 1) === short.slice(at + 1)
      : long.slice(at + 1) === short.slice(at)
  return same ? at : undefined
}

/** Short codes differ in one character as a rule: only a number taken for another is meant. */
const alikeCodes = (a: string, b: string): boolean => {
  const at = lookAlike(a, b)
  return at !== undefined && (a.length > 3 || [a[at], b[at]].every((c) => /\d/.test(c ?? '')))
}

/** Inks that are taken for this one, by name or code. */
export const lookAlikes = (ink: BaseInk, rack: readonly BaseInk[]): readonly BaseInk[] =>
  rack.filter(
    (other) =>
      other.code !== ink.code &&
      (lookAlike(ink.name, other.name) !== undefined || alikeCodes(ink.code, other.code)),
  )
