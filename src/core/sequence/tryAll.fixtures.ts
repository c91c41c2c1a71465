/** Judges written a second time, by trying everything: what the search must agree with. */
import { expect } from 'vitest'
import {
  type Event,
  FLASH,
  type Hit,
  type Job,
  meeting,
  OTHER_JOB,
  type PressSpace,
  type Ring,
  solve,
} from './index'
import { pairCodes } from './rules'
import { COST } from './tables'
import { wetTerms } from './wetRisk'

/** Scores a finished list of events from the rules alone; undefined when a rule is broken. Shares no code with the search. */
export function score(job: Job, events: readonly Event[], press: PressSpace): number | undefined {
  const wetOnWet = press.kind === 'stations' || press.wetOnWet
  const groupOf = new Map<number, number>()
  let group = 0
  let cost = 0
  const order: number[] = []
  for (const [at, e] of events.entries()) {
    const before = events[at - 1]
    const beforeRole = before?.kind === 'print' ? job.hits[before.hit]?.role : undefined
    if (e.kind === 'flash') {
      if (at === 0 || before?.kind === 'flash' || beforeRole === 'smoothing' || at === events.length - 1)
        return undefined
      if (order.some((i) => job.hits[i]?.role === 'expanding')) return undefined
      const onlyWhites = order.every((i) => ['base', 'base2', 'smoothing'].includes(job.hits[i]?.role ?? ''))
      const byHand = job.explicit?.includes(FLASH) ?? false
      if (job.method.flash === 'afterBase' && wetOnWet && !onlyWhites && !byHand) return undefined
      group++
      cost += COST.flash
      continue
    }
    const me = job.hits[e.hit] as Hit
    if (me.role === 'smoothing') {
      const adjacent =
        press.kind === 'heads' || e.station === (before?.station ?? 0) + (press.flashWidth ?? 1)
      if (before?.kind !== 'flash' || !adjacent) return undefined
    }
    const again = job.hits.some((h) => h.role === 'base2')
    if (beforeRole === 'smoothing' && (again || !job.smoothsBase)) {
      const white = again ? 'base2' : 'highlight'
      if (me.role !== white) return undefined
    }
    const dries = (h: Hit) => h.system !== 'plastisol' && h.role !== 'smoothing'
    const wetNow = order.filter((i) => groupOf.get(i) === group && dries(job.hits[i] as Hit)).length
    if (job.method.wetMost === 'three' && dries(me) && wetNow >= 3) return undefined
    for (const i of order) {
      const other = job.hits[i] as Hit
      const meet = meeting(job, other, me)
      const wet = groupOf.get(i) === group
      const verdicts = pairCodes(other, me, { job, meet, wetOnWet })
      const codes = verdicts.map(([code]) => code)
      if (verdicts.some(([, v]) => v === 'any' || (v === 'dry' && !wet))) return undefined
      const wetForbidden = verdicts.some(([, v]) => v === 'wet') && wet
      const never = codes.includes('BASE_FLASH') || codes.includes('HAND_FLASH')
      const tolerated = job.method.flash === 'afterBase' && wetOnWet && !never
      if (wetForbidden && !tolerated) return undefined
      if (wetForbidden) cost += 60 * COST.wetRisk
      const points = wetTerms(other, me, meet, wet ? 'wet' : 'dry', job.method).reduce(
        (sum, x) => sum + x.points,
        0,
      )
      cost += Math.round(points * COST.wetRisk)
    }
    order.push(e.hit)
    groupOf.set(e.hit, group)
  }
  return press.kind === 'heads' ? cost : cost + layoutCost(job, events, press)
}

/** Missing cool-down, set-up moves and spare gaps of a layout. */
export function layoutCost(job: Job, events: readonly Event[], press: Ring): number {
  let cost = 0
  const taken = new Set(events.map((e) => e.station))
  const wide = press.flashWidth ?? 1
  const lastPrint = Math.max(...events.map((e) => e.station ?? 0))
  let cooling = 0
  for (const { number, usable, mounted, flashStands } of press.stations) {
    if (number > lastPrint) break
    const event = events.find((e) => e.station === number)
    // What lies under a wide unit is neither free nor does it cool.
    const over = events.find(
      (e) => e.kind === 'flash' && number > (e.station ?? 0) && number < (e.station ?? 0) + wide,
    )
    if (over) {
      const stood = press.stations.find((s) => s.number === over.station)?.flashStands
      if (mounted === OTHER_JOB && !stood) cost += COST.move
      continue
    }
    if (event) {
      const mine = event.kind === 'print' && mounted === job.hits[event.hit]?.id
      const away = (mounted === OTHER_JOB ? 1 : 0) + (event.kind === 'print' && flashStands ? 1 : 0)
      const there = mine || (event.kind === 'flash' && flashStands)
      if (!there) cost += COST.move * ((event.kind === 'flash' ? 2 : 1) + away)
    }
    if (event?.kind === 'flash') cooling = press.cool
    else if (event && job.hits[event.hit]?.role === 'smoothing') cooling = Math.max(0, cooling - 1)
    else if (event) {
      cost += cooling * COST.missingCool
      cooling = 0
    } else if (cooling > 0) cooling--
    else if (usable && !taken.has(number)) cost += COST.spareGap
  }
  return cost
}

/** Every order with every set of flashes. */
export function* everyOrder(
  n: number,
  wanted: readonly Event[] = [],
  left = [...Array(n).keys()],
): Generator<readonly Event[]> {
  if (left.length === 0) {
    yield wanted
    return
  }
  for (const hit of left) {
    const rest = left.filter((x) => x !== hit)
    yield* everyOrder(n, [...wanted, { kind: 'print', hit }], rest)
    if (wanted.length > 0) yield* everyOrder(n, [...wanted, { kind: 'flash' }, { kind: 'print', hit }], rest)
  }
}

/** Every way to lay out an order on the ring. */
export function* everyLayout(
  order: readonly Event[],
  press: Ring,
  from = 0,
  done: readonly Event[] = [],
): Generator<readonly Event[]> {
  const next = order[done.length]
  if (!next) {
    yield done
    return
  }
  for (let s = from; s < press.stations.length; s++) {
    const station = press.stations[s]
    if (!station || !(next.kind === 'flash' ? station.flashAllowed : station.usable)) continue
    const takes = next.kind === 'flash' ? (press.flashWidth ?? 1) : 1
    if (s + takes > press.stations.length) continue
    yield* everyLayout(order, press, s + takes, [...done, { ...next, station: station.number }])
  }
}

export function bruteForce(job: Job, press: PressSpace): number | undefined {
  let best: number | undefined
  for (const order of everyOrder(job.hits.length)) {
    const anywhere = score(
      job,
      order,
      press.kind === 'heads' ? press : { kind: 'heads', heads: 'unlimited', hasFlash: true, wetOnWet: true },
    )
    if (anywhere === undefined || (best !== undefined && anywhere >= best)) continue
    if (press.kind === 'heads') {
      best = anywhere
      continue
    }
    if (order.filter((e) => e.kind === 'flash').length > press.flashUnits) continue
    for (const layout of everyLayout(order, press)) {
      const cost = score(job, layout, press)
      if (cost !== undefined && (best === undefined || cost < best)) best = cost
    }
  }
  return best
}

/** Search and brute force give the same cost, or both none; 1 when there is a plan. */
export function agree(job: Job, press: PressSpace): number {
  const found = solve(job, press, 'press')
  expect(found.fits ? found.best.cost : undefined).toBe(bruteForce(job, press))
  if (found.fits) expect(score(job, found.best.events, press)).toBe(found.best.cost)
  return found.fits ? 1 : 0
}

export const smoothingAlone = (job: Job) =>
  job.hits.some((h) => h.role === 'smoothing') &&
  !job.hits.some((h) => h.role === 'base2' || h.role === 'highlight')

/** Which hits are dried before which others, of those that care: what tells two orders apart. */
export function structure(job: Job, events: readonly Event[], wetOnWet: boolean): string {
  const group = new Map<number, number>()
  let groups = 0
  for (const e of events) {
    if (e.kind === 'flash') groups++
    else group.set(e.hit, groups)
  }
  const cost = (i: Hit, j: Hit, state: 'wet' | 'dry') => {
    const meet = meeting(job, i, j)
    const verdicts = pairCodes(i, j, { job, meet, wetOnWet })
    const never = verdicts.some(([c]) => c === 'BASE_FLASH' || c === 'HAND_FLASH')
    const tolerated = job.method.flash === 'afterBase' && wetOnWet && !never
    const forbids = (v: string) => verdicts.some(([, x]) => x === v)
    if (forbids('any') || (state === 'dry' ? forbids('dry') : forbids('wet') && !tolerated)) return 1e9
    const wetRisk = wetTerms(i, j, meet, state, job.method).reduce((sum, x) => sum + x.points, 0)
    return Math.round(COST.wetRisk * wetRisk) + (state === 'wet' && forbids('wet') ? 60 * COST.wetRisk : 0)
  }
  const pairs = job.hits.flatMap((i, a) =>
    job.hits.flatMap((j, b) =>
      (group.get(a) ?? 0) < (group.get(b) ?? 0) && cost(i, j, 'wet') !== cost(i, j, 'dry')
        ? [`${a}<${b}`]
        : [],
    ),
  )
  return pairs.join()
}

/** Every way to lay out an order on the ring in two laps: a border, then stations for each lap. */
export function* everyTwoLaps(order: readonly Event[], press: Ring): Generator<readonly Event[]> {
  for (let border = 0; border <= order.length; border++)
    for (const one of everyLayout(order.slice(0, border), press))
      for (const two of everyLayout(order.slice(border), press))
        yield [...one.map((e) => ({ ...e, lap: 1 as const })), ...two.map((e) => ({ ...e, lap: 2 as const }))]
}

/** What two laps cost beyond their order; undefined when two things stand at one place. */
export function lapsCost(job: Job, events: readonly Event[], press: Ring): number | undefined {
  const role = (e: Event) => (e.kind === 'flash' ? 'flash' : job.hits[e.hit]?.role)
  const at = new Map<number, Event[]>()
  for (const e of events) at.set(e.station ?? 0, [...(at.get(e.station ?? 0) ?? []), e])
  for (const [a, b] of at.values()) {
    if (!a || !b) continue
    const roles = [role(a), role(b)].join()
    if (roles !== 'flash,flash' && roles !== 'base,base2') return undefined
  }
  const wide = press.flashWidth ?? 1
  const stood = events.filter((e) => e.kind === 'flash').map((e) => e.station ?? 0)
  for (const e of events)
    if (stood.some((f) => (e.station ?? 0) > f && (e.station ?? 0) < f + wide)) return undefined
  const units = [...at.values()].filter(([e]) => e?.kind === 'flash').length
  if (units > press.flashUnits) return undefined
  let cost = 0
  for (const [i, e] of events.entries()) {
    if (e.kind === 'flash') continue
    const before = events[i - 1]
    if (role(e) === 'smoothing') {
      if (
        before?.kind !== 'flash' ||
        before.lap !== e.lap ||
        (e.station ?? 0) !== (before.station ?? 0) + wide
      )
        return undefined
      continue
    }
    const smoothed = before !== undefined && role(before) === 'smoothing' && before.lap === e.lap
    const flash = smoothed ? events[i - 2] : before
    if (flash?.kind !== 'flash' || flash.lap !== e.lap) continue
    const passed = (e.station ?? 0) - (flash.station ?? 0) - wide
    cost += Math.max(0, press.cool - passed) * COST.missingCool
  }
  return cost
}
