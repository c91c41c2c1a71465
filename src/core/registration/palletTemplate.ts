import { numberOf } from '../advice'
import type { Length } from '../quantity'
import type { Origin, PlacementAdvice } from './placement'

/** A line that garments of some sizes are laid to. */
export interface LayLine {
  /** Sizes that share it. */
  readonly sizes: readonly string[]
  /** From the top of the art up to it, metres. */
  readonly above: Length
}

/** What is laid where round the art, which stays: screens are not moved for a size. Metres from the art's top left, down and to the right. */
export interface PalletTemplate {
  readonly width: Length
  readonly height: Length
  readonly origin: Origin
  /** The garment's centre crease, from the art's left edge, as the loader sees it with the collar away. */
  readonly crease: Length
  readonly lines: readonly LayLine[]
}

/**
 * The template of a print for the pallet: one line for each group of sizes, the crease, the art.
 *
 * @param art metres
 */
export function palletTemplate(
  { width, height }: { readonly width: Length; readonly height: Length },
  { groups, side, origin }: Omit<PlacementAdvice, 'reasons'>,
): PalletTemplate {
  const found = new Map<Length, LayLine>()
  for (const { sizes, down } of groups) {
    const above = numberOf(down)
    const same = found.get(above)
    found.set(above, { above, sizes: [...(same?.sizes ?? []), ...sizes] })
  }
  return {
    width,
    height,
    origin,
    crease: width / 2 - (side ? numberOf(side) : 0),
    lines: [...found.values()].sort((a, b) => b.above - a.above),
  }
}
