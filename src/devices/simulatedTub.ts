import { randomLcg, randomNormal } from 'd3-random'
import { BANDS, layered, type Spectrum } from '@/core/color'
import { type BaseInk, USUAL_SMEAR } from '@/core/equipment'
import { BLACK_CARD, mixed, mixInk, type Poured, WHITE_CARD } from '@/core/ink'

/** Standard deviation of an ink's strength from lot to lot. */
const STRENGTH = 0.05
/** Of the thickness of a smear. */
const THICKNESS = 0.03

/**
 * What a smear of a tub truly looks like: inks a little stronger or weaker than the rack believes, drawn a little thicker
 * or thinner. The same tub looks the same every time.
 *
 * @param seed of this tub
 */
export function trueSmear(
  poured: Poured,
  rack: readonly BaseInk[],
  seed: number,
): { readonly onWhite: Spectrum; readonly onBlack: Spectrum } | undefined {
  const random = randomNormal.source(randomLcg(seed))
  const [strength, film] = [random(1, STRENGTH), random(USUAL_SMEAR, THICKNESS * USUAL_SMEAR)]
  const inks = rack.flatMap((ink) => {
    // Every ink of the rack takes its turn, so that pouring one more changes no other.
    const true_ = strength()
    const mass = poured[ink.code] ?? 0
    return mass > 0 ? [{ mass: mass * true_, of: mixInk(ink) }] : []
  })
  if (inks.length === 0) return undefined
  const layer = { optics: mixed(inks), thickness: film() }
  return {
    onWhite: layered(
      [layer],
      BANDS.map(() => WHITE_CARD),
    ),
    onBlack: layered(
      [layer],
      BANDS.map(() => BLACK_CARD),
    ),
  }
}
