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

const NEVER = Number.POSITIVE_INFINITY

/** People and belt stay with a run over a pause so long, and not over a night, min (common practice). */
const BREAK = 90

/** Working minutes against the clock, as tables: whatever is asked is one look. */
export class WorkTime {
  /** All working minutes. */
  readonly all: Minute
  private readonly end: Minute
  private readonly before: Int32Array
  private readonly clock: Int32Array
  private readonly until: Int32Array
  private readonly held: Int32Array

  /** @param end nothing is asked beyond it; whole minutes, as all spans are */
  constructor(works: readonly Span[], end: Minute) {
    this.end = end
    this.before = new Int32Array(end + 1)
    this.until = new Int32Array(end + 1)
    this.held = new Int32Array(end + 1)
    const spans = merged(works).map(({ from, to }) => ({ from: Math.max(0, from), to: Math.min(end, to) }))
    this.all = spans.reduce((sum, { from, to }) => sum + Math.max(0, to - from), 0)
    this.clock = new Int32Array(this.all)
    let [at, minute] = [0, 0]
    for (const { from, to } of spans) {
      if (to <= from) continue
      this.before.fill(minute, at, from)
      this.until.fill(to, from, to)
      for (let t = from; t < to; t++) {
        this.before[t] = minute
        this.clock[minute++] = t
      }
      at = to
    }
    this.before.fill(minute, at)
    for (let i = spans.length - 1, until = 0; i >= 0; i--) {
      const { from, to } = spans[i] as Span
      const next = spans[i + 1]
      if (!next || next.from - to > BREAK) until = to
      if (to > from) this.held.fill(until, from, to)
    }
  }

  /** Working minutes before a moment. */
  worked(at: Minute): Minute {
    if (at <= 0) return 0
    return at >= this.end ? this.all : (this.before[Math.ceil(at)] as number)
  }

  /** When a working minute begins, counted from 0; Infinity where there are no more. */
  clockOf(worked: Minute): Minute {
    return worked >= this.all ? NEVER : (this.clock[Math.max(0, worked)] as number)
  }

  /** The first working minute at a moment or after it; Infinity where there is none. */
  next(at: Minute): Minute {
    return at > this.end ? NEVER : this.clockOf(this.worked(at))
  }

  /** The end of the span that a moment lies in; the moment itself where nobody works. */
  spanEnd(at: Minute): Minute {
    return at < 0 || at >= this.end ? at : this.until[at] || at
  }

  /** Until when people and belt are held from a working minute on: through breaks, in which nobody goes elsewhere, and not through nights. */
  heldUntil(at: Minute): Minute {
    return at >= this.end ? at : this.held[at] || at
  }

  /** When the last of so many working minutes from a moment on is over. */
  after(start: Minute, minutes: Minute): Minute {
    return minutes <= 0 ? start : this.clockOf(this.worked(start) + minutes - 1) + 1
  }
}
