import { numberOf } from '../advice'
import type { Length } from '../quantity'
import { type PlacementAdvice, seenAside } from './placement'
import type { Origin } from './sizeGroups'

/** A line that garments of some sizes are laid to. */
export interface LayLine {
  /** Sizes that share it. */
  readonly sizes: readonly string[]
  /** From the top of the art up to it, metres. */
  readonly above: Length
  /** The garment's centre crease, from the art's left edge, as the loader sees it. */
  readonly crease: Length
}

/** What is laid where round the art, which stays: screens are not moved for a size. Metres from the art's top left, down and to the right. */
export interface PalletTemplate {
  readonly width: Length
  readonly height: Length
  readonly origin: Origin
  readonly lines: readonly LayLine[]
}

/**
 * The template of a print for the pallet: one line for each group of sizes, the crease, the art.
 *
 * @param art metres
 */
export function palletTemplate(
  { width, height }: { readonly width: Length; readonly height: Length },
  { groups, origin }: Omit<PlacementAdvice, 'reasons'>,
): PalletTemplate {
  const found = new Map<string, LayLine>()
  for (const { sizes, down, side } of groups) {
    const above = numberOf(down)
    const crease = width / 2 - (side ? seenAside(origin, numberOf(side)) : 0)
    const key = `${above} ${crease}`
    found.set(key, { above, crease, sizes: [...(found.get(key)?.sizes ?? []), ...sizes] })
  }
  return {
    width,
    height,
    origin,
    lines: [...found.values()].sort((a, b) => b.above - a.above),
  }
}
