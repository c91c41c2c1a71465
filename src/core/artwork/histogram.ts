/** The middle value of a list that is not empty. */
export function median(values: readonly number[]): number {
  const s = [...values].sort((a, b) => a - b)
  const m = s.length >> 1
  return s.length % 2 ? (s[m] ?? 0) : ((s[m - 1] ?? 0) + (s[m] ?? 0)) / 2
}

/** Widths along an edge in pixels: what 5, 50, 95 and 99 % of its length stay below, and that length. */
export interface Spread {
  readonly least: number
  readonly median: number
  readonly most: number
  /** The widest but for a hundredth, which may be noise. */
  readonly widest: number
  readonly edge: number
}

/** Lengths in pixels gathered by quarters of a pixel, so that millions of edge pixels cost nothing to keep. */
export class Widths {
  private readonly bins = new Map<number, number>()
  private total = 0

  add(px: number): void {
    const bin = Math.round(px * 4)
    this.bins.set(bin, (this.bins.get(bin) ?? 0) + 1)
    this.total++
  }

  get count(): number {
    return this.total
  }

  /** The width below which a share of them lies; undefined when there are none. */
  at(share: number): number | undefined {
    let left = share * this.total
    let last: number | undefined
    for (const bin of [...this.bins.keys()].sort((a, b) => a - b)) {
      last = bin / 4
      left -= this.bins.get(bin) ?? 0
      if (left < 0) break
    }
    return last
  }

  /** How many are smaller than `px`. */
  below(px: number): number {
    let n = 0
    for (const [bin, count] of this.bins) if (bin / 4 < px) n += count
    return n
  }

  /** Smallest value that the first `n` of them reach: not one noisy pixel. */
  least(n: number): number | undefined {
    return this.total === 0 ? undefined : this.at(Math.min(0.999, n / this.total))
  }

  /** Undefined when the edge is no longer than `shortest`. */
  spread(shortest: number): Spread | undefined {
    if (this.total <= shortest) return undefined
    const at = (share: number) => this.at(share) ?? 0
    return { least: at(0.05), median: at(0.5), most: at(0.95), widest: at(0.99), edge: this.total }
  }
}
