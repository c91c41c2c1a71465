import { type FlashUnit, type Frame, headsOf, type Press, type Shop } from '../equipment'
import { nextStep } from '../schedule'
import { mountingMoves, OTHER_JOB } from '../sequence'
import type { RunPlan } from './runPlan'

/** Whose screens they are. */
export interface PrintOf {
  readonly orderId: string
  readonly print: string
}

/** Frames that are mounted on a press now, by the number of their head. */
export const framesAt = (shop: Shop, press: Press): ReadonlyMap<number, Frame> =>
  new Map(shop.frames.flatMap((f) => (f.mounted?.pressId === press.id ? [[f.mounted.head, f] as const] : [])))

/** What mounted at each head, as a print sees it: one of its own hits, or another job's screen. */
export const hitsAt = (shop: Shop, press: Press, of: PrintOf): ReadonlyMap<number, string> =>
  new Map(
    [...framesAt(shop, press)].map(([head, { stencil: s }]) => [
      head,
      s && s.order === of.orderId && s.print === of.print ? s.hit : OTHER_JOB,
    ]),
  )

/** Heads for the screens of a print where all are printed at one place, and the set-up moves that takes. */
export interface Mounted {
  readonly heads: ReadonlyMap<string, number>
  readonly moves: number
}

/** What mounted stays; the others take free heads in their order, then heads from which another job has to come down. */
export function mountScreens(shop: Shop, press: Press, of: PrintOf, screens: readonly string[]): Mounted {
  if (press.kind === 'bench') return { heads: new Map(), moves: screens.length }
  const at = hitsAt(shop, press, of)
  const working = headsOf(press).filter((h) => h.works)
  const places = working.map(({ number }) => {
    const mounted = at.get(number)
    return { number, usable: true, flashAllowed: false, ...(mounted === undefined ? {} : { mounted }) }
  })
  const heads = new Map<string, number>()
  for (const p of places)
    if (p.mounted !== undefined && screens.includes(p.mounted)) heads.set(p.mounted, p.number)
  const left = places
    .filter((p) => ![...heads.values()].includes(p.number))
    .sort((a, b) => Number(a.mounted === OTHER_JOB) - Number(b.mounted === OTHER_JOB))
  let moves = 0
  for (const hit of screens) {
    if (heads.has(hit)) continue
    const place = left.shift()
    if (!place) continue
    heads.set(hit, place.number)
    moves += mountingMoves(place, hit)
  }
  return { heads, moves }
}

/** The shop with a frame at a head; what was mounted there comes down. */
export const mountedAt = (shop: Shop, frameId: string, press: Press, head: number): Shop => ({
  ...shop,
  frames: shop.frames.map((f) => {
    if (f.id === frameId) return { ...f, mounted: { pressId: press.id, head } }
    return isMountedAt(f, press, head) ? { ...f, mounted: undefined } : f
  }),
})

/** The shop with nothing at a head, or at none of the heads of a press. */
export const takenDown = (shop: Shop, press: Press, head?: number): Shop => ({
  ...shop,
  frames: shop.frames.map((f) => (isMountedAt(f, press, head) ? { ...f, mounted: undefined } : f)),
})

const isMountedAt = ({ mounted }: Frame, press: Press, head?: number): boolean =>
  mounted?.pressId === press.id && (head === undefined || mounted.head === head)

/** The shop with a flash unit at a station of its press, or at none that is known. */
export const stoodAt = (shop: Shop, unit: FlashUnit, station: number | undefined): Shop => ({
  ...shop,
  flashes: shop.flashes.map((f) => (f.id === unit.id ? { ...f, station } : f)),
})

/** A shop in which the screens of a plan are mounted, and the screens that are not ready to. */
export interface AsPlanned {
  readonly shop: Shop
  readonly notReady: readonly string[]
}

/**
 * Mounts every screen of a plan that is ready at the head it is planned for, and stands the flash units where they are
 * planned. A screen is ready once all but mounting is done.
 */
export function mountedAsPlanned(shop: Shop, plan: RunPlan, of: PrintOf): AsPlanned {
  const { press } = plan
  let next = shop
  const notReady: string[] = []
  for (const { hit, head, sameScreenAs } of plan.hits) {
    if (sameScreenAs !== '' || head === undefined) continue
    const frame = shop.frames.find(
      ({ stencil: s }) => s && s.order === of.orderId && s.print === of.print && s.hit === hit.id,
    )
    const step = nextStep(frame)
    if (!frame || (step !== undefined && step !== 'mount')) {
      notReady.push(hit.name)
      continue
    }
    next = mountedAt(next, frame.id, press, head)
  }
  return { shop: unitsAsPlanned(next, plan), notReady }
}

/** Units that stand at a wanted station stay, the others go to the stations left. */
function unitsAsPlanned(shop: Shop, { press, sequence }: RunPlan): Shop {
  const wanted = [
    ...new Set(
      sequence.cells.flatMap((c) => (c.kind === 'flash' && c.station !== undefined ? [c.station] : [])),
    ),
  ]
  const units = shop.flashes.filter((f) => f.pressId === press.id)
  const staying = new Set(units.map((f) => f.station).filter((s) => s !== undefined && wanted.includes(s)))
  const left = wanted.filter((s) => !staying.has(s))
  return units.reduce((now, unit) => {
    if (staying.has(unit.station)) return now
    const station = left.shift()
    return station === undefined ? now : stoodAt(now, unit, station)
  }, shop)
}
