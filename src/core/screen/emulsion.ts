import { differenceInCalendarDays, parseISO } from 'date-fns'
import { q, type Reason } from '../advice'
import type { Emulsion } from '../equipment'
import { isDay, type Mass, type Share } from '../quantity'
import { SCREEN } from './definition'

/** Sensitiser for a two-part emulsion, of its weight (common practice). */
export const SENSITISER: Share = 0.1
/** Emulsions that are mixed of two parts. */
export const isTwoPart = ({ kind }: Pick<Emulsion, 'kind'>): boolean => kind === 'dual' || kind === 'diazo'

/** Days before its end at which it is told of. */
const SOON = 5

/**
 * Sensitiser to weigh into an emulsion.
 *
 * @param base kg of emulsion as it is sold, above 0
 */
export function sensitiserFor(base: Mass): { readonly mass: Mass; readonly reasons: readonly Reason[] } {
  const mass = base * SENSITISER
  return {
    mass,
    reasons: [
      SCREEN.because('EMULSION_MIX', {
        base: q('mass', base),
        sensitiser: q('mass', mass),
        all: q('mass', base + mass),
        part: q('share', SENSITISER),
      }),
    ],
  }
}

/** What is to be said of the age of an emulsion; nothing while it keeps, or where nobody wrote down when it was mixed. @param today ISO day */
export function emulsionAge({ name, mixedOn, keeps }: Emulsion, today: string): readonly Reason[] {
  if (mixedOn === undefined || keeps === undefined || !isDay(mixedOn) || !isDay(today)) return []
  const days = differenceInCalendarDays(parseISO(today), parseISO(mixedOn))
  const inputs = { name, day: mixedOn, keeps: q('count', keeps) }
  if (days > keeps) return [SCREEN.because('EMULSION_OLD', { ...inputs, days: q('count', days) })]
  return keeps - days <= SOON
    ? [SCREEN.because('EMULSION_SOON', { ...inputs, left: q('count', keeps - days) })]
    : []
}
