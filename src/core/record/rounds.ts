import { type NumberAdvice, type Overrides, q } from '../advice'
import type { Press } from '../equipment'
import type { Run } from '../order'
import { RECORD } from './definition'

/** What comes round while a run is printed, every so many pieces. */
export interface Rounds {
  readonly check: NumberAdvice
  readonly ink: NumberAdvice
  /** None where nothing lies on a board, and where garments are sprayed inside. */
  readonly tack: NumberAdvice | undefined
}

/** A run of fewer is looked at twice as often: what is wrong would be all of it. */
const SHORT_RUN = 100
/** Garments that one spray holds (common practice). */
const SPRAY_HOLDS = 5

/** Boards that garments lie on; on an automatic its stations. */
const boardsOf = (press: Press): number => {
  if (press.kind === 'manual') return Math.max(1, press.pallets)
  return press.kind === 'automatic' ? Math.max(1, press.stations.length) : 1
}

/** How often the run is looked at, ink is topped up and adhesive renewed. */
export function roundsFor(run: Run, press: Press, overrides: Overrides): Rounds {
  const short = run.quantity < SHORT_RUN
  const boards = boardsOf(press)
  return {
    check: RECORD.number(
      'checkEvery',
      {
        advised: short ? 25 : 50,
        range: [25, 50],
        reasons: [
          short
            ? RECORD.because('ROUND_CHECK', { pieces: q('count', run.quantity) })
            : RECORD.because('ROUND_CHECK_LONG'),
        ],
      },
      overrides,
    ),
    ink: RECORD.number(
      'inkEvery',
      { advised: 36, range: [24, 60], reasons: [RECORD.because('ROUND_INK')] },
      overrides,
    ),
    tack:
      // All-over is sprayed inside the garment, every one of them.
      run.placement.where === 'offPallet' || run.placement.where === 'allOver'
        ? undefined
        : RECORD.number(
            'tackEvery',
            {
              advised: SPRAY_HOLDS * boards,
              range: [4 * boards, 8 * boards],
              reasons: [
                RECORD.because('ROUND_TACK', {
                  each: q('count', SPRAY_HOLDS),
                  pallets: q('count', boards),
                }),
              ],
            },
            overrides,
          ),
  }
}
