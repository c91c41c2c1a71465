import { CAUSES, type CauseId, oddsOfRun, type RunFacts } from '../trouble'
import { canPlant } from './faults'
import { begin } from './session'
import type { TrialPlan } from './trialPlan'

/** Where a fault sits, for lessons that want one of each. */
const HEAT: readonly CauseId[] = [
  'underGel',
  'deadElement',
  'flashHeight',
  'hotFilm',
  'hotBoards',
  'coldBoards',
  'overFlash',
  'leftUnder',
  'underCure',
  'dryerZone',
  'dryerHot',
]
const REGISTER: readonly CauseId[] = [
  'setUp',
  'lockDrift',
  'rotated',
  'looseHead',
  'looseBoard',
  'lowBoard',
  'noTack',
  'chokeSmall',
  'slack',
  'filmSize',
  'gapHigh',
  'shrinks',
]
const INK: readonly CauseId[] = [
  'stiff',
  'thin',
  'wrongCan',
  'weighing',
  'notStirred',
  'inkLow',
  'driedIn',
  'dirtyInk',
  'additive',
  'tooWet',
  'wetTrap',
  'dirtyBack',
]
const STROKE: readonly CauseId[] = [
  'pressLow',
  'pressHigh',
  'tilted',
  'hand',
  'dullEdge',
  'flatAngle',
  'tooFast',
  'poorFlood',
  'tooMany',
  'gapLow',
  'meshCoarse',
  'meshFine',
]
const KINDS = { heat: HEAT, stroke: STROKE, register: REGISTER, ink: INK } as const

/** A lesson made of a plan. */
export interface Lesson {
  readonly id: string
  readonly level: 1 | 2 | 3 | 4
  readonly title: string
  readonly faults: readonly CauseId[]
  /** At the first level one is told where it is. */
  readonly hint?: string
}

const kindOf = (cause: CauseId) =>
  (Object.keys(KINDS) as (keyof typeof KINDS)[]).find((k) => KINDS[k].includes(cause))

/**
 * Lessons of a shop's own plan: the faults that it makes likeliest, one of heat, stroke, register and ink first, told where; the
 * same kind again without being told; two at once; and a false alarm, first wet prints, where running on is right.
 */
export function lessonsFor(plan: TrialPlan, facts: RunFacts): readonly Lesson[] {
  const { press } = begin(plan, 1, [], 0)
  const able = (cause: CauseId) => canPlant(press, cause)
  const weight = (cause: CauseId) => CAUSES[cause].base * oddsOfRun(cause, facts)
  const likely = (of: readonly CauseId[]) =>
    of.filter((c) => able(c) && weight(c) > 0).sort((a, b) => weight(b) - weight(a))
  const kinds = Object.keys(KINDS) as (keyof typeof KINDS)[]
  const chosen = kinds
    .map((kind) => ({ kind, causes: likely(KINDS[kind]) }))
    .filter(({ causes }) => causes.length > 0)
  const told = chosen.map(
    ({ kind, causes }): Lesson => ({
      ...{
        id: `1-${kind}`,
        level: 1,
        title: `One fault, in ${WORDS[kind]}`,
        hint: `It is in ${WORDS[kind]}.`,
      },
      faults: [causes[0] as CauseId],
    }),
  )
  const untold = chosen.slice(0, 4).flatMap(({ kind, causes }): readonly Lesson[] => {
    const second = causes[1]
    return second ? [{ id: `2-${kind}`, level: 2, title: 'One fault, somewhere', faults: [second] }] : []
  })
  const pair = [chosen[0]?.causes[0], chosen[2]?.causes[0] ?? chosen[1]?.causes[0]]
  const both = pair.filter((c): c is CauseId => c !== undefined && kindOf(c) !== undefined)
  return [
    ...told,
    ...untold,
    ...(both.length === 2 && both[0] !== both[1]
      ? [{ id: '3-two', level: 3 as const, title: 'Two faults at once', faults: both }]
      : []),
    ...(able('firstPrints')
      ? [
          {
            id: '4-alarm',
            level: 4 as const,
            title: 'A false alarm, or not',
            faults: ['firstPrints' as const],
          },
        ]
      : []),
  ]
}

const WORDS = {
  heat: 'flash and dryer',
  stroke: 'blade and screen',
  register: 'register',
  ink: 'the ink',
} as const

/** What a trainee did. */
export interface Tried {
  readonly good: number
  readonly planned: number
  readonly spoiled: number
  /** Seconds of looks and remedies. */
  readonly seconds: number
  /** What the ranked list takes on the same seed, s. */
  readonly par: number
  readonly looks: number
  readonly hints: number
  /** Causes named right, of those planted. */
  readonly named: number
  readonly planted: number
}

/** Points, each with its part: weights are assumed, and shown before one begins. */
export interface Score {
  readonly total: number
  readonly parts: readonly { readonly what: string; readonly points: number }[]
  readonly passed: boolean
}

const PASS = 70
const FREE_LOOKS = 3

/** @returns points of 110 at most */
export function scoreOf(t: Tried): Score {
  const parts = [
    { what: 'Good pieces', points: Math.round((100 * t.good) / Math.max(1, t.planned)) },
    { what: 'Spoiled', points: -2 * t.spoiled },
    { what: 'Minutes over par', points: -Math.max(0, Math.round((t.seconds - t.par) / 60)) },
    { what: 'Looks beyond three', points: -0.5 * Math.max(0, t.looks - FREE_LOOKS) },
    { what: 'Hints', points: -5 * t.hints },
    { what: 'Cause named right', points: t.planted > 0 ? Math.round((10 * t.named) / t.planted) : 0 },
  ]
  const total = Math.max(
    0,
    parts.reduce((sum, p) => sum + p.points, 0),
  )
  return { total, parts, passed: total >= PASS && t.named === t.planted }
}
