import { q, type Reason } from '../advice'
import type { Duration } from '../quantity'
import { RECORD } from './definition'
import type { Stated } from './event'
import { isPaused, isUnderWay } from './minutes'

/** What a plan says that has to be heard while it is printed. */
export interface AlarmFacts {
  /** Every so many pieces: name and what is to be done. */
  readonly rounds: readonly {
    readonly id: string
    readonly name: string
    readonly every: number
    readonly reasons: readonly Reason[]
  }[]
  /** Changes of a flash along the run: from which piece on, what dwell. */
  readonly dwells: readonly { readonly name: string; readonly from: number; readonly time: Duration }[]
  /** Inks that dry in the screen. */
  readonly drying: readonly { readonly hit: string; readonly name: string }[]
  /** How long such an ink is good, s. */
  readonly potLife: Duration
}

/** Something that has to be done, or will have to be. */
export interface Alarm {
  readonly id: string
  readonly name: string
  /** Pieces or seconds until then; below nothing it is late. */
  readonly left: number
  readonly counts: 'pieces' | 'seconds'
  readonly reasons: readonly Reason[]
}

export const isDue = (alarm: Alarm): boolean => alarm.left <= 0

/** A screen of drying ink may stand so long (common practice: under a few minutes, flood). */
export const IDLE: Duration = 3 * 60

/**
 * What has to be heard now and next, the most urgent first: a pure function of what was said and of the time, so that it is
 * the same on every tablet and after a reload. What was heard counts from there.
 *
 * @param now seconds since 1970
 */
export function alarmsOf(facts: AlarmFacts, said: readonly Stated[], now: number): readonly Alarm[] {
  if (isUnderWay(said) !== 'going') return []
  const through = said.reduce((sum, e) => sum + (e.kind === 'count' || e.kind === 'spoil' ? e.n : 0), 0)
  const heard = (id: string) =>
    said.findLast((e): e is Extract<Stated, { kind: 'heard' }> => e.kind === 'heard' && e.alarm === id)
  const rounds = facts.rounds.map(
    ({ id, name, every, reasons }): Alarm => ({
      ...{ id, name, reasons, counts: 'pieces' },
      left: (heard(id)?.pieces ?? 0) + every - through,
    }),
  )
  const dwells = facts.dwells.flatMap(({ name, from, time }): readonly Alarm[] => {
    const id = `dwell ${name} ${from}`
    if (heard(id)) return []
    return [
      {
        ...{ id, name: `Flash after ${name}`, counts: 'pieces', left: from - 1 - through },
        reasons: [
          RECORD.because('ALARM_DWELL', { name, from: q('count', from), dwell: q('duration', time) }),
        ],
      },
    ]
  })
  const all = [...rounds, ...dwells, ...dryingAlarms(facts, said, now)]
  // Seconds and pieces are set beside each other as if a piece took half a minute.
  const urgency = (a: Alarm) => (a.counts === 'pieces' ? a.left * 30 : a.left)
  return all.sort((a, b) => urgency(a) - urgency(b))
}

const timeOf = (e: Stated): number => Date.parse(e.at) / 1000

function dryingAlarms(
  { drying, potLife }: AlarmFacts,
  said: readonly Stated[],
  now: number,
): readonly Alarm[] {
  const [first] = drying
  if (!first) return []
  const pots = drying.flatMap(({ hit, name }): readonly Alarm[] => {
    const opened = said.findLast(
      (e) =>
        (e.kind === 'ink' && e.hit === hit) ||
        (e.kind === 'tick' && e.step === 'head.inkIn' && e.hit === hit) ||
        (e.kind === 'heard' && e.alarm === `pot ${hit}`),
    )
    const since = opened ?? said.find((e) => e.kind === 'start' || e.kind === 'count')
    if (!since) return []
    const age = now - timeOf(since)
    return [
      {
        ...{ id: `pot ${hit}`, name: `Pot life, ${name}`, counts: 'seconds', left: potLife - age },
        reasons: [
          RECORD.because('ALARM_POT', {
            name,
            time: q('workTime', Math.max(0, age)),
            pot: q('workTime', potLife),
          }),
        ],
      },
    ]
  })
  const names = drying.map((d) => d.name).join(', ')
  const stroke = said.findLast(
    (e) => e.kind === 'count' || e.kind === 'spoil' || (e.kind === 'heard' && e.alarm === 'idle'),
  )
  if (!stroke) return pots
  const idle = now - timeOf(stroke)
  const allowed = Math.max(IDLE, LATE * usualPause(said))
  return [
    ...pots,
    {
      ...{ id: 'idle', name: 'Screens stand', counts: 'seconds', left: allowed - idle },
      reasons: [RECORD.because('ALARM_IDLE', { name: names, time: q('workTime', Math.max(0, idle)) })],
    },
  ]
}

/** Who counts ten at once says nothing for as long as ten take: only what is longer than that by so much is a stop (assumed). */
const LATE = 1.5
const LAST = 8

/** What usually lies between two counts lately, s. */
function usualPause(said: readonly Stated[]): Duration {
  const times = said
    .flatMap((e) => (e.kind === 'count' || e.kind === 'spoil' ? [timeOf(e)] : []))
    .slice(-LAST)
  const between = times.slice(1).map((t, i) => t - (times[i] ?? t))
  return between.sort((a, b) => a - b)[Math.floor(between.length / 2)] ?? 0
}

/** Whether the press stands by what was said: nothing is due then but what dries. */
export const rings = (alarm: Alarm, said: readonly Stated[]): boolean =>
  isDue(alarm) && (alarm.counts === 'seconds' || isPaused(said) === undefined)
