import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Hit, type Job, movesIn, OTHER_JOB, type PressSpace, type Ring, solve } from './index'
import { anyJob, anyRing } from './jobs.fixtures'
import { agree, everyOrder, score, smoothingAlone, structure } from './tryAll.fixtures'

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
  it('finds the cheapest where the base is smoothed for the colours on it', () => {
    let fits = 0
    const smoothed = anyJob(6).filter((job) => job.hits.some((h) => h.role === 'smoothing'))
    fc.assert(
      fc.property(smoothed, anyRing, fc.boolean(), (job, ring, byHand) => {
        const press: PressSpace = byHand
          ? { kind: 'heads', heads: 'unlimited', hasFlash: true, wetOnWet: true }
          : ring
        fits += agree({ ...job, smoothsBase: true }, press)
      }),
      { numRuns: 150, seed: 13 },
    )
    expect(fits).toBeGreaterThan(20)
  }, 120_000)
})

describe('the least moving', () => {
  const ring = (mounted: Readonly<Record<number, string>>, flash: readonly number[] = []): Ring => ({
    kind: 'stations',
    stations: Array.from({ length: 8 }, (_, i) => ({
      number: i + 1,
      usable: true,
      flashAllowed: true,
      ...(mounted[i + 1] ? { mounted: mounted[i + 1] } : {}),
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
    method: { flash: 'where', colourOrder: 'overpower', wetMost: 'any', blackTrap: 'wet' },
  }
  const stations = (press: Ring, search = {}) => {
    const found = solve(job, press, 'press', search)
    return found.fits
      ? found.best.events.map((e) => `${e.kind === 'print' ? job.hits[e.hit]?.id : 'flash'}${e.station}`)
      : []
  }
  it('a screen that mounted stays where it is', () => {
    expect(stations(ring({ 3: 'b', 6: 'c' }))).toEqual(['a1', 'b3', 'c6'])
  })
  it('heads with other jobs and with flash units are left alone', () => {
    expect(stations(ring({ 1: OTHER_JOB, 3: OTHER_JOB }, [2]))).toEqual(['a4', 'b5', 'c6'])
  })
  it('comes before wet contact risk only where it is asked for', () => {
    // Dark before light costs wet contact risk; the dark screen mounted first.
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
    expect(several).toBeGreaterThan(30)
  }, 60_000)
})
