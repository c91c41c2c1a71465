import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Event, type Hit, type Job, type PressSpace, solve } from './index'
import { anyJob, anyRing } from './jobs.fixtures'
import { leastPlaces, placesIn } from './laps'
import { movesIn } from './moves'
import { buildTables } from './tables'
import { everyOrder, everyTwoLaps, lapsCost, score, smoothingAlone } from './tryAll.fixtures'

const named = (events: readonly Event[]) => events.map((e) => (e.kind === 'flash' ? 'f' : e.hit)).join(' ')

describe('two revolutions', () => {
  it('are as cheap as trying every order, border and station finds them', () => {
    let twice = 0
    const small = anyRing.filter((r) => r.stations.length <= 6)
    fc.assert(
      fc.property(anyJob(4), small, (job, press) => {
        fc.pre(!smoothingAlone(job) && !solve(job, press, 'press').fits)
        let best: number | undefined
        const moved = new Map<string, number>()
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
            if (more === undefined) continue
            if (best === undefined || cost + more < best) best = cost + more
            const as = `${cost + more} ${named(order)}`
            moved.set(as, Math.min(moved.get(as) ?? Number.POSITIVE_INFINITY, movesIn(job, laid, press)))
          }
        }
        const found = solve(job, press, 'press', { laps: 2 })
        expect(found.fits ? found.best.cost : undefined).toBe(best)
        if (found.fits) {
          twice++
          expect(found.laps).toBe(2)
          expect(lapsCost(job, found.best.events, press)).toBeDefined()
          // Of layouts that print as well, none asks for fewer screens and units to be moved.
          expect(movesIn(job, found.best.events, press)).toBe(
            moved.get(`${best} ${named(found.best.events)}`),
          )
        }
      }),
      { numRuns: 500, seed: 22 },
    )
    expect(twice).toBeGreaterThan(15)
  }, 120_000)
})

describe('what two revolutions ask for at least', () => {
  const of = (...roles: readonly Hit['role'][]): Job => ({
    hits: roles.map((role, i) => ({
      id: `${role}${i}`,
      name: role,
      role,
      L: 90,
      opacity: 0.9,
      coverage: 0.2,
      system: 'plastisol',
      onBase: false,
    })),
    relations: [],
    darkCloth: true,
    method: { flash: 'where', colourOrder: 'overpower', wetMost: 'any', blackTrap: 'flash' },
  })
  const least = (flashes: number, ...roles: readonly Hit['role'][]) =>
    leastPlaces(buildTables(of(...roles), true), flashes)
  it('a station for each screen, one for a base and its second, a unit for two flashes', () => {
    expect(least(0, 'spot', 'spot', 'spot')).toBe(3)
    expect(least(1, 'spot', 'spot')).toBe(3)
    expect(least(2, 'spot', 'spot')).toBe(3)
    expect(least(3, 'base', 'spot')).toBe(4)
    expect(least(2, 'base', 'base2', 'spot')).toBe(3)
    expect(least(0, 'base2', 'spot')).toBe(2)
  })
  it('a place that is down takes nothing, unless a unit may stand there', () => {
    const [yes, no] = [true, false]
    const at = (usable: boolean, flashAllowed: boolean, i: number) => ({
      number: i + 1,
      usable,
      flashAllowed,
    })
    const stations = [at(yes, yes, 0), at(yes, no, 1), at(no, yes, 2), at(no, no, 3)]
    expect(placesIn({ kind: 'stations', stations, flashUnits: 1, cool: 1 })).toBe(3)
  })
  it('says that it gave up instead of that nothing fits, and that nothing fits where it counted', () => {
    const job = of('base', 'base2', 'spot', 'highlight', 'black')
    const press = (places: number): PressSpace => ({
      kind: 'stations',
      stations: Array.from({ length: places }, (_, i) => at(i)),
      flashUnits: 3,
      cool: 1,
    })
    const at = (i: number) => ({ number: i + 1, usable: true, flashAllowed: true })
    const rules = (places: number, effort: number) => {
      const found = solve(job, press(places), 'press', { laps: 2, effort })
      return found.fits ? `${found.laps}` : found.reasons.map((r) => r.rule).join(' ')
    }
    expect(rules(5, 1)).toBe('2')
    expect(rules(5, 1e-7)).toContain('TWO_UNKNOWN')
    expect(rules(3, 1)).toContain('TWO_SHORT')
    expect(rules(3, 1)).not.toContain('TWO_UNKNOWN')
  })
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
