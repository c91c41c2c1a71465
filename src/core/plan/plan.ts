import {
  advicesIn,
  type ChoiceAdvice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  type ShopMethod,
  warnings,
} from '../advice'
import { type FlashUnit, flashesAt, type Press, type Shop } from '../equipment'
import { type Cure, coolDown, cureFor, flashDwell, flashHeight, HEAT } from '../heat'
import { baseCoverage, baseFor, INK, POT_LIFE, type SecondWhite, secondWhiteFor } from '../ink'
import {
  type Cloth,
  hardestCloth,
  type InkColour,
  isWaterBased,
  type Order,
  type Run,
  splitOrder,
  toneOf,
} from '../order'
import { mm } from '../quantity'
import { beltRate, runTime } from '../rate'
import { filmPosition, offPalletStop, type PlacementAdvice, placeOn } from '../registration'
import { offContactFor, tensionFit } from '../screen'
import {
  type Event,
  explain,
  type Job,
  movesIn,
  muddyPairs,
  mudPoints,
  notProven,
  type PressSpace,
  type Relation,
  SEQUENCE,
  type Solver,
  solverFor,
  whatHelps,
} from '../sequence'
import { bladeLengthFor, directionFor, holdFor } from '../stroke'
import { cellsOf } from './cells'
import { PLAN } from './definition'
import { filmsFor } from './films'
import { ownLast } from './goodSample'
import { type Hung, hangScreens, type PrintOf } from './hanging'
import { type Context, planHits } from './hitPlans'
import { type Separation, separate } from './hits'
import { pressAdvice, rankPresses, spaceOf } from './press'
import type { ColourPlan, Decisions, FlashPlan, HitPlan, RunPlan } from './runPlan'

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

/** Bases and hits of a run. @throws Error as `plan` does */
export function partsOf(order: Order, shop: Shop, decisions: Decisions): Parts {
  const run = runOf(order, decisions.runId)
  if (!run) throw new Error(`order ${order.id} has no run ${decisions.runId}`)
  const method: ShopMethod = { ...shop.method, ...decisions.method }
  const { overrides } = decisions
  const ctx: Context = { order, run, shop, method, overrides }
  const cloth = hardestCloth(run)
  const { inks } = run.placement

  const dark = toneOf(cloth) === 'dark'
  const films = filmsFor(ctx, cloth, dark)
  const facts = { room: shop.inkRoom, method, films }
  const bases = baseFor(inks, cloth, facts, overrides)
  const colours = bases.map((base, i): ColourPlan => {
    const ink = inks[i] as InkColour
    return { inkId: ink.id, base, films: films(ink) }
  })
  const based = new Set(colours.filter((c) => choiceOf(c.base) === 'base').map((c) => c.inkId))
  const secondWhite = secondWhiteFor(inks, based, cloth, facts, overrides)
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
  )
  return { ctx, cloth, dark, colours, secondWhite, baseCoverage: coverage, separations, relations }
}

/** What is to be printed in an order by hand, complete or not; empty leaves it free. */
export function ordered(parts: Parts, explicit: readonly string[]): Ordering {
  const { ctx, dark, separations, relations } = parts
  const { shop, method, overrides } = ctx
  const job: Job = {
    hits: separations.map((s) => s.hit),
    relations,
    darkCloth: dark,
    method,
    explicit,
  }
  const solver = solverFor(job)
  const { press, advice } = choosePress(ctx, separations.length, solver)
  const cool = coolDown(press, overrides)
  const space = spaceOf(press, shop, press.kind === 'automatic' ? numberOf(cool) : 0, printOf(ctx))
  return { ...parts, job, solver, press, pressAdvice: advice, cool, space }
}

/**
 * The plan of one run: a pure function of the order, the shop and what the lead decided.
 *
 * Every setting is an advice with its range and reasons; every warning is a reason. SI inside.
 *
 * @throws Error when the order has no run of that id, or the shop no press: check before calling
 */
export function plan(order: Order, shop: Shop, decisions: Decisions): RunPlan {
  const found = orderingOf(order, shop, decisions)
  const { ctx, cloth, dark, colours, secondWhite, separations, job, press, pressAdvice, cool, space } = found
  const { run, method, overrides } = ctx
  const solution = found.solver(space, press.name, { laps: 2 })
  const events = solution.fits
    ? solution.best.events
    : separations.map((_, hit): Event => ({ kind: 'print', hit }))
  const explained = solution.fits ? explain(job, solution.tables, events, space) : []
  const whyHit = new Map(
    explained.flatMap((e) => (e.event.kind === 'print' ? [[e.event.hit, e.reasons] as const] : [])),
  )
  const whyFlash = explained.filter((e) => e.event.kind === 'flash').map((e) => e.reasons)

  const hung = hungFor(found, events)
  const printed = events.flatMap((e) => (e.kind === 'print' ? [e.hit] : []))
  const { hits, frames } = planHits(
    ctx,
    press,
    dark,
    printed.map((i) => separations[i] as Separation),
    (s) => whyHit.get(separations.indexOf(s)) ?? [],
    hung.heads,
  )
  const waterBased = separations.some((s) => isWaterBased(s.system))
  const flashes = planFlashes(events, job, flashesAt(shop, press), waterBased, whyFlash, overrides)
  const cure = cureFor(separations, cloth, run.placement.width, shop.dryers, method, overrides)
  const placement = placeOn(run, press, method, overrides)
  const position = positionOn(hits, placement, ctx)
  const { width, height } = run.placement
  const tension = tensionFit(
    hits.flatMap((h) => h.frame ?? []),
    shop.screens.fabrics,
    width,
    height,
  )
  const offContact = offContactFor(press, cloth, method, ownLast(shop.proven, run), overrides)
  const bladeLength = bladeLengthFor(run.placement.width, shop.blades, overrides)
  const laps = solution.fits ? solution.laps : 1
  const wide = (space.kind === 'stations' && space.flashWidth) || 1
  const time = solution.fits ? timeOf(ctx, press, hits, flashes, events, laps, cool, wide, cure) : undefined
  const residual = solution.fits
    ? [
        ...(laps === 2 ? [SEQUENCE.because('TWO_LAPS')] : []),
        ...notProven(solution.best),
        ...muddyPairs(job, solution.tables, events),
      ]
    : [...solution.reasons, ...(solution.pressShort ? whatHelps(job, space, press.name) : [])]
  const hold = separations.some((s) => s.stroke === 'halftone') ? holdFor(press, overrides) : undefined
  const direction = directionFor(press, method, overrides)
  const flashed = flashes.length > 0 ? { flashHeight: flashHeight(overrides), coolDown: cool } : NOT_FLASHED
  const settings = {
    secondWhite,
    baseCoverage: found.baseCoverage,
    offContact,
    bladeLength,
    direction,
    hold,
    cure,
    placement,
    time,
    ...flashed,
  }
  const told = [
    ...residual,
    ...offPalletStop(run, hits.length),
    ...frames,
    ...placement.reasons,
    ...position.reasons,
    ...hits.flatMap((h) => h.reasons),
    ...advicesIn([pressAdvice, colours, hits, flashes, settings]).flatMap((a) => a.reasons),
    ...potLife(separations, time?.total),
  ]
  return {
    run,
    cloth,
    press,
    pressAdvice,
    method,
    colours,
    sequence: {
      fits: solution.fits,
      byHand: decisions.order.length > 0,
      laps,
      mud: solution.fits ? mudPoints(job, solution.tables, events) : 0,
      moves: solution.fits ? hung.moves : 0,
      cells: solution.fits ? cellsOf(press, events, separations, wide) : [],
      reasons: residual,
    },
    hits,
    frames,
    tension,
    position,
    flashes,
    ...settings,
    warnings: warnings(told),
    cautions: cautionsFor(press),
  }
}

/** Where every screen hangs, and the handgrips that takes. */
function hungFor({ ctx, job, press, space }: Ordering, events: readonly Event[]): Hung {
  const prints = events.flatMap((e) => (e.kind === 'print' ? [{ ...e, of: job.hits[e.hit] }] : []))
  if (space.kind === 'stations') {
    const heads = new Map(
      prints.flatMap(({ of, station }) => (of && station !== undefined ? [[of.id, station] as const] : [])),
    )
    return { heads, moves: movesIn(job, events, space) }
  }
  // By hand the second base hit goes through the same screen.
  const screens = prints.flatMap(({ of }) => (of && of.role !== 'base2' ? [of.id] : []))
  return hangScreens(ctx.shop, press, printOf(ctx), screens)
}

const NOT_FLASHED = { flashHeight: undefined, coolDown: undefined } as const

const cautionsFor = (press: Press): readonly Reason[] => [
  ...(press.kind === 'automatic' ? [PLAN.because('CAUTION_MACHINE')] : []),
  HEAT.because('CAUTION_HOT'),
  HEAT.because('CAUTION_FUMES'),
  HEAT.because('CAUTION_WEAR'),
]

const printOf = ({ order, run }: Context): PrintOf => ({ orderId: order.id, print: run.placement.id })

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
  const fitting = presses.find((p) => fits(p, 1)) ?? presses.find((p) => fits(p, 2))
  const advised = fitting ?? presses[0]
  if (!advised) throw new Error('the shop has no press')
  const advice = pressAdvice(advised, fitting !== undefined, shop, why, overrides)
  const press = shop.presses.find((p) => p.id === choiceOf(advice)) ?? advised
  return { press, advice }
}

/** The size of a usual frame, while none is left for the job. */
const USUAL_FRAME = { width: mm(580), height: mm(790) }

/** One position for all films of the run: garments of other sizes are moved, never the screens. */
function positionOn(hits: readonly HitPlan[], placement: PlacementAdvice, { run, shop }: Context) {
  const frame = hits.find((h) => h.frame)?.frame ?? USUAL_FRAME
  const { width, height } = run.placement
  const first = placement.groups[0]
  return filmPosition(
    {
      frameWidth: frame.width,
      frameHeight: frame.height,
      width,
      height,
      down: first ? numberOf(first.down) : 0,
      side: placement.side ? numberOf(placement.side) : 0,
    },
    shop.screens,
  )
}

/** Before, choices were kept by the flash's place in the order. */
const placeKey = (at: number) => `dwell.${at + 1}`

/** Each flash with the hit that it gels: a choice of its dwell stays with that hit, wherever it is printed. */
function planFlashes(
  events: readonly Event[],
  { hits }: Job,
  units: readonly FlashUnit[],
  waterBased: boolean,
  why: readonly (readonly Reason[])[],
  overrides: Overrides,
): readonly FlashPlan[] {
  const rack: FlashUnit = { id: 'rack', name: 'Lamp or rack', kind: 'gun', pressId: '', takes: 1 }
  const behind = events.flatMap((e, at) => {
    const print = e.kind === 'flash' ? events[at - 1] : undefined
    return print?.kind === 'print' ? (hits[print.hit] ?? []) : []
  })
  return behind.map((hit, i) => {
    const unit = units[i % units.length]
    const old = overrides[placeKey(i)]
    const own = old === undefined ? overrides : { [`dwell.${hit.id}`]: old, ...overrides }
    return { unit, dwell: flashDwell(hit, unit ?? rack, waterBased, own), reasons: why[i] ?? [] }
  })
}

/** Stations that lie between the last flash of an automatic and the next print, as the order has it. */
function coolHeadsIn(press: Press, events: readonly Event[], wide: number): number {
  if (press.kind !== 'automatic') return 0
  const places = press.stations.map((s) => s.number)
  const at = events.findLastIndex((e) => e.kind === 'flash')
  const [flash, print] = [events[at]?.station, events[at + 1]?.station]
  return flash === undefined || print === undefined
    ? 0
    : Math.max(0, places.indexOf(print) - places.indexOf(flash) - wide)
}

/** The film of an automatic cools about so long while its garment travels on, seconds. */
const AUTOMATIC_COOL = 10

function timeOf(
  { run, method, overrides }: Context,
  press: Press,
  hits: readonly HitPlan[],
  flashes: readonly FlashPlan[],
  events: readonly Event[],
  laps: 1 | 2,
  cool: NumberAdvice,
  wide: number,
  cure: Cure,
) {
  const groups: number[][] = [[]]
  let at = 0
  for (const e of events) {
    if (e.kind === 'flash') groups.push([])
    else groups.at(-1)?.push(numberOf((hits[at++] as HitPlan).stroke.strokes))
  }
  const panel = method.cure === 'panel'
  const most = panel ? 1 / numberOf(cure.dwell) : cure.belt && beltRate(numberOf(cure.belt))
  return runTime(
    {
      press,
      groups,
      laps,
      flash: Math.max(0, ...flashes.map((f) => numberOf(f.dwell))),
      cool: cool.kind === 'duration' ? numberOf(cool) : AUTOMATIC_COOL,
      coolHeads: coolHeadsIn(press, events, wide),
      pieces: run.quantity,
    },
    most,
    panel,
    overrides,
  )
}

function potLife(separations: readonly Separation[], total: NumberAdvice | undefined): readonly Reason[] {
  const wet = separations.filter((s) => isWaterBased(s.system))
  const [first] = wet
  if (!first) return []
  const name = wet.map((s) => s.hit.name).join(', ')
  const flooded = INK.because('INK_FLOODED', { name })
  if (!total || numberOf(total) <= POT_LIFE) return [flooded]
  return [INK.because('INK_POT', { name, time: q('workTime', numberOf(total)) }), flooded]
}
