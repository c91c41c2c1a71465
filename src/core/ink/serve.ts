import { difference, type Hex, type Lab, labOf, labOfHex } from '../color'
import {
  ADDITIVES,
  type BaseInk,
  type ColourLimits,
  type Formula,
  type InkRoom,
  type Part,
} from '../equipment'
import type { Mass } from '../quantity'
import { additivesFor, doesOf, withAdditives } from './additive'
import { coversAlone } from './formula'
import { colourOfCharacterisation } from './optics'
import type { Batch, Can } from './stock'

/** What a batch looks like: as last read, else as it was meant. */
export const colourOfBatch = (batch: Batch): Lab => {
  const last = batch.drawdowns.at(-1)
  return last ? labOf(last.onWhite) : batch.target
}

const nearest = <T>(found: readonly (T & { readonly off: number })[], accept: number) =>
  found.filter(({ off }) => off <= accept).sort((a, b) => a.off - b.off)

/** Tubs of a system that were read and are near enough to a colour to be printed as it, the nearest first. */
export const tubsNear = (
  tubs: readonly Batch[],
  target: Lab,
  system: string,
  { accept }: Pick<ColourLimits, 'accept'>,
): readonly { readonly tub: Batch; readonly off: number }[] =>
  nearest(
    tubs
      .filter((tub) => tub.drawdowns.length > 0 && tub.system === system)
      .map((tub) => ({ tub, off: difference(colourOfBatch(tub), target) })),
    accept,
  )

/** Ink that a screen wants. */
export interface WantedInk {
  readonly name: string
  readonly hex: Hex
  readonly system: string
  /** kg */
  readonly mass: Mass
  /** It is to rise. */
  readonly expands: boolean
}

/** Where ink for a screen comes from. `enough`: as much as is wanted. */
export type Serving =
  | { readonly from: 'tub'; readonly tub: Batch; readonly off: number; readonly enough: boolean }
  | { readonly from: 'can'; readonly ink: BaseInk; readonly mass: Mass; readonly enough: boolean }
  | { readonly from: 'mix' }
  | { readonly from: 'nowhere' }

/** What a screen's ink would be mixed by, if there is a formula. */
export interface MixPlan {
  readonly formula: Formula
  /** With what makes it rise, where it is to. */
  readonly parts: readonly Part[]
  /** Every ink of it is on the rack. */
  readonly ready: boolean
}

/** What to mix a wanted ink by. */
export function mixPlanFor(
  want: WantedInk,
  { formulas, rack }: Pick<InkRoom, 'formulas' | 'rack'>,
): MixPlan | undefined {
  const formula = formulas.find(
    (f) => f.name.toLowerCase() === want.name.toLowerCase() && f.system === want.system,
  )
  if (!formula) return undefined
  const expander = want.expands
    ? additivesFor(want.system, rack).find((i) => doesOf(i) === 'expands')
    : undefined
  return {
    formula,
    parts: expander
      ? withAdditives(formula.parts, [{ code: expander.code, share: ADDITIVES.expands.usual }])
      : formula.parts,
    ready: formula.parts.every((p) => rack.some((i) => i.code === p.code)),
  }
}

/**
 * The least work for a wanted ink: a tub that is the colour, an ink of the rack that is it and needs no mixing, a formula.
 *
 * @param tubs that are not gone
 */
export function servingFor(
  want: WantedInk,
  room: InkRoom,
  cans: readonly Can[],
  tubs: readonly Batch[],
): Serving {
  const target = labOfHex(want.hex)
  const [near] = tubsNear(tubs, target, want.system, room.limits)
  if (near) return { from: 'tub', ...near, enough: near.tub.mass >= want.mass }
  const [plain] = nearest(
    room.rack
      .filter((ink) => ink.system === want.system && coversAlone(ink))
      .map((ink) => ({ ink, off: difference(colourOfCharacterisation(ink.characterisation), target) })),
    room.limits.accept,
  )
  if (plain) {
    const mass = cans.filter((c) => c.code === plain.ink.code).reduce((sum, c) => sum + c.mass, 0)
    return { from: 'can', ink: plain.ink, mass, enough: mass >= want.mass }
  }
  return { from: mixPlanFor(want, room) ? 'mix' : 'nowhere' }
}

/** What a reading comes to, in words. `severity` is missing when all is well. */
export interface Verdict {
  readonly accepted: boolean
  readonly word: string
  readonly severity?: 'Watch' | 'Stop'
}

/** Judges a reading by the shop's limits. @param off CIEDE2000 */
export function verdictOf(off: number, { accept, again }: Pick<ColourLimits, 'accept' | 'again'>): Verdict {
  if (off <= accept) return { accepted: true, word: 'within what is accepted' }
  return off <= again
    ? { accepted: false, word: 'look again', severity: 'Watch' }
    : { accepted: false, word: 'mend it or make it anew', severity: 'Stop' }
}
