import type { FlashCalibration, FlashKind, FlashReading } from '../../equipment'
import type { Duration, Length, Share, Temperature } from '../../quantity'
import { WARM_BOARD } from '../flash'
import {
  BOARDS,
  type BoardKind,
  boardsAlong,
  CLOTH_TAKES,
  dwellOn,
  FABRICS,
  filmAfter,
  INK_TAKES,
  INKS,
  type Waiting,
} from '../model'
import { explained, type Fit, isSound, oddOne, type Read, spreadOf } from './fit'
import { truly } from './gun'

/** A flash unit at a press as it is read: one plain white base on a white cotton tee, so that nothing else is unknown. */
export interface FlashTest {
  readonly kind: FlashKind
  readonly board: BoardKind
  readonly above: Length
  readonly air: Temperature
  readonly humidity: Share
}

/** The print that is read, metres: it fits every pallet. */
export const TEST_PRINT = { width: 0.3, height: 0.35 } as const

/** One standard deviation of each kind of reading (assumed): kelvin, seconds, kelvin. */
const SPREADS: Readonly<Record<FlashReading['of'], number>> = { hot: 5, touch: 0.8, pallet: 2.5 }
/** Of heat, contact and loss before anything is read, as logarithms (assumed). */
const PRIORS = [0.25, 0.35, 0.4] as const
/** A touch that never dries reads as this, s. */
const NEVER: Duration = 240

/** The test print under a unit that is so many times as strong, on a press that passes heat on so many times as well. */
function waitingFor(test: FlashTest, [gain = 0, contact = 0, loss = 0]: readonly number[]): Waiting {
  const ink = INKS.base
  return {
    board: BOARDS[test.board],
    fabric: FABRICS.cotton,
    fitted: { contact: Math.exp(contact), loss: Math.exp(loss) },
    ambient: { air: test.air, humidity: test.humidity },
    ink,
    below: [],
    takes: { ink: INK_TAKES.white, cloth: CLOTH_TAKES.white, lets: ink.lets },
    unit: { kind: test.kind, print: TEST_PRINT, height: test.above, gain: Math.exp(gain) },
  }
}

/** Seconds of a lap before its flash: laid on, printed, under the unit. */
const BEFORE: Duration = 15

/** What a reading would be: kelvin of film or pallet, seconds of dwell. */
export function expected(test: FlashTest, reading: FlashReading, logs: readonly number[] = []): number {
  const waiting = waitingFor(test, logs)
  switch (reading.of) {
    case 'hot':
      return filmAfter(waiting, reading.pallet, reading.dwell, reading.delay)
    case 'touch':
      return dwellOn(waiting, reading.pallet).needed ?? NEVER
    case 'pallet': {
      const { ink, takes, unit } = waiting
      const rest = Math.max(0, reading.lap - reading.dwell - BEFORE)
      const round = {
        ...waiting,
        happenings: [
          { kind: 'load' },
          { kind: 'wait', time: 10 },
          { kind: 'print', name: '', ink, takes },
          { kind: 'wait', time: BEFORE - 10 },
          { kind: 'flash', name: '', unit, time: reading.dwell, least: 0 },
          { kind: 'wait', time: rest },
        ],
      } as const
      return boardsAlong(round, reading.laps + 1).at(-1) ?? test.air
    }
    default:
      return reading satisfies never
  }
}

/** A reading in the terms of the model: a gun sees the room mirrored in wet ink. */
const inModel = (test: FlashTest, reading: FlashReading): number =>
  reading.of === 'touch' ? reading.dwell : reading.of === 'hot' ? truly(reading.read, test.air) : reading.read

const readOf = (test: FlashTest, reading: FlashReading): Read => ({
  read: inModel(test, reading),
  spread: SPREADS[reading.of],
  model: (logs) => expected(test, reading, logs),
})

/** What readings come to, before and after. */
export interface Calibrated {
  readonly calibration: Omit<FlashCalibration, 'on'>
  /** Of each reading: what was read, what a usual unit gives, what this one does; kelvin or seconds. */
  readonly readings: readonly { readonly read: number; readonly usual: number; readonly then: number }[]
  /** Seconds on a warm pallet before and after. */
  readonly dwell: { readonly usual: Duration | undefined; readonly then: Duration | undefined }
}

/** The readings cannot be of one press: the one that fits least, by its place. */
export interface Refused {
  readonly odd: number
  /** What the others make of it; kelvin or seconds. */
  readonly read: number
  readonly expected: number
}

/**
 * How a flash unit and its press differ from usual ones, from readings at one plain base.
 *
 * @returns what was found, or the reading that does not fit
 * @throws RangeError without readings
 */
export function calibrateFlash(test: FlashTest, readings: readonly FlashReading[]): Calibrated | Refused {
  if (readings.length === 0) throw new RangeError('Nothing was read')
  const reads = readings.map((r) => readOf(test, r))
  const found = explained(reads, PRIORS)
  if (!isSound(found)) {
    const odd = reads.length === 1 ? 0 : oddOne(reads, PRIORS)
    const others = reads.filter((_, i) => i !== odd)
    const logs = explained(others, PRIORS).times.map(Math.log)
    return { odd, read: reads[odd]?.read ?? 0, expected: reads[odd]?.model(logs) ?? 0 }
  }
  const logs = found.times.map(Math.log)
  const [gain = 1, contact = 1, loss = 1] = found.times
  return {
    calibration: {
      above: test.above,
      roomAir: test.air,
      humidity: test.humidity,
      readings,
      gain,
      contact,
      loss,
      dwellSpread: dwellSpread(test, found),
    },
    readings: reads.map((r) => ({ read: r.read, usual: r.model([0, 0, 0]), then: r.model(logs) })),
    dwell: { usual: warmDwell(test, [0, 0, 0]), then: warmDwell(test, logs) },
  }
}

const warmDwell = (test: FlashTest, logs: readonly number[]): Duration | undefined =>
  dwellOn(waitingFor(test, logs), WARM_BOARD).needed

const dwellSpread = (test: FlashTest, found: Fit): Duration =>
  spreadOf(found, (logs) => warmDwell(test, logs) ?? NEVER)
