import { type ChoiceAdvice, choiceOf, type NumberAdvice, numberOf, type ShopMethod } from '../advice'
import type { Press, Shop } from '../equipment'
import { coolDown } from '../heat'
import { baseCoverage, baseFor, type SecondWhite, type Smooth, secondWhiteFor, smoothFor } from '../ink'
import { type Cloth, hardestCloth, type InkColour, type Order, type Run, splitOrder, toneOf } from '../order'
import { liesOnPallet } from '../registration'
import { type Job, type PressSpace, type Relation, type Solver, solverFor } from '../sequence'
import { filmsFor } from './films'
import type { Context } from './hitPlans'
import { type Separation, separate } from './hits'
import type { PrintOf } from './mounted'
import { pressAdvice, rankPresses, spaceOf } from './press'
import type { ColourPlan, Decisions } from './runPlan'

/** The run of an order by its id. */
export const runOf = (order: Order, runId: string): Run | undefined =>
  splitOrder(order).find((r) => r.id === runId)

/** What is to be printed, before anyone asks where and in which order: it takes the time, and no order changes it. */
export interface Parts {
  readonly ctx: Context
  readonly cloth: Cloth
  readonly dark: boolean
  readonly colours: readonly ColourPlan[]
  readonly secondWhite: ChoiceAdvice<SecondWhite>
  readonly smooth: ChoiceAdvice<Smooth> | undefined
  readonly smoothsBase: boolean
  readonly baseCoverage: NumberAdvice | undefined
  readonly separations: readonly Separation[]
  readonly relations: readonly Relation[]
}

/** The same with an order by hand, or none, and the press that takes it. */
export interface Ordering extends Parts {
  readonly job: Job
  readonly solver: Solver
  readonly press: Press
  readonly pressAdvice: ChoiceAdvice
  readonly cool: NumberAdvice
  readonly space: PressSpace
}

/** Bases, hits and press of a run: what an order of printing is looked for with. @throws Error as `plan` does */
export const orderingOf = (order: Order, shop: Shop, decisions: Decisions): Ordering =>
  ordered(partsOf(order, shop, decisions), decisions.order)

/** A neck label is one thin print: it is not flashed unless the lead asks for it. */
const ofLabel = ({ placement }: Run): Partial<ShopMethod> =>
  placement.where === 'neckLabel' ? { flash: 'afterBase' } : {}

/** Bases and hits of a run. @throws Error as `plan` does */
export function partsOf(order: Order, shop: Shop, decisions: Decisions): Parts {
  const run = runOf(order, decisions.runId)
  if (!run) throw new Error(`order ${order.id} has no run ${decisions.runId}`)
  const soft = order.whiteLook === 'soft' ? ({ baseMesh: 'fine' } as const) : {}
  const method: ShopMethod = { ...shop.method, ...soft, ...ofLabel(run), ...decisions.method }
  const { overrides } = decisions
  const ctx: Context = { order, run, shop, method, overrides }
  const cloth = hardestCloth(run)
  const { inks } = run.placement

  const dark = toneOf(cloth) === 'dark'
  const films = filmsFor(ctx, cloth, dark)
  const look = order.whiteLook ?? 'bright'
  const facts = { room: shop.inkRoom, method, films, where: run.placement.where, look }
  const bases = baseFor(inks, cloth, facts, overrides)
  const colours = bases.map((base, i): ColourPlan => {
    const ink = inks[i] as InkColour
    return { inkId: ink.id, base, films: films(ink) }
  })
  const based = new Set(colours.filter((c) => choiceOf(c.base) === 'base').map((c) => c.inkId))
  const secondWhite = secondWhiteFor(inks, based, cloth, facts, overrides)
  const smooth = smoothFor(based, choiceOf(secondWhite), cloth, method, overrides)
  const smoothsBase = smooth !== undefined && choiceOf(smooth) === 'base'
  const onBase = inks.filter((ink) => based.has(ink.id))
  const coverage = onBase.length > 0 ? baseCoverage(onBase, overrides) : undefined
  const { separations, relations } = separate(
    run.placement,
    based,
    choiceOf(secondWhite),
    coverage ? numberOf(coverage) : 0,
    cloth,
    dark,
    method,
    smoothsBase,
  )
  return {
    ...{ ctx, cloth, dark, colours, secondWhite, smooth, smoothsBase, baseCoverage: coverage },
    ...{ separations, relations },
  }
}

/** What is to be printed in an order by hand, complete or not; empty leaves it free. */
export function ordered(parts: Parts, explicit: readonly string[]): Ordering {
  const { ctx, dark, separations, relations, smoothsBase } = parts
  const { shop, method, overrides } = ctx
  const job: Job = {
    hits: separations.map((s) => s.hit),
    relations,
    darkCloth: dark,
    method,
    explicit,
    smoothsBase,
  }
  const solver = solverFor(job)
  const { press, advice } = choosePress(ctx, separations.length, solver)
  const cool = coolDown(press, method, overrides)
  const space = spaceOf(press, shop, press.kind === 'automatic' ? numberOf(cool) : 0, printOf(ctx))
  return { ...parts, job, solver, press, pressAdvice: advice, cool, space }
}

export const printOf = ({ order, run }: Context): PrintOf => ({ orderId: order.id, print: run.placement.id })

/** Each press is tried so much; the one that is taken, in full. */
const PRESS_EFFORT = 0.2

/** The lead's press, or the first in the advised order on which the print fits. */
function choosePress(ctx: Context, screens: number, solver: Solver) {
  const { run, shop, overrides } = ctx
  const { presses, why } = rankPresses(run, screens, shop)
  const fits = (press: Press, laps: 1 | 2) =>
    solver(spaceOf(press, shop, press.kind === 'automatic' ? 1 : 0, printOf(ctx)), press.name, {
      laps,
      effort: PRESS_EFFORT,
    }).fits
  const boards = presses.filter((p) => liesOnPallet(run, p))
  const tried = boards.length > 0 ? boards : presses
  const fitting = tried.find((p) => fits(p, 1)) ?? tried.find((p) => fits(p, 2))
  const advised = fitting ?? tried[0]
  if (!advised) throw new Error('the shop has no press')
  const suits = fitting !== undefined && boards.length > 0
  const advice = pressAdvice(advised, suits, shop, why(advised), overrides)
  const press = shop.presses.find((p) => p.id === choiceOf(advice)) ?? advised
  return { press, advice }
}
