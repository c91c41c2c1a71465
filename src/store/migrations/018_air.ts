import { type Kysely, sql } from 'kysely'

/** How warm and damp the shop is, as it was said on a day. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE shop ADD COLUMN air_on TEXT`.execute(db)
  await sql`ALTER TABLE shop ADD COLUMN air REAL`.execute(db)
  await sql`ALTER TABLE shop ADD COLUMN air_humidity REAL`.execute(db)
}
