import { type Kysely, sql } from 'kysely'

/** More is said of how far an order is, and when; garments that came in are counted. What was done before is gone. */
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
  await run('ALTER TABLE size_quantity ADD COLUMN received INTEGER CHECK (received >= 0)')
  await run(`INSERT INTO order_said (order_id, mark, at)
    SELECT id, 'done', ended_at FROM customer_order WHERE ended_at IS NOT NULL`)
}
