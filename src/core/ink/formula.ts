import { BANDS, type Lab, labOf, layered, type Optics, type Spectrum, xyzOf } from '../color'
import { type BaseInk, type Part, USUAL_SMEAR } from '../equipment'
import type { Film } from '../quantity'
import { BLACK_CARD, opticsOfCharacterisation, WHITE_CARD } from './optics'

/** An ink of the rack with what it does to light. */
export interface MixInk {
  readonly ink: BaseInk
  readonly optics: Optics
}

const known = new WeakMap<BaseInk, MixInk>()

/** Readings are worked out once. */
export function mixInk(ink: BaseInk): MixInk {
  const found = known.get(ink) ?? { ink, optics: opticsOfCharacterisation(ink.characterisation) }
  known.set(ink, found)
  return found
}

/** K and S of inks by their shares of the volume (Duncan 1940). @param shares sum to 1 */
export function blend(inks: readonly MixInk[], shares: ArrayLike<number>): Optics {
  const [k, s] = [new Array<number>(BANDS.length).fill(0), new Array<number>(BANDS.length).fill(0)]
  inks.forEach(({ optics }, i) => {
    for (let b = 0; b < BANDS.length; b++) {
      k[b]! += shares[i]! * optics.k[b]!
      s[b]! += shares[i]! * optics.s[b]!
    }
  })
  return { k, s }
}

/** Parts are weighed, but light sees volume. */
export function mixed(parts: readonly { readonly mass: number; readonly of: MixInk }[]): Optics {
  const volumes = parts.map(({ mass, of }) => mass / of.ink.density)
  const all = volumes.reduce((a, b) => a + b, 0)
  return blend(
    parts.map((p) => p.of),
    volumes.map((v) => v / all),
  )
}

/** What a mix is printed on, and how thick. */
export interface Condition {
  /** Measured reflectance below the film. */
  readonly ground: Spectrum
  readonly film: Film
}

/** A drawdown: a smear over a white card. */
export const SMEAR: Condition = { ground: BANDS.map(() => WHITE_CARD), film: USUAL_SMEAR }

export const colourOn = (optics: Optics, { ground, film }: Condition): Lab =>
  labOf(layered([{ optics, thickness: film }], ground))

/** Parts so that they sum to 1, largest first: that is how they are weighed. */
export function inOrder(parts: readonly Part[]): readonly Part[] {
  const all = parts.reduce((sum, p) => sum + p.share, 0)
  return parts.map((p) => ({ ...p, share: p.share / all })).sort((a, b) => b.share - a.share)
}

/** Inks of a formula from the rack; undefined where one is missing. */
export function partsOf(
  parts: readonly Part[],
  rack: readonly BaseInk[],
): readonly { readonly mass: number; readonly of: MixInk }[] | undefined {
  const found = parts.flatMap(({ code, share }) => {
    const ink = rack.find((i) => i.code === code)
    return ink ? [{ mass: share, of: mixInk(ink) }] : []
  })
  return found.length === parts.length ? found : undefined
}

/** Least luminance over black against that over white of an ink that is a colour by itself; clear ones only look like their ground. */
const COVERS = 0.5

/** An ink that covers a black card well enough to be printed as it is: an extender over white looks white and is none. */
export function coversAlone(ink: BaseInk): boolean {
  // What printers call an ink is a colour to print, from the pail; only clear ones look like their ground.
  if (ink.characterisation.how === 'class') return ink.characterisation.opacity !== 'transparent'
  const { optics } = mixInk(ink)
  const over = (card: number) =>
    xyzOf(
      layered(
        [{ optics, thickness: USUAL_SMEAR }],
        optics.k.map(() => card),
      ),
    )[1]
  return over(BLACK_CARD) >= COVERS * over(WHITE_CARD)
}
