import {
  type ChoiceAdvice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  type Reason,
  type ShopMethod,
} from '../advice'
import { type Frame, freeFrames, type Medium, type Press, type Shop, type WhichScreen } from '../equipment'
import { inkMass } from '../ink'
import { driesInScreen, hardestCloth, type Order, type Run } from '../order'
import type { MeshCount } from '../quantity'
import {
  allocateFrames,
  carryingFrame,
  depositFor,
  detailRises,
  emulsionOf,
  exposureFor,
  FINE_DETAIL,
  framesMissing,
  isThin,
  mediumFor,
  meshFor,
  type Rise,
  riseFor,
  type ScreenNeed,
  type ScreenUse,
  sizeTaken,
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
  readonly medium: ChoiceAdvice<Medium>
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
  // By hand the second base hit goes through the same screen; on an automatic it is a screen of its own.
  const again = (s: Separation) => s.hit.role === 'base2' && press.kind !== 'automatic'
  const screens = meshesFor(ctx, press, separations, again)
  const mountedNow = screens.filter(({ s }) => !again(s))
  const { frames, reasons } = allocateFrames(
    shop,
    { orderId: ctx.order.id, print: run.placement.id, words: jobWords(ctx.order), width, height, press },
    mountedNow.map(({ s, mesh }) => ({ hitId: s.hit.id, name: s.hit.name, mesh: numberOf(mesh) })),
  )
  const medium = mediumFor(shop.screens, overrides)
  const hits = screens.map((screen): HitPlan => {
    const { s, mesh } = screen
    const rise = riseOf(s, overrides)
    const need = needOf(s, again(s), overrides)
    const stencil = stencilFor({ ...need, mesh: numberOf(mesh) }, shop.screens, overrides)
    const thin = isThin(stencil, numberOf(mesh), shop.screens)
    const struck = strokeNeedOf(s, numberOf(mesh), darkCloth, ctx, thin)
    const stroke = strokeFor(struck, press, shop, method, overrides)
    const laid = {
      name: s.hit.name,
      mesh: numberOf(mesh),
      strokes: numberOf(stroke.strokes),
      struck: relativeDeposit(struck, press, stroke),
    }
    const inked = s.hit.role !== 'smoothing'
    const times = s.hit.role === 'base' && separations.some(again) ? 2 : 1
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
    const frame = frames[mountedNow.indexOf(screen)]
    const exposure = frame?.standing
      ? undefined
      : exposureFor(
          {
            hitId: need.hitId,
            name: s.hit.name,
            mesh: numberOf(mesh),
            coats: numberOf(stencil.coats),
            medium: choiceOf(medium),
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
      lowCure: s.lowCure,
      can: s.can,
      sameScreenAs: again(s) ? 'base' : '',
      head: heads.get(again(s) ? 'base' : s.hit.id),
      mesh,
      frame,
      stencil,
      exposure,
      stroke,
      ink: inked && !again(s) ? inkMass(ink, fabrics, shop.inkRoom.laid, overrides) : undefined,
      deposit: inked
        ? depositFor({ ...laid, hitId: s.hit.id, system: s.system, onFilm: need.onFilm }, fabrics, overrides)
        : undefined,
      rise,
      reasons: [
        ...why(s),
        ...stencil.reasons,
        ...(rise ? detailRises(s.hit.name, choiceOf(rise), s.drawn) : []),
      ],
    }
  })
  return { hits, frames: reasons, medium }
}

const isMissing = (mesh: NumberAdvice) => mesh.reasons.some((r) => r.rule === 'MESH_NOT_HELD')

const TOPS: ReadonlySet<ScreenUse> = new Set(['spot', 'halftone', 'process'])

/**
 * The mesh of every screen, one after another: a frame that one takes is not there for the next, which then takes another mesh
 * of its range. One that carries the stencil already is its own. Highlights come last, and the base of a shop that wants it fine: as
 * fine as the colours round them.
 */
function meshesFor(
  ctx: Context,
  press: Press,
  separations: readonly Separation[],
  again: (s: Separation) => boolean,
): readonly Meshed[] {
  const { order, run, shop } = ctx
  const { width, height } = run.placement
  const job = { orderId: order.id, print: run.placement.id }
  const held = separations.flatMap((s) => carryingFrame(shop, job, s.hit.id) ?? [])
  const on = (frames: readonly Frame[]) => meshesOn(ctx, frames, separations, again)
  const short = (frames: readonly Frame[]) => {
    const open = on(frames).filter(({ s }) => !again(s) && !carryingFrame(shop, job, s.hit.id))
    const none = open.filter(({ mesh }) => isMissing(mesh)).length
    return (
      none +
      framesMissing(
        frames,
        open.map(({ mesh }) => ({ mesh: numberOf(mesh) })),
      )
    )
  }
  return on(sizeTaken(freeFrames(shop), { width, height, press }, held, short))
}

/** A separation with the mesh of its screen. */
interface Meshed {
  readonly s: Separation
  readonly mesh: NumberAdvice
}

/** The same on certain frames. */
function meshesOn(
  { order, run, shop, method, overrides }: Context,
  frames: readonly Frame[],
  separations: readonly Separation[],
  again: (s: Separation) => boolean,
): readonly Meshed[] {
  const { fabrics } = shop.screens
  const free = frames.map((f) => f.mesh)
  const left = [...free]
  const job = { orderId: order.id, print: run.placement.id }
  const found = new Map<Separation, NumberAdvice>()
  let finest = 0
  // In the order of the art, whites first: the order of printing changes no mesh.
  const placeOf = (s: Separation) => run.placement.inks.findIndex((ink) => ink.id === s.hit.id)
  const inArt = [...separations].sort((a, b) => placeOf(a) - placeOf(b))
  const asTops = (s: Separation) =>
    s.use === 'highlight' || (s.use === 'base' && method.baseMesh === 'finer' && !driesInScreen(s.system))
  for (const s of [...inArt.filter((s) => !asTops(s)), ...inArt.filter(asTops)]) {
    const own = carryingFrame(shop, job, s.hit.id)
    const atLeast = asTops(s) && finest > 0 ? finest : undefined
    const from = (held: readonly MeshCount[]) =>
      meshFor({ ...needOf(s, again(s), overrides), atLeast }, method, held, fabrics, overrides)
    const spare = own ? undefined : from(left)
    // Where nothing of its range is left, what it wants is told all the same: frames are short.
    const mesh = spare && left.length > 0 && !isMissing(spare) ? spare : from(own ? [own.mesh] : free)
    found.set(s, mesh)
    if (TOPS.has(s.use)) finest = Math.max(finest, mesh.advised)
    const at = own || again(s) ? -1 : left.findIndex((m) => Math.abs(m - numberOf(mesh)) < 1)
    if (at >= 0) left.splice(at, 1)
  }
  return separations.map((s) => ({ s, mesh: found.get(s) as NumberAdvice }))
}

/** How high a raised ink is to stand; none of any other. */
const riseOf = (s: Separation, overrides: Overrides): ChoiceAdvice<Rise> | undefined =>
  s.use === 'expanding' ? riseFor({ id: s.hit.id, name: s.hit.name }, overrides) : undefined
const heightOf = (s: Separation, overrides: Overrides): Rise | undefined => {
  const rise = riseOf(s, overrides)
  return rise && choiceOf(rise)
}

/** What the screen of a separation has to print; a second base hit by hand shares the base's mesh. */
export const needOf = (s: Separation, again: boolean, overrides: Overrides): ScreenNeed => ({
  hitId: again ? 'base' : s.hit.id,
  name: s.hit.name,
  use: s.use,
  driesInScreen: driesInScreen(s.system),
  rise: heightOf(s, overrides),
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
  { order, run, method, overrides }: Pick<Context, 'order' | 'run' | 'method' | 'overrides'>,
  thin = false,
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
  look: s.inkType === 'white' ? order.whiteLook : undefined,
  rise: heightOf(s, overrides),
  height: run.placement.height,
  thin,
  schools: method,
})

/** How a screen is known when a sample of it was good. */
export const screenOf = (order: Order, run: Run, { id, name }: Hit): WhichScreen => ({
  id: `${run.id}.${id}`,
  words: stencilWords(jobWords(order), name),
})

/** How stencils of an order are called. */
export const jobWords = ({ customer, title }: Order): string => `${customer}, ${title}`
