import type { Minute } from './problem'

/** Something that is held for a while: people, a share of a belt. */
export interface Held {
  /** The run that holds it; none where it is simply not there. */
  readonly run: number | undefined
  readonly from: Minute
  readonly to: Minute
  readonly load: number
}

/** What is held, in the order in which it was booked; what ended long ago is never looked at again. */
export class HeldLog<T extends Held> {
  private readonly all: T[] = []
  /** The latest end of everything up to a place. */
  private readonly ends: Minute[] = []

  add(held: T): void {
    this.all.push(held)
    this.ends.push(Math.max(held.to, this.ends.at(-1) ?? 0))
  }

  /** What lies within a span, in part or as a whole. */
  within(from: Minute, to: Minute): readonly T[] {
    const found: T[] = []
    for (let i = this.all.length - 1; i >= 0 && (this.ends[i] as Minute) > from; i--) {
      const held = this.all[i] as T
      if (held.to > from && held.from < to) found.push(held)
    }
    return found
  }
}

/** At the first moment of a span at which more is held than may be: what ends first then. Nothing where it is never so. */
export function overfull(inside: readonly Held[], from: Minute, most: number): Held | undefined {
  if (inside.reduce((sum, h) => sum + h.load, 0) <= most) return undefined
  const moments = [from, ...inside.map((h) => h.from).filter((m) => m > from)].sort((a, b) => a - b)
  for (const m of moments) {
    let load = 0
    let first: Held | undefined
    for (const h of inside) {
      if (h.from > m || h.to <= m) continue
      load += h.load
      if (!first || h.to < first.to) first = h
    }
    if (load > most) return first
  }
  return undefined
}
