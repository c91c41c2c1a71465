import { numberOf, q, type Reason } from '../advice'
import { keysOf } from '../quantity'
import { type Computed, REMEDIES, TROUBLE } from '../trouble'
import { withPressValues } from './atPress'
import { coolerBy } from './coolerBy'
import { asOverride, type Change, changeFor, flashUnder, plannedFor } from './remedyChange'
import { heatOf, type RunHeat } from './runHeat'
import type { RunPlan } from './runPlan'

/** What each remedy changes besides, for the screen that shows the trouble. */
export type Sides = Readonly<Record<string, readonly Reason[]>>

/** Over this the film sticks to the screen that meets it, kelvin (common practice). */
const TACKY = 328.15
/** A wait or an empty station more, s, and an air pause over every lap of three (assumed). */
const WAIT = 5
/** Share of ink that a stroke less leaves out, by common practice about a quarter of a second stroke's. */
const LESS_INK = 0.2

/** What trouble asks of a run's models: heat as it is planned, and by screen what each remedy breaks. */
export interface TroubleRun {
  readonly heat: RunHeat | undefined
  readonly sides: Readonly<Record<string, Sides>>
}

/**
 * What remedies break, worked out by the models before they are offered, for each screen that may show the trouble. Heat is run
 * again with each flash as it would be: hundreds of milliseconds, off the interface thread.
 *
 * @param lockSpread how far a lock moves a head, metres, where that was learnt
 */
export function troubleRun(plan: RunPlan, lockSpread?: number): TroubleRun {
  const heat = heatOf(plan)
  const known = new Map<string, RunHeat | undefined>()
  const after = (change: Change): RunHeat | undefined => {
    if (!change.key.startsWith('dwell')) return undefined
    const key = `${change.key} ${change.value}`
    if (!known.has(key)) known.set(key, heatOf(withPressValues(plan, asOverride(change))))
    return known.get(key)
  }
  const sidesFor = (hitId: string): Sides =>
    Object.fromEntries(
      keysOf(REMEDIES).map((id) => {
        const row = REMEDIES[id]
        const change = changeFor(plan, id, hitId)
        const planned = plannedFor(plan, id, hitId)
        const tried: Tried = {
          ...{ plan, heat, hitId, lockSpread, toPlan: !change && planned !== undefined },
          then: change && withPressValues(plan, asOverride(change)),
          after: change && after(change),
        }
        const sides = 'side' in row ? row.side.flatMap((side) => sideOf(side, tried)) : []
        const set = change?.reason ?? planned
        return [id, [...(set ? [set] : []), ...sides]]
      }),
    )
  return { heat, sides: Object.fromEntries(plan.hits.map((h) => [h.hit.id, sidesFor(h.hit.id)])) }
}

interface Tried {
  readonly plan: RunPlan
  /** With the change in force. */
  readonly then: RunPlan | undefined
  readonly heat: RunHeat | undefined
  readonly after: RunHeat | undefined
  readonly hitId: string
  readonly lockSpread: number | undefined
  /** The remedy only sets back to what is planned. */
  readonly toPlan: boolean
}

function sideOf(side: Computed | keyof typeof TROUBLE.rules, tried: Tried): readonly Reason[] {
  const { plan, then, heat, after, hitId, lockSpread, toPlan } = tried
  switch (side) {
    case 'boards':
      return boards(heat, after)
    case 'next':
      return next(heat, after)
    case 'limit':
      return limit(tried)
    case 'need':
      return need(tried)
    case 'cool':
      return heat ? coolerBy(heat, plan.hits.find((h) => h.hit.id === hitId)?.hit.name ?? '') : []
    case 'rate':
      return rate(plan)
    case 'belt':
      return belt(plan, then)
    case 'lessInk':
      // Set back to what is planned, it prints as planned.
      return !toPlan ? [TROUBLE.because('SIDE_INK_LESS', { share: q('share', LESS_INK) })] : []
    case 'lock':
      return [
        lockSpread === undefined
          ? TROUBLE.because('SIDE_LOCK_ANEW')
          : TROUBLE.because('SIDE_LOCK', { off: q('fine', lockSpread) }),
      ]
    case 'flashMore': {
      const dwell = flashUnder(plan, tried.hitId)?.dwell
      return dwell ? [TROUBLE.because('SIDE_FLASH_MORE', { time: q('duration', numberOf(dwell)) })] : []
    }
    default:
      return [TROUBLE.because(side)]
  }
}

/** Nobody reads a difference below these, K, s. */
const READ = 1
const READ_S = 0.25

function boards(was: RunHeat | undefined, now: RunHeat | undefined): readonly Reason[] {
  const [from, to] = [was?.laps.at(-1)?.board, now?.laps.at(-1)?.board]
  if (from === undefined || to === undefined || Math.abs(to - from) < READ) return []
  return [TROUBLE.because('SIDE_BOARDS', { from: q('temperature', from), to: q('temperature', to) })]
}

/** The warmest print on a flashed film, then and now; and from which garment on it sticks that did not. */
function next(was: RunHeat | undefined, now: RunHeat | undefined): readonly Reason[] {
  const [before, end] = [was?.laps.at(-1)?.prints, now?.laps.at(-1)?.prints]
  if (!now || !before || !end) return []
  return end.flatMap((p, i) => {
    const old = before[i]
    if (!old || Math.abs(p.film - old.film) < READ) return []
    const sticks = now.laps.findIndex((l) => (l.prints[i]?.film ?? 0) > TACKY)
    const was = old.film > TACKY
    return [
      TROUBLE.because('SIDE_NEXT', {
        name: p.name,
        to: q('temperature', p.film),
        from: q('temperature', old.film),
      }),
      ...(sticks >= 0 && !was
        ? [
            TROUBLE.because('SIDE_STICKS', {
              name: p.name,
              piece: q('count', sticks * now.pallets + 1),
            }),
          ]
        : []),
    ]
  })
}

/** The flash that the remedy sets, in a lap. */
function flashIn(heat: RunHeat | undefined, { plan, hitId }: Tried, lap: 'first' | 'last') {
  const key = flashUnder(plan, hitId)?.dwell.key
  const at = heat?.flashes.findIndex((f) => f.key === key) ?? -1
  return lap === 'first' ? heat?.laps[0]?.flashes[at] : heat?.laps.at(-1)?.flashes[at]
}

function limit(tried: Tried): readonly Reason[] {
  const f = flashIn(tried.after, tried, 'last')
  if (f?.limit === undefined) return []
  const left = f.limit - f.time
  return [
    left > READ_S
      ? TROUBLE.because('SIDE_LIMIT', { left: q('duration', left) })
      : TROUBLE.because('SIDE_SHUT', { limit: q('duration', f.limit) }),
  ]
}

function need(tried: Tried): readonly Reason[] {
  const f = flashIn(tried.after, tried, 'first')
  if (f?.needed === undefined) return []
  const left = f.time - f.needed
  return [
    left > READ_S
      ? TROUBLE.because('SIDE_NEED', { left: q('duration', left) })
      : TROUBLE.because('SIDE_UNDER', { needed: q('duration', f.needed) }),
  ]
}

/** What a few seconds more for every garment cost. */
function rate({ time }: RunPlan): readonly Reason[] {
  if (!time) return []
  const from = numberOf(time.rate)
  return [
    TROUBLE.because('SIDE_RATE', {
      time: q('duration', WAIT),
      from: q('rate', from),
      to: q('rate', 1 / (1 / from + WAIT)),
    }),
  ]
}

/** What the dryer lets through then, against what the press makes. */
function belt({ time, cure }: RunPlan, then: RunPlan | undefined): readonly Reason[] {
  const [old, now] = [cure.belt, then?.cure.belt]
  if (!time?.most || !old || !now) return []
  const takes = (time.most * numberOf(now)) / numberOf(old)
  const makes = numberOf(time.rate)
  const inputs = { belt: q('rate', takes), rate: q('rate', makes) }
  return [TROUBLE.because(takes < makes ? 'SIDE_BELT_SHORT' : 'SIDE_BELT', inputs)]
}
