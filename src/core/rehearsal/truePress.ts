import type { Streams } from './draw'
import { gainFor, setFor, ZERO } from './thermal'
import type { TrialPlan, TrialScreen } from './trialPlan'

/** Left, middle, right of the print. */
export const ZONES = [-1, 0, 1] as const
export type Three = [number, number, number]
const three = (value: number): Three => [value, value, value]

/** A screen as it truly stands at the press; what follows the plan starts near it. */
export interface TrueScreen {
  readonly plan: TrialScreen
  opening: number
  tension: number
  gap: number
  /** How far one side stands higher than the other, share of the gap. */
  gapSlope: number
  /** Load of the blade, 1 as it should be, and how much more one side gets. */
  load: number
  slope: number
  /** Seconds of a stroke against the planned. */
  time: number
  angle: number
  hardness: number
  wear: number
  nick: boolean
  strokes: number
  flood: number
  viscosity: number
  stirred: number
  /** Additive against the recipe. */
  share: number
  /** Colour difference of the mix. */
  dE: number
  wrongCan: boolean
  /** Ink built up on the back, and what of it has got into its own ink. */
  back: number
  tint: number
  blocked: number
  scum: number
  oldImage: number
  erosion: number
  pinholes: number
  /** Register: millimetres and radians. */
  tx: number
  ty: number
  turn: number
  lock: [number, number]
  creep: number
  play: number
  /** Film larger or smaller than the others, share. */
  stretch: number
  overlap: number
  sinceInk: number
}

export interface TrueBoard {
  celsius: number
  loose: [number, number]
  low: number
  /** Garments since adhesive. */
  since: number
}

/** What a fault makes happen now and then, or from a piece on. */
export interface Happenings {
  /** Spread of the hand: of load, time and angle together. */
  hand: number
  leftUnder: number
  lots: number
  dirtyHands: number
  loading: number
  shrinks: number
  coldSmoothing: number
  /** No adhesive or ink is renewed any more. */
  tackForgotten: boolean
  inkForgotten: boolean
  /** Boards are driven to this, celsius, and dwells do not follow. */
  boardsTo: number | undefined
  dwellForgotten: boolean
  zoneFrom: number
  zoneLoss: number
  ownTint: number
  backGrows: number
  erodes: number
  firstPrints: number
  tapeLeaks: number
}

/** A simulated press with everything that can be wrong at it. */
export interface TruePress {
  readonly plan: TrialPlan
  readonly streams: Streams
  readonly screens: readonly TrueScreen[]
  readonly boards: readonly TrueBoard[]
  /** By flash: the gain of the unit against the full model, by zone, and seconds. */
  readonly flashes: readonly { readonly base: number; gain: Three; dwell: number; cool: number }[]
  contact: number
  air: number
  damp: number
  dryer: { set: number; seconds: number }
  /** Choke in millimetres. */
  choke: number | undefined
  cover: number
  fibre: number
  smoothing: boolean
  silicone: boolean
  preheated: boolean
  unblocked: boolean
  thick: number
  pieces: number
  readonly now: Happenings
}

const QUIET: Happenings = {
  hand: 0,
  leftUnder: 0,
  lots: 0,
  dirtyHands: 0,
  loading: 2,
  shrinks: 0,
  coldSmoothing: 0,
  tackForgotten: false,
  inkForgotten: false,
  boardsTo: undefined,
  dwellForgotten: false,
  zoneFrom: Number.POSITIVE_INFINITY,
  zoneLoss: 0,
  ownTint: 0,
  backGrows: 1,
  erodes: 0,
  firstPrints: 1,
  tapeLeaks: 0,
}

const lognormal = (sd: number, streams: Streams) => Math.exp(streams.press.normal(sd))

/** A press as it truly stands for a plan, drawn from the press stream alone. @param spread 1 as presses are, 0 exactly as planned */
export function truePress(plan: TrialPlan, streams: Streams, spread = 1): TruePress {
  const { press } = streams
  const off = (sd: number) => press.normal(sd * spread)
  const screens = plan.screens.map(
    (s): TrueScreen => ({
      plan: s,
      opening: s.opening,
      tension: s.tension + off(1.2),
      gap: s.gap * lognormal(0.06 * spread, streams),
      gapSlope: off(0.03),
      load: lognormal(0.06 * spread, streams),
      slope: off(0.03),
      time: 1,
      angle: s.angle,
      hardness: s.hardness,
      wear: 0,
      nick: false,
      strokes: s.strokes,
      flood: 1,
      viscosity: lognormal(0.07 * spread, streams) * Math.exp(0.015 * (22 - plan.air) * spread),
      stirred: 1,
      share: 1,
      dE: 0,
      wrongCan: false,
      back: 0,
      tint: 0,
      blocked: 0,
      scum: 0,
      oldImage: 0,
      erosion: 0,
      pinholes: 0,
      tx: off(0.05),
      ty: off(0.05),
      turn: off(0.0003),
      lock: [off(0.05), off(0.05)],
      creep: 0,
      play: 0,
      stretch: 0,
      overlap: s.overlap,
      sinceInk: 0,
    }),
  )
  const gain = lognormal(0.06 * spread, streams)
  return {
    plan,
    streams,
    screens,
    boards: Array.from({ length: plan.boards }, () => ({
      celsius: Math.max(plan.air, 38),
      loose: [0, 0],
      low: 0,
      since: 0,
    })),
    flashes: plan.flashes.map((f) => {
      const base = gainFor(f.needed, f.quartz, plan.air)
      return {
        base,
        gain: [0.95 * gain, gain, 0.95 * gain],
        dwell: f.dwell * lognormal(0.04 * spread, streams),
        cool: f.cool,
      }
    }),
    contact: lognormal(0.1 * spread, streams),
    air: plan.air,
    damp: 0,
    dryer: {
      set: setFor((plan.cure.set ?? plan.cure.target) + 6, 50, plan.cure.seconds),
      seconds: plan.cure.seconds,
    },
    choke: plan.choke,
    cover: plan.cover,
    fibre: plan.cloth.fibre,
    smoothing: plan.screens.some((s) => s.role === 'smoothing'),
    silicone: false,
    preheated: false,
    unblocked: false,
    thick: 1,
    pieces: 0,
    now: { ...QUIET, hand: plan.hand ? 0.04 * spread : 0.01 * spread },
  }
}

export const kelvin = (celsius: number): number => celsius + ZERO
export { three }
