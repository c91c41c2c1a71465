import { type Difference, differenceOf, type Put } from './compare'
import type { ShopDays } from './facts'
import type { DaysAnswer } from './firstPlan'
import type { DaysKept } from './kept'
import { keptOf, type Lanes, lanesOf, shownDays } from './lanes'
import { type Shown, shownOf } from './moves'
import { type Happened, happened, type Over, over } from './otherwise'
import { Search } from './search'
import type { DaysOfShop } from './shopDays'

/** Something that can be decided, with what it comes to. */
export interface Proposal {
  readonly kept: DaysKept
  readonly lanes: Lanes
  readonly difference: Difference
  /** No other order and no other press costs less: all were tried. */
  readonly isProven?: boolean
}

/** The days as they were decided, with what is kept of them written out: whatever is proposed departs from these. */
export interface DaysNow {
  readonly asked: ShopDays
  readonly kept: DaysKept
  readonly lanes: Lanes
}

/** The days as they stand. */
export function daysNow(asked: ShopDays, kept: DaysKept): DaysNow {
  const { days, answer } = shownDays(asked, kept.choice)
  return {
    asked,
    kept: { ...kept, choice: keptOf(days, answer.choice) },
    lanes: lanesOf(days, answer),
  }
}

const withKept = (asked: ShopDays, { pins, down, helped, otherwise }: DaysKept): ShopDays => ({
  ...asked,
  ...{ pins, down, helped, otherwise },
})

function proposed(now: DaysNow, kept: DaysKept): Proposal {
  const next = daysNow(withKept(now.asked, kept), kept)
  return { kept: next.kept, lanes: next.lanes, difference: differenceOf(now.lanes, next.lanes) }
}

/** A run put to a time on a press by the lead: it begins no sooner, and goes before what began later there. */
export function put(now: DaysNow, { runId, pressId, at }: Put): Proposal {
  const start = new Map(now.lanes.runs.map((r) => [r.facts.runId, r.setUp]))
  const order = (now.kept.choice?.order ?? []).filter((id) => id !== runId)
  const behind = order.findIndex((id) => (start.get(id) ?? Number.POSITIVE_INFINITY) >= at)
  order.splice(behind < 0 ? order.length : behind, 0, runId)
  return proposed(now, {
    ...now.kept,
    choice: {
      overtime: {},
      ...now.kept.choice,
      order,
      press: { ...now.kept.choice?.press, [runId]: pressId },
    },
    pins: [...now.kept.pins.filter((p) => p.runId !== runId), { runId, pressId, at }],
  })
}

/** A run that the lead no longer holds anywhere. */
export const letGo = (now: DaysNow, runId: string): Proposal =>
  proposed(now, { ...now.kept, pins: now.kept.pins.filter((p) => p.runId !== runId) })

/** What something that happened comes to where everything is only shifted. */
export const shiftedBy = (now: DaysNow, what: Happened): Proposal =>
  proposed(now, happened(now.asked, now.kept, what))

/** What the days come to where something is over after all. */
export const afterAll = (now: DaysNow, what: Over): Proposal => proposed(now, over(now.kept, what))

/** What a move away from the plan that people have seen costs: none at all, few, as usual, and whatever is best. */
export const MOVE_PRICES = { few: 600, usual: 120, free: 0 } as const
export type MovePrice = keyof typeof MOVE_PRICES

/** A change weighs more the sooner it is: within four hours, and within the day. */
const freezeAt = (minute: number) => (setUp: number) =>
  setUp < minute + 240 ? 4 : setUp < minute + 1440 ? 2 : 1

/** A search for better days that goes on from those that stand. */
export class DaysSearch {
  private readonly search: Search
  private readonly days: DaysOfShop
  private readonly now: DaysNow
  private readonly asked: ShopDays

  /**
   * @param kept what is decided besides: pins, and presses that stand
   * @param asked where something else is taken for granted than what the days stand on
   */
  constructor(
    now: DaysNow,
    kept: DaysKept,
    how: { readonly price: MovePrice; readonly evaluations: number },
    asked: ShopDays = now.asked,
  ) {
    this.now = now
    this.asked = withKept(asked, kept)
    const { days, answer } = shownDays(this.asked, kept.choice)
    this.days = days
    const { problem, minuteAt } = days
    const start = answer.choice
    const shown: Shown = shownOf(problem.runs.length, answer.plan.booked, freezeAt(minuteAt(now.asked.now)))
    this.search = new Search(problem, start, {
      seed: 1,
      evaluations: how.evaluations,
      shown,
      movePrice: MOVE_PRICES[how.price],
    })
  }

  get isDone(): boolean {
    return this.search.isDone
  }
  get share(): number {
    return this.search.share
  }
  go(evaluations: number): void {
    this.search.go(evaluations)
  }

  /** The best so far. */
  proposal(kept: DaysKept): Proposal {
    const found: DaysAnswer = this.search.answer()
    const lanes = lanesOf(this.days, found)
    return {
      kept: { ...kept, choice: keptOf(this.days, found.choice) },
      lanes,
      difference: differenceOf(this.now.lanes, lanes),
      isProven: this.search.isProven,
    }
  }
}
