import { type Kysely, sql } from 'kysely'

/** What was done by its id, so that it is done once; how far an order is. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`CREATE TABLE done (
    id TEXT PRIMARY KEY, at TEXT NOT NULL, answer TEXT NOT NULL CHECK (json_valid(answer))) STRICT`.execute(
    db,
  )
  await sql`ALTER TABLE customer_order ADD COLUMN state TEXT NOT NULL DEFAULT 'open'
    CHECK (state IN ('open', 'printing', 'done'))`.execute(db)
  await sql`ALTER TABLE customer_order ADD COLUMN ended_at TEXT`.execute(db)
  await sql`ALTER TABLE customer_order ADD COLUMN deleted_days INTEGER NOT NULL DEFAULT 0`.execute(db)
  await sql`CREATE TABLE tidied (id INTEGER PRIMARY KEY CHECK (id = 1), on_day TEXT NOT NULL) STRICT`.execute(
    db,
  )
  await sql`CREATE INDEX customer_order_state ON customer_order (state, due, id) WHERE deleted_at IS NULL`.execute(
    db,
  )
}
