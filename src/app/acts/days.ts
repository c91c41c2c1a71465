import type { DaysKept } from '@/core/days'
import { no, type Outcome } from '@/core/quantity'
import { saveDays } from '@/store/days'
import type { At } from './kinds'

/** Keeps what was decided of the days, if nobody else decided since. */
export const keepDays = (
  { kept, seen }: { readonly kept: DaysKept; readonly seen: number },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) =>
    (await saveDays(tx, kept, seen))
      ? { ok: true }
      : no('Someone else has changed the days since: look at them as they are now, then decide again.'),
  )
