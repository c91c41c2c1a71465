import { type Kysely, sql } from 'kysely'

/** How much ink is laid against what is computed, as the shop's weighings say. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE colour_limits ADD COLUMN laid REAL NOT NULL DEFAULT 1 CHECK (laid > 0)`.execute(db)
}
