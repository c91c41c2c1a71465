import * as yup from 'yup'
import type { FlashCalibration, FlashReading, TunnelCalibration } from '../calibration'
import type { AirOfDay } from '../equipment'
import { day, oneOf, positive, whole } from './fields'

const between = (what: string, least: number, most: number) =>
  yup
    .number()
    .typeError(`${what}: a number, please.`)
    .min(least, `${what} is too low.`)
    .max(most, `${what} is too high.`)
    .required(`${what} is missing.`)

/** Air and pallets of a shop, and what comes out of a flash or a tunnel; kelvin. */
const roomy = (what: string) => between(what, 253, 373)
const hot = (what: string) => between(what, 273, 573)

/** How warm and damp the shop is, as said on a day. */
export const airOfDay = yup
  .object({
    on: day,
    temperature: roomy('The air').min(253, 'So cold is no shop.').max(333, 'So hot is no shop.'),
    humidity: between('Humidity', 0.02, 0.98),
  })
  .default(undefined)
  .optional() as unknown as yup.Schema<AirOfDay | undefined>

/** Readings at a flash unit by what is read. */
const READINGS = {
  hot: yup.object({
    of: oneOf({ hot: true }),
    pallet: roomy('The pallet'),
    dwell: positive('The flash', 120),
    delay: between('The delay', 0, 60),
    read: hot('The reading'),
  }),
  touch: yup.object({
    of: oneOf({ touch: true }),
    pallet: roomy('The pallet'),
    dwell: positive('The flash', 240),
  }),
  pallet: yup.object({
    of: oneOf({ pallet: true }),
    laps: whole('Laps', 200),
    dwell: positive('The flash', 120),
    lap: positive('A lap', 1_800).when('dwell', ([dwell], lap) =>
      lap.min(dwell, 'A lap is longer than its flash.'),
    ),
    read: hot('The reading'),
  }),
} as const satisfies Record<FlashReading['of'], unknown>

/** What a press is found to be: a third to three times a usual one. */
const times = between('What was found', 0.25, 4)
const MOST = 40

/** One reading, as its own form holds it. */
export const flashReading = yup.lazy((value: unknown) => {
  const of = (value as { of?: unknown } | null)?.of
  return typeof of === 'string' && Object.hasOwn(READINGS, of)
    ? READINGS[of as FlashReading['of']]
    : yup.object({ of: oneOf(READINGS) }).required('What was read?')
})

export const tunnelReading = yup.object({
  belt: between('The belt', 5e-4, 1),
  read: hot('The reading'),
})

/** A unit that was never read has none. */
export const flashCalibration = yup
  .object({
    on: day,
    above: positive('Over the print', 1),
    roomAir: roomy('The air'),
    humidity: between('Humidity', 0.02, 0.98),
    readings: yup.array(flashReading).min(1, 'Nothing was read.').max(MOST, 'Too many readings.').required(),
    gain: times,
    contact: times,
    loss: times,
    dwellSpread: between('The spread', 0, 240),
  })
  .default(undefined)
  .optional() as unknown as yup.Schema<FlashCalibration | undefined>

export const tunnelCalibration = yup
  .object({
    on: day,
    readings: yup.array(tunnelReading).min(1, 'Nothing was read.').max(MOST, 'Too many readings.').required(),
    gain: times,
    filmSpread: between('The spread', 0, 500),
  })
  .default(undefined)
  .optional() as unknown as yup.Schema<TunnelCalibration | undefined>
