import { because, q, type Reason, ruleTable } from '../advice'
import { type Hours, STEP_NAMES, type Stencil, type Step } from '../equipment'
import { type Duration, minutes, type Share } from '../quantity'
import { type Moment, startBefore } from './clock'

export const SCREEN_ROOM_RULES = ruleTable({
  DRY_AIR: {
    says: '{time} at {humidity}: 45 to 60 min with a fan in dry air, longer as the air can take up less (1 less humidity).',
    source: 'common practice',
  },
  DRY_DAMP: {
    says: 'At {humidity} nothing dries: dry the air first, or the stencil comes off in wash-out.',
    source: 'common practice',
    severity: 'Watch',
  },
  SCREEN_BY_HAND: { says: '{time} by hand for one screen.', source: 'from memory' },
  LATEST: {
    says: 'On press {press}, less {hands} of work in working hours and {drying} of drying, which may go on overnight.',
    source: 'geometry',
  },
})

/** Minutes of hands for one screen (from memory). */
const HANDS: Readonly<Record<Exclude<Step, 'dry' | 'dryOff'>, Duration>> = {
  coat: minutes(5),
  expose: minutes(5),
  wash: minutes(6),
  check: minutes(4),
  tape: minutes(4),
  hang: minutes(5),
}
/** With a fan, in air of this humidity (common practice: 45 to 60 min). */
const DRY_AIR: Share = 0.45
const EMULSION_DRIES = minutes(52)
/** A washed stencil is open and thin (from memory). */
const WASHED_DRIES = minutes(30)
/** Above this the air takes up next to nothing. */
const DAMP: Share = 0.85

export const isDrying = (step: Step): step is 'dry' | 'dryOff' => step === 'dry' || step === 'dryOff'

/**
 * How long a screen dries, seconds: what evaporates goes with the room left in the air, 1 less humidity (physics; the
 * room is taken as equally warm).
 *
 * @param humidity 0 to 1; above 0.85 it is held there
 */
export const dryingTime = (step: 'dry' | 'dryOff', humidity: Share): Duration =>
  ((step === 'dry' ? EMULSION_DRIES : WASHED_DRIES) * (1 - DRY_AIR)) / (1 - Math.min(DAMP, humidity))

/** Seconds a step takes. */
export const stepTime = (step: Step, humidity: Share): Duration =>
  isDrying(step) ? dryingTime(step, humidity) : HANDS[step]

/** Why a step takes that long. */
export function whyStepTime(step: Step, humidity: Share): readonly Reason[] {
  const time = q('workTime', stepTime(step, humidity))
  if (!isDrying(step)) return [because(SCREEN_ROOM_RULES, 'SCREEN_BY_HAND', { time })]
  const told = q('share', humidity)
  return [
    because(SCREEN_ROOM_RULES, 'DRY_AIR', { time, humidity: told }),
    ...(humidity > DAMP ? [because(SCREEN_ROOM_RULES, 'DRY_DAMP', { humidity: told })] : []),
  ]
}

/** The first step not done; undefined when the screen hangs. */
export const nextStep = (stencil: Pick<Stencil, 'done'> | undefined): Step | undefined =>
  STEP_NAMES.find((step) => !stencil?.done.some((d) => d.step === step))

/**
 * When the next step of a screen must begin at the latest for it to hang at press time. Work is done in working hours,
 * drying goes on at all hours.
 *
 * @param next the first step not done
 * @param press when the press starts with it
 * @returns undefined when the shop has no working hours
 */
export function latestStart(next: Step, press: Moment, hours: Hours, humidity: Share): Moment | undefined {
  let at: Moment | undefined = press
  for (const step of STEP_NAMES.slice(STEP_NAMES.indexOf(next)).reverse()) {
    if (at === undefined) return undefined
    const time = stepTime(step, humidity)
    at = isDrying(step) ? at - time : startBefore(hours, at, time)
  }
  return at
}

/** Why a screen must be started then. */
export function whyLatest(next: Step, press: string, humidity: Share): Reason {
  const ahead = STEP_NAMES.slice(STEP_NAMES.indexOf(next))
  const sum = (drying: boolean) =>
    ahead.filter((s) => isDrying(s) === drying).reduce((t, s) => t + stepTime(s, humidity), 0)
  return because(SCREEN_ROOM_RULES, 'LATEST', {
    press,
    hands: q('workTime', sum(false)),
    drying: q('workTime', sum(true)),
  })
}
