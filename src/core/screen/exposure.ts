import type { RuleOf } from '../advice'
import { type Inputs, type NumberAdvice, type Overrides, q, type Reason } from '../advice'
import {
  type Emulsion,
  type Fabric,
  type Lamp,
  MEDIA,
  type Medium,
  type ScreenRoom,
  type StepTest,
} from '../equipment'
import type { Duration, Length, MeshCount, Share } from '../quantity'
import { SCREEN } from './definition'
import { fabricOf } from './fabric'

/** A factor of one step of a grey scale: 0.15 density, 10^0.15 = 1.41 in light (published: optical density). */
export const SCALE_STEP = 10 ** 0.15
/** The last step that should stay solid on a 21-step scale (from memory). */
export const TARGET_STEP = 7

/** Light on the glass from a small lamp falls with the square of the distance: t2 = t1 (d2 / d1)^2. */
export const byDistance = (now: Length, then: Length): number => (now / then) ** 2

/** Panels and the sun light the same at every usual distance. */
const SMALL: Readonly<Record<Lamp['kind'], boolean>> = {
  led: false,
  sun: false,
  metalHalide: true,
  halogen: true,
  bulb: true,
}

/** Where a first test may start, and how far off it may be (common practice: very different lamps). */
const STARTS: Readonly<Record<Lamp['kind'], Duration>> = {
  sun: 10,
  led: 24,
  metalHalide: 60,
  bulb: 300,
  halogen: 750,
}

/**
 * 110 to 230 threads to the inch take 5 to 10 % less on a slow lamp (common practice): over those two meshes, 130 and
 * 76 micrometres thick, a power of 0.145 gives 7.5 %.
 */
const MESH_POWER = 0.145
/** Dyed against white mesh (from memory: half as much again to double). */
const DYED = 1.75

/** Of the light, what comes through the clear parts of a medium (from memory): vellum and oiled paper want more of it. */
const LETS_THROUGH: Readonly<Record<Medium, Share>> = { film: 1, vellum: 0.83, paper: 0.7 }
/** Their black is thinner, too: this much longer and the image begins to fill (from memory). */
const MOST_OVER: Readonly<Record<Medium, number>> = {
  film: Number.POSITIVE_INFINITY,
  vellum: 1.15,
  paper: 1.08,
}

/** What one screen asks of the light. */
export interface ExposureNeed {
  readonly hitId: string
  readonly name: string
  readonly mesh: MeshCount
  readonly coats: number
  /** Lines or dots that a work lamp would lose. */
  readonly fine: boolean
  /** What its film is printed on; clear film where it is not said. */
  readonly medium?: Medium
}

/** How sure an exposure is: the same screen as in the test, one a little or far away, or no test at all. */
export type Confidence = 'tested' | 'near' | 'far' | 'none'

const SPREADS: Readonly<Record<Exclude<Confidence, 'none'>, Share>> = { tested: 0, near: 0.1, far: 0.25 }

export interface ExposureAdvice {
  readonly time: NumberAdvice
  readonly confidence: Confidence
  readonly lamp: Lamp
}

interface Factor {
  readonly by: number
  readonly why: Reason
}

function factorsFrom(
  test: StepTest,
  need: ExposureNeed,
  lamp: Lamp,
  fabrics: readonly Fabric[],
): readonly Factor[] {
  const here = fabricOf(fabrics, need.mesh)
  const there = fabricOf(fabrics, test.mesh)
  const found: Factor[] = []
  const add = (rule: RuleOf<typeof SCREEN>, by: number, inputs: Inputs) => {
    if (Math.abs(by - 1) > 1e-9)
      found.push({ by, why: SCREEN.because(rule, { ...inputs, factor: by.toFixed(2) }) })
  }
  if (SMALL[lamp.kind])
    add('EXPOSE_DISTANCE', byDistance(lamp.distance, test.distance), {
      now: q('length', lamp.distance),
      then: q('length', test.distance),
    })
  add('EXPOSE_COATS', need.coats / test.coats, {
    coats: q('count', need.coats),
    before: q('count', test.coats),
  })
  add('EXPOSE_MESH', (here.thickness / there.thickness) ** MESH_POWER, {
    mesh: q('meshCount', need.mesh),
    before: q('meshCount', test.mesh),
  })
  const then = test.medium ?? 'film'
  const medium = need.medium ?? 'film'
  add('EXPOSE_MEDIUM', LETS_THROUGH[then] / LETS_THROUGH[medium], {
    medium: MEDIA[medium].toLowerCase(),
    before: MEDIA[then].toLowerCase(),
  })
  const dyed = (f: Fabric) => (f.dyed === 'yellow' ? DYED : 1)
  add('EXPOSE_DYED', dyed(here) / dyed(there), {})
  return found
}

const product = (factors: readonly Factor[]) => factors.reduce((p, f) => p * f.by, 1)
const away = (factors: readonly Factor[]) => factors.reduce((sum, f) => sum + Math.abs(Math.log(f.by)), 0)

/** A halogen lamp heats the screen: what is ready to use cooks before it hardens. */
export const unsuitable = (lamp: Lamp, emulsion: Emulsion): boolean =>
  lamp.kind === 'halogen' && emulsion.kind !== 'dual'

/**
 * Exposure of one screen, seconds, from the nearest step test of this lamp and emulsion; without one, only where a first
 * test may start. Factors for distance, thickness and mesh are told apart in the reasons.
 *
 * @returns undefined when the emulsion is not exposed, or the shop has entered no lamp
 */
export function exposureFor(
  need: ExposureNeed,
  room: ScreenRoom,
  emulsion: Emulsion | undefined,
  overrides: Overrides,
): ExposureAdvice | undefined {
  const lamp = room.lamps.find((l) => l.id === overrides[LAMP_KEY]) ?? room.lamps[0]
  if (!lamp || !emulsion || emulsion.kind === 'thermal') return undefined
  const near = room.tests
    .filter((t) => t.lampId === lamp.id && t.emulsionId === emulsion.id)
    .map((test) => ({ test, factors: factorsFrom(test, need, lamp, room.fabrics) }))
    .sort((a, b) => away(a.factors) - away(b.factors) || b.test.on.localeCompare(a.test.on))[0]
  const of = { id: need.hitId, name: need.name }
  const unfit = [
    ...(unsuitable(lamp, emulsion)
      ? [SCREEN.because('EXPOSE_UNFIT', { lamp: lamp.name, emulsion: emulsion.name })]
      : []),
    ...(lamp.kind === 'halogen' && need.fine ? [SCREEN.because('EXPOSE_COARSE', { name: need.name })] : []),
  ]
  if (!near) {
    const start = STARTS[lamp.kind]
    const why = SCREEN.because('EXPOSE_GUESS', {
      lamp: lamp.name,
      emulsion: emulsion.name,
      time: q('duration', start),
    })
    const time = SCREEN.number(
      'expose',
      { of, advised: start, range: [start / 2, start * 2], reasons: [why, ...unfit] },
      overrides,
    )
    return { time, confidence: 'none', lamp }
  }
  const { test, factors } = near
  const by = product(factors)
  const confidence = factors.length === 0 ? 'tested' : away(factors) < Math.log(SCALE_STEP) ? 'near' : 'far'
  const spread = SPREADS[confidence]
  const time = SCREEN.number(
    'expose',
    {
      of,
      advised: test.time * by,
      range: [
        test.low * by * (1 - spread),
        Math.min(test.high * by * (1 + spread), test.time * by * MOST_OVER[need.medium ?? 'film']),
      ],
      reasons: [
        SCREEN.because('EXPOSE_TESTED', {
          day: test.on,
          time: q('duration', test.time),
          coats: q('count', test.coats),
          mesh: q('meshCount', test.mesh),
          distance: q('length', test.distance),
        }),
        ...factors.map((f) => f.why),
        ...((need.medium ?? 'film') === 'film' ? [] : [SCREEN.because('EXPOSE_THIN_BLACK')]),
        ...(confidence === 'far' ? [SCREEN.because('EXPOSE_FAR')] : []),
        ...unfit,
      ],
    },
    overrides,
  )
  return { time, confidence, lamp }
}

/** The lead's own lamp for a job. */
export const LAMP_KEY = 'lamp'

/** One strip of a step test: how long it is exposed in all, and what is added after the strip before it is covered. */
export interface Strip {
  readonly total: Duration
  readonly add: Duration
}

/**
 * Strips of a step test about a time, each a step of the grey scale from the last: the whole screen gets the first
 * time, then strip by strip is covered.
 *
 * @param count of strips, 3 to 11
 */
export function strips(about: Duration, count: number): readonly Strip[] {
  const totals = Array.from({ length: count }, (_, i) => about * SCALE_STEP ** (i - (count - 1) / 2))
  return totals.map((total, i) => ({ total, add: total - (totals[i - 1] ?? 0) }))
}

/** What a step test tells: the time to use and between which times it lies. */
export interface Found {
  readonly time: Duration
  readonly low: Duration
  readonly high: Duration
}

/**
 * Read by strips: the first that holds is the time; the truth lies between the one before and it. Where fine detail was
 * read too, what holds and opens it lies between two strips, and the time in their middle (from memory).
 *
 * @param lastOpen the last strip whose fine detail washed out
 * @returns undefined for strips that were not laid, and where detail closes before the stencil holds
 */
export function readStrips(laid: readonly Strip[], firstHolds: number, lastOpen?: number): Found | undefined {
  const strip = laid[firstHolds]
  const open = lastOpen === undefined ? strip : laid[lastOpen]
  if (!strip || !open || open.total < strip.total) return undefined
  if (lastOpen !== undefined)
    return { time: Math.sqrt(strip.total * open.total), low: strip.total, high: open.total }
  return {
    time: strip.total,
    low: laid[firstHolds - 1]?.total ?? strip.total / SCALE_STEP,
    high: strip.total,
  }
}

/**
 * Read by a 21-step grey scale: exposed for `time`, the last solid step was `step`; each step too few asks for 1.41
 * times more light.
 */
export function readScale(time: Duration, step: number): Found {
  const right = time * SCALE_STEP ** (TARGET_STEP - step)
  return { time: right, low: right / Math.sqrt(SCALE_STEP), high: right * Math.sqrt(SCALE_STEP) }
}
