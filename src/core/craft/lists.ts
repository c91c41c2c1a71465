import type { Advice } from '../advice'
import type { OwnStep } from '../equipment'
import type { Duration } from '../quantity'
import {
  type CraftOf,
  type CraftRoom,
  type CraftStep,
  type Figure,
  PROCEDURES,
  type Procedure,
  type When,
} from './procedures'

/** A screen, a flash or an ink that a list is made for. */
export interface CraftSubject {
  /** The hit that it is of; empty for the run. */
  readonly hit: string
  readonly name: string
}

/** What a job is like, as far as the lists ask. */
export interface CraftJob {
  readonly subjects: Readonly<Record<CraftOf, readonly CraftSubject[]>>
  readonly holds: (when: When, hit: string) => boolean
  /** The number of the plan beside a step; in words where it is none that could be set otherwise. */
  readonly figure: (figure: Figure, hit: string) => Advice | string | undefined
}

export interface ListStep extends Omit<CraftStep, 'figure' | 'when' | 'wait'> {
  /** `list.step`. */
  readonly key: string
  readonly figure: Advice | string | undefined
  readonly wait: Duration | undefined
  /** The shop's own words, or its own step. */
  readonly own: boolean
}

/** A list as it is worked through. */
export interface CraftList {
  readonly id: string
  readonly title: string
  readonly room: CraftRoom
  readonly subject: CraftSubject
  readonly caution: string | undefined
  readonly steps: readonly ListStep[]
}

const TABLE: Readonly<Record<string, Procedure>> = PROCEDURES

/**
 * The lists of a job, in working order: for each screen, flash and ink its own, with the plan's numbers.
 *
 * @param own what the shop does otherwise
 */
export function listsFor(job: CraftJob, own: readonly OwnStep[] = []): readonly CraftList[] {
  return Object.entries(TABLE).flatMap(([id, list]) =>
    job.subjects[list.of].flatMap((subject): readonly CraftList[] => {
      if (list.when && !job.holds(list.when, subject.hit)) return []
      const steps = stepsOf(id, list, own)
        .filter(({ when }) => !when || job.holds(when, subject.hit))
        .map(({ when: _, figure, wait, ...step }) => ({
          ...step,
          wait,
          figure: figure && job.figure(figure, subject.hit),
        }))
      const { title, room, caution } = list
      return steps.length > 0 ? [{ id, title, room, subject, caution, steps }] : []
    }),
  )
}

/** A list's steps with what the shop laid over them; its own come last. */
function stepsOf(id: string, list: Procedure, own: readonly OwnStep[]) {
  const usual = Object.entries(list.steps).map(([step, usually]) => ({ key: `${id}.${step}`, ...usually }))
  const named = new Set(usual.map((s) => s.key))
  const added = own.flatMap(({ step: key, name, good }) =>
    key.startsWith(`${id}.`) && !named.has(key) && name ? [{ key, name, good }] : [],
  )
  return [...usual, ...added].flatMap((step): readonly (CraftStep & { key: string; own: boolean })[] => {
    const said = own.find((o) => o.step === step.key)
    if (said?.off) return []
    return [
      { ...step, name: said?.name || step.name, good: said?.good || step.good, own: said !== undefined },
    ]
  })
}

/** What a step is called, wherever there is no job to ask. */
export function stepName(key: string, own: readonly OwnStep[] = []): string {
  const [list = '', step = ''] = key.split('.')
  return own.find((o) => o.step === key)?.name || (TABLE[list]?.steps[step]?.name ?? key)
}
