import {
  because,
  type ChoiceAdvice,
  choiceOf,
  decideChoice,
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
import { cycleTime } from './cycle'
import { ALLOWANCE, CREWS, type Crew, type CycleNeed, MISPRINTS, RE_INKED, SKILLS, TIMES } from './times'
import { variedCycle } from './varied'

export const RATE_RULES = ruleTable({
  RATE_MODEL: {
    says: '{cycle} a piece in a burst, {burst}: {press}, {crew}, {skill}. Fitted to common practice, never timed in this shop.',
    source: 'common practice',
  },
  CREW_ALONE: {
    says: 'One person loads, prints and unloads. A second pays where hand work holds up printing.',
    source: 'common practice',
  },
  CREW_AUTOMATIC: { says: 'One person loads, one catches at the dryer end.', source: 'common practice' },
  SKILL: {
    says: 'Hand times of a trained person; learning takes 1.41 of them, the best 0.82. Machines do not care.',
    source: 'common practice',
  },
  RATE_HOLDS: {
    says: '{what} a tenth quicker: {gain} more pieces.',
    source: 'geometry',
  },
  WHAT_IF: {
    says: '{way}: {rate} instead of {now}, breaks of rhythm, misprints and re-inking counted. The same model, one thing changed.',
    source: 'geometry',
  },
  USE: {
    says: '{who}: at work {use} of the time, in the rhythm of the run. Who is always at work need not be what the pace hangs on.',
    source: 'geometry',
  },
  SPREAD: {
    says: '{runs} runs of this job on paper: pace of the day (7 % either way), {prints} first prints, misprints, a check every 50 (30 s), stops (0.6 an hour, 4 min), breaks that fall inside. Assumed but for the first prints: keep a log and replace them.',
    source: 'common practice',
  },
  RATE_VARIES: {
    says: 'Hands vary: with a fifth either way in each motion {cycle} a piece, {burst} in a burst, since who is ready waits for who is not. The spread is assumed.',
    source: 'published',
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

/** Sustained pieces a second: less allowance, misprints and re-inking. */
export const sustained = (cycle: Duration, screens: number): Quantity<'rate'> =>
  (1 / (cycle + (screens * TIMES.reInk) / RE_INKED)) * (1 - ALLOWANCE) * (1 - MISPRINTS)

export interface RunTime {
  readonly crew: ChoiceAdvice
  readonly skill: ChoiceAdvice
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
  const labels = (table: Readonly<Record<string, { readonly label: string }>>) =>
    Object.entries(table).map(([value, { label }]) => ({ value, label }))
  const automatic = press.kind === 'automatic'
  const crew = decideChoice(
    {
      key: 'crew',
      label: 'Crew',
      kind: 'choice',
      advised: automatic ? 'loader' : 'alone',
      choices: labels(CREWS),
      reasons: [because(RATE_RULES, automatic ? 'CREW_AUTOMATIC' : 'CREW_ALONE')],
    },
    overrides,
  )
  const skill = decideChoice(
    {
      key: 'skill',
      label: 'Skill',
      kind: 'choice',
      advised: 'trained',
      choices: labels(SKILLS),
      reasons: [because(RATE_RULES, 'SKILL')],
    },
    overrides,
  )
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
    crew: { size: choiceOf(crew) as Crew['size'], skill: choiceOf(skill) as Crew['skill'] },
  }
  const screens = need.groups.flat().length
  const cycle = cycleTime(need)
  const varied = variedCycle(need)
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
        because(RATE_RULES, 'RATE_MODEL', {
          cycle: q('duration', cycle),
          burst: q('rate', 1 / cycle),
          press: need.press.name,
          crew: CREWS[need.crew.size].label.toLowerCase(),
          skill: SKILLS[need.crew.skill].label.toLowerCase(),
        }),
        ...(varied > cycle * 1.002
          ? [
              because(RATE_RULES, 'RATE_VARIES', {
                cycle: q('duration', varied),
                burst: q('rate', 1 / varied),
              }),
            ]
          : []),
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
  return { crew, skill, need, most, burst: 1 / cycle, setup, rate, total }
}

/** Metres of belt a garment takes. */
const PITCH = 0.75

/** Pieces a second that a belt carries in one lane: speed / garment pitch (geometry). */
export const beltRate = (speed: Quantity<'beltSpeed'>): Quantity<'rate'> => speed / PITCH
