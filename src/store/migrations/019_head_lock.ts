import { type Kysely, sql } from 'kysely'

/** How far a screen moved when its head was locked: read before and after. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE head_lock (
    id INTEGER PRIMARY KEY, press_id TEXT NOT NULL, head INTEGER NOT NULL CHECK (head > 0), at TEXT NOT NULL,
    dx REAL NOT NULL, dy REAL NOT NULL, turn REAL NOT NULL) STRICT`.execute(db)
  await sql`CREATE INDEX head_lock_of ON head_lock (press_id, head, id)`.execute(db)
}
