import { advicesIn, numberOf, type Reason, warnings } from '../advice'
import { flashesAt, type Press, type Shop } from '../equipment'
import { cureFor, flashHeight, panelTemperature, shopAir, WARM_BOARD, whatCures } from '../heat'
import { laidFlat, type Order, sizesOf } from '../order'
import { mm, type Temperature } from '../quantity'
import { roundsFor } from '../record'
import {
  filmPosition,
  liesOnPallet,
  offPalletStop,
  overlappingPrints,
  type PlacementAdvice,
  placeOn,
} from '../registration'
import { SAFETY } from '../safety'
import { anglesTooNear, isThin, offContactFor, tensionFit } from '../screen'
import { directionFor, holdFor, squeegeeLengthFor } from '../stroke'
import { canNotes } from './canNotes'
import { clothNotes } from './clothNotes'
import { planFlashes } from './flashes'
import { ownLast } from './goodSample'
import { boardsAtEnd } from './heatRound'
import { type Context, planHits } from './hitPlans'
import type { Separation } from './hits'
import { cautionNotes, chokeNote, gapNotes, onBench } from './notes'
import { type Ordering, orderingOf } from './ordering'
import { type Printed, printedIn } from './printed'
import type { Decisions, FlashPlan, HitPlan, RunPlan } from './runPlan'
import { longRun, timeOf } from './time'

/**
 * The plan of one run: a pure function of the order, the shop and what the lead decided.
 *
 * Every setting is an advice with its range and reasons; every warning is a reason. SI inside.
 *
 * @throws Error when the order has no run of that id, or the shop no press: check before calling
 */
export function plan(order: Order, shop: Shop, decisions: Decisions): RunPlan {
  const found = orderingOf(order, shop, decisions)
  const { ctx, cloth, dark, colours, separations, press, pressAdvice } = found
  const { run, method } = ctx
  const printed = printedIn(found, decisions.order.length > 0)
  const { events, sequence } = printed
  const inOrder = events.flatMap((e) => (e.kind === 'print' ? (separations[e.hit] ?? []) : []))
  const why = (s: Separation) => printed.whyHit.get(separations.indexOf(s)) ?? []
  const { hits, frames, medium } = planHits(ctx, press, dark, inOrder, why, printed.heads)
  const settings = jobSettings(found, printed, hits)
  const { flashes, placement, time } = settings
  const position = positionOn(hits, placement, ctx)
  const told = [
    ...sequence.reasons,
    ...offPalletStop(run, hits.length),
    ...whatCures(ctx.method, ctx.shop.dryers, ctx.shop.flashes),
    ...onBench(press, flashes, separations),
    ...frames,
    ...anglesTooNear(run.placement.inks),
    ...placement.reasons,
    ...overlappingPrints(order, run.placement, method),
    ...cautionNotes(ctx, press, cloth, separations, flashes),
    ...clothNotes(cloth, run.placement, separations),
    ...canNotes(ctx, separations, events, flashes),
    ...chokeNote(run.placement, separations),
    ...gapNotes(run.placement),
    ...position.reasons,
    ...hits.flatMap((h) => h.reasons),
    ...advicesIn([pressAdvice, colours, hits, flashes, settings]).flatMap((a) => a.reasons),
    ...longRun(separations, hits, time, shop.hours),
  ]
  return {
    run,
    cloth,
    press,
    pressAdvice,
    method,
    colours,
    sequence,
    hits,
    frames,
    medium,
    tension: tensionOn(hits, ctx),
    position,
    ...settings,
    warnings: warnings(told),
    cautions: cautionsFor(press),
  }
}

const NOT_FLASHED = { flashHeight: undefined, panelTemperature: undefined, coolDown: undefined } as const

/** What is set for the whole job, once its hits are known. */
function jobSettings(
  found: Ordering,
  { events, sequence, wide, whyFlash }: Printed,
  hits: readonly HitPlan[],
) {
  const { ctx, cloth, separations, press, cool } = found
  const { run, shop, method, overrides } = ctx
  const { width, height } = run.placement
  const ambient = shopAir(shop.air, overrides)
  const halftones = separations.some((s) => s.stroke === 'halftone')
  const units = flashesAt(shop, press)
  const unitsAt = {
    flashHeight: flashHeight(overrides),
    panelTemperature: panelTemperature(units, overrides),
  }
  const under = { units, press, cloth, print: run.placement, ambient, set: unitsAt }
  const flashesOn = (boards: Temperature) =>
    planFlashes(events, separations, { ...under, boards }, whyFlash, overrides)
  const sizes = { garment: laidFlat(sizesOf(run)), print: { width, length: height } }
  const cure = cureFor(separations, cloth, sizes, shop.dryers, method, overrides)
  const { laps } = sequence
  // No pace is told of what cannot be printed.
  const fits = sequence.fits && liesOnPallet(run, press) && run.quantity > 0 && separations.length > 0
  const timed = (flashes: readonly FlashPlan[]) =>
    fits ? timeOf({ ctx, press, hits, flashes, events, laps, cool, wide, cure }) : undefined
  // The pace warms the boards, and the boards set the dwell: once round is near enough.
  const first = flashesOn(WARM_BOARD)
  const heated = first.some((f) => f.unit)
  const unitsSet = heated ? { ...unitsAt, coolDown: cool } : NOT_FLASHED
  const boards = heated
    ? boardsAtEnd({
        run,
        cloth,
        press,
        sequence,
        hits,
        flashes: first,
        ambient,
        time: timed(first),
        ...unitsSet,
      })
    : undefined
  const flashes = boards === undefined ? first : flashesOn(boards)
  return {
    secondWhite: found.secondWhite,
    smooth: found.smooth,
    baseCoverage: found.baseCoverage,
    offContact: offContactFor(
      press,
      cloth,
      method,
      ownLast(shop.approved, run),
      stencilsOf(hits, shop),
      overrides,
    ),
    squeegeeLength: squeegeeLengthFor(width, shop.squeegees, overrides),
    direction: directionFor(press, method, overrides),
    hold: halftones ? holdFor(press, overrides) : undefined,
    cure,
    placement: placeOn(run, press, method, overrides),
    flashes,
    ambient,
    rounds: roundsFor(run, press, overrides),
    time: timed(flashes),
    ...unitsSet,
  }
}

/** What of its screens the off-contact of a job follows: one is thin, and all are low; any prints high-solids ink. */
const stencilsOf = (hits: readonly HitPlan[], { screens }: Shop) => ({
  thin: hits.some((h) => isThin(h.stencil, numberOf(h.mesh), screens)),
  highSolids: hits.some((h) => h.hit.system === 'highSolids'),
})

/** How the frames of the job fit each other at the edge of its print. */
const tensionOn = (hits: readonly HitPlan[], { run, shop }: Context) =>
  tensionFit(
    hits.flatMap((h) => h.frame ?? []),
    shop.screens.fabrics,
    run.placement.width,
    run.placement.height,
  )

/** What a crew is told on the sheet: at the press, at the heat, and for who wears it. */
const cautionsFor = (press: Press): readonly Reason[] => [
  SAFETY.because(press.kind === 'automatic' ? 'PRESS_AUTOMATIC' : 'PRESS_MANUAL'),
  SAFETY.because('HEAT_SKIN'),
  SAFETY.because('ORDER_WASH'),
]

/** The size of a usual frame, while none is left for the job. */
const USUAL_FRAME = { width: mm(580), height: mm(790) }

/** One position for all films of the run: garments of other sizes are moved, never the screens. */
function positionOn(hits: readonly HitPlan[], placement: PlacementAdvice, { run, shop, overrides }: Context) {
  const frame = hits.find((h) => h.frame)?.frame ?? USUAL_FRAME
  const { width, height } = run.placement
  const first = placement.groups[0]
  return filmPosition(
    {
      frameWidth: frame.width,
      frameHeight: frame.height,
      width,
      height,
      origin: placement.origin,
      down: first ? numberOf(first.down) : 0,
      side: first?.side ? numberOf(first.side) : 0,
    },
    shop.screens,
    overrides,
  )
}
