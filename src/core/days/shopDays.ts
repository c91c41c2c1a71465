import type { Hours } from '../equipment'
import { hoursAt, isoOf, type Moment, momentOf, spansOn, weekdayOf } from '../schedule'
import { asItIs } from './asItIs'
import { crewsOf } from './crews'
import type { DayFacts, DayScreen, ShopDays } from './facts'
import { isFree, meshesOf, nearest, roomOf } from './frames'
import type { DayPress, DayRun, DaysProblem, Minute, Span } from './problem'
import { changeOverOf, isIn, peopleOf, screensKey, takesOf } from './takes'

const DAY = 1440
const SECONDS = 86_400
/** Planned ahead at the least and at the most, days. */
const [SHORT, LONG] = [14, 90]
/** Overtime goes on so long behind the last working hour, min (common practice). */
const OVERTIME = 120
/** Between two prints on one garment it cools and is stacked, min (common practice); what dries in the air dries first. */
const BETWEEN = 20
/** An ink is weighed out, mixed and smeared, min (assumed). */
export const MIXED = 20
/** A dryer is even again at another temperature after so long, min (common practice). */
const SETTLES = 20
/** A span of work that is worth a batch, min (assumed). */
const USUAL_SPAN = 120

/** Of an order that must be in time, whatever it does to others. */
const URGENT = 50

/** The shop's days as a problem, and how minutes of it are moments. */
export interface DaysOfShop {
  /** What they are planned from, with what came otherwise. */
  readonly asked: ShopDays
  readonly problem: DaysProblem
  readonly momentAt: (minute: Minute) => Moment
  readonly minuteAt: (moment: Moment) => Minute
  readonly days: number
  /** Kinds of mesh in the house, as frames of the problem count them. */
  readonly meshes: readonly number[]
}

/** The last day up to one on which goods leave, counted from 1970-01-01. */
const leavesBy = (day: number, goesOut: readonly number[] = []): number => {
  const back = [0, 1, 2, 3, 4, 5, 6].find((n) => goesOut.includes(weekdayOf(day - n)))
  return day - (back ?? 0)
}

/**
 * ISO day by whose end a run must be ready, printed and dry: it leaves on the last day up to its due one on which goods leave, and is
 * ready so many days before.
 */
export const readyBy = ({ due, leadDays }: DayFacts, shop: ShopDays['shop']): string => {
  const day = leavesBy(momentOf(due) / SECONDS, shop.goesOut) - (leadDays ?? shop.leadDays ?? 0)
  return Number.isFinite(day) ? isoOf(day * SECONDS).slice(0, 10) : due
}

/** Minutes of a day in which somebody works, as spans from its midnight. */
const worksOn = (hours: Hours, day: number): readonly Span[] =>
  spansOn(hours, day).map(([from, to]) => ({ from: Math.round(from / 60), to: Math.round(to / 60) }))

/** The same for so many days from one on, day by day. */
const worksIn = (hours: Hours, first: number, days: number): readonly (readonly Span[])[] =>
  Array.from({ length: days }, (_, d) => worksOn(hours, first + d).map((s) => later(s, d * DAY)))

/**
 * The days of a shop as they can be planned. Whatever is odd in what is stored is taken as nothing said: no run hinders the others.
 */
export function daysOfShop(planned: ShopDays): DaysOfShop {
  const asked = asItIs(planned)
  const { now, shop, runs } = asked
  const first = Math.floor(now / SECONDS)
  const minuteAt = (moment: Moment): Minute => Math.ceil((moment - first * SECONDS) / 60)
  const momentAt = (minute: Minute): Moment => first * SECONDS + minute * 60
  const at = minuteAt(now)
  const days = daysAhead(asked, first)
  const each = worksIn(shop.hours, first, days)
  const end = days * DAY
  const presses = shop.presses.map((press): DayPress => {
    const down = asked.down
      .filter((d) => d.pressId === press.id)
      .map((d) => ({ from: minuteAt(d.from), to: minuteAt(d.to) }))
    const works = (spans: readonly Span[]) => without(without(spans, { from: 0, to: at }), ...down)
    const own = shop.hours.presses?.some((p) => p.pressId === press.id)
      ? worksIn(hoursAt(shop.hours, press.id), first, days)
      : each
    return {
      name: press.name,
      works: works(own.flat()),
      overtime: own.map((spans, d) => {
        if (!mayBeLonger(asked, press.id, isoOf(momentAt(d * DAY)).slice(0, 10))) return { from: 0, to: 0 }
        const last = spans.at(-1)?.to
        const [span] = last === undefined ? [] : works([{ from: last, to: last + OVERTIME }])
        return span ?? { from: 0, to: 0 }
      }),
    }
  })
  const inkNumbers = new Map(
    [...new Set(runs.flatMap((r) => toMix(asked, r)))].map((name, number) => [name, number]),
  )
  const inHouse = without(each.flat(), { from: 0, to: at })
  const meshes = meshesOf(shop.frames)
  const usualSpan = spanOf(each.flat())
  const index = new Map(runs.map((r, i) => [r.runId, i]))
  const opens = Math.min(...each.flat().flatMap((s) => (s.from > at ? [s.from] : [])), end)
  const pressAt = new Map(shop.presses.map((p, i) => [p.id, i]))
  const dayRuns = runs.map((run): DayRun => {
    const screens = asked.screens[screensKey(run)] ?? []
    const bare = screens.filter((s) => s.left === undefined)
    const left = Math.max(0, ...screens.flatMap((s) => (s.left === undefined ? [] : [s.left])))
    const before = run.after === undefined ? undefined : index.get(run.after)
    const begun = asked.begun.find((b) => b.runId === run.runId)
    const pin = asked.pins.find((p) => p.runId === run.runId)
    const own = begun?.pressId ?? pin?.pressId
    const press = own === undefined ? undefined : pressAt.get(own)
    const can = press !== undefined && run.on.some((o) => o.pressId === own)
    return {
      name: run.words,
      on: shop.presses.map((p) => takesOf(asked, run, p.id, begun)),
      planned: plannedOn(run, pressAt),
      weight: run.orderId === asked.urgent ? URGENT : 1,
      due: endOfDay(readyBy(run, shop), first),
      garments: isIn(asked, run) || begun ? 0 : garmentsAt(run, each, opens, first),
      ...{ ink: 0, films: at },
      ...(!begun && { mixes: toMix(asked, run).flatMap((name) => inkNumbers.get(name) ?? []) }),
      hold: run.airDays * DAY,
      pot: Math.floor(Math.min(run.pot / 60, usualSpan)),
      screens: screensKey(run),
      frames: framesFor(bare.length > 0 ? bare : screens, meshes),
      ...(bare.length > 0 && {
        already: framesFor(
          screens.filter((s) => s.left !== undefined),
          meshes,
        ),
      }),
      ...(bare.length === 0 && { exposed: at + Math.ceil(left / 60) }),
      ...(before !== undefined &&
        !begun && { after: { run: before, wait: Math.max(BETWEEN, (runs[before]?.airDays ?? 0) * DAY) } }),
      ...(can && {
        pin: {
          press,
          start: begun ? at : Math.max(at, minuteAt(pin?.at ?? now)),
          started: begun !== undefined,
        },
      }),
    }
  })
  const problem: DaysProblem = {
    end,
    presses,
    runs: dayRuns,
    ...(shop.people
      ? crewsOf(
          shop.people,
          shop.presses.map((p) => p.id),
          first,
          end,
        )
      : { people: peopleOf(runs) + (asked.helped?.length ?? 0), away: [] }),
    dryers: shop.dryers.map(() => ({ changes: SETTLES })),
    ...(shop.sharedPallets && { pallets: shop.sharedPallets.map((s) => s.sets) }),
    frames: meshes.map(
      (mesh) => shop.frames.filter((f) => isFree(f, asked.screens) && Math.abs(f.mesh - mesh) < 1).length,
    ),
    room: roomOf(shop, inHouse),
    ...(inkNumbers.size > 0 && { inkRoom: { works: inHouse, each: MIXED, inks: inkNumbers.size } }),
    changeOver: changeOverOf(asked),
  }
  return { asked, problem, momentAt, minuteAt, days, meshes }
}

/** When garments are there that are not counted in: when the shop opens on their day, or next where nobody said one, or it is over. */
function garmentsAt(
  { garmentsOn }: DayFacts,
  each: readonly (readonly Span[])[],
  opens: Minute,
  first: number,
): Minute {
  const day = garmentsOn === undefined ? Number.NaN : momentOf(garmentsOn) / SECONDS - first
  if (!Number.isFinite(day)) return opens
  const then = each.flat().find((s) => s.from >= day * DAY)
  return Math.max(opens, then?.from ?? day * DAY)
}

/** Frames that screens take, by kind of mesh. */
const framesFor = (screens: readonly DayScreen[], meshes: readonly number[]): DayRun['frames'] =>
  // In a house without frames there is no kind of mesh at all: none of what is wanted is ever free.
  (meshes.length > 0 ? meshes : [0])
    .map((_, mesh) => ({ mesh, count: screens.filter((s) => nearest(meshes, s) === mesh).length }))
    .filter((f) => f.count > 0)

/**
 * Batches of what dries in are no longer than the shorter of the usual spans between two breaks: longer ones would wait for the longest
 * span of the day.
 */
const spanOf = (spans: readonly Span[]): Minute => {
  const long = spans.map((s) => s.to - s.from)
  const usual = long.filter((minutes) => minutes >= USUAL_SPAN)
  return usual.length > 0 ? Math.min(...usual) : Math.max(1, ...long)
}

/** Names of the inks of a run that are still to be mixed. */
const toMix = ({ inkShort }: ShopDays, { runId }: DayFacts): readonly string[] => inkShort?.[runId] ?? []

/** The press that a sheet is made for is the first of those that take the run. */
const plannedOn = ({ on }: DayFacts, pressAt: ReadonlyMap<string, number>): number | undefined =>
  pressAt.get(on[0]?.pressId ?? '')

const mayBeLonger = ({ overtime }: ShopDays, pressId: string, day: string): boolean =>
  overtime === undefined || overtime[pressId]?.includes(day) === true

const later = ({ from, to }: Span, by: Minute): Span => ({ from: from + by, to: to + by })

/** Spans without what lies in others. */
const without = (spans: readonly Span[], ...others: readonly Span[]): readonly Span[] =>
  others.reduce<readonly Span[]>(
    (left, { from, to }) =>
      left.flatMap((s) =>
        [
          { from: s.from, to: Math.min(s.to, from) },
          { from: Math.max(s.from, to), to: s.to },
        ].filter((x) => x.to > x.from),
      ),
    spans,
  )

/** Twice what the work takes if it were shared out, and past the last day that something is due. */
function daysAhead({ shop, runs }: ShopDays, first: number): number {
  const work = runs.reduce((sum, r) => sum + (r.on[0] ? r.on[0].setUp + r.on[0].print : 0), 0)
  const perDay = Math.max(3600, shop.hours.to - shop.hours.from) * Math.max(1, shop.presses.length)
  const due = runs.map((r) => momentOf(r.due) / SECONDS - first).filter(Number.isFinite)
  const air = Math.max(0, ...runs.map((r) => r.airDays))
  return Math.min(LONG, Math.max(SHORT, Math.ceil((4 * work) / perDay), ...due.map((d) => d + 7)) + air)
}

/** End of an ISO day in minutes; far away for what is no day. */
const endOfDay = (iso: string, first: number): Minute => {
  const day = momentOf(iso) / SECONDS
  return Number.isFinite(day) ? (day + 1 - first) * DAY : LONG * DAY
}
