import { type Kysely, sql } from 'kysely'

/**
 * More is said of how far an order is, and when; garments that came in are counted; what is known of a customer;
 * notes with pictures; hours of a day of the week, and days off;
 * units of the shop.
 * What was done before is gone.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (text: string) => sql.raw(text).execute(db)
  await run('DROP INDEX customer_order_state')
  await run('ALTER TABLE customer_order RENAME COLUMN state TO state_of_old')
  await run(`ALTER TABLE customer_order ADD COLUMN state TEXT NOT NULL DEFAULT 'open'
    CHECK (state IN ('asked', 'open', 'printing', 'printed', 'packed', 'done'))`)
  await run('UPDATE customer_order SET state = state_of_old')
  await run('ALTER TABLE customer_order DROP COLUMN state_of_old')
  await run('CREATE INDEX customer_order_state ON customer_order (state, due, id) WHERE deleted_at IS NULL')
  await run(`CREATE TABLE order_said (
    order_id TEXT NOT NULL REFERENCES customer_order ON DELETE CASCADE,
    mark TEXT NOT NULL CHECK (mark IN ('asked', 'open', 'printing', 'printed', 'packed', 'done', 'garments', 'art')),
    at TEXT NOT NULL, PRIMARY KEY (order_id, mark)) STRICT`)
  await run(`CREATE TABLE customer (
    key TEXT PRIMARY KEY, name TEXT NOT NULL, lead_days INTEGER CHECK (lead_days >= 0), white_look TEXT,
    rules TEXT NOT NULL) STRICT`)
  await run(
    "ALTER TABLE shop ADD COLUMN units TEXT NOT NULL DEFAULT 'metric' CHECK (units IN ('metric', 'inch'))",
  )
  await run(`CREATE TABLE own_hours (
    place INTEGER PRIMARY KEY, day INTEGER NOT NULL, opens REAL NOT NULL, closes REAL NOT NULL) STRICT`)
  await run('CREATE TABLE day_off (place INTEGER PRIMARY KEY, on_day TEXT NOT NULL, closes REAL) STRICT')
  await run(`CREATE TABLE note (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    about TEXT NOT NULL CHECK (about IN ('order', 'print', 'press', 'frame', 'customer')),
    of TEXT NOT NULL, at TEXT NOT NULL, words TEXT NOT NULL,
    photos TEXT NOT NULL CHECK (json_valid(photos))) STRICT`)
  await run('CREATE INDEX note_about ON note (about, of, id)')
  await run('CREATE INDEX customer_order_customer ON customer_order (customer, due)')
  await run('ALTER TABLE size_quantity ADD COLUMN received INTEGER CHECK (received >= 0)')
  await run(`INSERT INTO order_said (order_id, mark, at)
    SELECT id, 'done', ended_at FROM customer_order WHERE ended_at IS NOT NULL`)
}
