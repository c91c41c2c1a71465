import { numberOf, q, type Reason } from '../advice'
import type { Dryer } from '../equipment'
import { type BeltWindow, beltWindow, HEAT, pass, tunnelOf } from '../heat'
import { thickest } from './cureHeat'
import type { RunPlan } from './runPlan'

/** Two jobs on one belt at the same time. */
export interface SharedBelt {
  /** m/s; undefined where no speed is right for both. */
  readonly belt: number | undefined
  readonly reasons: readonly Reason[]
}

/** A job as it is called, and its plan. */
export interface OnBelt {
  readonly words: string
  readonly plan: RunPlan
}

/**
 * Whether garments of two jobs can go through a tunnel together as its set points are: at which belt, and what their films come to.
 * Some 150 ms: not on a thread that someone waits for.
 */
export function sharedBelt(jobs: readonly [OnBelt, OnBelt], dryer: Dryer): SharedBelt {
  const zones = tunnelOf(dryer.heat ?? 'infrared', dryer.heatedLength, 0, dryer.calibration?.gain ?? 1)
  const found = jobs.flatMap(({ words, plan }) => {
    const cured = thickest(plan)
    if (!cured) return []
    return [
      {
        words,
        ...cured,
        planned: plan.cure.belt && numberOf(plan.cure.belt),
        window: beltWindow(zones, cured.load, cured),
      },
    ]
  })
  const [one, two] = found
  if (!one || !two) return { belt: undefined, reasons: [] }
  const never = found.filter((f) => f.window.most === undefined)
  if (never.length > 0)
    return {
      belt: undefined,
      reasons: never.map((f) => HEAT.because('SHARED_NEVER', { job: f.words, dryer: dryer.name })),
    }
  const most = (w: BeltWindow) => w.most ?? 0
  const least = (w: BeltWindow) => w.least ?? 0
  const slow = most(one.window) <= most(two.window) ? one : two
  const weak = least(one.window) >= least(two.window) ? one : two
  const [low, high] = [least(weak.window), most(slow.window)]
  if (low > high)
    return {
      belt: undefined,
      reasons: [
        HEAT.because('SHARED_APART', {
          dryer: dryer.name,
          slow: slow.words,
          most: q('beltSpeed', high),
          weak: weak.words,
          least: q('beltSpeed', low),
        }),
      ],
    }
  const wanted = Math.min(...found.map((f) => f.planned ?? high))
  const belt = Math.min(high, Math.max(low, wanted))
  return {
    belt,
    reasons: [
      HEAT.because(low > 0 ? 'SHARED_BELT' : 'SHARED_ANY', {
        dryer: dryer.name,
        belt: q('beltSpeed', belt),
        most: q('beltSpeed', high),
        least: q('beltSpeed', low),
      }),
      ...found.map((f) =>
        HEAT.because('SHARED_FILM', {
          job: f.words,
          film: q('temperature', pass(zones, f.load, belt).peak),
          wanted: q('temperature', f.least),
          limit: q('temperature', f.most),
        }),
      ),
    ],
  }
}
