import { q, type Reason } from '../advice'
import { type Hours, STEP_NAMES, type Stencil, type Step } from '../equipment'
import { type Duration, minutes, type Share } from '../quantity'
import { type Moment, startBefore } from './clock'
import { SCHEDULE } from './definition'

/** Minutes of hands for one screen (from memory). */
const HANDS: Readonly<Record<Exclude<Step, 'dry' | 'dryOff'>, Duration>> = {
  coat: minutes(5),
  expose: minutes(5),
  wash: minutes(6),
  check: minutes(4),
  tape: minutes(4),
  mount: minutes(5),
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
  if (!isDrying(step)) return [SCHEDULE.because('SCREEN_BY_HAND', { time })]
  const told = q('share', humidity)
  return [
    SCHEDULE.because('DRY_AIR', { time, humidity: told }),
    ...(humidity > DAMP ? [SCHEDULE.because('DRY_DAMP', { humidity: told })] : []),
  ]
}

/** The first step not done; undefined when the screen is mounted. That it is, the frame alone says: with where. */
export const nextStep = (
  frame: { readonly stencil?: Pick<Stencil, 'done'> | undefined; readonly mounted?: unknown } | undefined,
): Step | undefined =>
  frame?.mounted === undefined
    ? STEP_NAMES.find((step) => step === 'mount' || !frame?.stencil?.done.some((d) => d.step === step))
    : undefined

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
  return SCHEDULE.because('LATEST', {
    press,
    hands: q('workTime', sum(false)),
    drying: q('workTime', sum(true)),
  })
}
