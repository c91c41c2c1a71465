import { fold, saidOf } from '@/core/record'
import { type Outcome, outcomesOf } from '@/core/trouble'
import type { Database } from './database'
import { triesByRun } from './pressEvents'

/** What came of remedies at the presses of the shop, oldest first, with the press of each. */
export interface PressOutcome {
  readonly press: string
  readonly outcome: Outcome
}

/** Calls further back hardly weigh any more. */
const REMEMBERED = 1000

/** Everything the shop has learnt from at its presses. Of rehearsals there is none: they are never said to the record. */
export async function loadOutcomes(db: Database): Promise<readonly PressOutcome[]> {
  const found = (await triesByRun(db)).flatMap((events) => {
    const { said } = fold(events)
    const tried = saidOf(said, 'tried')
    const press = tried.at(-1)?.press ?? ''
    const at = tried.at(-1)?.at ?? ''
    return outcomesOf(said).map((outcome) => ({ press, at, outcome }))
  })
  return found
    .sort((a, b) => a.at.localeCompare(b.at))
    .slice(-REMEMBERED)
    .map(({ press, outcome }) => ({ press, outcome }))
}
