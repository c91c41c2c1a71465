import { numberOf, type Overrides, type Reason, type ShopMethod } from '../advice'
import { freeFrames, type Press, type Shop, type WhichScreen } from '../equipment'
import { inkMass } from '../ink'
import { driesInScreen, hardestCloth, type Order, type Run } from '../order'
import {
  allocateFrames,
  depositFor,
  emulsionOf,
  exposureFor,
  FINE_DETAIL,
  meshFor,
  type ScreenNeed,
  stencilFor,
  stencilWords,
} from '../screen'
import { type Hit, isBase } from '../sequence'
import { relativeDeposit, type StrokeNeed, strokeFor } from '../stroke'
import type { Separation } from './hits'
import type { HitPlan } from './runPlan'

/** What every part of a plan reads. */
export interface Context {
  readonly order: Order
  readonly run: Run
  readonly shop: Shop
  readonly method: ShopMethod
  readonly overrides: Overrides
}

interface PlannedHits {
  readonly hits: readonly HitPlan[]
  readonly frames: readonly Reason[]
}

/** Screen, frame, stroke, film and ink for every hit, in print order. */
export function planHits(
  ctx: Context,
  press: Press,
  darkCloth: boolean,
  separations: readonly Separation[],
  why: (s: Separation) => readonly Reason[],
  heads: ReadonlyMap<string, number>,
): PlannedHits {
  const { run, shop, method, overrides } = ctx
  const { width, height } = run.placement
  const { fabrics } = shop.screens
  const held = freeFrames(shop).map((f) => f.mesh)
  // By hand the second base hit goes through the same screen; on an automatic it is a screen of its own.
  const again = (s: Separation) => s.hit.role === 'base2' && press.kind !== 'automatic'
  const screens = separations.map((s) => ({
    s,
    mesh: meshFor(needOf(s, again(s)), method, held, fabrics, overrides),
  }))
  const mountedNow = screens.filter(({ s }) => !again(s))
  const { frames, reasons } = allocateFrames(
    shop,
    { orderId: ctx.order.id, print: run.placement.id, words: jobWords(ctx.order), width, height },
    mountedNow.map(({ s, mesh }) => ({ hitId: s.hit.id, name: s.hit.name, mesh: numberOf(mesh) })),
  )
  const hits = screens.map((screen): HitPlan => {
    const { s, mesh } = screen
    const struck = strokeNeedOf(s, numberOf(mesh), darkCloth, ctx)
    const stroke = strokeFor(struck, press, shop, method, overrides)
    const laid = {
      name: s.hit.name,
      mesh: numberOf(mesh),
      strokes: numberOf(stroke.strokes),
      struck: relativeDeposit(struck, press, stroke),
    }
    const inked = s.hit.role !== 'smoothing'
    const times = s.hit.role === 'base' && separations.some(again) ? 2 : 1
    const need = needOf(s, again(s))
    const ink = {
      id: s.hit.id,
      name: s.hit.name,
      struck: laid.struck,
      hitting: {
        inkType: s.inkType,
        isBase: isBase(s.hit),
        system: s.system,
        weave: hardestCloth(run).weave,
        onFilm: need.onFilm,
        mesh: laid.mesh,
        strokes: laid.strokes,
      },
      width,
      height,
      coverage: s.hit.coverage,
      hits: times,
      pieces: run.quantity,
    }
    const stencil = stencilFor({ ...need, mesh: numberOf(mesh) }, shop.screens, overrides)
    const exposure = exposureFor(
      {
        hitId: need.hitId,
        name: s.hit.name,
        mesh: numberOf(mesh),
        coats: numberOf(stencil.coats),
        fine: need.ruling !== undefined || (need.line !== undefined && need.line < FINE_DETAIL),
      },
      shop.screens,
      emulsionOf(shop.screens, stencil),
      overrides,
    )
    return {
      hit: s.hit,
      hex: s.hex,
      use: s.use,
      strokeUse: s.stroke,
      sameScreenAs: again(s) ? 'base' : '',
      head: heads.get(again(s) ? 'base' : s.hit.id),
      mesh,
      frame: frames[mountedNow.indexOf(screen)],
      stencil,
      exposure,
      stroke,
      ink: inked && !again(s) ? inkMass(ink, fabrics, shop.inkRoom.laid, overrides) : undefined,
      deposit: inked
        ? depositFor({ ...laid, hitId: s.hit.id, system: s.system, onFilm: need.onFilm }, fabrics, overrides)
        : undefined,
      reasons: [...why(s), ...stencil.reasons],
    }
  })
  return { hits, frames: reasons }
}

/** What the screen of a separation has to print; a second base hit by hand shares the base's mesh. */
export const needOf = (s: Separation, again: boolean): ScreenNeed => ({
  hitId: again ? 'base' : s.hit.id,
  name: s.hit.name,
  use: s.use,
  driesInScreen: driesInScreen(s.system),
  ruling: s.drawn.ruling,
  angle: s.drawn.angle,
  line: s.drawn.line,
  particle: s.drawn.particle,
  deposit: s.drawn.deposit,
  system: s.system,
  onFilm: s.hit.onBase || s.hit.role === 'base2',
})

/** What the squeegee has to do for a separation. */
export const strokeNeedOf = (
  s: Separation,
  mesh: number,
  darkCloth: boolean,
  { order, run }: Pick<Context, 'order' | 'run'>,
): StrokeNeed => ({
  hitId: s.hit.id,
  screen: screenOf(order, run, s.hit),
  name: s.hit.name,
  use: s.stroke,
  mesh,
  darkCloth,
  offPallet: run.placement.where === 'offPallet',
  driesInScreen: driesInScreen(s.system),
  system: s.system,
  tones: s.drawn.ruling !== undefined,
  height: run.placement.height,
})

/** How a screen is known when a sample of it was good. */
export const screenOf = (order: Order, run: Run, { id, name }: Hit): WhichScreen => ({
  id: `${run.id}.${id}`,
  words: stencilWords(jobWords(order), name),
})

/** How stencils of an order are called. */
export const jobWords = ({ customer, title }: Order): string => `${customer}, ${title}`
