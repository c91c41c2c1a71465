import type { DryerHeat, TunnelCalibration, TunnelReading } from '../../equipment'
import type { Length, Temperature } from '../../quantity'
import { CLOTH_TAKES, FABRICS, INK_TAKES, INKS, pass, tunnelOf, USUAL_AMBIENT } from '../model'
import { explained, isSound, oddOne, type Read, spreadOf } from './fit'
import type { Refused } from './flash'

/** A tunnel as it is read: a strip or probe in one plain white base on a white cotton tee. */
export interface TunnelTest {
  readonly heat: DryerHeat
  readonly heatedLength: Length
}

/** One standard deviation of a strip, K, and of a tunnel's heat as a logarithm before anything is read (assumed). */
const STRIP = 4
const PRIOR = 0.25

const LOAD = {
  fabric: FABRICS.cotton,
  ink: INKS.base,
  takes: { ink: INK_TAKES.white, cloth: CLOTH_TAKES.white, lets: INKS.base.lets },
  ambient: USUAL_AMBIENT,
}

/** Hottest that the film of the test print gets, kelvin. @param log of the tunnel's heat against the table */
export const peakIn = ({ heat, heatedLength }: TunnelTest, belt: number, log = 0): Temperature =>
  pass(tunnelOf(heat, heatedLength, 0, Math.exp(log)), LOAD, belt).peak

export interface TunnelCalibrated {
  readonly calibration: Omit<TunnelCalibration, 'on'>
  readonly readings: readonly { readonly read: number; readonly usual: number; readonly then: number }[]
}

/**
 * How much heat a tunnel gives against a usual one.
 *
 * @returns what was found, or the reading that does not fit
 * @throws RangeError without readings
 */
export function calibrateTunnel(
  test: TunnelTest,
  readings: readonly TunnelReading[],
): TunnelCalibrated | Refused {
  if (readings.length === 0) throw new RangeError('Nothing was read')
  const reads = readings.map(
    (r): Read => ({ read: r.read, spread: STRIP, model: ([log]) => peakIn(test, r.belt, log) }),
  )
  const found = explained(reads, [PRIOR])
  if (!isSound(found)) {
    const odd = reads.length === 1 ? 0 : oddOne(reads, [PRIOR])
    const logs = explained(
      reads.filter((_, i) => i !== odd),
      [PRIOR],
    ).times.map(Math.log)
    return { odd, read: reads[odd]?.read ?? 0, expected: reads[odd]?.model(logs) ?? 0 }
  }
  const [gain = 1] = found.times
  const belt = readings[0]?.belt ?? 0.02
  return {
    calibration: { readings, gain, filmSpread: spreadOf(found, ([log]) => peakIn(test, belt, log)) },
    readings: reads.map((r) => ({
      read: r.read,
      usual: r.model([0]),
      then: r.model([Math.log(gain)]),
    })),
  }
}
