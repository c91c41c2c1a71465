import { type Kysely, sql } from 'kysely'

/** What was said at the press while a run was printed; nothing is changed or deleted. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE press_event (
    place INTEGER PRIMARY KEY AUTOINCREMENT, id TEXT NOT NULL UNIQUE, run_id TEXT NOT NULL,
    pad TEXT NOT NULL, seq INTEGER NOT NULL, at TEXT NOT NULL, said TEXT NOT NULL) STRICT`.execute(db)
  await sql`CREATE INDEX press_event_of ON press_event (run_id, place)`.execute(db)
}
