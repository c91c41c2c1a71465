import { type Kysely, sql } from 'kysely'

/** By how much the film of the base is smaller than what lies on it. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE placement ADD COLUMN choke REAL`.execute(db)
}
