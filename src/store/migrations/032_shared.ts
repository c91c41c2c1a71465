import { type Kysely, sql } from 'kysely'

/** What presses share and wait for: pallets that go from press to press, and places in which screens dry. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (query: string) => sql.raw(query).execute(db)
  await run('ALTER TABLE screen_room ADD COLUMN racks INTEGER')
  await run(`CREATE TABLE shared_pallets (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL, where_on TEXT NOT NULL, sets INTEGER NOT NULL,
    presses TEXT NOT NULL) STRICT`)
}
