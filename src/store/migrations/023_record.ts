import { type Kysely, sql } from 'kysely'

/**
 * Steps of the set-up were rows of their own; they are said at the press as all else is. What came of a run is kept for lists,
 * an order says which one it prints again, and a shop what it does
 * its own way.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`INSERT INTO press_event (id, run_id, pad, seq, at, said)
    SELECT 'setup-' || lower(hex(randomblob(12))), run_id, 'register', rowid,
      strftime('%Y-%m-%dT%H:%M:%SZ', at, 'utc'),
      json_object('kind', 'tick', 'step', 'head.' || step, 'hit', hit_id)
    FROM setup_step WHERE strftime('%Y-%m-%dT%H:%M:%SZ', at, 'utc') IS NOT NULL ORDER BY at`.execute(db)
  await sql`DROP TABLE setup_step`.execute(db)
  await sql`CREATE TABLE run_account (
    run_id TEXT PRIMARY KEY, stamp TEXT NOT NULL, facts TEXT NOT NULL) STRICT`.execute(db)
  await sql`ALTER TABLE customer_order ADD COLUMN reorder_of TEXT`.execute(db)
  await sql`ALTER TABLE shop ADD COLUMN setup_per_screen REAL`.execute(db)
  await sql`CREATE TABLE own_step (
    step TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL, good TEXT NOT NULL,
    off INTEGER NOT NULL CHECK (off IN (0, 1))) STRICT`.execute(db)
}
