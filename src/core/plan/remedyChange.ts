import {
  type Advice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  settled,
} from '../advice'
import { degrees } from '../quantity'
import { PRESSURE_STEPS, type StrokeAdvice } from '../stroke'
import { type RemedyId, TROUBLE } from '../trouble'
import type { FlashPlan, RunPlan } from './runPlan'

/** What a remedy sets otherwise: one setting of the plan. */
export interface Change {
  readonly key: string
  readonly value: number | string
  /** From what to what. */
  readonly reason: Reason
}

/** Seconds a flash is set longer or shorter, the factor of a slower stroke and belt, and how far a blade is raised (common practice). */
const STEP = { flash: 1.5, slower: 1.25, belt: 0.88, angle: degrees(5) } as const
/** A scale goes in quarters of what a word for pressure spans. */
const increment = ({ range: [low, high] }: NumberAdvice): number => (high - low) / 4

/** The flash whose film the screen of a hit lies on; the first of the run where none comes before it. */
export function flashUnder({ sequence: { cells }, flashes }: RunPlan, hitId: string): FlashPlan | undefined {
  const at = cells.findIndex((c) => c.kind === 'print' && c.hitId === hitId)
  const before = cells.slice(0, Math.max(0, at)).findLast((c) => c.kind === 'flash')
  return (before?.kind === 'flash' ? flashes[before.flash] : undefined) ?? flashes.find((f) => f.unit)
}

/**
 * The setting that a remedy changes for a screen; none for what is done with the hands, or changes the plan.
 *
 * @param hitId the screen that shows it
 */
export function changeFor(plan: RunPlan, remedy: RemedyId, hitId: string): Change | undefined {
  const hit = plan.hits.find((h) => h.hit.id === hitId) ?? plan.hits[0]
  if (!hit) return undefined
  const { pressure, gauge, time, strokes, angle, flood } = hit.stroke
  const pressed = PRESSURE_STEPS.indexOf(choiceOf(pressure))
  const dwell = flashUnder(plan, hitId)?.dwell
  const belt = plan.cure.belt
  switch (remedy) {
    case 'flashLonger':
      return dwell && toNumber(dwell, numberOf(dwell) + STEP.flash)
    case 'flashShorter':
      return dwell && toNumber(dwell, Math.max(1, numberOf(dwell) - STEP.flash))
    case 'morePressure':
      return gauge
        ? toNumber(gauge, numberOf(gauge) + increment(gauge))
        : toWord(pressure, PRESSURE_STEPS[pressed + 1])
    case 'lessPressure':
      return gauge
        ? toNumber(gauge, Math.max(0, numberOf(gauge) - increment(gauge)))
        : toWord(pressure, pressed > 0 ? PRESSURE_STEPS[pressed - 1] : undefined)
    case 'slower':
      return toNumber(time, numberOf(time) * STEP.slower)
    case 'fewerStrokes':
      return toNumber(strokes, Math.max(1, numberOf(strokes) - 1))
    case 'upright':
      return toNumber(angle, Math.max(0, numberOf(angle) - STEP.angle))
    case 'floodFull':
      return toWord(flood, 'full')
    case 'beltSlower':
      return belt && toNumber(belt, numberOf(belt) * STEP.belt)
    case 'beltFaster':
      return belt && toNumber(belt, numberOf(belt) / STEP.belt)
    default:
      return undefined
  }
}

function toNumber(of: NumberAdvice, value: number): Change | undefined {
  const from = numberOf(of)
  if (Math.abs(value - from) < 1e-9) return undefined
  const inputs = { what: of.label, from: q(of.kind, from), to: q(of.kind, value) }
  return { key: of.key, value, reason: TROUBLE.because('TROUBLE_FROM_TO', inputs) }
}

function toWord(of: Extract<Advice, { kind: 'choice' }>, value: string | undefined): Change | undefined {
  if (value === undefined || value === settled(of)) return undefined
  const said = (v: string) => of.choices.find((c) => c.value === v)?.label ?? v
  const inputs = { what: of.label, from: said(choiceOf(of)), to: said(value) }
  return { key: of.key, value, reason: TROUBLE.because('TROUBLE_FROM_TO', inputs) }
}

/** A change as what is chosen by hand. */
export const asOverride = ({ key, value }: Change): Overrides => ({ [key]: value })

/** What the plan says of what a remedy puts right, where it sets nothing otherwise. */
export function plannedFor(plan: RunPlan, remedy: RemedyId, hitId: string): Reason | undefined {
  const stroke = (plan.hits.find((h) => h.hit.id === hitId) ?? plan.hits[0])?.stroke
  const of = PLANNED[remedy]?.(plan, stroke)
  if (!of) return undefined
  const to =
    of.kind === 'choice'
      ? (of.choices.find((c) => c.value === settled(of))?.label ?? `${settled(of)}`)
      : q(of.kind, numberOf(of))
  return TROUBLE.because('TROUBLE_PLANNED', { what: of.label, to })
}

const PLANNED: Readonly<
  Partial<Record<RemedyId, (plan: RunPlan, stroke: StrokeAdvice | undefined) => Advice | undefined>>
> = {
  setGap: (plan) => plan.offContact,
  levelScreen: (plan) => plan.offContact,
  panelHeight: (plan) => plan.flashHeight,
  useTimer: (plan) => plan.flashes.find((f) => f.unit)?.dwell,
  fewerStrokes: (_, stroke) => stroke?.strokes,
  blade: (_, stroke) => stroke?.squeegee,
  sharpen: (_, stroke) => stroke?.edge,
  steady: (_, stroke) => stroke?.time,
  levelBlade: (_, stroke) => stroke?.gauge ?? stroke?.pressure,
  dryerCheck: (plan) => plan.cure.inkFilm,
  newTack: (plan) => plan.rounds.tack,
  reInk: (plan) => plan.rounds.ink,
}
