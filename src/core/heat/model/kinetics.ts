import type { Temperature } from '../../quantity'

/** How fast an ink gels and cures. */
export interface Kinetics {
  /** Rate at `gelAt`, 1/s, and how steeply it rises, J/mol. */
  readonly gelAt: Temperature
  readonly gelRate: number
  readonly gelSlope: number
  readonly cureAt: Temperature
  readonly cureRate: number
  readonly cureSlope: number
}

const GAS = 8.314
/** Below this nothing happens that counts. */
const ASLEEP = 333.15

const rate = (kelvin: number, at: number, most: number, slope: number) =>
  kelvin <= ASLEEP ? 0 : most * Math.exp((-slope / GAS) * (1 / kelvin - 1 / at))

export const gelSpeed = (k: Kinetics, kelvin: number): number => rate(kelvin, k.gelAt, k.gelRate, k.gelSlope)
export const cureSpeed = (k: Kinetics, kelvin: number): number =>
  rate(kelvin, k.cureAt, k.cureRate, k.cureSlope)

/** Progress of 0 to 1 after a while at one speed. */
export const onward = (progress: number, speed: number, duration: number): number =>
  1 - (1 - progress) * Math.exp(-speed * duration)
