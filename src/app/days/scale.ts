import type { Lanes } from '@/core/days'
import type { Hours } from '@/core/equipment'
import { type Moment, spansOn } from '@/core/schedule'

const DAY = 86_400
const HOUR = 3600

/** A stretch of time that is drawn, and where: shares of the width. */
export interface Window {
  /** Midnight of its day. */
  readonly day: Moment
  readonly from: Moment
  readonly to: Moment
  readonly left: number
  readonly width: number
}

/** A day's view shows so much at the least. */
const LEAST = 6 * HOUR

export const VIEWS = { day: 'Day', week: 'Week' } as const
export type View = keyof typeof VIEWS

/**
 * The stretches of time that a view shows, side by side: from when the shop opens until it closes, or until the last run ends; nights
 * are left out. A day that is over, and days on which nobody works, are passed over.
 *
 * @param skipped how many days, or weeks, after the first one
 */
export function windowsOf(lanes: Lanes, hours: Hours, view: View, skipped: number): readonly Window[] {
  const wanted = view === 'day' ? 1 : 5
  /** What is left of a day that ends soon is shown with the next one. */
  let shown = 0
  const days: { readonly day: Moment; readonly from: Moment; readonly to: Moment }[] = []
  let toSkip = skipped * wanted
  const shifts = hours.presses ?? []
  for (let n = Math.floor(lanes.now / DAY), looked = 0; looked < 400; n++, looked++) {
    if (days.length >= wanted && (view === 'week' || shown >= LEAST)) break
    const spans = spansOn(hours, n)
    const day = n * DAY
    const ends = lanes.runs.flatMap((r) => (r.end > day && r.end < day + DAY ? [r.end] : []))
    const last = Math.max(0, ...spans.map(([, to]) => day + to), ...ends)
    if (spans.length === 0 || last <= lanes.now) continue
    if (toSkip > 0) {
      toSkip--
      continue
    }
    const opens = Math.min(...spans.map(([from]) => day + from), ...shifts.map((p) => day + p.from))
    // Of today what is over is left out, but for the last hour.
    const first = view === 'day' ? Math.max(opens, lanes.now - HOUR) : opens
    const to = Math.max(Math.ceil(last / HOUR) * HOUR, first + HOUR)
    days.push({ day, from: Math.floor(first / HOUR) * HOUR, to })
    shown += to - first
  }
  const all = days.reduce((sum, d) => sum + d.to - d.from, 0)
  let left = 0
  return days.map((d) => {
    const width = (d.to - d.from) / all
    left += width
    return { ...d, left: left - width, width }
  })
}

/** Where the parts of a span of time lie: shares of the width. */
export const partsOf = (windows: readonly Window[], from: Moment, to: Moment) =>
  windows.flatMap((w) => {
    const [a, b] = [Math.max(from, w.from), Math.min(to, w.to)]
    if (b <= a) return []
    const at = (t: Moment) => w.left + (w.width * (t - w.from)) / (w.to - w.from)
    return [{ left: at(a), width: at(b) - at(a), isFirst: a === from }]
  })

/** The moment at a share of the width, to a quarter of an hour. */
export function momentAt(windows: readonly Window[], share: number): Moment | undefined {
  const w = windows.find((x) => share < x.left + x.width) ?? windows.at(-1)
  if (!w) return undefined
  const t = w.from + ((Math.max(share, w.left) - w.left) / w.width) * (w.to - w.from)
  return Math.round(Math.min(t, w.to) / 900) * 900
}

/** Marks for which there is room. */
const MARKS = 12

/** Hours that are marked: each, or every second or fourth, and none where its day ends at once. */
export function hourMarks(windows: readonly Window[]) {
  const all = windows.reduce((sum, w) => sum + (w.to - w.from) / HOUR, 0)
  const every = all <= MARKS ? 1 : all <= 2 * MARKS ? 2 : 4
  return windows.flatMap((w) => {
    const hours = (w.to - w.from) / HOUR
    return Array.from({ length: Math.floor(hours) }, (_, i) => i)
      .filter((i) => i % every === 0 && (i === 0 || hours - i > every / 2))
      .map((i) => ({
        left: w.left + (w.width * i) / hours,
        hour: ((w.from - w.day) / HOUR + i) % 24,
        day: w.day,
      }))
  })
}
