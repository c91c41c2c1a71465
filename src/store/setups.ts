import type { Kysely } from 'kysely'
import type { ScreenStep } from '@/core/registration'
import type { Tables } from './schema'

/** Rows that fit into one statement. */
const AT_ONCE = 500

type Row = Omit<ScreenStep, 'runId' | 'hitId'> & { readonly run_id: string; readonly hit_id: string }
const rowOf = ({ runId, hitId, step, at }: ScreenStep): Row => ({ run_id: runId, hit_id: hitId, step, at })
const stepOf = ({ run_id, hit_id, step, at }: Row): ScreenStep => ({
  ...{ runId: run_id, hitId: hit_id, step, at },
})

/** What is done of the set-up of a run's screens. */
export const loadSetup = async (db: Kysely<Tables>, runId: string): Promise<readonly ScreenStep[]> =>
  (await db.selectFrom('setup_step').selectAll().where('run_id', '=', runId).execute()).map(stepOf)

/** Notes a step as done; done again, the later time counts. */
export async function doStep(tx: Kysely<Tables>, step: ScreenStep): Promise<void> {
  await tx
    .insertInto('setup_step')
    .values(rowOf(step))
    .onConflict((c) => c.columns(['run_id', 'hit_id', 'step']).doUpdateSet({ at: step.at }))
    .execute()
}

export async function undoStep(
  tx: Kysely<Tables>,
  { runId, hitId, step }: Omit<ScreenStep, 'at'>,
): Promise<void> {
  await tx
    .deleteFrom('setup_step')
    .where('run_id', '=', runId)
    .where('hit_id', '=', hitId)
    .where('step', '=', step)
    .execute()
}

export const everySetup = async (db: Kysely<Tables>): Promise<readonly ScreenStep[]> =>
  (await db.selectFrom('setup_step').selectAll().orderBy('run_id').orderBy('at').execute()).map(stepOf)

/** Puts others in place of all of them. */
export async function replaceSetups(tx: Kysely<Tables>, steps: readonly ScreenStep[] = []): Promise<void> {
  await tx.deleteFrom('setup_step').execute()
  for (let from = 0; from < steps.length; from += AT_ONCE)
    await tx
      .insertInto('setup_step')
      .values(steps.slice(from, from + AT_ONCE).map(rowOf))
      .execute()
}
