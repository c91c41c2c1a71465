import { because, decideNumber, type NumberAdvice, numberOf, type Overrides, q, ruleTable } from '../advice'
import type { Press } from '../equipment'
import { degrees, mm } from '../quantity'
import { strayOf } from './deposit'
import { GAUGES } from './stroke'

export const HOLD_RULES = ruleTable({
  HOLD: {
    says: 'Halftones go muddy when speed, angle or pressure vary from print to print: dots land elsewhere. Set them once, write them down, and check them with the counts. How closely is assumed.',
    source: 'common practice',
  },
  HOLD_STRAY: {
    says: 'Held so, the ink laid stays within {stray}: a quarter of what the time strays, 1.5 % a degree, 5 % from one word for pressure to the next. Assumed, never weighed.',
    source: 'from memory',
  },
})

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
  const held = (
    key: string,
    label: string,
    kind: NumberAdvice['kind'],
    advised: number,
    most: number,
  ): NumberAdvice =>
    decideNumber(
      { key, label, kind, advised, range: [0, most], reasons: [because(HOLD_RULES, 'HOLD')] },
      overrides,
    )
  const note = press.pressure
  const time = held('holdTime', 'Stroke time, hold within', 'share', 0.1, 0.15)
  const angle = held('holdAngle', 'Angle, hold within', 'angle', degrees(2), degrees(3))
  const scale = note && note.firm - note.light
  const gauge =
    note && scale
      ? held('holdGauge', 'Pressure, hold within', GAUGES[note.scale], scale * GAUGE_SHARE, scale / 4)
      : undefined
  const offContact = held('holdOffContact', 'Off-contact, hold within', 'fine', mm(0.2), mm(0.3))
  // In words, from light to firm are two steps; without a scale a hand keeps to half of one.
  const feel = gauge && scale ? (2 * numberOf(gauge)) / scale : 0.5
  const stray = strayOf(numberOf(time), numberOf(angle), feel)
  return {
    time,
    angle,
    gauge,
    offContact,
    stray: {
      key: 'holdStray',
      label: 'Ink laid strays by',
      kind: 'share',
      advised: stray,
      range: [0, stray],
      reasons: [because(HOLD_RULES, 'HOLD_STRAY', { stray: q('share', stray) })],
    },
  }
}
