import { type Kysely, sql } from 'kysely'

/** Numbers of the tables of trouble that the shop has set itself; and what was tried at the press is found at once. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE own_trouble (row TEXT PRIMARY KEY, place INTEGER NOT NULL, value REAL NOT NULL) STRICT`.execute(
    db,
  )
  await sql`CREATE INDEX press_event_of_kind ON press_event (json_extract(said, '$.kind'), run_id)`.execute(
    db,
  )
}
