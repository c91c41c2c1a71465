import { type Kysely, sql } from 'kysely'

/** Pallets that go from press to press. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`CREATE TABLE shared_pallets (
      id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL, where_on TEXT NOT NULL, sets INTEGER NOT NULL,
      presses TEXT NOT NULL) STRICT`)
    .execute(db)
}
