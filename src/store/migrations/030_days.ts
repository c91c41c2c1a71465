import { type Kysely, sql } from 'kysely'

/** What was decided of the shop's days, as one: the plan that was taken, runs that were put somewhere, presses that stand. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE day_plan (id INTEGER PRIMARY KEY CHECK (id = 1), version INTEGER NOT NULL, kept TEXT NOT NULL) STRICT`.execute(
    db,
  )
}
