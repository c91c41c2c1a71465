import { type Kysely, sql } from 'kysely'

/** What things cost the shop. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE price (
    id INTEGER PRIMARY KEY CHECK (id = 1), press_hour REAL NOT NULL CHECK (press_hour >= 0),
    person_hour REAL NOT NULL CHECK (person_hour >= 0), screen REAL NOT NULL CHECK (screen >= 0),
    ink REAL NOT NULL CHECK (ink >= 0), garment REAL NOT NULL CHECK (garment >= 0)) STRICT`.execute(db)
}
