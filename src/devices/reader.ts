import { randomLcg, randomNormal } from 'd3-random'
import { BANDS, type Curve, type Spectrum } from '@/core/color'

/** A colour reader, however it is reached. */
export interface Reader {
  readonly name: string
  /** Reads what lies under it. */
  readonly read: () => Promise<Curve>
}

/** Repeatability of a hand-held reader, as a share of what it reads; about 0.15 CIEDE2000. */
const SPREAD = 0.002
/** How long one reading takes, ms. */
const TAKES = 600

/**
 * A reader that tells the curve of a sample with the spread of a hand-held instrument.
 *
 * @param sample what truly lies under it at this moment, at the bands of `BANDS`
 */
export function simulatedReader(sample: () => Spectrum, seed = 1): Reader {
  const random = randomNormal.source(randomLcg(seed))
  const [whole, band] = [random(0, SPREAD), random(0, SPREAD / 2)]
  return {
    name: 'Simulated colour reader',
    read: async () => {
      await new Promise((done) => setTimeout(done, TAKES))
      const all = 1 + whole()
      return { at: BANDS, values: sample().map((r) => r * (all + band())) }
    },
  }
}
