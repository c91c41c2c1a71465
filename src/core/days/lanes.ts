import { q, type Reason } from '../advice'
import { isoOf, type Moment } from '../schedule'
import { decode } from './decode'
import { DAYS } from './definition'
import type { DayFacts, ShopDays } from './facts'
import { type DaysAnswer, firstPlan } from './firstPlan'
import { framesNamed, type OnFrames } from './frameNames'
import { inTurn } from './neighbours'
import type { DayRun, DaysChoice } from './problem'
import { type DaysOfShop, daysOfShop, readyBy } from './shopDays'
import { shortOf } from './takes'
import type { Binding, Booked } from './told'
import { whoRuns } from './whoRuns'
import { batchesOf, chainOf, otherPress, putInVain, refusedIn, setUpOf, whyFrame, whyStart } from './why'

/** A choice by names: it outlives runs that come and go, and presses that are sold. */
export interface KeptChoice {
  /** Runs in the order in which they are placed. */
  readonly order: readonly string[]
  /** By run. */
  readonly press: Readonly<Record<string, string>>
  /** Days of overtime by press, ISO. */
  readonly overtime: Readonly<Record<string, readonly string[]>>
}

/** A run in its lane. */
export interface LaneRun {
  readonly facts: DayFacts
  readonly pressId: string
  readonly setUp: Moment
  readonly start: Moment
  readonly end: Moment
  readonly done: Moment
  /** From when until when its screens are made; none where they are there. */
  readonly screens: { readonly from: Moment; readonly ready: Moment } | undefined
  /** Pieces that are not printed with the others: they were counted in short. */
  readonly short: number
  /** Share of its pace that it is printed at. */
  readonly pace: number
  /** It is being printed. */
  readonly isBegun: boolean
  readonly isPinned: boolean
  /** What its start waits for, and the run that it waits for. */
  readonly waits: Binding
  readonly waitsFor: string | undefined
  readonly why: readonly Reason[]
  /** Who is proposed to print it, the printer first; nobody where the shop names none. */
  readonly crew: readonly string[]
  /** Seconds that it is done after the end of the day on which it must be ready; 0 for in time. */
  readonly late: number
}

/** The days as they are planned. */
export interface Lanes {
  readonly now: Moment
  readonly runs: readonly LaneRun[]
  /** What has no place, and why. */
  readonly out: readonly { readonly facts: DayFacts; readonly why: Reason }[]
  readonly overtime: KeptChoice['overtime']
  /** Seconds that runs are late, together, and how many are. */
  readonly late: number
  readonly lateRuns: number
  readonly cost: number
}

/** By names, out of numbers. */
export function keptOf(days: DaysOfShop, { order, press, overtime }: DaysChoice): KeptChoice {
  const { asked } = days
  const pressId = (p: number | undefined) => asked.shop.presses[p ?? -1]?.id ?? ''
  const id = (run: number) => asked.runs[run]?.runId ?? ''
  return {
    order: order.map(id),
    press: Object.fromEntries(order.map((run) => [id(run), pressId(press[run])])),
    overtime: Object.fromEntries(
      overtime.flatMap((on, p) => {
        const dates = on.flatMap((is, d) => (is ? [isoOf(days.momentAt(d * 1440)).slice(0, 10)] : []))
        return dates.length > 0 ? [[pressId(p), dates]] : []
      }),
    ),
  }
}

/**
 * A kept choice in numbers of today's runs. Runs that were not in it come behind, as the first answer has them; a press that a run can
 * no longer be printed on gives way to one that it can.
 */
function choiceOf(days: DaysOfShop, kept: KeptChoice): DaysChoice {
  const { asked, problem } = days
  // Where everything has its place already the rule is not asked.
  let ruled: DaysChoice | undefined
  const first = (): DaysChoice => {
    ruled ??= firstPlan(problem).choice
    return ruled
  }
  const index = new Map(asked.runs.map((r, i) => [r.runId, i]))
  const known = [...new Set(kept.order.flatMap((id) => index.get(id) ?? []))]
  const isKnown = new Set(known)
  const order = [...known]
  // What is new goes where the first answer has it: before the first run that it has behind it.
  for (const [i, run] of order.length < problem.runs.length ? first().order.entries() : []) {
    if (isKnown.has(run)) continue
    const behind = first()
      .order.slice(i + 1)
      .find((r) => isKnown.has(r))
    const at = behind === undefined ? order.length : order.indexOf(behind)
    order.splice(at, 0, run)
    isKnown.add(run)
  }
  const press = problem.runs.map((r, i) => {
    const id = kept.press[asked.runs[i]?.runId ?? '']
    const on = asked.shop.presses.findIndex((p) => p.id === id)
    return r.pin?.press ?? (r.on[on] ? on : (first().press[i] as number))
  })
  const overtime = problem.presses.map((p, i) =>
    p.overtime.map((_, d) => {
      const dates = kept.overtime[asked.shop.presses[i]?.id ?? ''] ?? []
      return dates.includes(isoOf(days.momentAt(d * 1440)).slice(0, 10))
    }),
  )
  return { order: inTurn(problem, order), press, overtime }
}

/** The days as they were chosen, moved on to what holds now; by rule where nothing was chosen. */
export function shownDays(
  asked: ShopDays,
  kept: KeptChoice | undefined,
): { readonly days: DaysOfShop; readonly answer: DaysAnswer } {
  const days = daysOfShop(asked)
  if (!kept || kept.order.length === 0) return { days, answer: firstPlan(days.problem) }
  const choice = choiceOf(days, kept)
  return { days, answer: { choice, plan: decode(days.problem, choice) } }
}

/** A plan as lanes show it, with the reasons of every start. */
export function lanesOf(days: DaysOfShop, { choice, plan }: DaysAnswer): Lanes {
  const { asked } = days
  const booked = new Map(plan.booked.map((b) => [b.run, b]))
  const frames = framesNamed(days, plan.booked)
  const runs = plan.booked.flatMap((b): LaneRun[] => {
    const facts = asked.runs[b.run]
    const run = days.problem.runs[b.run]
    return facts && run ? [laneRun(asked, days, b, facts, run, booked, frames)] : []
  })
  const who = whoRuns(runs, asked.shop.people ?? [])
  return {
    now: asked.now,
    runs: runs
      .map((r) => ({ ...r, crew: who.get(r.facts.runId) ?? [] }))
      .sort((a, b) => a.setUp - b.setUp || a.facts.runId.localeCompare(b.facts.runId)),
    out: refusedIn(asked, days, plan),
    overtime: keptOf(days, choice).overtime,
    late: runs.reduce((sum, r) => sum + r.late, 0),
    lateRuns: runs.filter((r) => r.late > 0).length,
    cost: plan.cost,
  }
}

function laneRun(
  asked: ShopDays,
  days: DaysOfShop,
  b: Booked,
  facts: DayFacts,
  run: DayRun,
  booked: ReadonlyMap<number, Booked>,
  frames: ReadonlyMap<number, OnFrames>,
): LaneRun {
  const { momentAt } = days
  const begun = asked.begun.find((x) => x.runId === facts.runId)
  const done = momentAt(b.done)
  const late = Math.max(0, momentAt(b.done) - momentAt(run.due))
  const short = begun ? 0 : shortOf(asked, facts)
  const whenLate = { done: isoOf(done), by: readyBy(facts, asked.shop) }
  const setUp = begun ? Math.min(begun.since, momentAt(b.setUp)) : momentAt(b.setUp)
  return {
    facts,
    pressId: asked.shop.presses[b.press]?.id ?? '',
    setUp,
    start: begun ? setUp : momentAt(b.start),
    end: momentAt(b.end),
    done,
    screens: b.screens && { from: momentAt(b.screens.from), ready: momentAt(b.screens.ready) },
    ...{ pace: b.pace, short },
    isBegun: begun !== undefined,
    isPinned: run.pin !== undefined && asked.pins.some((p) => p.runId === facts.runId),
    waits: b.waits,
    waitsFor: b.waitsFor === undefined ? undefined : asked.runs[b.waitsFor]?.runId,
    why: [
      whyStart(asked, days, b, facts, frames.get(b.run)),
      ...whyFrame(asked, days, b, frames.get(b.run)),
      ...chainOf(asked, days, b, booked, frames),
      ...(begun ? [] : [setUpOf(b, run)]),
      DAYS.because('DAY_PRINTS', {
        time: q('workTime', Math.ceil((run.on[b.press]?.run ?? 0) / b.pace) * 60),
        pieces: q('count', facts.pieces - short),
      }),
      ...(short > 0
        ? [DAYS.because('DAY_SHORT', { short: q('count', short), pieces: q('count', facts.pieces) })]
        : []),
      ...batchesOf(b, run),
      ...(run.hold > 0
        ? [DAYS.because('DAY_DRIES', { air: q('workTime', run.hold * 60), done: isoOf(done) })]
        : []),
      ...(b.pace < 1 ? [DAYS.because('DAY_SLOWER', { pace: q('share', b.pace) })] : []),
      ...otherPress(asked, b, facts),
      ...putInVain(asked, facts, run),
      ...(late > 0
        ? [
            late < 2 * 86_400
              ? DAYS.because('DAY_LATE', { ...whenLate, late: q('workTime', late) })
              : DAYS.because('DAY_LATE_DAYS', { ...whenLate, days: q('count', Math.round(late / 86_400)) }),
          ]
        : []),
    ],
    crew: [],
    late,
  }
}
