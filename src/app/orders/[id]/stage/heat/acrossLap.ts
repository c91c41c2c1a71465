import type { Cell, LapTrace } from '@/core/plan'
import type { ShownCell } from '@/ui/lap/stripCells'

/** Where a place of the strip begins along a picture. */
export interface Edge {
  /** Share of its width. */
  readonly x: number
  /** Seconds on the board. */
  readonly at: number
  readonly place: string
  readonly cell: Cell
}

/** A lap along a picture, 0 to 1. */
export interface Across {
  readonly edges: readonly Edge[]
  readonly xOf: (at: number) => number
}

/**
 * Lays the seconds of a lap along the cells of its strip.
 *
 * @param shares how wide each cell is, together 1; without, as long as it takes
 */
export function acrossLap(
  { moments, cells }: Pick<LapTrace, 'moments' | 'cells'>,
  shown: readonly ShownCell[],
  shares?: readonly number[],
): Across {
  const whole = moments.at(-1)?.at || 1
  let [x, at] = [0, 0]
  const laid = shown.map(({ first, last, place, cell }, i) => {
    const here = cells.filter((c) => c.cell >= first && c.cell <= last)
    const from = here[0]?.from ?? at
    const to = here.at(-1)?.to ?? from
    const width = shares?.[i] ?? (to - from) / whole
    const edge = { x, width, at: from, to, place, cell }
    ;[x, at] = [x + width, to]
    return edge
  })
  return {
    edges: laid,
    xOf: (seconds) => {
      const here = laid.find((c) => seconds < c.to) ?? laid.at(-1)
      if (!here) return seconds / whole
      const into = here.to > here.at ? (seconds - here.at) / (here.to - here.at) : 0
      return Math.min(1, Math.max(0, here.x + here.width * into))
    },
  }
}
