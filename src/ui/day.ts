import { format, isValid, parseISO } from 'date-fns'

/**
 * A day or moment as people say it. One that is stored wrong is shown as it stands there: a list never falls over it.
 *
 * @example sayDay('2026-12-01', 'EEE d MMM') // 'Tue 1 Dec'
 */
export function sayDay(iso: string, pattern = 'EEE d MMM'): string {
  const at = parseISO(iso)
  return isValid(at) ? format(at, pattern) : iso
}
