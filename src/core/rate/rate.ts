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
import { cycleTime } from './cycle'
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

/**
 * Minutes for a run: set-up, pace and what both come to. `most` is what the dryer lets through, pieces a second; a `panel`
 * that cures one garment after the other is said to be one.
 */
export function runTime(
  asked: Omit<CycleNeed, 'crew'>,
  most: number | undefined,
  panel: boolean,
  overrides: Overrides,
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
  const pace = most === undefined ? own : Math.min(own, most)
  const capped: Reason[] =
    most !== undefined && most < own
      ? [RATE.because(panel ? 'RATE_PANEL' : 'RATE_DRYER', { most: q('rate', most) })]
      : []
  const setup = RATE.number(
    'setup',
    {
      advised: minutes(6.5) * screens,
      range: [minutes(5) * screens, minutes(8) * screens],
      reasons: [RATE.because('SETUP', { screens: q('count', screens) })],
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
        ...capped,
      ],
    },
    overrides,
  )
  const at = (setupTime: number, perSecond: number) => setupTime + need.pieces / perSecond
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
      ],
    },
    {},
  )
  return { crew, skill, need, most, burst: 1 / cycle, setup, rate, total }
}

/** Metres of belt a garment takes. */
const PITCH = 0.75

/** Pieces a second that a belt carries in one lane: speed / garment pitch (geometry). */
export const beltRate = (speed: Quantity<'beltSpeed'>): Quantity<'rate'> => speed / PITCH
