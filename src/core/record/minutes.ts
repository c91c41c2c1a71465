import type { Duration } from '../quantity'
import type { PausedBy, Stated } from './event'
import { saidOf } from './fold'

/** A span of time, seconds since 1970. */
type Span = readonly [from: number, to: number]

/** A while without a count for which no one said a pause. */
export interface Gap {
  readonly from: number
  readonly length: Duration
}

/** Where the time of a run went, in seconds; nothing that can be told is undefined. */
export interface RunMinutes {
  /** Seconds since 1970. */
  readonly began: number | undefined
  readonly ended: number | undefined
  /** From the start to the first piece, pauses left out. */
  readonly setup: Duration | undefined
  /** From the first piece to the last, pauses left out. */
  readonly printing: Duration | undefined
  readonly paused: Duration
  readonly pauses: ReadonlyMap<PausedBy, Duration>
  /** Pieces that went through, good and spoiled. */
  readonly pieces: number
  readonly gaps: readonly Gap[]
}

/** A gap is at least so long, and so many times what is usual between two counts (model of the record, section 1; assumed). */
const LONG_GAP: Duration = 5 * 60
const TIMES_USUAL = 6

const NOTHING = { at: new Date(0).toISOString() }
const timeOf = (e: { readonly at: string }): number => Date.parse(e.at) / 1000

/** Pauses as spans: one that is not ended lasts to the stop, or as long as it is now. */
function pausesIn(said: readonly Stated[], end: number): readonly (Span & { readonly cause?: PausedBy })[] {
  const spans: (Span & { readonly cause?: PausedBy })[] = []
  let open: { readonly from: number; readonly cause: PausedBy } | undefined
  for (const e of said) {
    if (e.kind === 'pause') {
      // Another cause while it stands: the first ends there.
      if (open) spans.push(Object.assign([open.from, timeOf(e)] as const, { cause: open.cause }))
      open = { from: timeOf(e), cause: e.cause }
    } else if (open && (e.kind === 'go' || e.kind === 'stop' || e.kind === 'start')) {
      spans.push(Object.assign([open.from, timeOf(e)] as const, { cause: open.cause }))
      open = undefined
    }
  }
  if (open) spans.push(Object.assign([open.from, Math.max(open.from, end)] as const, { cause: open.cause }))
  return spans
}

/** Seconds of a span that lie in others; those do not overlap, as a pause ends where the next begins. */
const within = ([from, to]: Span, spans: readonly Span[]): Duration =>
  spans.reduce((sum, [a, b]) => sum + Math.max(0, Math.min(b, to) - Math.max(a, from)), 0)

/**
 * Where the time of a run went (model of the record, section 1). A pure function of what stands.
 *
 * @param said oldest first, as `fold` gives it
 * @param now seconds since 1970, for what still goes on; without, what goes on ends with the last thing said
 */
export function minutesOf(said: readonly Stated[], now?: number): RunMinutes {
  const through = said.filter((e) => e.kind === 'count' || e.kind === 'spoil')
  const stop = said.findLast((e) => e.kind === 'stop')
  const started = said.find((e) => e.kind === 'start')
  const began = started && timeOf(started)
  const ended = stop && timeOf(stop)
  const end = ended ?? now ?? timeOf(said.at(-1) ?? NOTHING)
  const spans = pausesIn(said, end)
  const pauses = new Map<PausedBy, Duration>()
  for (const { 0: from, 1: to, cause } of spans)
    if (cause) pauses.set(cause, (pauses.get(cause) ?? 0) + to - from)
  const active = (from: number, to: number) => Math.max(0, to - from - within([from, to], spans))
  const pieces = through.reduce((sum, e) => sum + e.n, 0)
  const earliest = began ?? timeOf(said[0] ?? NOTHING)
  const begun = firstPiece(through, pieces, active, earliest)
  const last = through.at(-1)
  return {
    began,
    ended,
    setup: began === undefined ? undefined : active(began, Math.max(began, begun ?? end)),
    printing: begun === undefined || !last ? undefined : active(begun, timeOf(last)),
    paused: [...pauses.values()].reduce((a, b) => a + b, 0),
    pauses,
    pieces,
    gaps: gapsIn(through.filter((e) => e.n > 0).map(timeOf), spans),
  }
}

/**
 * When the first piece was begun: what is counted at once was printed before, at the pace of what came after. The time of the
 * first count where nothing came after.
 */
function firstPiece(
  through: readonly (Stated & { readonly n: number })[],
  pieces: number,
  active: (from: number, to: number) => Duration,
  /** Nothing was printed before that. */
  earliest: number,
): number | undefined {
  const [first] = through
  const last = through.at(-1)
  if (!first || !last) return undefined
  const at = timeOf(first)
  const after = pieces - first.n
  if (after <= 0 || first.n <= 0) return at
  return Math.min(at, Math.max(earliest, at - (first.n * active(at, timeOf(last))) / after))
}

function gapsIn(times: readonly number[], pauses: readonly Span[]): readonly Gap[] {
  const between = times.slice(1).map((t, i) => {
    const from = times[i] ?? t
    return { from, length: t - from - within([from, t], pauses) }
  })
  const sorted = between.map((b) => b.length).sort((a, b) => a - b)
  const usual = sorted[Math.floor(sorted.length / 2)] ?? 0
  return between.filter((b) => b.length > Math.max(LONG_GAP, TIMES_USUAL * usual))
}

/** Pieces through by the time, for a chart: seconds since the first thing said. */
export function throughOverTime(
  said: readonly Stated[],
): readonly { readonly at: Duration; readonly pieces: number }[] {
  const start = said[0] && timeOf(said[0])
  if (start === undefined) return []
  let pieces = 0
  return said.flatMap((e) => {
    if (e.kind !== 'count' && e.kind !== 'spoil') return []
    pieces += e.n
    return [{ at: timeOf(e) - start, pieces }]
  })
}

export const isPaused = (said: readonly Stated[]): PausedBy | undefined => {
  const last = said.findLast((e) => ['pause', 'go', 'stop', 'start'].includes(e.kind))
  return last?.kind === 'pause' ? last.cause : undefined
}

/** How far a run is by what was said. */
export const isUnderWay = (said: readonly Stated[]): 'new' | 'going' | 'ended' => {
  const last = said.findLast((e) => e.kind === 'start' || e.kind === 'stop')
  if (last?.kind === 'stop') return 'ended'
  return last || saidOf(said, 'count').length > 0 ? 'going' : 'new'
}
