import { q, type Reason } from '../advice'
import { type InkColour, isProcess } from '../order'
import { type Angle, degrees, type Length, type Ruling } from '../quantity'
import { SCREEN } from './definition'

/** Process colours stand so far apart at least; yellow shows no pattern and may stand between two (common practice). */
const APART = degrees(15)
const ROUND = degrees(90)

/** Between two crossed rulings, 0 to 45 degrees: a screen turned by 90 is the same. */
const between = (a: Angle, b: Angle): Angle => {
  const d = Math.abs(a - b) % ROUND
  return Math.min(d, ROUND - d)
}

/** Period of the pattern that two halftones make together (geometry); infinite where they are alike. */
export const beatBetween = (a: Ruling, b: Ruling, apart: Angle): Length =>
  1 / Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(apart))

/** Process colours whose screens lie on or too near one another, and what is seen of it. */
export function anglesTooNear(inks: readonly InkColour[]): readonly Reason[] {
  const drawn = inks.flatMap(({ name, inkType, ruling, angle }) =>
    isProcess({ inkType }) && inkType !== 'yellow' && ruling !== undefined && angle !== undefined
      ? [{ name, ruling, angle }]
      : [],
  )
  return drawn.flatMap((a, i) =>
    drawn.slice(i + 1).flatMap((b) => {
      const apart = between(a.angle, b.angle)
      if (apart >= APART - 1e-6) return []
      const period = beatBetween(a.ruling, b.ruling, apart)
      const told = { a: a.name, b: b.name }
      return Number.isFinite(period) && period < 1
        ? [SCREEN.because('ANGLES_NEAR', { ...told, angle: q('turn', apart), period: q('length', period) })]
        : [SCREEN.because('ANGLES_ALIKE', told)]
    }),
  )
}
