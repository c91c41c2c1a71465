import type { Minute, Span } from './problem'

/** Spans in order, those that touch or lie over each other as one. */
export function merged(spans: readonly Span[]): readonly Span[] {
  const out: { from: Minute; to: Minute }[] = []
  for (const s of [...spans].filter((x) => x.to > x.from).sort((a, b) => a.from - b.from)) {
    const last = out.at(-1)
    if (last && s.from <= last.to) last.to = Math.max(last.to, s.to)
    else out.push({ ...s })
  }
  return out
}

/** Working minutes against the clock. Everything is found in the time of a search in a sorted list. */
export interface WorkClock {
  readonly spans: readonly Span[]
  /** All working minutes. */
  readonly all: Minute
  /** Working minutes before a moment. */
  readonly worked: (at: Minute) => Minute
  /** When a working minute begins, counted from 0; Infinity where there are no more. */
  readonly clockOf: (worked: Minute) => Minute
  /** The first working minute at a moment or after it; Infinity where there is none. */
  readonly next: (at: Minute) => Minute
  /** The end of the span that a moment lies in; the moment itself where nobody works. */
  readonly spanEnd: (at: Minute) => Minute
}

export function workClock(works: readonly Span[]): WorkClock {
  const spans = merged(works)
  const before: number[] = []
  let all = 0
  for (const s of spans) {
    before.push(all)
    all += s.to - s.from
  }
  /** The last span that begins at a moment or before; -1 where there is none. */
  const spanAt = (at: Minute): number => last(spans.length, (i) => (spans[i] as Span).from <= at)
  const worked = (at: Minute): Minute => {
    const i = spanAt(at)
    const s = spans[i]
    return s ? (before[i] as number) + Math.min(at, s.to) - s.from : 0
  }
  return {
    spans,
    all,
    worked,
    clockOf: (minute) => {
      if (minute >= all) return Number.POSITIVE_INFINITY
      const i = last(spans.length, (k) => (before[k] as number) <= minute)
      return (spans[i] as Span).from + minute - (before[i] as number)
    },
    next: (at) => {
      const i = spanAt(at)
      const s = spans[i]
      if (s && at < s.to) return at
      return spans[i + 1]?.from ?? Number.POSITIVE_INFINITY
    },
    spanEnd: (at) => {
      const s = spans[spanAt(at)]
      return s && at < s.to ? s.to : at
    },
  }
}

/** The last index for which something holds that holds up to some index; -1 where it never does. */
function last(length: number, holds: (i: number) => boolean): number {
  let [low, high] = [-1, length - 1]
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (holds(middle)) low = middle
    else high = middle - 1
  }
  return low
}
