import { q, type Reason } from '../advice'
import type { Duration } from '../quantity'
import { REGISTRATION } from './definition'

/** The set-up of a head in its order, with what good looks like (common practice). */
export const SETUP_STEPS = {
  zero: { name: 'Zero the knobs', good: 'each in the middle of its travel, so that it can go both ways' },
  clamp: { name: 'Load and clamp', good: 'image within 3 mm of the film, clamps even' },
  level: {
    name: 'Level',
    good: 'side to side, then front to back: loosen, hold flat, tighten, feel again',
  },
  offContact: { name: 'Off-contact', good: 'the same at both ends of the frame, and on every head' },
  register: { name: 'Register', good: 'as worked out above, within what the job forgives' },
  lock: { name: 'Lock', good: 'tight, without leaning on the frame' },
  check: { name: 'Check again', good: 'the marks read once more, locked' },
  tape: { name: 'Tape the marks', good: 'closed from below, or blocked out' },
} as const
export type SetupStep = keyof typeof SETUP_STEPS

/** A step of the set-up of a screen, and when it was done; ISO, with seconds. */
export interface StepDone {
  readonly step: SetupStep
  readonly at: string
}

/** A step of one screen of a run. */
export interface ScreenStep extends StepDone {
  readonly runId: string
  readonly hitId: string
}

/** Who is away for longer was at something else, s (assumed). */
const AWAY: Duration = 30 * 60

/** Seconds from one step that was ticked to the next, and from the first to the last; pauses left out. */
export interface SetupTimes {
  readonly since: Readonly<Partial<Record<SetupStep, Duration>>>
  readonly total: Duration
}

/** @param done in any order; moments that are none count for nothing */
export function setupTimes(done: readonly StepDone[]): SetupTimes {
  const known = done
    .map(({ step, at }) => ({ step, at: Date.parse(at) / 1000 }))
    .filter((d) => Number.isFinite(d.at))
    .sort((a, b) => a.at - b.at)
  const since: Partial<Record<SetupStep, Duration>> = {}
  let total = 0
  for (const [i, { step, at }] of known.entries()) {
    const took = i === 0 ? undefined : at - (known[i - 1]?.at ?? at)
    if (took === undefined || took > AWAY) continue
    since[step] = took
    total += took
  }
  return { since, total }
}

/** What the logged times come to against what is planned for a screen. */
export const setupSaid = (total: Duration, planned: Duration): readonly Reason[] => [
  REGISTRATION.because('AID_SETUP', { total: q('workTime', total), planned: q('workTime', planned) }),
]
