import { numberOf, q, type Reason } from '../advice'
import { driesInScreen, type Order, toneOf } from '../order'
import { type Duration, keysOf, type Mass } from '../quantity'
import {
  fold,
  minutesOf,
  PAUSED_BY,
  type PausedBy,
  type PressEvent,
  pressValues,
  RECORD,
  type Reading,
  type SampleOf,
  type SpoiledBy,
  type Stated,
  saidOf,
  throughOverTime,
  type Verdict,
} from '../record'
import { jobWords } from './hitPlans'
import { ownScreens, type RunPlan, screensOf } from './runPlan'

/** What is planned and what it came to, in the same unit. */
export interface Against {
  readonly planned: number
  readonly range: readonly [number, number]
  readonly was: number
}

/** What kind of job a run was, to find runs alike. */
export interface JobKind {
  /** The same design: order that it was first printed for, and its print. */
  readonly design: string
  readonly water: boolean
  readonly pressId: string
  readonly pressKind: RunPlan['press']['kind']
  readonly cloth: string
  readonly weave: string
  readonly dark: boolean
  /** Ink systems and types, sorted. */
  readonly inks: readonly string[]
  /** Geometric mean over the screens, 1/m. */
  readonly mesh: number
  readonly screens: number
  readonly pieces: number
  readonly finish: string
}

/** A run as it was lived, beside what was planned: plain data, worked out of what was said and of the revision it was printed from. */
export interface Account {
  readonly runId: string
  readonly orderId: string
  readonly words: string
  readonly revision: number
  readonly press: string
  /** ISO day of the first thing said. */
  readonly on: string
  readonly ended: boolean
  readonly people: readonly string[]
  readonly ordered: number
  readonly good: number
  readonly spoiled: number
  readonly causes: Readonly<Partial<Record<SpoiledBy, number>>>
  /** Spoiled among the first twelve, in the first half after them, in the second. */
  readonly spoiledWhen: readonly [number, number, number]
  /** Seconds. */
  readonly setup: Against | undefined
  readonly printing: Against | undefined
  /** Pieces a second, good and spoiled. */
  readonly pace: Against | undefined
  readonly paused: Duration
  readonly pauses: Readonly<Partial<Record<PausedBy, Duration>>>
  /** Whiles without a count for which no pause was noted, s. */
  readonly gaps: readonly Duration[]
  readonly set: readonly { readonly setting: string; readonly value: number | string }[]
  /** Heads that went out of service. */
  readonly down: readonly number[]
  readonly samples: readonly { readonly of: SampleOf; readonly verdict: Verdict }[]
  readonly readings: readonly { readonly what: Reading; readonly value: number; readonly hit: string }[]
  /** What each screen was to take and what was left of its tub, kg. */
  readonly ink: readonly {
    readonly name: string
    readonly planned: Mass | undefined
    readonly left: Mass | undefined
  }[]
  /** Pieces through by the second since it began. */
  readonly through: readonly { readonly at: Duration; readonly pieces: number }[]
  readonly kind: JobKind
}

/** Goes up when an account holds other facts than before. */
export const ACCOUNT_FACTS = 2
const FIRST = 12

/** What kind of job a plan is. */
export function jobKindOf(order: Order, plan: RunPlan): JobKind {
  const { press, cloth, hits, run } = plan
  const meshes = hits.map((h) => Math.log(Math.max(1, numberOf(h.mesh))))
  const types = run.placement.inks.map((i) => `${i.system} ${i.inkType}`)
  return {
    design: `${order.reorderOf ?? order.id} ${run.placement.id}`,
    water: hits.some((h) => driesInScreen(h.hit.system)),
    pressId: press.id,
    pressKind: press.kind,
    cloth: cloth.name,
    weave: cloth.weave,
    dark: toneOf(cloth) === 'dark',
    inks: [...new Set(types)].sort(),
    mesh: Math.exp(meshes.reduce((a, b) => a + b, 0) / Math.max(1, meshes.length)),
    screens: screensOf(plan),
    pieces: run.quantity,
    finish: run.placement.where,
  }
}

/**
 * The account of a run.
 *
 * @param events what was said, in any order
 */
export function accountOf(
  { order, plan, number }: { readonly order: Order; readonly plan: RunPlan; readonly number: number },
  events: readonly PressEvent[],
): Account {
  const { said, good, spoiled, causes } = fold(events)
  const minutes = minutesOf(said)
  const { time, run, press } = plan
  const sum = (map: ReadonlyMap<string, number>) => [...map.values()].reduce((a, b) => a + b, 0)
  const rate = time && numberOf(time.rate)
  const pieces = minutes.pieces
  const planned = rate && pieces > 0 ? pieces / rate : undefined
  const pace = minutes.printing && pieces > 1 ? pieces / minutes.printing : undefined
  return {
    ...{ runId: run.id, orderId: order.id, words: jobWords(order), revision: number, press: press.name },
    on: said[0]?.at.slice(0, 10) ?? '',
    ended: minutes.ended !== undefined,
    people: [...new Set(said.flatMap((e) => e.by ?? []))],
    ordered: run.quantity,
    good: sum(good),
    spoiled: sum(spoiled),
    causes: Object.fromEntries(causes),
    spoiledWhen: spoiledWhen(said, pieces),
    setup:
      time && minutes.setup !== undefined
        ? { planned: numberOf(time.setup), range: time.setup.range, was: minutes.setup }
        : undefined,
    printing:
      planned !== undefined && minutes.printing !== undefined
        ? {
            planned,
            range: [pieces / (time?.rate.range[1] ?? 1), pieces / (time?.rate.range[0] ?? 1)],
            was: minutes.printing,
          }
        : undefined,
    pace:
      rate !== undefined && time && pace !== undefined
        ? { planned: rate, range: time.rate.range, was: pace }
        : undefined,
    paused: minutes.paused,
    pauses: Object.fromEntries(minutes.pauses),
    gaps: minutes.gaps.map((g) => g.length),
    set: Object.entries(pressValues(said)).map(([setting, value]) => ({ setting, value })),
    down: [...new Set(saidOf(said, 'down').map((e) => e.head))],
    samples: saidOf(said, 'sample').map(({ of, verdict }) => ({ of, verdict })),
    readings: saidOf(said, 'read').map(({ what, value, hit }) => ({ what, value, hit })),
    ink: ownScreens(plan.hits).map((h) => ({
      name: h.hit.name,
      planned: h.ink && numberOf(h.ink),
      left: saidOf(said, 'weigh').findLast((w) => w.hit === h.hit.id)?.mass,
    })),
    through: throughOverTime(said),
    kind: jobKindOf(order, plan),
  }
}

/** Where in the run pieces were spoiled: settling in, on the way, towards the end. */
function spoiledWhen(said: readonly Stated[], pieces: number): [number, number, number] {
  const found: [number, number, number] = [0, 0, 0]
  const half = FIRST + (pieces - FIRST) / 2
  let through = 0
  for (const e of said) {
    if (e.kind !== 'count' && e.kind !== 'spoil') continue
    through += e.n
    if (e.kind === 'spoil') found[through <= FIRST ? 0 : through <= half ? 1 : 2] += e.n
  }
  return found
}

/** Why what took so long is worth saying, in the record's words. */
export function accountReasons({ setup, pace, printing, gaps }: Account): {
  readonly setup: readonly Reason[]
  readonly pace: readonly Reason[]
} {
  const lost = gaps.reduce((a, b) => a + b, 0)
  return {
    setup: setup
      ? [
          RECORD.because('RECORD_TIME', {
            planned: q('workTime', setup.planned),
            took: q('workTime', setup.was),
          }),
        ]
      : [],
    pace:
      pace && printing
        ? [
            RECORD.because('RECORD_PACE', {
              planned: q('rate', pace.planned),
              was: q('rate', pace.was),
              pieces: q('count', Math.round(pace.was * printing.was)),
              took: q('workTime', printing.was),
            }),
            ...(lost > 0 && lost < printing.was
              ? [
                  RECORD.because('RECORD_GAP', {
                    time: q('workTime', lost),
                    low: q('rate', pace.was),
                    high: q('rate', (pace.was * printing.was) / (printing.was - lost)),
                  }),
                ]
              : []),
          ]
        : [],
  }
}

/** Where hours at the presses went. */
export interface TimeSpent {
  readonly name: string
  readonly seconds: Duration
}

/** Set-up, printing and each cause of standing over runs, the longest first. */
export function timeSpent(accounts: readonly Account[]): readonly TimeSpent[] {
  const total = (of: (a: Account) => number | undefined) => accounts.reduce((sum, a) => sum + (of(a) ?? 0), 0)
  return [
    { name: 'Printing', seconds: total((a) => a.printing?.was) },
    { name: 'Set-up', seconds: total((a) => a.setup?.was) },
    ...keysOf(PAUSED_BY).map((cause) => ({ name: PAUSED_BY[cause], seconds: total((a) => a.pauses[cause]) })),
  ]
    .filter((s) => s.seconds > 0)
    .sort((a, b) => b.seconds - a.seconds)
}

/**
 * What was against what was planned over runs, as a factor: the mean of logarithms, since twice and half as much are equally far
 * off. Undefined where none can be told.
 */
export function meanAgainst(all: readonly (Against | undefined)[]): number | undefined {
  const logs = all.flatMap((a) => (a && a.planned > 0 && a.was > 0 ? [Math.log(a.was / a.planned)] : []))
  return logs.length === 0 ? undefined : Math.exp(logs.reduce((a, b) => a + b, 0) / logs.length)
}

/** Set-up of a screen over runs, s: what a shop may plan with. Undefined under three runs. */
export function setupPerScreen(accounts: readonly Account[]): Duration | undefined {
  const logs = accounts.flatMap((a) =>
    a.ended && a.setup && a.setup.was > 0 && a.kind.screens > 0
      ? [Math.log(a.setup.was / a.kind.screens)]
      : [],
  )
  return logs.length < 3 ? undefined : Math.exp(logs.reduce((x, y) => x + y, 0) / logs.length)
}
