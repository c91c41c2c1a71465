import { choiceOf, numberOf, q, type Reason } from '../advice'
import { HEAT } from '../heat'
import { type Order, SYSTEMS } from '../order'
import type { Duration, Temperature } from '../quantity'
import { jobWords } from './hitPlans'
import type { RunPlan } from './runPlan'

/** What a run asks of a tunnel. */
export interface CureJob {
  readonly orderId: string
  readonly runId: string
  /** Customer and job. */
  readonly words: string
  /** ISO day. */
  readonly due: string
  readonly pieces: number
  readonly dryerId: string
  /** Systems of its inks, in words. */
  readonly inks: string
  readonly film: Temperature
  readonly dwell: Duration
  /** m/s. */
  readonly belt: number
  /** Why film, dwell and belt are so. */
  readonly reasons: readonly Reason[]
}

/** None where no tunnel cures it. */
export function cureJobOf(order: Order, { cure, hits, run }: RunPlan): CureJob | undefined {
  if (!cure.dryer || !cure.belt || hits.length === 0) return undefined
  const systems = new Set(hits.map((h) => SYSTEMS[h.hit.system as keyof typeof SYSTEMS] ?? h.hit.system))
  return {
    orderId: order.id,
    runId: run.id,
    words: jobWords(order),
    due: order.due,
    pieces: run.quantity,
    dryerId: choiceOf(cure.dryer),
    inks: [...systems].join(', '),
    film: numberOf(cure.inkFilm),
    dwell: numberOf(cure.dwell),
    belt: numberOf(cure.belt),
    reasons: [...cure.inkFilm.reasons, ...cure.belt.reasons],
  }
}

/** A job with what changes at the tunnel before it. */
export interface DeskLine {
  readonly job: CureJob
  readonly change: readonly Reason[]
}

/** A tunnel heats and cools its walls so slowly, s/K (assumed). */
const WARMS = 30
const COOLS = 45
/** Films and belts nearer than this are the same setting: K, and as a share. */
const SAME_FILM = 1
const SAME_BELT = 0.03

const isSameFilm = (a: CureJob, b: CureJob) => Math.abs(a.film - b.film) < SAME_FILM
const isSameBelt = (a: CureJob, b: CureJob) => Math.abs(a.belt - b.belt) < SAME_BELT * a.belt

/** Seconds until a tunnel is even again after its set points have moved from one film to another. */
const settling = (from: CureJob, to: CureJob): Duration =>
  (to.film > from.film ? WARMS : COOLS) * Math.abs(to.film - from.film)

/** What has to be done at the tunnel from one job to the next. */
function changeTo(job: CureJob, before: CureJob | undefined): readonly Reason[] {
  if (!before) return []
  const belt = isSameBelt(before, job)
    ? []
    : [HEAT.because('DESK_BELT', { from: q('beltSpeed', before.belt), belt: q('beltSpeed', job.belt) })]
  if (isSameFilm(before, job)) return belt.length > 0 ? belt : [HEAT.because('DESK_SAME')]
  const shift = Math.round(Math.abs(job.film - before.film))
  return [
    HEAT.because('DESK_FILM', {
      was: q('temperature', before.film),
      film: q('temperature', job.film),
      shift: `${shift} K ${job.film > before.film ? 'higher' : 'lower'}`,
      time: q('workTime', settling(before, job)),
    }),
    ...belt,
  ]
}

/**
 * What goes through a tunnel, day by day as it is due; of one day, jobs that want the same are next to each other, the nearest
 * to what ran before first.
 */
export function dryerDesk(jobs: readonly CureJob[], dryerId: string): readonly DeskLine[] {
  const left = jobs.filter((j) => j.dryerId === dryerId).sort((a, b) => a.due.localeCompare(b.due))
  const out: DeskLine[] = []
  while (left.length > 0) {
    const before = out.at(-1)?.job
    const due = left[0]?.due
    const away = (j: CureJob) =>
      before ? settling(before, j) + Math.abs(Math.log(j.belt / before.belt)) : -j.film
    let best = 0
    left.forEach((j, i) => {
      if (j.due === due && away(j) < away(left[best] ?? j) - 1e-9) best = i
    })
    const [job] = left.splice(best, 1)
    if (job) out.push({ job, change: changeTo(job, before) })
  }
  return out
}
