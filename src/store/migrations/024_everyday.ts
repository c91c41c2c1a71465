import { type Kysely, sql } from 'kysely'

/** A shop says how long before the day it is due an order is to be printed. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE shop ADD COLUMN lead_days INTEGER NOT NULL DEFAULT 0`.execute(db)
}
