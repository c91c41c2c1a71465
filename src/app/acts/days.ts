import type { DaysKept } from '@/core/days'
import { no, type Outcome } from '@/core/quantity'
import { loadDays, putDays, saveDays } from '@/store/days'
import { settleSheets } from '../days/settle'
import type { At } from './kinds'

/** Keeps what was decided of the days, if nobody else decided since; sheets are planned for the presses that were taken with it. */
export const keepDays = (
  { kept, seen }: { readonly kept: DaysKept; readonly seen: number },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { kept: before } = await loadDays(tx)
    if (!(await saveDays(tx, kept, seen)))
      return no('Someone else has changed the days since: look at them as they are now, then decide again.')
    await putDays(tx, await settleSheets(tx, kept, before), seen + 1)
    return { ok: true }
  })
