import { choiceOf, numberOf, q, type Reason } from '../advice'
import type { Hex } from '../color'
import type { Frame, Shop, Stencil, Step } from '../equipment'
import { driesInScreen, type Order } from '../order'
import type { Duration, Length, MeshCount } from '../quantity'
import {
  isoOf,
  latestStart,
  type Moment,
  momentOf,
  nextStep,
  startBefore,
  stepTime,
  whyLatest,
} from '../schedule'
import { allocateFrames, SCREEN, stencilWords } from '../screen'
import { airDays, airDryOf } from './canNotes'
import { jobWords } from './hitPlans'
import { mountedAt } from './mounted'
import { ownScreens, type RunPlan } from './runPlan'

/** How a list is worded, when it goes out and how it is written change no plan. */
const NO_PLAN: ReadonlySet<string> = new Set<keyof Shop>([
  'ownSteps',
  'ownTrouble',
  'leadDays',
  'goesOut',
  'people',
  'sharedPallets',
  'units',
  'inches',
  'dayOrder',
  'weekFrom',
])

/** A shop as plans read it: nor do they follow from how far a stencil has come, or from what a frame once read. */
export const planningFacts = (shop: Shop): unknown => ({
  ...Object.fromEntries(Object.entries(shop).filter(([name]) => !NO_PLAN.has(name))),
  frames: shop.frames.map(({ readings: _, stencil, ...frame }) => [
    frame,
    stencil && [stencil.order, stencil.print, stencil.hit, stencil.words],
  ]),
})

/** What the screen room has to know of one screen. */
export interface ScreenSpec {
  readonly hitId: string
  readonly name: string
  readonly hex: Hex
  readonly mesh: MeshCount
  readonly emulsionId: string
  readonly coats: number
  /** Its ink dries in the screen: the stencil is hardened, or exposed once more. */
  readonly hardens: boolean
  /** The head it is planned for; none where the order of printing does not fit, and on a bench. */
  readonly head?: number | undefined
  /** Seconds; none for a film stencil or without a lamp. */
  readonly expose: { readonly time: Duration; readonly lampId: string; readonly tested: boolean } | undefined
}

/** The screens of one run, and by when they must be mounted. */
export interface ScreenJob {
  readonly orderId: string
  readonly print: string
  readonly runId: string
  /** Customer and job. */
  readonly words: string
  readonly pressId: string
  readonly width: Length
  readonly height: Length
  /** ISO day. */
  readonly due: string
  /** Days between printed and due as its customer wants them; the shop's where none are said. */
  readonly leadDays?: number
  /** Days that pieces lie in the air between printing and cure. */
  readonly airDays?: number
  /** How long the run takes at most, seconds. */
  readonly takes: Duration
  readonly screens: readonly ScreenSpec[]
}

/** What a plan asks of the screen room. */
export function screenJobOf(order: Order, plan: RunPlan): ScreenJob {
  const { placement, id } = plan.run
  const air = airDays(airDryOf(placement.inks))
  return {
    orderId: order.id,
    print: placement.id,
    runId: id,
    words: jobWords(order),
    pressId: plan.press.id,
    width: placement.width,
    height: placement.height,
    due: order.due,
    ...(air > 0 && { airDays: air }),
    takes: plan.time?.total.range[1] ?? 0,
    screens: ownScreens(plan.hits)
      .filter((h) => !h.frame?.standing)
      .map((h) => ({
        hitId: h.hit.id,
        name: h.hit.name,
        hex: h.hex,
        mesh: numberOf(h.mesh),
        emulsionId: choiceOf(h.stencil.emulsion),
        coats: numberOf(h.stencil.coats),
        hardens: driesInScreen(h.hit.system) && h.exposure !== undefined,
        head: h.head,
        expose: h.exposure && {
          time: numberOf(h.exposure.time),
          lampId: h.exposure.lamp.id,
          tested: h.exposure.confidence !== 'none',
        },
      })),
  }
}

/** One screen on the list of the screen room. */
export interface RoomLine {
  /** `O-1001.P1.base`. */
  readonly key: string
  readonly job: ScreenJob
  readonly screen: ScreenSpec
  readonly frame: Frame | undefined
  /** Why this frame, or why none. */
  readonly frameWhy: readonly Reason[]
  /** None when it is mounted. */
  readonly next: Step | undefined
  /** While it dries: when it should be dry, by the shop's clock. */
  readonly dryAt: Moment | undefined
  /** When the next step must begin for the screen to be mounted at press time. */
  readonly latest: Moment | undefined
  readonly latestWhy: Reason | undefined
}

const keyOf = (job: Pick<ScreenJob, 'orderId' | 'print'>, hitId: string) =>
  `${job.orderId}.${job.print}.${hitId}`

const pressOf = ({ pressId }: ScreenJob, { presses }: Shop) => presses.find((p) => p.id === pressId)

/** The day on which a run must be printed: it is due so many days later. ISO day. */
const printedOn = ({ due, leadDays, airDays: air = 0 }: ScreenJob, shop: Shop): string => {
  const day = momentOf(due) - ((leadDays ?? shop.leadDays ?? 0) + air) * DAY
  return Number.isFinite(day) ? isoOf(day).slice(0, 10) : due
}

/** When a run must start to be done when the shop closes on the day it must be printed. */
export function pressStart(job: ScreenJob, shop: Shop): Moment | undefined {
  const { hours } = shop
  // Whatever the hours of that day are: work ends no later than with it.
  const end = momentOf(printedOn(job, shop)) + DAY - 1
  return Number.isFinite(end) ? startBefore(hours, end, Math.max(1, job.takes)) : undefined
}

/**
 * All screens of all jobs, those first that must be started first. Frames are given out in that order, so that no two
 * jobs are promised the same one; a frame that already carries a stencil stays with it. Runs of one print share screens.
 */
export function roomLines(jobs: readonly ScreenJob[], shop: Shop): readonly RoomLine[] {
  const starts = jobs.map((job) => ({ job, press: pressStart(job, shop) }))
  starts.sort((a, b) => (a.press ?? Number.POSITIVE_INFINITY) - (b.press ?? Number.POSITIVE_INFINITY))
  const given = new Map<string, string>()
  const seen = new Set<string>()
  const lines = starts.flatMap(({ job, press }) => {
    const screens = job.screens.filter((s) => !seen.has(keyOf(job, s.hitId)))
    for (const s of screens) seen.add(keyOf(job, s.hitId))
    const earlier = new Map(given)
    const left = shop.frames.filter((f) => !earlier.has(f.id))
    const { frames, reasons } = allocateFrames(
      { ...shop, frames: left },
      { ...job, press: pressOf(job, shop) },
      screens,
    )
    for (const f of frames) if (f) given.set(f.id, job.words)
    return screens.map((screen, i) => {
      const frame = frames[i]
      const why = [...promised(screen.mesh, earlier, shop), ...reasons]
      return lineOf(job, screen, frame, why, press, shop)
    })
  })
  return lines.sort((a, b) => (a.latest ?? Number.POSITIVE_INFINITY) - (b.latest ?? Number.POSITIVE_INFINITY))
}

/** To whom the frames of a mesh went before. */
function promised(mesh: MeshCount, given: ReadonlyMap<string, string>, shop: Shop): readonly Reason[] {
  const of = shop.frames.filter((f) => Math.abs(f.mesh - mesh) < 1)
  const jobs = [...new Set(of.flatMap((f) => given.get(f.id) ?? []))]
  if (jobs.length === 0) return []
  return [SCREEN.because('FRAME_GIVEN', { mesh: q('meshCount', mesh), jobs: jobs.join('; ') })]
}

function lineOf(
  job: ScreenJob,
  screen: ScreenSpec,
  frame: Frame | undefined,
  frameWhy: readonly Reason[],
  press: Moment | undefined,
  shop: Shop,
): RoomLine {
  const {
    hours,
    screens: { humidity },
  } = shop
  const next = nextStep(frame)
  const since = frame?.stencil?.done.at(-1)?.at
  const drying = next === 'dry' || next === 'dryOff'
  return {
    key: keyOf(job, screen.hitId),
    job,
    screen,
    frame,
    frameWhy,
    next,
    dryAt: drying && since !== undefined ? momentOf(since) + stepTime(next, humidity) : undefined,
    latest: next && press !== undefined ? latestStart(next, press, hours, humidity, screen) : undefined,
    latestWhy:
      next && press !== undefined ? whyLatest(next, printedOn(job, shop), humidity, screen) : undefined,
  }
}

/** Frames whose stencil no open job wants: to be reclaimed, or kept for a reorder. */
export function reclaimable(lines: readonly RoomLine[], shop: Shop): readonly Frame[] {
  const wanted = new Set(lines.map((l) => l.key))
  return shop.frames.filter(
    ({ stencil }) =>
      stencil && !wanted.has(keyOf({ orderId: stencil.order, print: stencil.print }, stencil.hit)),
  )
}

/** Lines that can be done in one go: coated alike on one day, or exposed alike. */
export interface Batch {
  readonly lines: readonly RoomLine[]
}

/** Exposures that differ by less than this are made together. */
const ALIKE = 1.1

/** Day on which a line must be begun; all that is late is one day. */
const dayOf = (line: RoomLine, today: number): number =>
  line.latest === undefined ? Number.POSITIVE_INFINITY : Math.max(today, Math.floor(line.latest / DAY))

/** What makes lines one piece of work. */
const workOf = ({ screen }: RoomLine, step: Step): string =>
  step === 'coat'
    ? `${screen.emulsionId}/${screen.coats}`
    : step === 'expose'
      ? `${screen.emulsionId}/${screen.expose?.lampId ?? ''}`
      : ''

/**
 * Lines at one step, grouped by what makes them one piece of work: coating by emulsion, coats and day; exposing by
 * emulsion, lamp and times that differ by less than a tenth.
 */
export function batchesOf(step: Step, lines: readonly RoomLine[], now: Moment): readonly Batch[] {
  const groups: {
    readonly work: string
    readonly day: number
    readonly time: number
    readonly lines: RoomLine[]
  }[] = []
  const at = lines.filter((l) => l.next === step)
  const time = (l: RoomLine) => (step === 'expose' ? (l.screen.expose?.time ?? 0) : 0)
  for (const line of step === 'expose' ? [...at].sort((a, b) => time(a) - time(b)) : at) {
    const work = workOf(line, step)
    const day = step === 'coat' ? dayOf(line, Math.floor(now / DAY)) : 0
    const group = groups.find((g) => g.work === work && g.day === day && time(line) <= g.time * ALIKE)
    if (group) group.lines.push(line)
    else groups.push({ work, day, time: time(line), lines: [line] })
  }
  return groups
}

const DAY = 86_400

/**
 * The frames that a line with its next step done changes. Coating lays the stencil on the frame; mounting takes down what was
 * mounted at that head.
 *
 * @param at the moment by the shop's clock, ISO
 * @param head where it is mounted, if not where it is planned
 */
export function advanced(line: RoomLine, shop: Shop, at: string, head = line.screen.head): readonly Frame[] {
  const { frame, next, job, screen } = line
  if (!frame || !next) return []
  if (next === 'mount') {
    const press = pressOf(job, shop)
    // A bench takes one screen after another, at its one place.
    const place = head ?? (press?.kind === 'bench' ? 1 : undefined)
    if (!press || place === undefined) return []
    const { frames } = mountedAt(shop, frame.id, press, place)
    return frames.filter((f, i) => f !== shop.frames[i])
  }
  const stencil: Stencil = frame.stencil ?? {
    order: job.orderId,
    print: job.print,
    hit: screen.hitId,
    words: stencilWords(job.words, screen.name),
    emulsionId: screen.emulsionId,
    coats: screen.coats,
    ...(screen.hardens && { hardens: true }),
    done: [],
  }
  return [{ ...frame, stencil: { ...stencil, done: [...stencil.done, { step: next, at }] } }]
}
