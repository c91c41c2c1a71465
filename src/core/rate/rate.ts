import {
  type ChoiceAdvice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
} from '../advice'
import type { Press } from '../equipment'
import { type Duration, minutes, type Quantity } from '../quantity'
import { bestRhythm, cycleTime, DRYING_PLACES, FIRST_PRINTS, firstPrints, palletCycle } from './cycle'
import { RATE } from './definition'
import { ALLOWANCE, CREWS, type Crew, type CycleNeed, MISPRINTS, RE_INKED, SKILLS, TIMES } from './times'
import { variedCycle } from './varied'

/** Sustained pieces a second: less allowance, misprints and re-inking. */
export const sustained = (cycle: Duration, screens: number): Quantity<'rate'> =>
  (1 / (cycle + (screens * TIMES.reInk) / RE_INKED)) * (1 - ALLOWANCE) * (1 - MISPRINTS)

export interface RunTime {
  readonly crew: ChoiceAdvice<Crew['size']>
  readonly skill: ChoiceAdvice<Crew['skill']>
  /** What the cycle is made of, for whoever wants to look closer. */
  readonly need: CycleNeed
  /** What the dryer lets through, pieces a second. */
  readonly most: Quantity<'rate'> | undefined
  /** Pieces a second in a burst. */
  readonly burst: Quantity<'rate'>
  readonly setup: NumberAdvice
  readonly rate: NumberAdvice
  /** First prints of a wet-on-wet job, printed and spoiled besides. */
  readonly first: number
  readonly total: NumberAdvice
}

/** The crew a press usually has: on an automatic one loads and one catches. */
function crewFor(press: Press, overrides: Overrides) {
  const automatic = press.kind === 'automatic'
  const crew = RATE.choice(
    'crew',
    {
      advised: automatic ? 'loader' : 'alone',
      reasons: [RATE.because(automatic ? 'CREW_AUTOMATIC' : 'CREW_ALONE')],
    },
    overrides,
  )
  const skill = RATE.choice('skill', { advised: 'trained', reasons: [RATE.because('SKILL')] }, overrides)
  return { crew, skill }
}

const firstSaid = (first: number): Reason =>
  RATE.because('FIRST_PRINTS', {
    low: q('count', FIRST_PRINTS[0]),
    high: q('count', FIRST_PRINTS[1]),
    first: q('count', first),
  })

/** A small batch pays for its screen changes alone. */
const fewOnBench = ({ press, groups, pieces }: CycleNeed): readonly Reason[] =>
  press.kind === 'bench' && groups.flat().length > 1 && pieces + firstPrints(groups) < DRYING_PLACES
    ? [RATE.because('RATE_FEW', { pieces: q('count', pieces), swap: q('duration', TIMES.benchSwap) })]
    : []

/** Where strict turns would be slower than fewer pallets, or a helper slower than none: what was taken instead. */
function turnsOf(need: CycleNeed): readonly Reason[] {
  if (need.press.kind !== 'manual') return []
  const { seconds, alone } = bestRhythm(need)
  return [
    ...(alone && need.crew.size === 'loader' ? [RATE.because('RATE_LONE')] : []),
    ...(palletCycle(need) < seconds - 1e-9
      ? [
          RATE.because('RATE_PALLETS', {
            pallets: q('count', need.press.pallets),
            cycle: q('duration', seconds),
          }),
        ]
      : []),
  ]
}

/** What the heat lets through, pieces a second, and why. */
export interface Cap {
  readonly most: Quantity<'rate'>
  readonly why: Reason
}

/** Set-up as the shop's record has it where it says so, give or take what one day differs from another; else what is usual. */
function setupOf(screens: number, own: Duration | undefined) {
  const [low, usual, high] =
    own === undefined ? [minutes(5), minutes(6.5), minutes(8)] : [own / SETUP_SPREAD, own, own * SETUP_SPREAD]
  return {
    advised: usual * screens,
    range: [low * screens, high * screens] as const,
    reasons: [
      own === undefined
        ? RATE.because('SETUP', { screens: q('count', screens) })
        : RATE.because('SETUP_OWN', { screens: q('count', screens), each: q('workTime', own) }),
    ],
  }
}

/** From day to day set-up differs by this factor (assumed: model of the record, section 3, s0 .18, 80 % range). */
const SETUP_SPREAD = 1.26

/** Minutes for a run: set-up, pace and what both come to. */
export function runTime(
  asked: Omit<CycleNeed, 'crew'>,
  cap: Cap | undefined,
  overrides: Overrides,
  setupPerScreen?: Duration,
): RunTime {
  const { crew, skill } = crewFor(asked.press, overrides)
  const need: CycleNeed = {
    ...asked,
    crew: { size: choiceOf(crew), skill: choiceOf(skill) },
  }
  const screens = need.groups.flat().length
  const cycle = cycleTime(need)
  const varied = variedCycle(need)
  const own = sustained(cycle, screens)
  const most = cap?.most
  const pace = most === undefined ? own : Math.min(own, most)
  const capped: Reason[] = cap && cap.most < own ? [cap.why] : []
  const setup = RATE.number(
    'setup',
    {
      ...setupOf(screens, setupPerScreen),
    },
    overrides,
  )
  const rate = RATE.number(
    'rate',
    {
      advised: pace,
      range: [pace * 0.75, pace * 1.15],
      reasons: [
        RATE.because('RATE_MODEL', {
          cycle: q('duration', cycle),
          burst: q('rate', 1 / cycle),
          press: need.press.name,
          crew: CREWS[need.crew.size].label.toLowerCase(),
          skill: SKILLS[need.crew.skill].label.toLowerCase(),
        }),
        ...(varied > cycle * 1.002
          ? [
              RATE.because('RATE_VARIES', {
                cycle: q('duration', varied),
                burst: q('rate', 1 / varied),
              }),
            ]
          : []),
        RATE.because('RATE_SHIFT', { screens: q('count', screens) }),
        ...fewOnBench(need),
        ...turnsOf(need),
        ...capped,
      ],
    },
    overrides,
  )
  const first = firstPrints(need.groups)
  const at = (setupTime: number, perSecond: number) => setupTime + (need.pieces + first) / perSecond
  const total = RATE.number(
    'total',
    {
      advised: at(numberOf(setup), numberOf(rate)),
      range: [at(setup.range[0], rate.range[1]), at(setup.range[1], rate.range[0])],
      reasons: [
        RATE.because('TIME_TOTAL', {
          setup: q('workTime', numberOf(setup)),
          pieces: q('count', need.pieces),
          rate: q('rate', numberOf(rate)),
        }),
        ...(first > 0 ? [firstSaid(first)] : []),
      ],
    },
    {},
  )
  return { crew, skill, need, most, burst: 1 / cycle, setup, rate, first, total }
}
