import { type NumberAdvice, numberOf, type Overrides, q } from '../advice'
import type { Press } from '../equipment'
import { degrees, mm } from '../quantity'
import { STROKE } from './definition'
import { strayOf } from './deposit'
import { GAUGES } from './stroke'

/** How closely the strokes of a halftone job are held, and what that comes to in ink. */
export interface Hold {
  /** A share of the stroke time. */
  readonly time: NumberAdvice
  readonly angle: NumberAdvice
  /** On the scale of the press; none where it has no scale. */
  readonly gauge: NumberAdvice | undefined
  readonly offContact: NumberAdvice
  /** A share of the ink laid. */
  readonly stray: NumberAdvice
}

/** Of the way from light to firm. */
const GAUGE_SHARE = 1 / 8

/** Targets to hold from print to print while halftones run. */
export function holdFor(press: Press, overrides: Overrides): Hold {
  const reasons = [STROKE.because('HOLD')]
  const held = (
    name: 'holdTime' | 'holdAngle' | 'holdOffContact',
    advised: number,
    most: number,
  ): NumberAdvice => STROKE.number(name, { advised, range: [0, most], reasons }, overrides)
  const note = press.pressure
  const time = held('holdTime', 0.1, 0.15)
  const angle = held('holdAngle', degrees(2), degrees(3))
  const scale = note && note.firm - note.light
  const gauge =
    note && scale
      ? STROKE.number(
          'holdGauge',
          { kind: GAUGES[note.scale], advised: scale * GAUGE_SHARE, range: [0, scale / 4], reasons },
          overrides,
        )
      : undefined
  const offContact = held('holdOffContact', mm(0.2), mm(0.3))
  // In words, from light to firm are two steps; without a scale a hand keeps to half of one.
  const feel = gauge && scale ? (2 * numberOf(gauge)) / scale : 0.5
  const stray = strayOf(numberOf(time), numberOf(angle), feel)
  return {
    time,
    angle,
    gauge,
    offContact,
    stray: STROKE.number(
      'holdStray',
      {
        advised: stray,
        range: [0, stray],
        reasons: [STROKE.because('HOLD_STRAY', { stray: q('share', stray) })],
      },
      {},
    ),
  }
}
