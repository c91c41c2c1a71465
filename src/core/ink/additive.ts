import { q, type Reason } from '../advice'
import { difference } from '../color'
import { ADDITIVES, type AdditiveKind, type BaseInk, type Part } from '../equipment'
import type { Share } from '../quantity'
import { INK } from './definition'
import { type Condition, colourOn, inOrder, mixed, partsOf } from './formula'

/** What an ink of the rack does when it is an additive. */
export const doesOf = (ink: BaseInk): AdditiveKind | undefined =>
  ink.characterisation.how === 'additive' ? ink.characterisation.does : undefined

/** Additives of a system, as far as they are on the rack. */
export const additivesFor = (system: string, rack: readonly BaseInk[]): readonly BaseInk[] =>
  rack.filter((i) => i.system === system && doesOf(i) !== undefined)

/** Parts of a batch apart: what gives the colour, and what is stirred in by per cent of the whole. */
export function apart(
  parts: readonly Part[],
  rack: readonly BaseInk[],
): { readonly inks: readonly Part[]; readonly additives: readonly Part[] } {
  const isAdditive = ({ code }: Part) => rack.some((i) => i.code === code && doesOf(i) !== undefined)
  return { inks: parts.filter((p) => !isAdditive(p)), additives: parts.filter(isAdditive) }
}

/**
 * Parts with additives by their share of the whole; the inks share what is left in the ratio they had.
 *
 * @param additives shares above 0 that make less than 1 together
 * @throws RangeError when they leave nothing for the ink
 */
export function withAdditives(inks: readonly Part[], additives: readonly Part[]): readonly Part[] {
  const left = 1 - additives.reduce((sum, a) => sum + a.share, 0)
  if (!(left > 0)) throw new RangeError('additives leave nothing for the ink')
  const all = inks.reduce((sum, p) => sum + p.share, 0)
  return inOrder([...inks.map((p) => ({ ...p, share: (p.share / all) * left })), ...additives])
}

/** Together additives are at most this much of a batch. */
export const MOST_ADDITIVE: Share = 0.5

/** What is to be said of additives in a batch: how much is usual, and what they do to its colour. */
export function saidOfAdditives(
  parts: readonly Part[],
  rack: readonly BaseInk[],
  on: Condition,
): readonly Reason[] {
  const { inks, additives } = apart(parts, rack)
  const shares = additives.flatMap(({ code, share }) => {
    const ink = rack.find((i) => i.code === code)
    const does = ink && doesOf(ink)
    if (!ink || !does) return []
    const { usual, most } = ADDITIVES[does]
    const inputs = { additive: ink.name, share: q('share', share), most: q('share', most) }
    return share > most
      ? [INK.because('ADDITIVE_MUCH', inputs)]
      : [INK.because('ADDITIVE', { ...inputs, usual: q('share', usual) })]
  })
  const [plain, whole] = [partsOf(inks, rack), partsOf(parts, rack)]
  if (additives.length === 0 || inks.length === 0 || !plain || !whole) return shares
  const [before, after] = [colourOn(mixed(plain), on), colourOn(mixed(whole), on)]
  const change = q('difference', difference(before, after))
  const rises = whole.some((p) => doesOf(p.of.ink) === 'expands')
  return [
    ...shares,
    rises
      ? INK.because('ADDITIVE_RISES', { lighter: q('difference', after.l - before.l), change })
      : INK.because('ADDITIVE_WEAKENS', { change }),
  ]
}
