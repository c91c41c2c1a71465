import { ACCOUNT_FACTS, type Account, accountOf } from '@/core/plan'
import { type Database, hush } from './database'
import { eventsAfter } from './pressEvents'
import { latestRevisions } from './revisions'

/** Runs that are told at once. */
export const MOST_RUNS = 1000

interface Standing {
  readonly runId: string
  readonly stamp: string
}

/** Runs of which something was said, the last said first, with what their accounts are worked out of. */
async function standings(db: Database, only?: string): Promise<readonly Standing[]> {
  const rows = await db
    .selectFrom('press_event')
    .innerJoin('revision', 'revision.run_id', 'press_event.run_id')
    .select((e) => [
      'press_event.run_id as runId',
      e.fn.max('press_event.place').as('place'),
      e.fn.max('press_event.at').as('last'),
      e.fn.max('revision.number').as('number'),
    ])
    .$if(only !== undefined, (q) => q.where('press_event.run_id', '=', only ?? ''))
    .groupBy('press_event.run_id')
    .orderBy('last', 'desc')
    .limit(MOST_RUNS)
    .execute()
  return rows.map((r) => ({ runId: r.runId, stamp: `${ACCOUNT_FACTS} ${r.place} ${r.number}` }))
}

/** The account of each of these runs, from what was kept, or worked out one at a time. */
async function accounted(db: Database, runs: readonly Standing[]): Promise<readonly Account[]> {
  const kept = new Map(
    (await db.selectFrom('run_account').selectAll().execute()).map((row) => [row.run_id, row]),
  )
  const found: Account[] = []
  for (const { runId, stamp } of runs) {
    const row = kept.get(runId)
    if (row?.stamp === stamp) {
      found.push(JSON.parse(row.facts) as Account)
      continue
    }
    const account = await workedOut(db, runId)
    if (!account) continue
    found.push(account)
    await keep(db, { run_id: runId, stamp, facts: JSON.stringify(account) })
    // Each takes a while: others are answered in between.
    await new Promise((resume) => setImmediate(resume))
  }
  return found
}

/** One bad row takes no list down: a run that cannot be read is left out. */
async function workedOut(db: Database, runId: string): Promise<Account | undefined> {
  try {
    const revision = (await latestRevisions(db, [runId])).get(runId)
    return revision && accountOf(revision, (await eventsAfter(db, runId, 0)).events)
  } catch (error) {
    console.error(`the account of ${runId}`, error)
    return undefined
  }
}

async function keep(db: Database, row: { run_id: string; stamp: string; facts: string }): Promise<void> {
  await db
    .insertInto('run_account')
    .values(row)
    .onConflict((c) => c.column('run_id').doUpdateSet({ stamp: row.stamp, facts: row.facts }))
    .execute()
  // No news for anyone: it is worked out of what they know.
  hush(db, 1)
}

/** What came of every run of which something was said, the last first. */
export const allAccounts = async (db: Database): Promise<readonly Account[]> =>
  accounted(db, await standings(db))

/** What came of one run. */
export const accountFor = async (db: Database, runId: string): Promise<Account | undefined> =>
  (await accounted(db, await standings(db, runId)))[0]
