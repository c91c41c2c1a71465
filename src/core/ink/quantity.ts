import { type NumberAdvice, type Overrides, q } from '../advice'
import type { Fabric } from '../equipment'
import { WEAVES } from '../order'
import { type Duration, grams, type Length, minutes, percent, type Share } from '../quantity'
import { whyStruck } from '../screen'
import { INK } from './definition'
import { type Hitting, ISSUED_RANGE, issued } from './issued'

/** Inks with additives stay workable about an hour and a half (common practice). */
export const POT_LIFE: Duration = minutes(90)

const WASTE: Share = percent(5)
/** 100 to 250 g stay behind on a normal screen. */
export const LEFT = { low: grams(100), usual: grams(150), high: grams(250) } as const

export interface InkNeed {
  readonly id: string
  readonly name: string
  readonly width: Length
  readonly height: Length
  readonly coverage: Share
  readonly hitting: Hitting
  /** Ink laid by the way it is struck, against the usual. */
  readonly struck: number
  /** Hits of this ink on one garment from this screen. */
  readonly hits: number
  readonly pieces: number
}

/**
 * Ink to have ready for one screen, kg: print area x coverage x deposit x pieces x (1 + waste) + what stays behind.
 * The range spans what is assumed of a hit and 100 to 250 g left.
 *
 * @param held what the shop lays against what is computed, a multiple, as weighed back
 */
export function inkMass(
  need: InkNeed,
  fabrics: readonly Fabric[],
  held: number,
  overrides: Overrides,
): NumberAdvice {
  const { hitting } = need
  // A second hit lies on the first.
  const hits = [hitting, ...Array<Hitting>(need.hits - 1).fill({ ...hitting, onFilm: true })]
  const deposit = need.struck * hits.reduce((sum, h) => sum + issued(h, fabrics), 0)
  const area = need.width * need.height
  const laid = area * need.coverage * deposit * need.pieces * (1 + WASTE) * held
  return INK.number(
    'ink',
    {
      of: need,
      advised: laid + LEFT.usual,
      range: [laid * ISSUED_RANGE[0] + LEFT.low, laid * ISSUED_RANGE[1] + LEFT.high],
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
        INK.because('INK_DEPOSIT', {
          mesh: q('meshCount', hitting.mesh),
          weave: WEAVES[hitting.weave].toLowerCase(),
        }),
      ],
    },
    overrides,
  )
}
