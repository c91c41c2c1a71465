import { ruleTable } from '../advice'
import { difference, type Lab } from '../color'
import type { BaseInk, Part } from '../equipment'
import type { Mass, Share } from '../quantity'
import { type Condition, colourOn, type MixInk, mixed, mixInk } from './formula'

export const BATCH_RULES = ruleTable({
  PART: {
    says: '{part} of {batch}: {share} by weight. Largest first, so that no small part is stuck to the bottom of the pail.',
    source: 'common practice',
  },
  READING: {
    says: 'What the scale says now, less what was in the pail before this part.',
    source: 'geometry',
  },
  BAND: {
    says: 'From {low} to {high}: {share} of the part either way, but never less than the scale can tell.',
    source: 'common practice',
  },
  OVERPOUR: {
    says: '{over} too much of {part}: everything else has to go up in the same ratio, to {total} in all.',
    source: 'geometry',
  },
  OVERPOUR_ACCEPT: {
    says: 'Left as it is the colour is off by {difference} (CIEDE2000). Computed, not measured.',
    source: 'common practice',
  },
  OVERPOUR_FULL: {
    says: 'The pail holds {capacity}: take out {out} of what is in it, stirred, before adding.',
    source: 'geometry',
  },
})

export const MIX_RULES = ruleTable({
  NEED: {
    says: '{mass} for {run}: as its plan computes it from the print, the mesh and the pieces, with what stays in the screen. See the Ink stage of the order.',
    source: 'geometry',
  },
  LEARNT: {
    says: '{factor} of what is computed was laid, by the middle of {runs} runs that were weighed back.',
    source: "the shop's choice",
  },
  FOUND: {
    says: '{difference} from the target in daylight (CIEDE2000), {lamp} under lamplight; hides {hides} of a black card; two-constant films from the readings of the rack, in a smear over white. Model, not measured: draw it down.',
    source: 'common practice',
  },
  ON_CLOTH: {
    says: 'As thick as a smear straight on {cloth}, nothing white below: {difference} from the target (CIEDE2000). The Ink stage of the order tells it in the films that are printed.',
    source: 'common practice',
  },
  MONEY: { says: 'What the parts cost by weight, as entered for the rack.', source: "the shop's choice" },
  PAST: {
    says: '{difference} from the target (CIEDE2000) when its drawdown was accepted.',
    source: 'common practice',
  },
  PAST_SAMPLE: {
    says: '{difference} from the accepted drawdown of {batch}, the first of this colour (CIEDE2000): what the customer has seen.',
    source: 'common practice',
  },
  READ: {
    says: '{difference} from the target (CIEDE2000): {word}. Accepted up to {accept}, looked at again up to {again}.',
    source: 'common practice',
  },
})

/** What is in the pail: kg by code. */
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
  /** kg in the pail then. */
  readonly total: Mass
  /** Share to take out of the stirred pail before adding; 0 when it fits. */
  readonly out: Share
  /** Money for what is added. */
  readonly cost: number
}

/**
 * The smallest additions that make what was poured the formula again. What is not in the formula cannot be undone: none.
 *
 * @param off a part may stay above its share by this much of itself (0: exactly the formula)
 * @param capacity kg that the pail holds
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

/** How far what is in the pail lies from the formula, CIEDE2000; none when an ink is not on the rack. */
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
 * What the pail would have to hold after every part, so that a scale without tare can be read too.
 *
 * @param tare kg of the empty pail
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
