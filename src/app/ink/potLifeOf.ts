import { addMinutes, format, parseISO } from 'date-fns'
import { POT_LIFE } from '@/core/ink'
import { driesInScreen } from '@/core/order'

/** When a batch mixed at this time is past its time; none for ink that keeps. */
export const expiryOf = (system: string, mixed: string): string | undefined =>
  driesInScreen(system) ? format(addMinutes(parseISO(mixed), POT_LIFE / 60), "yyyy-MM-dd'T'HH:mm") : undefined
