import { q, type Reason } from '../advice'
import type { Duration } from '../quantity'
import { REGISTRATION } from './definition'

/** A step of the set-up of a screen, and when it was done; ISO, with seconds. */
export interface StepDone {
  readonly step: string
  readonly at: string
}

/** Who is away for longer was at something else, s (assumed). */
const AWAY: Duration = 30 * 60

/** Seconds from one step that was ticked to the next, and from the first to the last; pauses left out. */
export interface SetupTimes {
  readonly since: Readonly<Record<string, Duration>>
  readonly total: Duration
}

/** @param done in any order; moments that are none count for nothing */
export function setupTimes(done: readonly StepDone[]): SetupTimes {
  const known = done
    .map(({ step, at }) => ({ step, at: Date.parse(at) / 1000 }))
    .filter((d) => Number.isFinite(d.at))
    .sort((a, b) => a.at - b.at)
  const since: Record<string, Duration> = {}
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
