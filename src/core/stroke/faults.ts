import { type ChoiceAdvice, choiceOf, type NumberAdvice, numberOf, q, type Reason } from '../advice'
import { degrees } from '../quantity'
import { PRESSURE_STEPS, STROKE } from './definition'
import type { StrokeAdvice } from './stroke'

type Step = 'firmer' | 'lighter' | 'slower' | 'faster' | 'more' | 'fewer' | 'harder' | 'steeper' | 'flood'
type Word = 'FAULT_EVEN' | 'FAULT_WHITE' | 'FAULT_SMOOTH'

/** What is seen at the sample, with what to change first. Common practice. */
export const FAULTS = {
  patchy: { label: 'Patches, ink left in the mesh', steps: ['firmer', 'slower', 'more'] },
  clumpy: { label: 'Dots closed, edges blown out', steps: ['lighter', 'harder', 'steeper'] },
  through: { label: 'Ink through the cloth', steps: ['lighter', 'fewer', 'faster'] },
  smeared: { label: 'Smeared', steps: ['lighter', 'steeper', 'faster'] },
  dull: { label: 'Dull, the cloth shows', steps: ['slower', 'more'], then: 'FAULT_WHITE' },
  uneven: { label: 'Prints differ from each other', steps: [], then: 'FAULT_EVEN' },
  driesIn: { label: 'Ink dries in', steps: ['flood'] },
  fuzzy: { label: 'Fuzzy surface', steps: [], then: 'FAULT_SMOOTH' },
} as const satisfies Record<
  string,
  { readonly label: string; readonly steps: readonly Step[]; readonly then?: Word }
>
export type Fault = keyof typeof FAULTS

/** One thing to try, and the choice that does it; none where nothing of the stroke does. */
export interface Remedy {
  readonly reason: Reason
  readonly change?: { readonly key: string; readonly value: number | string }
}

const HARDER: Readonly<Record<string, string>> = {
  '60': '70',
  '70': '80',
  '80': '90',
  '60/90/60': '70/90/70',
  '70/90/70': '80',
}
const STEP = { time: 1.25, angle: degrees(5) } as const

/** What to try for a fault at one hit, first things first; what is at its end already is left out. */
export function remedies(fault: Fault, name: string, stroke: StrokeAdvice): readonly Remedy[] {
  const { steps, ...rest } = FAULTS[fault]
  const found = (steps as readonly Step[]).flatMap((step) => remedy(step, name, stroke) ?? [])
  const then: readonly Remedy[] = 'then' in rest ? [{ reason: STROKE.because(rest.then) }] : []
  return [...found, ...then]
}

/** A quarter of what a word for pressure spans. */
const increment = ({ range: [low, high] }: NumberAdvice): number => (high - low) / 4

function remedy(step: Step, name: string, stroke: StrokeAdvice): Remedy | undefined {
  const { pressure, gauge, time, strokes, squeegee, angle, flood } = stroke
  const number = (
    rule:
      | 'FAULT_FIRMER'
      | 'FAULT_LIGHTER'
      | 'FAULT_SLOWER'
      | 'FAULT_FASTER'
      | 'FAULT_MORE'
      | 'FAULT_FEWER'
      | 'FAULT_STEEPER',
    of: NumberAdvice,
    to: number,
  ): Remedy | undefined => {
    const from = numberOf(of)
    const least = of.kind === 'count' ? 1 : 0
    const value = Math.max(least, to)
    if (Math.abs(value - from) < 1e-9) return undefined
    return {
      reason: STROKE.because(rule, { from: q(of.kind, from), to: q(of.kind, value) }),
      change: { key: of.key, value },
    }
  }
  const word = (
    rule: 'FAULT_FIRMER' | 'FAULT_LIGHTER' | 'FAULT_HARDER',
    of: ChoiceAdvice,
    to: string | undefined,
  ): Remedy | undefined =>
    to === undefined
      ? undefined
      : {
          reason: STROKE.because(rule, { from: choiceOf(of), to }),
          change: { key: of.key, value: to },
        }
  const press = PRESSURE_STEPS.indexOf(choiceOf(pressure))
  switch (step) {
    // A scale goes in small increments, words do not.
    case 'firmer':
      if (gauge) return number('FAULT_FIRMER', gauge, numberOf(gauge) + increment(gauge))
      return word('FAULT_FIRMER', pressure, PRESSURE_STEPS[press + 1])
    case 'lighter':
      if (gauge) return number('FAULT_LIGHTER', gauge, numberOf(gauge) - increment(gauge))
      return word('FAULT_LIGHTER', pressure, press > 0 ? PRESSURE_STEPS[press - 1] : undefined)
    case 'harder':
      return word('FAULT_HARDER', squeegee, HARDER[choiceOf(squeegee)])
    case 'slower':
      return number('FAULT_SLOWER', time, numberOf(time) * STEP.time)
    case 'faster':
      return number('FAULT_FASTER', time, numberOf(time) / STEP.time)
    case 'more':
      return number('FAULT_MORE', strokes, numberOf(strokes) + 1)
    case 'fewer':
      return number('FAULT_FEWER', strokes, numberOf(strokes) - 1)
    case 'steeper':
      return number('FAULT_STEEPER', angle, numberOf(angle) - STEP.angle)
    case 'flood':
      return choiceOf(flood) === 'full'
        ? undefined
        : { reason: STROKE.because('FAULT_FLOOD', { name }), change: { key: flood.key, value: 'full' } }
    default:
      return step satisfies never
  }
}
