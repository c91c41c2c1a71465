import { type Kysely, sql } from 'kysely'

/** When each step of the set-up of a screen was done at the press. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE setup_step (
    run_id TEXT NOT NULL, hit_id TEXT NOT NULL, step TEXT NOT NULL, at TEXT NOT NULL,
    PRIMARY KEY (run_id, hit_id, step)) STRICT`.execute(db)
}
