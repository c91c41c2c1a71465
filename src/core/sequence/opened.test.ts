import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type * as searching from './cheapest'
import { type Job, type Ring, solve } from './index'
import { anyJob, anyRing } from './jobs.fixtures'
import { smoothingAlone } from './tryAll.fixtures'

let opened = 0
vi.mock('./cheapest', async (original) => {
  const real = await original<typeof searching>()
  return {
    ...real,
    cheapest: ((start, next, wanted, effort) =>
      real.cheapest(
        start,
        (state) => {
          opened++
          return next(state)
        },
        wanted,
        effort,
      )) as typeof real.cheapest,
  }
})
beforeEach(() => {
  opened = 0
})

/** A press with room: four sound heads more than the odd ones. */
const roomy = anyRing.map((ring): Ring => {
  const sound = (number: number) => ({ number, usable: true, flashAllowed: true })
  return { ...ring, stations: [...ring.stations, ...[21, 22, 23, 24].map(sound)] }
})
/** The same jobs each time. */
const drawn = fc
  .sample(fc.tuple(anyJob(7), fc.oneof(anyRing, roomy)), { numRuns: 400, seed: 31 })
  .filter(([job]) => !smoothingAlone(job))
const openedFor = (jobs: readonly (readonly [Job, Ring])[], search = {}) => {
  let fits = 0
  for (const [job, ring] of jobs) if (solve(job, ring, 'press', search).fits) fits++
  return { fits, opened }
}

// Inside figures: what the search opens today. A weaker bound finds the same orders and opens more, which no other check sees.
describe('states that are opened to prove an order the cheapest', () => {
  it('are few for random jobs on random presses', () => {
    const found = openedFor(drawn, { wanted: 3 })
    expect(found.fits).toBe(119)
    expect(found.opened).toBeLessThanOrEqual(2728)
  })
  it('are few for the least moving', () => {
    const found = openedFor(drawn, { leastMoving: true, wanted: 3 })
    expect(found.fits).toBe(119)
    expect(found.opened).toBeLessThanOrEqual(2721)
  })
})
