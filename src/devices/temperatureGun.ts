import { randomLcg, randomNormal, randomUniform } from 'd3-random'
import type { Duration, Temperature } from '@/core/quantity'

/** An infrared gun, however it is reached: it logs how long after the end of the flash it read. */
export interface TemperatureGun {
  readonly name: string
  readonly read: () => Promise<{ readonly temperature: Temperature; readonly delay: Duration }>
}

/** A wire probe or strip that goes through a tunnel in the print. */
export interface BeltProbe {
  readonly name: string
  readonly read: () => Promise<{ readonly peak: Temperature }>
}

/** Repeatability of a hand-held gun and of a probe, one standard deviation, K (assumed). */
const GUN_NOISE = 1.5
const PROBE_NOISE = 2
/** Nobody points a gun sooner than this after a flash, or later, s. */
const SOONEST = 1
const LATEST = 2
/** How long it takes to tell, ms. */
const TAKES = 400
const TENTH = 10

const told = (kelvin: number) => Math.round(kelvin * TENTH) / TENTH
const wait = () => new Promise((done) => setTimeout(done, TAKES))

/**
 * A gun as hand-held ones are: noise, a hand that is not quick, tenths of a degree.
 *
 * @param shows what such a gun truly shows of the surface so long after the flash, kelvin
 */
export function simulatedGun(
  shows: (delay: Duration) => Temperature | Promise<Temperature>,
  seed = 1,
): TemperatureGun {
  const source = randomLcg(seed)
  const noise = randomNormal.source(source)(0, GUN_NOISE)
  const hand = randomUniform.source(source)(SOONEST, LATEST)
  return {
    name: 'Simulated gun',
    read: async () => {
      const delay = told(hand())
      await wait()
      return { temperature: told((await shows(delay)) + noise()), delay }
    },
  }
}

/** @param hottest that the film truly gets in the tunnel, kelvin */
export function simulatedProbe(hottest: () => Temperature | Promise<Temperature>, seed = 1): BeltProbe {
  const noise = randomNormal.source(randomLcg(seed))(0, PROBE_NOISE)
  return {
    name: 'Simulated probe',
    read: async () => {
      await wait()
      return { peak: told((await hottest()) + noise()) }
    },
  }
}
