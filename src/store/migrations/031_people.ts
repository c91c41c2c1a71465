import { type Kysely, sql } from 'kysely'

/**
 * Who works in the shop and when they are away, presses with hours of their own, days on which goods leave, and when the garments of
 * an order are expected.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (query: string) => sql.raw(query).execute(db)
  await run('ALTER TABLE shop ADD COLUMN goes_out TEXT')
  await run('ALTER TABLE customer_order ADD COLUMN garments_on TEXT')
  await run(`CREATE TABLE press_hours (
    press_id TEXT PRIMARY KEY, place INTEGER NOT NULL, opens REAL NOT NULL, closes REAL NOT NULL) STRICT`)
  await run(`CREATE TABLE person (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL, presses TEXT NOT NULL) STRICT`)
  await run(`CREATE TABLE person_away (
    person_id TEXT NOT NULL REFERENCES person (id), place INTEGER NOT NULL,
    first_day TEXT NOT NULL, last_day TEXT NOT NULL, PRIMARY KEY (person_id, place)) STRICT`)
}
