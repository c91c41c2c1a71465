import { type NumberAdvice, type Overrides, q } from '../advice'
import type { Fabric } from '../equipment'
import { type Duration, grams, type Length, type MeshCount, minutes, percent, type Share } from '../quantity'
import { fabricOf, wetDeposit, whyStruck } from '../screen'
import { INK } from './definition'

/** Inks with additives stay workable about an hour and a half (common practice). */
export const POT_LIFE: Duration = minutes(90)

/** kg/m3; base inks lie between 1.12 and 1.34 g/ml. */
const DENSITY = 1200
const WASTE: Share = percent(5)
/** 100 to 250 g stay behind on a normal screen. */
export const LEFT = { low: grams(100), usual: grams(150), high: grams(250) } as const

export interface InkNeed {
  readonly id: string
  readonly name: string
  readonly width: Length
  readonly height: Length
  readonly coverage: Share
  readonly mesh: MeshCount
  readonly strokes: number
  /** Ink laid by the way it is struck, against the usual. */
  readonly struck: number
  /** Hits of this ink on one garment from this screen. */
  readonly hits: number
  readonly pieces: number
}

/**
 * Ink to have ready for one screen, kg: print area x coverage x deposit x pieces x (1 + waste) + what stays behind.
 * The range spans 0.50 to 0.75 transfer and 100 to 250 g left.
 *
 * @param held what the shop lays against what is computed, a multiple, as weighed back
 */
export function inkMass(
  need: InkNeed,
  fabrics: readonly Fabric[],
  held: number,
  overrides: Overrides,
): NumberAdvice {
  const wet = wetDeposit(fabricOf(fabrics, need.mesh), need.strokes) * need.struck
  const deposit = wet * DENSITY * need.hits
  const area = need.width * need.height
  const laid = area * need.coverage * deposit * need.pieces * (1 + WASTE) * held
  return INK.number(
    'ink',
    {
      of: need,
      advised: laid + LEFT.usual,
      range: [laid * (0.5 / 0.6) + LEFT.low, laid * (0.75 / 0.6) + LEFT.high],
      reasons: [
        INK.because('INK_MASS', {
          area: q('area', area),
          coverage: q('share', need.coverage),
          deposit: q('arealMass', deposit),
          pieces: q('count', need.pieces),
          waste: q('share', WASTE),
          left: q('mass', LEFT.usual),
        }),
        ...whyStruck(need.struck),
        ...(held === 1 ? [] : [INK.because('INK_LAID', { laid: q('share', held) })]),
        INK.because('INK_DEPOSIT', { mesh: q('meshCount', need.mesh) }),
      ],
    },
    overrides,
  )
}
