import { describe, expect, it } from 'vitest'
import { readingDoubt } from './tension'

const room = { leastTension: 1800, mostTension: 3500 }

describe('a reading of the tension meter', () => {
  // Common practice, no source: mesh is worked at about 15 to 40 N/cm.
  it.each([1500, 2000, 2800, 4000])('%s N/m is a usual one', (tension) =>
    expect(readingDoubt(tension, room)).toBeUndefined(),
  )
  it.each([500, 6000])('%s N/m is asked about', (tension) =>
    expect(readingDoubt(tension, room)).toEqual({ possible: true, between: [900, 5250] }),
  )
  // 500 N/cm, as it was typed once.
  it.each([0, -100, 50_000, Number.NaN, Number.POSITIVE_INFINITY])('%s N/m cannot be', (tension) =>
    expect(readingDoubt(tension, room)?.possible).toBe(false),
  )
})
