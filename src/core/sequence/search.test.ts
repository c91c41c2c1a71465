import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  type Event,
  FLASH,
  type Hit,
  type Job,
  meeting,
  movesIn,
  OTHER_JOB,
  type PressSpace,
  type Ring,
  solve,
} from './index'
import { anyJob, anyRing } from './jobs.fixtures'
import { mudTerms } from './mud'
import { pairCodes } from './rules'
import { COST } from './tables'

/** Scores a finished list of events from the rules alone; undefined when a rule is broken. Shares no code with the search. */
function score(job: Job, events: readonly Event[], press: PressSpace): number | undefined {
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
    if (beforeRole === 'smoothing') {
      const white = job.hits.some((h) => h.role === 'base2') ? 'base2' : 'highlight'
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
      if (wetForbidden) cost += 60 * COST.mud
      const points = mudTerms(other, me, meet, wet ? 'wet' : 'dry', job.method).reduce(
        (sum, x) => sum + x.points,
        0,
      )
      cost += Math.round(points * COST.mud)
    }
    order.push(e.hit)
    groupOf.set(e.hit, group)
  }
  return press.kind === 'heads' ? cost : cost + layoutCost(job, events, press)
}

/** Missing cool-down, handgrips and spare gaps of a layout. */
function layoutCost(job: Job, events: readonly Event[], press: Ring): number {
  let cost = 0
  const taken = new Set(events.map((e) => e.station))
  const wide = press.flashWidth ?? 1
  const lastPrint = Math.max(...events.map((e) => e.station ?? 0))
  let cooling = 0
  for (const { number, usable, hangs, flashStands } of press.stations) {
    if (number > lastPrint) break
    const event = events.find((e) => e.station === number)
    // What lies under a wide unit is neither free nor does it cool.
    const over = events.find(
      (e) => e.kind === 'flash' && number > (e.station ?? 0) && number < (e.station ?? 0) + wide,
    )
    if (over) {
      const stood = press.stations.find((s) => s.number === over.station)?.flashStands
      if (hangs === OTHER_JOB && !stood) cost += COST.move
      continue
    }
    if (event) {
      const mine = event.kind === 'print' && hangs === job.hits[event.hit]?.id
      const away = (hangs === OTHER_JOB ? 1 : 0) + (event.kind === 'print' && flashStands ? 1 : 0)
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
function* everyOrder(
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

/** Every way to hang an order on the ring. */
function* everyLayout(
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

function bruteForce(job: Job, press: PressSpace): number | undefined {
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
function agree(job: Job, press: PressSpace): number {
  const found = solve(job, press, 'press')
  expect(found.fits ? found.best.cost : undefined).toBe(bruteForce(job, press))
  if (found.fits) expect(score(job, found.best.events, press)).toBe(found.best.cost)
  return found.fits ? 1 : 0
}

const smoothingAlone = (job: Job) =>
  job.hits.some((h) => h.role === 'smoothing') &&
  !job.hits.some((h) => h.role === 'base2' || h.role === 'highlight')

describe('the search against trying everything', () => {
  it('finds the cheapest order by hand and on a bench', () => {
    let fits = 0
    fc.assert(
      fc.property(anyJob(6), fc.boolean(), (job, wetOnWet) => {
        fc.pre(!smoothingAlone(job))
        const press: PressSpace = { kind: 'heads', heads: 'unlimited', hasFlash: true, wetOnWet }
        fits += agree(job, press)
      }),
      { numRuns: 500, seed: 11 },
    )
    expect(fits).toBeGreaterThan(160)
  }, 120_000)
  it('finds the cheapest layout of one revolution', () => {
    let fits = 0
    fc.assert(
      fc.property(anyJob(6), anyRing, (job, press) => {
        fc.pre(!smoothingAlone(job))
        fits += agree(job, press)
      }),
      { numRuns: 500, seed: 12 },
    )
    expect(fits).toBeGreaterThan(80)
  }, 120_000)
})

describe('the least moving', () => {
  const ring = (hangs: Readonly<Record<number, string>>, flash: readonly number[] = []): Ring => ({
    kind: 'stations',
    stations: Array.from({ length: 8 }, (_, i) => ({
      number: i + 1,
      usable: true,
      flashAllowed: true,
      ...(hangs[i + 1] ? { hangs: hangs[i + 1] } : {}),
      flashStands: flash.includes(i + 1),
    })),
    flashUnits: 2,
    cool: 1,
  })
  const colour = (id: string, L: number): Hit => ({
    id,
    name: id,
    role: 'spot',
    L,
    opacity: 0.4,
    coverage: 0.2,
    system: 'plastisol',
    onBase: false,
  })
  const job: Job = {
    hits: [colour('a', 80), colour('b', 50), colour('c', 30)],
    relations: [],
    darkCloth: false,
    method: { flash: 'where', colourOrder: 'overpower', wetMost: 'any' },
  }
  const stations = (press: Ring, search = {}) => {
    const found = solve(job, press, 'press', search)
    return found.fits
      ? found.best.events.map((e) => `${e.kind === 'print' ? job.hits[e.hit]?.id : 'flash'}${e.station}`)
      : []
  }
  it('a screen that hangs stays where it is', () => {
    expect(stations(ring({ 3: 'b', 6: 'c' }))).toEqual(['a1', 'b3', 'c6'])
  })
  it('heads with other jobs and with flash units are left alone', () => {
    expect(stations(ring({ 1: OTHER_JOB, 3: OTHER_JOB }, [2]))).toEqual(['a4', 'b5', 'c6'])
  })
  it('comes before mud only where it is asked for', () => {
    // Dark before light costs mud; the dark screen hangs first.
    const muddy = { ...job, relations: [{ a: 'a', b: 'c', how: 'touch' as const }] }
    const press = ring({ 1: 'c', 2: 'a' })
    const moved = (search = {}) => {
      const found = solve(muddy, press, 'press', search)
      return found.fits ? movesIn(muddy, found.best.events, press) : undefined
    }
    expect(moved()).toBe(2)
    expect(moved({ leastMoving: true })).toBe(1)
  })
  it('is never more than what the cheapest order moves, with as many flashes', () => {
    let less = 0
    fc.assert(
      fc.property(anyJob(6), anyRing, (any, press) => {
        fc.pre(!smoothingAlone(any))
        const [best, least] = [{}, { leastMoving: true }].map((s) => solve(any, press, 'press', s))
        expect(least?.fits).toBe(best?.fits)
        if (!best?.fits || !least?.fits) return
        const flashes = (found: typeof best) => found.best.events.filter((e) => e.kind === 'flash').length
        const moves = (found: typeof best) => movesIn(any, found.best.events, press)
        expect(flashes(least)).toBe(flashes(best))
        expect(moves(least)).toBeLessThanOrEqual(moves(best))
        if (moves(least) < moves(best)) less++
      }),
      { numRuns: 700, seed: 15 },
    )
    expect(less).toBeGreaterThan(5)
  }, 60_000)
})

/** Which hits are dried before which others, of those that care: what tells two orders apart. */
function structure(job: Job, events: readonly Event[], wetOnWet: boolean): string {
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
    const mud = mudTerms(i, j, meet, state, job.method).reduce((sum, x) => sum + x.points, 0)
    return Math.round(COST.mud * mud) + (state === 'wet' && forbids('wet') ? 60 * COST.mud : 0)
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

describe('orders that truly differ', () => {
  it('are the cheapest of each kind, cheapest first, as trying everything finds them', () => {
    let several = 0
    fc.assert(
      fc.property(anyJob(5), (job) => {
        fc.pre(!smoothingAlone(job))
        const press: PressSpace = { kind: 'heads', heads: 'unlimited', hasFlash: true, wetOnWet: true }
        const best = new Map<string, number>()
        for (const order of everyOrder(job.hits.length)) {
          const cost = score(job, order, press)
          if (cost === undefined) continue
          const kind = structure(job, order, true)
          best.set(kind, Math.min(best.get(kind) ?? Number.POSITIVE_INFINITY, cost))
        }
        const wanted = [...best.values()].sort((a, b) => a - b).slice(0, 3)
        const found = solve(job, press, 'press', { wanted: 3 })
        const costs = found.fits ? [found.best, ...found.others].map((o) => o.cost) : []
        // Those that are far dearer are left out.
        expect(costs).toEqual(wanted.slice(0, costs.length))
        expect(costs.length === 0).toBe(wanted.length === 0)
        if (costs.length > 1) several++
        if (found.fits) {
          const kinds = [found.best, ...found.others].map((o) => structure(job, o.events, true))
          expect(new Set(kinds).size).toBe(kinds.length)
        }
      }),
      { numRuns: 200, seed: 21 },
    )
    expect(several).toBeGreaterThan(35)
  }, 60_000)
})

/** Every way to hang an order on the ring in two laps: a border, then stations for each lap. */
function* everyTwoLaps(order: readonly Event[], press: Ring): Generator<readonly Event[]> {
  for (let border = 0; border <= order.length; border++)
    for (const one of everyLayout(order.slice(0, border), press))
      for (const two of everyLayout(order.slice(border), press))
        yield [...one.map((e) => ({ ...e, lap: 1 as const })), ...two.map((e) => ({ ...e, lap: 2 as const }))]
}

/** What two laps cost beyond their order; undefined when two things stand at one place. */
function lapsCost(job: Job, events: readonly Event[], press: Ring): number | undefined {
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

describe('two revolutions', () => {
  it('are as cheap as trying every order, border and station finds them', () => {
    let twice = 0
    const small = anyRing.filter((r) => r.stations.length <= 6)
    fc.assert(
      fc.property(anyJob(4), small, (job, press) => {
        fc.pre(!smoothingAlone(job) && !solve(job, press, 'press').fits)
        let best: number | undefined
        for (const order of everyOrder(job.hits.length)) {
          const cost = score(job, order, {
            kind: 'heads',
            heads: 'unlimited',
            hasFlash: true,
            wetOnWet: true,
          })
          if (cost === undefined) continue
          for (const laid of everyTwoLaps(order, press)) {
            const more = lapsCost(job, laid, press)
            if (more !== undefined && (best === undefined || cost + more < best)) best = cost + more
          }
        }
        const found = solve(job, press, 'press', { laps: 2 })
        expect(found.fits ? found.best.cost : undefined).toBe(best)
        if (found.fits) {
          twice++
          expect(found.laps).toBe(2)
          expect(lapsCost(job, found.best.events, press)).toBeDefined()
        }
      }),
      { numRuns: 500, seed: 22 },
    )
    expect(twice).toBeGreaterThan(15)
  }, 120_000)
})

describe('what always holds', () => {
  const twelve: PressSpace = {
    kind: 'stations',
    stations: Array.from({ length: 16 }, (_, i) => ({
      number: i + 1,
      usable: i !== 6,
      flashAllowed: i !== 6,
    })),
    flashUnits: 4,
    cool: 1,
  }
  it('every hit once, base first, nothing on a dead head, stations rising, units kept', () => {
    let fitted = 0
    fc.assert(
      fc.property(anyJob(9), (job) => {
        const found = solve(job, twelve, 'press')
        if (!found.fits) {
          expect(found.reasons.length).toBeGreaterThan(0)
          return
        }
        fitted++
        const prints = found.best.events.flatMap((e) => (e.kind === 'print' ? [e] : []))
        expect(prints.map((e) => e.hit).sort()).toEqual(job.hits.map((_, i) => i))
        const stations = found.best.events.map((e) => e.station ?? 0)
        expect(stations).toEqual([...new Set(stations)].sort((a, b) => a - b))
        expect(stations).not.toContain(7)
        expect(found.best.events.filter((e) => e.kind === 'flash').length).toBeLessThanOrEqual(4)
        const first = prints[0]
        if (job.hits.some((h) => h.role === 'base')) expect(first && job.hits[first.hit]?.role).toBe('base')
      }),
      { numRuns: 150, seed: 13 },
    )
    expect(fitted).toBeGreaterThan(40)
  })
  it('a flash lies between a highlight and a black that overlap, and none after expanding ink', () => {
    const extra: Hit[] = [
      {
        id: 'hw',
        name: 'hw',
        role: 'highlight',
        L: 95,
        opacity: 0.9,
        coverage: 0.1,
        system: 'plastisol',
        onBase: true,
      },
      {
        id: 'bk',
        name: 'bk',
        role: 'black',
        L: 10,
        opacity: 0.9,
        coverage: 0.1,
        system: 'plastisol',
        onBase: true,
      },
    ]
    fc.assert(
      fc.property(anyJob(7), (any) => {
        const job: Job = {
          ...any,
          method: { ...any.method, flash: 'where' },
          hits: [...any.hits, ...extra],
          relations: [...any.relations, { a: 'hw', b: 'bk', how: 'overlap', width: 0.0003 }],
        }
        const found = solve(job, twelve, 'press')
        if (!found.fits) return
        const place = (id: string) =>
          found.best.events.findIndex((e) => e.kind === 'print' && job.hits[e.hit]?.id === id)
        const between = found.best.events.slice(
          Math.min(place('hw'), place('bk')),
          Math.max(place('hw'), place('bk')),
        )
        expect(between.some((e) => e.kind === 'flash')).toBe(true)
        const puff = found.best.events.findIndex(
          (e) => e.kind === 'print' && job.hits[e.hit]?.role === 'expanding',
        )
        if (puff >= 0) expect(found.best.events.slice(puff).some((e) => e.kind === 'flash')).toBe(false)
      }),
      { numRuns: 150, seed: 14 },
    )
  })
})
