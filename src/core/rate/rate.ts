import {
  because,
  decideNumber,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  ruleTable,
} from '../advice'
import type { Press } from '../equipment'
import { type Duration, minutes, type Quantity } from '../quantity'

export const RATE_RULES = ruleTable({
  RATE_MODEL: {
    says: 'Rough: {cycle} a piece for one trained person at a {press}, fitted to common practice, never timed in this shop.',
    source: 'common practice',
  },
  RATE_SHIFT: {
    says: 'Less 8 % for breaks of rhythm, 1.5 % misprints and re-inking of {screens} screens.',
    source: 'common practice',
  },
  RATE_DRYER: {
    says: 'The belt takes at most {most}: the dryer sets the pace.',
    source: 'geometry',
    severity: 'Note',
  },
  RATE_PANEL: {
    says: 'A panel that cures for a minute caps the line at {most}.',
    source: 'geometry',
    severity: 'Note',
  },
  SETUP: {
    says: '5 to 8 min a screen with levelling, inking and taping: {screens} screens.',
    source: 'from memory',
  },
  FINISH: {
    says: '{work} of work from {from}; nights, free days and breaks ({breaks}) do not count.',
    source: 'geometry',
  },
  TIME_TOTAL: { says: '{setup} set-up + {pieces} pieces at {rate}.', source: 'geometry' },
})

/** Seconds, trained person. Sums are fitted to common practice; single operations are not identified. */
const TIMES = {
  load: 4.8,
  unload: 1.6,
  belt: 3.0,
  inspect: 0.6,
  tackPer5: 2.5,
  rotate: 1.8,
  head: 1.8,
  flood: 1.0,
  stroke: 1.3,
  reInk: 12,
  autoIndex: 1.2,
  autoLoad: 4.6,
  autoStroke: 1.4,
  autoFlood: 1.0,
  benchPlace: 3.5,
  benchRegister: 3,
  benchRack: 3,
  benchSwap: 60,
} as const

/** Screens between two flashes, each by its number of strokes. */
export type StrokeGroups = readonly (readonly number[])[]

export interface CycleNeed {
  readonly press: Press
  readonly groups: StrokeGroups
  /** Longest flash dwell, seconds. */
  readonly flash: Duration
  /** Cool-down where the garment waits, seconds. */
  readonly cool: Duration
  /** Drying places on a bench. */
  readonly pieces: number
}

const HAND = TIMES.unload + TIMES.belt + TIMES.inspect + TIMES.load + TIMES.tackPer5 / 5
const sum = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0)
const printing = (groups: StrokeGroups, head: number) =>
  sum(groups.flat().map((strokes) => head + TIMES.flood + strokes * TIMES.stroke))

/** Places on the drying rack of a bench. */
const RACK = 24

/**
 * Seconds for one piece at a steady pace, one trained person alone: closed forms fitted to common practice.
 *
 * @example four screens, flashed two-stroke base, four pallets: 30.0 s, 120 an hour
 */
export function cycleTime({ press, groups, flash, cool, pieces }: CycleNeed): Duration {
  const screens = groups.flat().length
  const flashes = groups.length - 1
  switch (press.kind) {
    case 'single':
      return HAND + printing(groups, TIMES.head * 1.75) + flashes * (flash + cool)
    case 'manual': {
      const visits = Math.max(1, flashes)
      const work = printing(groups, TIMES.head) + HAND
      const under = flashes > 0 ? visits * (TIMES.rotate + flash) : 0
      const round = flashes > 0 ? (work + visits * (TIMES.rotate + flash + cool)) / press.pallets : 0
      return Math.max(visits * TIMES.rotate + work, under, round)
    }
    case 'automatic': {
      const strokes = Math.max(1, ...groups.flat())
      const slowest = Math.max(
        TIMES.autoLoad,
        TIMES.autoFlood + strokes * TIMES.autoStroke,
        flashes > 0 ? flash : 0,
      )
      return TIMES.autoIndex + slowest
    }
    case 'bench': {
      const n = Math.max(1, Math.min(pieces, RACK))
      const one = TIMES.benchPlace + TIMES.benchRegister + TIMES.flood + TIMES.stroke + TIMES.benchRack
      const between = Math.max(TIMES.benchSwap, cool - (n - 1) * one)
      const last = Math.max(TIMES.benchSwap, cool - n * one)
      return (screens * n * one + (screens - 1) * between + last) / n
    }
    default:
      return press satisfies never
  }
}

/** Sustained pieces a second: less allowance, misprints and re-inking. */
export const sustained = (cycle: Duration, screens: number): Quantity<'rate'> =>
  (1 / (cycle + (screens * TIMES.reInk) / 36)) * 0.92 * 0.985

export interface RunTime {
  readonly setup: NumberAdvice
  readonly rate: NumberAdvice
  readonly total: NumberAdvice
}

/**
 * Rough minutes for a run. `most` is what the dryer lets through, pieces a second.
 */
export function runTime(
  need: CycleNeed,
  most: number | undefined,
  panel: boolean,
  overrides: Overrides,
): RunTime {
  const screens = need.groups.flat().length
  const cycle = cycleTime(need)
  const own = sustained(cycle, screens)
  const pace = most === undefined ? own : Math.min(own, most)
  const capped: Reason[] =
    most !== undefined && most < own
      ? [because(RATE_RULES, panel ? 'RATE_PANEL' : 'RATE_DRYER', { most: q('rate', most) })]
      : []
  const setup = decideNumber(
    {
      key: 'setup',
      label: 'Set-up',
      kind: 'workTime',
      advised: minutes(6.5) * screens,
      range: [minutes(5) * screens, minutes(8) * screens],
      reasons: [because(RATE_RULES, 'SETUP', { screens: q('count', screens) })],
    },
    overrides,
  )
  const rate = decideNumber(
    {
      key: 'rate',
      label: 'Pace',
      kind: 'rate',
      advised: pace,
      range: [pace * 0.75, pace * 1.15],
      reasons: [
        because(RATE_RULES, 'RATE_MODEL', { cycle: q('duration', cycle), press: need.press.name }),
        because(RATE_RULES, 'RATE_SHIFT', { screens: q('count', screens) }),
        ...capped,
      ],
    },
    overrides,
  )
  const at = (setupTime: number, perSecond: number) => setupTime + need.pieces / perSecond
  const total: NumberAdvice = {
    key: 'total',
    label: 'Press time',
    kind: 'workTime',
    advised: at(numberOf(setup), numberOf(rate)),
    range: [at(setup.range[0], rate.range[1]), at(setup.range[1], rate.range[0])],
    reasons: [
      because(RATE_RULES, 'TIME_TOTAL', {
        setup: q('workTime', numberOf(setup)),
        pieces: q('count', need.pieces),
        rate: q('rate', numberOf(rate)),
      }),
    ],
  }
  return { setup, rate, total }
}

/** Metres of belt a garment takes. */
const PITCH = 0.75

/** Pieces a second that a belt carries in one lane: speed / garment pitch (geometry). */
export const beltRate = (speed: Quantity<'beltSpeed'>): Quantity<'rate'> => speed / PITCH
