import type { OwnTrouble } from '@/core/equipment'
import { type Known, knownAt } from '@/core/trouble'
import type { Database } from '@/store/database'
import { loadOutcomes } from '@/store/outcomes'

/** What is known of troubles at a press: the tables, the shop's own numbers, and what helped so far. */
export const troubleKnown = async (
  db: Database,
  own: readonly OwnTrouble[] | undefined,
  press: string,
): Promise<Known> =>
  knownAt(Object.fromEntries((own ?? []).map((o) => [o.row, o.value])), await loadOutcomes(db), press)
