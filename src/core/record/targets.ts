import { printedSizes, type Run, sizeOf } from '../order'
import { type Recorded, targetOf } from './fold'

/** A size of a garment line that a run prints, and how far it is. */
export interface Target {
  readonly key: string
  readonly line: string
  readonly size: string
  /** The garment, where a run prints several. */
  readonly garment: string | undefined
  readonly ordered: number
  readonly good: number
  readonly spoiled: number
  /** Garments beyond the order. */
  readonly spare: number
  readonly packed: number
  /** So many cannot be printed any more: spoiled, and no garment is left for them. */
  readonly short: number
  /** Still to print; below nothing there are more than were ordered. */
  readonly left: number
}

/** What a run has to print, smallest size first within each garment, with what is counted of it. */
export function targetsOf(
  { lines, placement }: Pick<Run, 'lines' | 'placement'>,
  recorded: Recorded,
): readonly Target[] {
  return lines.flatMap((line) =>
    [...printedSizes(line, placement)]
      .sort((a, b) => sizeOf(a.size).halfChest - sizeOf(b.size).halfChest)
      .map(({ size, quantity }): Target => {
        const key = targetOf({ line: line.id, size })
        const good = recorded.good.get(key) ?? 0
        const spoiled = recorded.spoiled.get(key) ?? 0
        const spare = recorded.spare.get(key) ?? 0
        return {
          ...{ key, line: line.id, size, good },
          garment: lines.length > 1 ? `${line.cloth.name} ${line.style}` : undefined,
          ordered: quantity,
          ...{ spoiled, spare, packed: recorded.packed.get(key) ?? 0 },
          short: Math.max(0, spoiled - spare),
          left: quantity - good,
        }
      }),
  )
}
