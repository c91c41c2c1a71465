import { type Kysely, sql } from 'kysely'

/** How the white of an order is to look. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE customer_order ADD COLUMN white_look TEXT NOT NULL DEFAULT 'bright'`.execute(db)
}
