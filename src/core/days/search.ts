import { randomLcg } from 'd3-random'
import { COST } from './cost'
import { overtimeMinutes, overtimeUsed, planOf } from './decode'
import { Exact, FEW } from './exact'
import type { DaysAnswer } from './firstPlan'
import { movesFrom, type Shown } from './moves'
import { CHANGES, type Draft, draftOf, type Ground, groundOf, inTurn } from './neighbours'
import { Places } from './place'
import type { DaysChoice, DaysProblem } from './problem'

/** How a search is asked for; the same always comes to the same. */
export interface SearchAsk {
  /** A whole number. */
  readonly seed: number
  /** How many plans it tries in all. */
  readonly evaluations: number
  /** What people have seen, and what one move away from it costs. */
  readonly shown?: Shown
  readonly movePrice?: number
}

/** Every so many tries the operators are weighed anew, and the order is sorted by when runs begin. */
const ROUND = 1024
const COLDEST = 0.3
/** So many runs are placed in the time of one try. */
const PLACED = 20
const RUIN = CHANGES.length

/**
 * Searches on from a choice (model of the schedule, section 4): changes one thing after the other and keeps what is better, at first
 * also some of what is not. It goes on only as far as it is told to, so that whoever calls can pause, stop, or take the best so far.
 */
export class Search {
  /** Plans that were tried. */
  tried = 0
  private readonly problem: DaysProblem
  private readonly ask: SearchAsk
  private readonly random: () => number
  private readonly ground: Ground
  private now: Draft
  private cost: number
  private places: Places
  private spare: Places
  private best: Draft
  private bestCost: number
  private readonly weights = new Array<number>(RUIN + 1).fill(1)
  private readonly gains = new Float64Array(RUIN + 1)
  private readonly used = new Float64Array(RUIN + 1)
  private round = 0
  private readonly cycles: number
  private cycle = 0
  private hottest: number
  private exact: Exact | undefined

  constructor(problem: DaysProblem, start: DaysChoice, ask: SearchAsk) {
    this.problem = problem
    this.ask = ask
    this.random = randomLcg(((ask.seed >>> 0) + 0.5) / 4294967296)
    this.ground = groundOf(
      problem,
      (bound) => Math.floor(this.random() * bound),
      () => this.late(),
    )
    this.now = { ...draftOf(start), order: inTurn(problem, start.order) }
    this.places = new Places(problem)
    this.spare = new Places(problem)
    this.cost = this.whole(this.now)
    this.best = draftOf(this.now)
    this.bestCost = this.cost
    const n = problem.runs.length
    this.cycles = n <= 12 ? 24 : n <= 40 ? 8 : n <= 120 ? 2 : 1
    this.hottest = this.heat()
  }

  /** It has tried as much as it was asked to; a few runs it has tried in every order besides. */
  get isDone(): boolean {
    return this.isSearched && (this.problem.runs.length > FEW || this.exact?.isDone === true)
  }
  private get isSearched(): boolean {
    return this.tried >= this.ask.evaluations || this.ground.loose.length === 0
  }
  /** No order of these runs on any presses costs less, with the overtime that was found. */
  get isProven(): boolean {
    return this.exact?.isProven === true
  }

  /** How far it is, 0 to 1. */
  get share(): number {
    return this.isDone ? 1 : Math.min(0.99, this.tried / this.ask.evaluations)
  }

  /** The best plan so far; its cost is without the price of moves. */
  answer(): DaysAnswer {
    const places = new Places(this.problem)
    places.work(this.best.overtime)
    places.all(this.best.order, this.best.press)
    const { order, overtime } = this.best
    const used = overtimeUsed(this.problem, overtime, Array.from(order, places.told.timesOf))
    return {
      choice: { ...draftOf(this.best), overtime: used },
      plan: planOf(this.problem, places, order, used),
    }
  }

  /** Tries so many plans more, a few over them where one change takes several. */
  go(evaluations: number): void {
    const until = Math.min(this.ask.evaluations, this.tried + evaluations)
    while (this.tried < until && !this.isSearched) this.step()
    if (!this.isSearched || this.isDone) return
    this.exact ??= this.everyOrder()
    this.exact.go(evaluations * PLACED)
    const { order, press, cost } = this.exact.least
    if (cost >= this.bestCost) return
    this.best = { ...draftOf(this.best), order: [...order], press: [...press] }
    this.bestCost = cost
  }

  private everyOrder(): Exact {
    const { order, press, overtime } = this.best
    return new Exact(
      this.problem,
      { order, press, cost: this.bestCost },
      overtime,
      this.ground.presses,
      (o, p) => this.besides({ order: [...o], press: [...p], overtime }),
    )
  }

  private heat(): number {
    return Math.max(30, (0.3 * this.bestCost) / Math.max(1, this.problem.runs.length))
  }

  private late(): readonly number[] {
    return this.ground.loose.filter(
      (i) => this.places.told.isPlaced(i) && this.places.told.doneOf(i) > (this.problem.runs[i]?.due ?? 0),
    )
  }

  /** What a choice costs beyond what is placed. */
  private besides({ order, press, overtime }: Draft): number {
    const { shown, movePrice = 0 } = this.ask
    const moves = shown && movePrice > 0 ? movePrice * movesFrom(shown, { order, press }) : 0
    return COST.overtime * overtimeMinutes(this.problem, overtime) + moves
  }

  private whole(draft: Draft): number {
    this.places.work(draft.overtime)
    this.places.all(draft.order, draft.press)
    return this.places.cost + this.besides(draft)
  }

  /** The cost of a draft, in the spare places; Infinity where it comes to more than `most`. */
  private costOf(draft: Draft, most: number): number {
    this.tried++
    const isSameTime = draft.overtime.every((days, p) =>
      days.every((d, i) => d === this.now.overtime[p]?.[i]),
    )
    let same = 0
    if (isSameTime)
      while (
        same < draft.order.length &&
        draft.order[same] === this.now.order[same] &&
        draft.press[draft.order[same] as number] === this.now.press[draft.order[same] as number]
      )
        same++
    if (same > 0 && same === this.now.order.length && same === draft.order.length)
      return Number.POSITIVE_INFINITY
    const besides = this.besides(draft)
    const from = this.spare.like(this.places, isSameTime ? Math.min(same, draft.order.length) : 0)
    if (!isSameTime) this.spare.work(draft.overtime)
    const isWhole = this.spare.all(draft.order, draft.press, from, most - besides)
    return isWhole ? this.spare.cost + besides : Number.POSITIVE_INFINITY
  }

  private step(): void {
    const n = this.problem.runs.length
    const perCycle = this.ask.evaluations / this.cycles
    const cycle = Math.min(this.cycles - 1, Math.floor(this.tried / perCycle))
    if (cycle !== this.cycle) this.begin(cycle, n)
    const share = this.tried / perCycle - cycle
    const heat = this.hottest * (COLDEST / this.hottest) ** Math.min(1, share)
    const before = this.tried
    // What it may cost to be taken is drawn before it is known: most that is worse is given up early.
    const most = this.cost - heat * Math.log(1 - this.random())
    const operator = this.drawn()
    const found = operator === RUIN ? this.ruined(most) : this.changed(CHANGES[operator], most)
    if (this.tried === before) this.tried++
    this.used[operator] = (this.used[operator] as number) + this.tried - before
    if (found && found.cost <= most) this.take(found.draft, found.cost, operator)
    this.round += this.tried - before
    if (this.round >= ROUND) this.weigh()
  }

  private take(draft: Draft, cost: number, operator: number): void {
    const isBest = cost < this.bestCost - 1e-9
    const gain = isBest ? 3 : cost < this.cost - 1e-9 ? 1 : 0
    this.gains[operator] = (this.gains[operator] as number) + gain
    this.now = draft
    this.cost = cost
    ;[this.places, this.spare] = [this.spare, this.places]
    if (!isBest) return
    this.best = draftOf(draft)
    this.bestCost = cost
  }

  private changed(change: (typeof CHANGES)[number] | undefined, most: number) {
    const draft = draftOf(this.now)
    if (!change?.(draft, this.ground)) return undefined
    draft.order = inTurn(this.problem, draft.order)
    return { draft, cost: this.costOf(draft, most) }
  }

  /** Takes a few runs out that have to do with each other, and puts each back where it costs least of some places. */
  private ruined(most: number) {
    const { below, loose, presses } = this.ground
    const seed = loose[below(loose.length)]
    if (seed === undefined || loose.length < 3) return undefined
    const at = this.now.order.indexOf(seed)
    const out = [seed]
    for (let by = 1; out.length < 2 + below(4) && by < this.now.order.length; by++)
      for (const i of [at - by, at + by]) {
        const run = this.now.order[i]
        if (run !== undefined && loose.includes(run) && out.length < 5 && below(2) === 0) out.push(run)
      }
    const draft = draftOf(this.now)
    draft.order = draft.order.filter((r) => !out.includes(r))
    for (const run of inTurn(this.problem, out)) {
      let best: { readonly order: number[]; readonly press: number; readonly cost: number } | undefined
      const places = [at, ...Array.from({ length: 3 }, () => below(draft.order.length + 1))]
      for (const press of presses[run] ?? [])
        for (const place of places) {
          const order = [...draft.order]
          order.splice(place, 0, run)
          const turned = inTurn(this.problem, order)
          const tried = { ...draft, order: turned, press: draft.press.map((p, r) => (r === run ? press : p)) }
          const cost = this.costOf(tried, best?.cost ?? Number.POSITIVE_INFINITY)
          if (!best || cost < best.cost) best = { order: turned, press, cost }
        }
      if (!best) return undefined
      draft.order = best.order
      draft.press[run] = best.press
    }
    return { draft, cost: this.costOf(draft, most) }
  }

  private drawn(): number {
    const sum = this.weights.reduce((a, b) => a + b, 0)
    let left = this.random() * sum
    for (const [i, w] of this.weights.entries()) {
      left -= w
      if (left <= 0) return i
    }
    return 0
  }

  private weigh(): void {
    this.round = 0
    for (let i = 0; i < this.weights.length; i++) {
      const used = this.used[i] as number
      if (used > 0)
        this.weights[i] = Math.max(
          0.3,
          0.8 * (this.weights[i] as number) + (0.2 * 60 * (this.gains[i] as number)) / used,
        )
    }
    this.gains.fill(0)
    this.used.fill(0)
    const order = [...this.now.order].sort(
      (a, b) => this.places.told.setUpOf(a) - this.places.told.setUpOf(b),
    )
    const draft = { ...draftOf(this.now), order: inTurn(this.problem, order) }
    const cost = this.costOf(draft, this.cost)
    if (cost <= this.cost) this.take(draft, cost, 0)
  }

  /** Another cycle: kicked away from the best on odd ones, warmed up gently on even ones. */
  private begin(cycle: number, n: number): void {
    this.cycle = cycle
    this.now = draftOf(this.best)
    const isKicked = cycle % 2 === 1 && n <= 60
    if (isKicked) {
      const { below, loose, presses } = this.ground
      const share = cycle % 4 === 1 ? 2 : 1
      for (const run of loose) {
        if (below(share) !== 0) continue
        const on = presses[run]?.[below(presses[run]?.length ?? 0)]
        if (on !== undefined) this.now.press[run] = on
        const order = this.now.order.filter((r) => r !== run)
        order.splice(below(order.length + 1), 0, run)
        this.now.order = inTurn(this.problem, order)
      }
    }
    this.cost = this.whole(this.now)
    this.hottest = isKicked ? this.heat() : Math.max(COLDEST * 2, this.heat() / 5)
  }
}
