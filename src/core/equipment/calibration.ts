import type { Duration, Length, Share, Temperature } from '../quantity'

/** What was read at a flash unit and its press, on one plain base: the film after a flash, the touch, the bare pallet after laps. */
export type FlashReading =
  | {
      readonly of: 'hot'
      readonly pallet: Temperature
      readonly dwell: Duration
      /** From the end of the flash to the reading. */
      readonly delay: Duration
      readonly read: Temperature
    }
  /** The shortest dwell after which a corner is dry to the touch. */
  | { readonly of: 'touch'; readonly pallet: Temperature; readonly dwell: Duration }
  | {
      readonly of: 'pallet'
      readonly laps: number
      /** Of each lap: its flash, and the whole of it. */
      readonly dwell: Duration
      readonly lap: Duration
      readonly read: Temperature
    }

/** A flash unit as it was found to be against a usual one. */
export interface FlashCalibration {
  /** The day it was read, ISO. */
  readonly on: string
  readonly above: Length
  readonly roomAir: Temperature
  readonly humidity: Share
  readonly readings: readonly FlashReading[]
  /** Times as much heat, contact of cloth and pallet, and loss below the pallet. */
  readonly gain: number
  readonly contact: number
  readonly loss: number
  /** One standard deviation of a dwell on a warm pallet after it. */
  readonly dwellSpread: Duration
}

/** A temperature strip or belt probe in the print that went through a tunnel. */
export interface TunnelReading {
  /** m/s. */
  readonly belt: number
  readonly read: Temperature
}

/** A tunnel as it was found to be against a usual one. */
export interface TunnelCalibration {
  readonly on: string
  readonly readings: readonly TunnelReading[]
  readonly gain: number
  /** One standard deviation of the film at its hottest. */
  readonly filmSpread: Temperature
}
