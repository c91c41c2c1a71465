import { choiceOf, numberOf } from '../advice'
import { lightness } from '../color'
import type { DayFacts, OnPress } from '../days'
import type { Press, Shop } from '../equipment'
import { POT_LIFE } from '../ink'
import { cameShort, driesInScreen, type Order } from '../order'
import { airDays, airDryOf } from './canNotes'
import { jobWords } from './hitPlans'
import { plan } from './plan'
import { BENCH_SCREENS } from './press'
import { printsInTurn } from './prints'
import { type Decisions, ownScreens, type RunPlan } from './runPlan'

/** Between the middle of a run's time and its late end: what is planned with leaves room (model of the schedule, section 5). */
const ROOM = 1 / 3

function onPress({ press, time, cure }: RunPlan): OnPress | undefined {
  if (!time) return undefined
  const [low, high] = time.total.range
  const setUp = numberOf(time.setup)
  const usual = numberOf(time.total)
  const most = time.most
  return {
    pressId: press.id,
    setUp,
    print: Math.max(60, usual - setUp + ROOM * Math.max(0, high - usual)),
    range: [low, high],
    people: choiceOf(time.crew) === 'alone' ? 1 : 2,
    ...(cure.dryer &&
      cure.belt && {
        dryer: {
          id: choiceOf(cure.dryer),
          share: most === undefined || most <= 0 ? 1 : Math.min(1, numberOf(time.rate) / most),
          film: numberOf(cure.inkFilm),
        },
      }),
  }
}

/** How long printing takes where a loader helps somebody who is alone, s; nothing where it helps not. */
function helpedOn(order: Order, made: RunPlan, shop: Shop, decisions: Decisions): Pick<OnPress, 'helped'> {
  if (!made.time || choiceOf(made.time.crew) !== 'alone') return {}
  const overrides = { ...decisions.overrides, press: made.press.id, crew: 'loader' }
  const [alone, helped] = [onPress(made), onPress(plan(order, shop, { ...decisions, overrides }))]
  return alone && helped && helped.print < alone.print ? { helped: helped.print } : {}
}

/** A bench holds no register for more than two screens. */
const takes = (press: Press, { hits }: RunPlan) =>
  press.kind !== 'bench' || ownScreens(hits).length <= BENCH_SCREENS

/**
 * What the days have to know of a run: the plan as it is, and as it would be on every other press that takes it.
 *
 * @returns undefined where no press prints it
 */
export function dayFactsOf(
  order: Order,
  made: RunPlan,
  shop: Shop,
  decisions: Decisions,
): DayFacts | undefined {
  const first = onPress(made)
  const own = first && { ...first, ...helpedOn(order, made, shop, decisions) }
  const isChosen = decisions.overrides.press !== undefined && decisions.overrides.press !== ''
  const other = (press: Press) =>
    onPress(plan(order, shop, { ...decisions, overrides: { ...decisions.overrides, press: press.id } }))
  const on = [own, ...shop.presses.filter((p) => p.id !== made.press.id && takes(p, made)).map(other)].filter(
    (p) => p !== undefined,
  )
  if (on.length === 0) return undefined
  const { run, hits } = made
  const turns = printsInTurn(order, run, made.method)
  const before = turns[turns.findIndex((t) => t.run.id === run.id) - 1]?.run.id
  const screens = ownScreens(hits).filter((h) => !h.frame?.standing)
  const short = cameShort(run.lines.flatMap((l) => l.sizes))
  const tones = screens.map((h) => lightness(h.hex).L)
  return {
    ...{ runId: run.id, orderId: order.id, print: run.placement.id, words: jobWords(order) },
    where: run.placement.where,
    ...{ due: order.due, pieces: run.quantity, on, isChosen },
    cloth: run.lines[0]?.cloth.hex ?? '#ffffff',
    inks: screens.map((h) => h.hex),
    ...(order.garmentsOn !== undefined && { garmentsOn: order.garmentsOn }),
    ...(short > 0 && { short }),
    airDays: airDays(airDryOf(run.placement.inks)),
    pot: hits.some((h) => driesInScreen(h.hit.system)) ? POT_LIFE : 0,
    isBased: screens[0]?.hit.id === 'base',
    lightest: Math.max(0, ...tones),
    darkest: Math.min(100, ...tones),
    ...(before !== undefined && { after: before }),
  }
}
