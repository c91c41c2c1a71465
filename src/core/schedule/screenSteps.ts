import { q, type Reason } from '../advice'
import { type Hours, STEP_NAMES, type Stencil, type Step } from '../equipment'
import { type Duration, minutes, type Share } from '../quantity'
import { type Moment, startBefore } from './clock'
import { SCHEDULE } from './definition'

/** Minutes of hands for one screen (from memory). */
const HANDS: Readonly<Record<Exclude<Step, 'dry' | 'dryOff'>, Duration>> = {
  harden: minutes(6),
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
/** Marks are closed with a block-out that stands water (from memory). */
const BLOCK_OUT = minutes(2)
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

/** What a screen is made like, as far as its steps go. */
export interface Made {
  readonly coats: number
  /** Hardened, or exposed once more after the wash-out, as its ink wants. */
  readonly hardens: boolean
}
const USUAL: Made = { coats: 2, hardens: false }

/** A round is one coat on each side; the screen dries after each of them. */
const roundsOf = ({ coats }: Made): number => Math.max(1, Math.ceil(coats / 2))

interface Part {
  readonly time: Duration
  readonly drying: boolean
}
const byHand = (time: Duration): Part => ({ time, drying: false })

/** Hands and drying of one step, in their turn. The last drying of a coated screen is a step of its own. */
function partsOf(step: Step, humidity: Share, made: Made): readonly Part[] {
  if (isDrying(step)) return [{ time: dryingTime(step, humidity), drying: true }]
  if (step === 'coat') {
    const between: Part = { time: dryingTime('dry', humidity), drying: true }
    return Array.from({ length: roundsOf(made) }, (_, i) => [
      ...(i > 0 ? [between] : []),
      byHand(HANDS.coat),
    ]).flat()
  }
  return [byHand(HANDS[step] + (step === 'check' && made.hardens ? BLOCK_OUT : 0))]
}

/** Seconds a step takes, drying between rounds of coats with it. */
export const stepTime = (step: Step, humidity: Share, made: Made = USUAL): Duration =>
  partsOf(step, humidity, made).reduce((sum, p) => sum + p.time, 0)

/** Why a step takes that long. */
export function whyStepTime(step: Step, humidity: Share, made: Made = USUAL): readonly Reason[] {
  const time = q('workTime', stepTime(step, humidity, made))
  const told = q('share', humidity)
  const rounds = roundsOf(made)
  if (step === 'coat' && rounds > 1)
    return [
      SCHEDULE.because('COAT_ROUNDS', {
        time,
        coats: q('count', made.coats),
        rounds: q('count', rounds),
        drying: q('workTime', dryingTime('dry', humidity)),
      }),
    ]
  if (!isDrying(step)) return [SCHEDULE.because('SCREEN_BY_HAND', { time })]
  return [
    SCHEDULE.because('DRY_AIR', { time, humidity: told }),
    ...(humidity > DAMP ? [SCHEDULE.because('DRY_DAMP', { humidity: told })] : []),
  ]
}

/** The steps of a screen that is made like this. */
export const stepsOf = ({ hardens }: Pick<Made, 'hardens'>): readonly Step[] =>
  STEP_NAMES.filter((step) => step !== 'harden' || hardens)

/** The first step not done; undefined when the screen is mounted. That it is, the frame alone says: with where. */
export function nextStep(
  frame:
    | {
        readonly stencil?: Pick<Stencil, 'done' | 'hardens'> | undefined
        readonly mounted?: unknown
      }
    | undefined,
): Step | undefined {
  if (frame?.mounted !== undefined) return undefined
  const { done = [], hardens = false } = frame?.stencil ?? {}
  return stepsOf({ hardens }).find((step) => step === 'mount' || !done.some((d) => d.step === step))
}

/** What is ahead of a screen, from its next step on. */
const ahead = (next: Step, humidity: Share, made: Made): readonly Part[] =>
  stepsOf(made)
    .filter((step) => STEP_NAMES.indexOf(step) >= STEP_NAMES.indexOf(next))
    .flatMap((step) => partsOf(step, humidity, made))

/**
 * When the next step of a screen must begin at the latest for it to hang at press time. Work is done in working hours,
 * drying goes on at all hours.
 *
 * @param next the first step not done
 * @param press when the press starts with it
 * @returns undefined when the shop has no working hours
 */
export function latestStart(
  next: Step,
  press: Moment,
  hours: Hours,
  humidity: Share,
  made: Made = USUAL,
): Moment | undefined {
  let at: Moment | undefined = press
  for (const { time, drying } of [...ahead(next, humidity, made)].reverse()) {
    if (at === undefined) return undefined
    at = drying ? at - time : startBefore(hours, at, time)
  }
  return at
}

/** Why a screen must be started then. */
export function whyLatest(next: Step, press: string, humidity: Share, made: Made = USUAL): Reason {
  const sum = (drying: boolean) =>
    ahead(next, humidity, made)
      .filter((p) => p.drying === drying)
      .reduce((t, p) => t + p.time, 0)
  return SCHEDULE.because('LATEST', {
    press,
    hands: q('workTime', sum(false)),
    drying: q('workTime', sum(true)),
  })
}
