import { type Kysely, sql } from 'kysely'

/** What turns of the knobs of a head did to a screen: read before and after. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE head_turn (
    id INTEGER PRIMARY KEY, press_id TEXT NOT NULL, head INTEGER NOT NULL CHECK (head > 0), at TEXT NOT NULL,
    "left" REAL NOT NULL, "right" REAL NOT NULL, side REAL NOT NULL,
    back INTEGER NOT NULL CHECK (back IN (0, 1)), x REAL NOT NULL, y REAL NOT NULL,
    dx REAL NOT NULL, dy REAL NOT NULL, turn REAL NOT NULL) STRICT`.execute(db)
  await sql`CREATE INDEX head_turn_of ON head_turn (press_id, head, id)`.execute(db)
}
